// Which paths patterns match, and which of two is the more particular, by urlpattern-polyfill; and which match, by the URLPattern of
// Chromium itself. Reads JSON, prints JSON.
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../browser/chromium.mjs';
import { readFileSync } from 'node:fs';
import { URLPattern } from 'urlpattern-polyfill';

const { cases, order } = JSON.parse(readFileSync(0, 'utf8'));

/** null: no pattern. */
function ask(Pattern, [pattern, path]) {
  try {
    return new Pattern({ pathname: pattern, baseURL: 'https://quillmoor.example/' }).test({
      pathname: path,
      baseURL: 'https://quillmoor.example/',
    });
  } catch {
    return null;
  }
}

const read = (pattern) => new URLPattern({ pathname: pattern });
const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox', '--disable-gpu'] });
const page = await browser.newPage();
const theirs = await page.evaluate(
  ({ cases, body }) =>
    cases.map((one) => new Function('Pattern', 'one', `${body}; return ask(Pattern, one)`)(URLPattern, one)),
  { cases, body: ask.toString() },
);
await browser.close();
process.stdout.write(
  JSON.stringify({
    polyfill: cases.map((one) => ask(URLPattern, one)),
    chromium: theirs,
    order: order.map(([one, other]) => URLPattern.compareComponent('pathname', read(one), read(other))),
  }),
);
