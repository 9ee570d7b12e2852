import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { entries, HOST, PAGE, serve } from '../rendered';

// A widget that cannot come leaves the page as it would be without it; and nothing of the page stops it from coming.

const grid = { shape: { layout: { name: 'grid' } }, of: entries('reviews', 3) };

/** The code to paste, as Codes writes it. */
const code = (key: string, host = HOST): string =>
  `<script async id="gno" src="${host}/gnomic.js"></script><gnomic-widget key="${key}">` +
  '<svg display=block height=0 style="padding-top:max(380px,1300px - 90%);display:if(media(scripting):block;else:none)">' +
  '<set attributeName=display to=none begin=gno.error;6s /></svg></gnomic-widget>';

const page1 = (html: string): string =>
  `<!doctype html><html lang="en"><meta charset="utf-8"><title>x</title><h1>Visit</h1>${html}<p id="below">Below</p>`;

/** Where what stands below the widget is. */
const below = (page: Page): Promise<number> =>
  page.locator('#below').evaluate((element) => element.getBoundingClientRect().top);

const NOTHING = 110;

/** The site's one script, as it is published: the element's script and that of the rules, with the rules around them. */
const siteScript = (rules: unknown[], places: unknown[]): string =>
  `(function(GNOMIC_HOST,GNOMIC_RULES,GNOMIC_PLACES){${readFileSync('public/gnomic.js', 'utf8')}${readFileSync('public/site.js', 'utf8')}})` +
  `(${JSON.stringify(HOST)},${JSON.stringify(rules)},${JSON.stringify(places)});`;

async function withSite(page: Page, rules: unknown[], places: unknown[]): Promise<void> {
  await page.route(`${HOST}/s/site.js`, (route) =>
    route.fulfill({ contentType: 'text/javascript', body: siteScript(rules, places) }),
  );
}

test('while it is on its way, its room is kept; where nothing comes, it is given back', async ({ page }) => {
  test.slow();
  let answer: 'down' | 500 = 'down';
  await serve(page, { grid1: grid }, page1(code('grid1')));
  await expect(page.locator('gnomic-widget article').first()).toBeVisible();

  const over = async (what: RegExp | string): Promise<void> => {
    await page.route(what, async (route) => {
      if (answer === 500) return route.fulfill({ status: 500 });
      // Not at once: first it is waited for.
      await new Promise((resolve) => setTimeout(resolve, 700));
      await route.abort().catch(() => undefined);
    });
    await page.goto(`${PAGE}/visit`, { waitUntil: 'domcontentloaded' });
  };
  await over(`${HOST}/gnomic.js`);
  expect(await below(page), 'kept while the script is waited for').toBeGreaterThan(400);

  for (const [what, how] of [
    [`${HOST}/gnomic.js`, 'down'],
    [/\/w\//, 500],
    [/\/w\//, 'down'],
  ] as const) {
    await serve(page, { grid1: grid }, page1(code('grid1')));
    answer = how;
    await over(what);
    await expect.poll(() => below(page), { message: `${what} ${how}` }).toBeLessThan(NOTHING);
  }
  await serve(page, { grid1: grid }, page1(code('nobody')));
  await page.route(/\/w\/nobody/, (route) => route.fulfill({ status: 404 }));
  await page.goto(`${PAGE}/visit`);
  await expect.poll(() => below(page), { message: 'a wrong key' }).toBeLessThan(NOTHING);
});

test('where no scripts run, no room is kept', async ({ browser }) => {
  const context = await browser.newContext({ javaScriptEnabled: false });
  const page = await context.newPage();
  await page.route('**/*', (route) => route.fulfill({ contentType: 'text/html', body: page1(code('grid1')) }));
  await page.goto(`${PAGE}/visit`);
  await page.waitForTimeout(200);
  expect((await page.locator('#below').boundingBox())?.y).toBeLessThan(NOTHING);
  await context.close();
});

test('the strictest policy keeps no room and shows the widget, and the console says nothing', async ({ page }) => {
  const said: string[] = [];
  page.on('console', (message) => said.push(message.text()));
  page.on('pageerror', (error) => said.push(String(error)));
  for (const policy of [
    `default-src 'none'; script-src ${HOST}; connect-src ${HOST}; img-src ${HOST} data:; style-src 'unsafe-inline'; require-trusted-types-for 'script'; trusted-types 'none'`,
    `require-trusted-types-for 'script'`,
    '',
  ]) {
    said.length = 0;
    await serve(
      page,
      { grid1: grid },
      page1(`<link rel="icon" href="data:,">${code('grid1')}`),
      policy ? { 'Content-Security-Policy': policy } : {},
    );
    await expect(page.locator('gnomic-widget article').first()).toBeVisible();
    await page.waitForLoadState('networkidle');
    expect(
      said.filter((one) => !one.includes('icon')),
      policy,
    ).toEqual([]);
  }
  // A style that is refused is told by browsers; the room is then not kept, and the widget comes all the same.
  await serve(page, { grid1: grid }, page1(code('grid1')), {
    'Content-Security-Policy': `default-src 'none'; script-src 'none'`,
  });
  expect(await below(page)).toBeLessThan(NOTHING);
  await serve(page, { grid1: grid }, page1(code('grid1')), {
    'Content-Security-Policy': `default-src 'none'; script-src ${HOST}; connect-src ${HOST}`,
  });
  await expect(page.locator('gnomic-widget article').first()).toBeVisible();
});

test('the tag of a site shows widgets under trusted types, and where its own file alone is allowed', async ({
  page,
}) => {
  const rules = [[['/', ''], [], 0, 'grid1', '400px', 0, 0]];
  for (const policy of [
    `require-trusted-types-for 'script'; trusted-types 'none'`,
    `script-src ${HOST}/s/; connect-src ${HOST}`,
    `script-src 'nonce-abc' 'strict-dynamic'; connect-src ${HOST}`,
  ]) {
    const html = page1(`<main id="main"></main><script async nonce="abc" src="${HOST}/s/site.js"></script>`);
    await serve(page, { grid1: grid }, html, { 'Content-Security-Policy': policy });
    await withSite(page, rules, [['inside', '#main']]);
    await page.goto(`${PAGE}/visit`);
    await expect(page.locator('#main gnomic-widget article').first(), policy).toBeVisible();
  }
  // Where its edition cannot be had, the room is the page's again.
  await page.route(/\/w\//, (route) => route.fulfill({ status: 500 }));
  await page.goto(`${PAGE}/visit`);
  await expect(page.locator('#main gnomic-widget')).toHaveCount(1);
  await expect.poll(() => below(page)).toBeLessThan(NOTHING);
});

test('a bad rule is nobody else’s trouble, and a place is filled however late and however often it is made', async ({
  page,
}) => {
  const wrong: string[] = [];
  page.on('pageerror', (error) => wrong.push(String(error)));
  const rules = [
    [{ 0: '/', r: '^\\/([\\w-]+$' }, [], 1, 'grid1', '', 0, 0],
    [{ 0: '/', r: '^\\/([^/]+)$' }, [], 1, 'grid1', '', 0, 0],
    [['/', ''], [], 0, 'grid1', '', 0, 0],
  ];
  const html = page1(`<div id="root"></div><script async src="${HOST}/s/site.js"></script>`);
  await serve(page, { grid1: grid }, html);
  await withSite(page, rules, [
    ['inside', '#main'],
    ['inside', '#never'],
  ]);
  await page.clock.install();
  await page.goto(`${PAGE}/visit`);
  await page.clock.runFor(25_000);
  const anew = (): Promise<void> =>
    page.evaluate(() => {
      document.getElementById('root')!.innerHTML = '<main id="main"><p>Text</p></main>';
    });
  for (let times = 0; times < 30; times++) {
    await anew();
    await page.clock.runFor(35_000);
  }
  await expect(page.locator('#main gnomic-widget article').first()).toBeVisible();
  await expect(page.locator('gnomic-widget')).toHaveCount(1);
  expect(wrong).toEqual([]);
});

test('a box that is as narrow as its words can be, or as wide, gets a widget that can be read', async ({ page }) => {
  await page.setViewportSize({ width: 1200, height: 800 });
  for (const [box, style] of [
    ['min-content', 'width:min-content'],
    ['a grid of min-content', 'display:grid;grid-template-columns:min-content'],
    ['a grid of max-content', 'display:grid;grid-template-columns:max-content'],
    ['a grid of auto and min-content', 'display:grid;grid-template-columns:min-content 1fr'],
    ['a float of min-content', 'float:left;width:min-content'],
    ['a table of its least width', 'display:table;width:1px'],
    ['a column of flex that hugs', 'display:flex;flex-direction:column;align-items:flex-start;width:min-content'],
    ['an inline box of min-content', 'display:inline-block;width:min-content'],
    ['max-content', 'width:max-content'],
    ['fit-content', 'width:fit-content'],
  ] as const) {
    for (const width of [1200, 390]) {
      await page.setViewportSize({ width, height: 800 });
      for (const layout of width === 1200 ? ['grid', 'carousel', 'list'] : ['grid']) {
        await serve(
          page,
          { box1: { shape: { layout: { name: layout } }, of: entries('reviews', 9), rest: { sift: { limit: 9 } } } },
          page1(
            `<style>body{margin:8px}</style><script async src="${HOST}/gnomic.js"></script><div style="${style}"><gnomic-widget key="box1"></gnomic-widget></div>`,
          ),
        );
        await expect(page.locator('gnomic-widget article').first(), `${box} ${layout}`).toBeVisible();
        const told = await page.locator('gnomic-widget').evaluate((host) => {
          const { width, height } = host.getBoundingClientRect();
          return { width, height, page: document.documentElement.scrollWidth };
        });
        expect(told.width, `${box} ${layout} ${width}`).toBeGreaterThanOrEqual(190);
        expect(told.height, `${box} ${layout} ${width}`).toBeLessThan(7_000);
        expect(told.page, `${box} ${layout} ${width}`).toBeLessThanOrEqual(width);
      }
    }
  }
});
