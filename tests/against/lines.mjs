// Puts a widget into each page and prints where it keeps to the page's own lines: node lines.mjs WIDTHS [FOLDER]; pages and widgets come
// as JSON on standard input. With a folder, a picture of each page with its widget is put there.
import { basename } from 'node:path';
import { readFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../browser/chromium.mjs';

const [widths, folder] = process.argv.slice(2);
const asked = JSON.parse(readFileSync(0, 'utf8'));
const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox', '--disable-gpu'] });
const page = await browser.newPage();
const told = [];
for (const width of JSON.parse(widths)) {
  await page.setViewportSize({ width, height: 800 });
  for (const { page: path, widget } of asked) {
    await page.goto(pathToFileURL(path).href);
    const name = basename(path, '.html');
    for (const row of await page.evaluate(measured, widget)) told.push({ page: name, width, ...row });
    if (folder) await page.screenshot({ path: `${folder}/${name}-${width}.png`, fullPage: true });
  }
}
await browser.close();
process.stdout.write(JSON.stringify(told));

/** Runs in the page. */
async function measured(widget) {
  const text = document.querySelector('[data-text]') ?? document.querySelector('p a')?.closest('p');
  const heading = document.querySelector('[data-heading]') ?? document.querySelector('h2');
  const card = document.querySelector('[data-card]') ?? document.querySelector('.card');
  const before = text.getBoundingClientRect().left;
  const place = document.querySelector('[data-place]');
  const host = document.createElement('gnomic-widget');
  if (place) place.append(host);
  else text.after(host);
  const [, inner] = widget.match(/<template shadowrootmode="open">([\s\S]*)<\/template>/);
  const root = host.attachShadow({ mode: 'open' });
  root.innerHTML = inner;
  await document.fonts.ready;
  await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));

  const canvas = document.createElement('canvas').getContext('2d', { willReadFrequently: true });
  const painted = (colour) => {
    canvas.clearRect(0, 0, 1, 1);
    canvas.fillStyle = colour;
    canvas.fillRect(0, 0, 1, 1);
    return [...canvas.getImageData(0, 0, 1, 1).data];
  };
  const style = (element) => getComputedStyle(element);
  const px = (value) => Number.parseFloat(value) || 0;
  const left = (element) => {
    const range = document.createRange();
    const walker = document.createTreeWalker(element, NodeFilter.SHOW_TEXT, (node) => (node.data.trim() ? 1 : 3));
    range.selectNodeContents(walker.nextNode() ?? element);
    return [...range.getClientRects()].filter((one) => one.width > 0)[0]?.left ?? element.getBoundingClientRect().left;
  };
  const family = (value) =>
    value
      .toLowerCase()
      .replaceAll(/["'\s]+/g, ' ')
      .replaceAll(' ,', ',')
      .replaceAll(', ', ',')
      .trim();
  const rows = [];
  const row = (name, wanted, is, isRight) => rows.push({ row: name, wanted, is, isRight });
  const near = (name, wanted, is, by) => row(name, wanted, is, Math.abs(wanted - is) <= by);
  const same = (name, wanted, is) => row(name, wanted, is, JSON.stringify(wanted) === JSON.stringify(is));
  const hue = (name, wanted, is) =>
    row(name, wanted, is, (wanted[3] === 0 && is[3] === 0) || wanted.every((one, at) => Math.abs(one - is[at]) <= 4));
  // What could not be read on the page itself is mended, and is another.
  const over = ([r, g, b, a], [x, y, z]) => [r, g, b].map((one, at) => (one * a) / 255 + [x, y, z][at] * (1 - a / 255));
  const ground = (element) => {
    const chain = [];
    for (let at = element; at; at = at.parentElement) chain.unshift(painted(style(at).backgroundColor));
    return chain.reduce((under, one) => over(one, under), [255, 255, 255]);
  };
  const light = (colour) => {
    const [r, g, b] = colour.map((one) =>
      one / 255 <= 0.04045 ? one / 255 / 12.92 : ((one / 255 + 0.055) / 1.055) ** 2.4,
    );
    return 0.2126 * r + 0.7152 * g + 0.0722 * b + 0.05;
  };
  const isRead = (element) => {
    const under = ground(element);
    const [one, two] = [light(under), light(over(painted(style(element).color), under))];
    return Math.max(one, two) / Math.min(one, two) >= 4.5;
  };
  const isPainted = (of) => painted(of.backgroundColor)[3] > 5 || px(of.borderLeftWidth) > 0 || of.boxShadow !== 'none';

  const words = root.querySelector('.words p');
  const own = root.querySelector('.card');
  const line = style(own);
  const head = root.querySelector('.heading');
  // What is painted stands with its edge on the line of the text; where nothing is, words do.
  near('left edge', before, isPainted(line) ? own.getBoundingClientRect().left : left(words), 1);
  near('left edge of the heading', before, left(head), 1);
  const [page, ours] = [style(text), style(words)];
  near('size of words', px(page.fontSize), px(ours.fontSize), 0.02 * px(page.fontSize));
  same('family of words', family(page.fontFamily), family(ours.fontFamily));
  hue('colour of words on the page', painted(page.color), painted(style(root.querySelector('.g')).color));
  const leading = (of) => (of.lineHeight === 'normal' ? 0 : px(of.lineHeight) / px(of.fontSize));
  if (leading(page) > 0) near('height of lines', leading(page), leading(ours), 0.03);
  const link = text.querySelector('a');
  const its = root.querySelector('.foot a, .by a');
  if (link && its) {
    const [one, two] = [style(link), style(its)];
    const isLined = (of) => of.textDecorationLine === 'underline' || px(of.borderBottomWidth) > 0;
    same('lines under links', isLined(one), isLined(two));
    if (isRead(link) && !isPainted(line)) hue('colour of links', painted(one.color), painted(two.color));
  }
  if (heading) {
    const [theirs, its] = [style(heading), style(head)];
    near('size of headings', px(theirs.fontSize), px(its.fontSize), 0.03 * px(theirs.fontSize));
    if (isRead(heading)) hue('colour of headings', painted(theirs.color), painted(its.color));
    same('family of headings', family(theirs.fontFamily), family(its.fontFamily));
    same('weight of headings', theirs.fontWeight, its.fontWeight);
    if (leading(theirs) > 0) near('height of lines of headings', leading(theirs), leading(its), 0.03);
    same('capitals of headings', theirs.textTransform, its.textTransform);
    near('spacing of headings', px(theirs.letterSpacing), px(its.letterSpacing), 0.2);
  }
  if (card && isPainted(style(card))) {
    const its = style(card);
    const padding = left(card) - card.getBoundingClientRect().left - px(its.borderLeftWidth);
    near('room on cards', padding, px(line.paddingLeft), 1.5);
    near('corners of cards', Math.min(32, px(its.borderTopLeftRadius)), px(line.borderTopLeftRadius), 1);
    hue('background of cards', painted(its.backgroundColor), painted(line.backgroundColor));
    near('edge of cards', px(its.borderTopWidth), px(line.borderTopWidth), 0.6);
    const onCard = card.querySelector('p') ?? card;
    if (isRead(onCard)) hue('colour of words on cards', painted(style(onCard).color), painted(ours.color));
    same('shadow of cards', its.boxShadow !== 'none', line.boxShadow !== 'none');
  }
  return rows;
}
