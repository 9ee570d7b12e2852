// Prints what Chromium computes for elements of pages: node computed.mjs VIEWS SELECTORS PAGE…; a view is [width, isDark].
import { pathToFileURL } from 'node:url';
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../browser/chromium.mjs';

const [views, selectors, ...pages] = process.argv.slice(2);
const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox', '--disable-gpu'] });
const page = await browser.newPage();
const told = [];
for (const [width, isDark] of JSON.parse(views)) {
  await page.setViewportSize({ width, height: 800 });
  await page.emulateMedia({ colorScheme: isDark ? 'dark' : 'light' });
  const seen = {};
  for (const path of pages) {
    await page.goto(pathToFileURL(path).href);
    seen[path] = await page.evaluate(computed, JSON.parse(selectors));
  }
  told.push(seen);
}
await browser.close();
process.stdout.write(JSON.stringify(told));

/** Runs in the page. */
function computed(selectors) {
  // A colour of any space as the four bytes that are painted.
  const canvas = document.createElement('canvas').getContext('2d', { willReadFrequently: true });
  const painted = (colour) => {
    canvas.clearRect(0, 0, 1, 1);
    canvas.fillStyle = colour;
    canvas.fillRect(0, 0, 1, 1);
    const [r, g, b, a] = canvas.getImageData(0, 0, 1, 1).data;
    return [r, g, b, a];
  };
  return Object.fromEntries(
    selectors.map((selector) => {
      const element = document.querySelector(selector);
      if (!element) return [selector, null];
      const style = getComputedStyle(element);
      return [
        selector,
        {
          color: painted(style.color),
          'background-color': painted(style.backgroundColor),
          'font-family': style.fontFamily,
          'font-size': parseFloat(style.fontSize),
          'font-weight': Number(style.fontWeight),
          'border-top-left-radius': style.borderTopLeftRadius.split(' ')[0],
        },
      ];
    }),
  );
}
