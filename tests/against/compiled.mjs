// What rules as they are published say of paths, in Chromium: reads [compiled, path, what PHP says, pattern], prints those that differ.
import { chromium } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { text } from 'node:stream/consumers';
import { transformWithOxc } from 'vite';
import { CHROMIUM } from '../browser/chromium.mjs';

const cases = JSON.parse(await text(process.stdin));
const source = readFileSync(new URL('../../resources/embed/patterns.ts', import.meta.url), 'utf8');
const script = (await transformWithOxc(source, 'patterns.ts')).code.replaceAll('export ', '');
const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox', '--disable-gpu'] });
const page = await browser.newPage();
await page.addScriptTag({ content: script });
const wrong = await page.evaluate((cases) => {
  const found = [];
  for (const [compiled, path, said, pattern] of cases) {
    try {
      if (compiled.r) new RegExp(compiled.r, 'v');
      if (fits(compiled, new URL(path, 'https://quillmoor.example').pathname) !== said)
        found.push(`${pattern} on ${path}: PHP says ${said}`);
    } catch (problem) {
      found.push(`${pattern}: ${problem}`);
    }
  }
  return [...new Set(found)];
}, cases);
await browser.close();
process.stdout.write(JSON.stringify(wrong));
