// Measures the advance widths of the fonts that ship, in a browser, and writes core/Shape/Lines/AdvanceTables.php:
// node bin/font-widths.mjs. Run anew when a font is updated.
import { chromium } from '@playwright/test';
import { readFileSync, writeFileSync } from 'node:fs';

const FONTS = { literata: 'Literata Variable', 'schibsted-grotesk': 'Schibsted Grotesk Variable' };
const RANGES = [
  [0x20, 0x7e],
  [0xa0, 0x17f],
  [0x384, 0x3ce],
  [0x401, 0x45f],
  [0x2010, 0x2026],
];
const folder = 'node_modules/@fontsource-variable';
const css = Object.keys(FONTS)
  .map((font) =>
    readFileSync(`${folder}/${font}/index.css`, 'utf8').replace(
      /url\(\.\/files\/([^)]+)\)/g,
      (_, name) => `url(data:font/woff2;base64,${readFileSync(`${folder}/${font}/files/${name}`).toString('base64')})`,
    ),
  )
  .join('');
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const page = await browser.newPage();
await page.setContent(`<style>${css}</style>`);
const measured = await page.evaluate(
  async ([fonts, ranges]) => {
    const tables = {};
    for (const [key, family] of Object.entries(fonts))
      for (const weight of [400, 600]) {
        const canvas = document.createElement('canvas').getContext('2d');
        canvas.font = `${weight} 1000px '${family}'`;
        tables[`${key} ${weight}`] = [];
        for (const [first, last] of ranges) {
          const characters = Array.from({ length: last - first + 1 }, (_, index) =>
            String.fromCodePoint(first + index),
          );
          await document.fonts.load(canvas.font, characters.join(''));
          tables[`${key} ${weight}`].push([
            first,
            characters.map((one) => Math.round(canvas.measureText(one).width)).join(' '),
          ]);
        }
      }
    return tables;
  },
  [FONTS, RANGES],
);
await browser.close();

const wrapped = (numbers) =>
  numbers
    .match(/.{1,110}(?: |$)/g)
    .map((line) => `            .'${line}'`)
    .join('\n')
    .replace(/^ {12}\./, '            ');
const tables = Object.entries(measured).map(
  ([name, ranges]) =>
    `        '${name}' => [\n${ranges.map(([first, numbers]) => `            ${first} => ${wrapped(numbers).trimStart()},`).join('\n')}\n        ],`,
);
writeFileSync(
  'core/Shape/Lines/AdvanceTables.php',
  `<?php

declare(strict_types=1);

namespace Gnomic\\Shape\\Lines;

/**
 * Advance widths of the fonts that ship, in thousandths of the font's size, as Chromium measures them; by font and weight, runs of
 * code points by their first. Written by bin/font-widths.mjs.
 */
final class AdvanceTables
{
    public const ALL = [
${tables.join('\n')}
    ];
}
`,
);
