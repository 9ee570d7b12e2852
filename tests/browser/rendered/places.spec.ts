import { expect, test, type Page } from '@playwright/test';
import { entries, HOST, LAYOUTS, pageWith, PAGE, render, serve } from '../rendered';

// Widgets where owners really put them: in every kind of box, on strict pages and hostile ones, turned around, many at once.

const grid = { shape: { layout: { name: 'grid' } }, of: entries('reviews') };
const carousel = {
  shape: {
    layout: { name: 'carousel', across: 3, controls: ['arrows', 'dots', 'numbers'] },
    head: ['overall', 'count', 'spread'],
  },
  of: entries('reviews', 9),
  rest: { sift: { limit: 9 } },
};
const tag = (key: string): string => `<gnomic-widget key="${key}"></gnomic-widget>`;
const widget = (page: Page) => page.locator('gnomic-widget').first();
const width = (page: Page): Promise<number> => widget(page).evaluate((host) => host.getBoundingClientRect().width);

test('it takes the width there is, whatever box it stands in', async ({ page }) => {
  await page.setViewportSize({ width: 1200, height: 800 });
  for (const [box, open, close] of [
    ['flex', '<div style="display:flex">', '</div>'],
    ['a column of flex', '<div style="display:flex;flex-direction:column;align-items:center">', '</div>'],
    ['grid', '<div style="display:grid;grid-template-columns:auto">', '</div>'],
    ['float', '<div style="float:left">', '</div>'],
    ['table cell', '<table><tr><td style="padding:0">', '</td></tr></table>'],
    ['fit-content', '<div style="width:fit-content">', '</div>'],
    ['inline-block', '<div style="display:inline-block">', '</div>'],
  ] as const) {
    await serve(page, { grid1: grid }, pageWith(open + tag('grid1') + close));
    await expect(page.locator('gnomic-widget article').first()).toBeVisible();
    expect(await width(page), box).toBeGreaterThan(1100);
    expect(await width(page), box).toBeLessThanOrEqual(1200);
    expect(await page.evaluate(() => document.documentElement.scrollWidth), box).toBeLessThanOrEqual(1200);
  }
});

test('strict policies, trusted types and XHTML let everything be seen', async ({ page }) => {
  const policies = {
    'styles of its own alone': `default-src 'self'; script-src ${HOST}; style-src 'self'; connect-src ${HOST}; img-src ${HOST} https:`,
    'styles by nonce': `script-src ${HOST}; style-src 'nonce-abc'; connect-src ${HOST}`,
    'trusted types': `require-trusted-types-for 'script'; trusted-types 'none'`,
  };
  for (const [name, policy] of Object.entries(policies)) {
    await serve(page, { caro1: carousel }, pageWith(`<p>${tag('caro1')}</p>`, ''), {
      'Content-Security-Policy': policy,
    });
    await expect(page.locator('gnomic-widget .at'), name).toHaveText(/^1 of \d$/);
    expect(await width(page), name).toBeLessThanOrEqual(1280);
    await expect(page.locator('gnomic-widget .card').first(), name).toHaveCSS('display', 'flex');
  }
  const xhtml = `<?xml version="1.0"?><html xmlns="http://www.w3.org/1999/xhtml"><head><title>x</title><script src="${HOST}/gnomic.js"></script></head><body><gnomic-widget key="caro1"></gnomic-widget></body></html>`;
  await serve(page, { caro1: carousel }, xhtml, { 'Content-Type': 'application/xhtml+xml' });
  await expect(page.locator('gnomic-widget .at')).toHaveText('1 of 3');
  await expect(page.locator('gnomic-widget .card').first()).toHaveCSS('display', 'flex');
});

test('hostile styles and vertical writing take nothing from it', async ({ page }) => {
  for (const [name, style] of Object.entries({
    unset: '* { all: unset !important }',
    'pictures hidden':
      'img { display: none !important } article, p, div { color: red !important; position: absolute !important }',
    'large roots': 'html { font-size: 40px }',
    vertical: 'body { writing-mode: vertical-rl }',
  })) {
    await serve(
      page,
      { wall1: { shape: { layout: { name: 'grid' }, card: ['pictures', 'words', 'name'] }, of: entries('posts') } },
      pageWith(tag('wall1'), style),
    );
    const items = page.locator('gnomic-widget .item');
    await expect(items.first()).toBeVisible();
    await expect(page.locator('gnomic-widget img').first(), name).toHaveCSS('display', 'block');
    const tops = await items.evaluateAll((all) =>
      all.slice(0, 3).map((item) => Math.round(item.getBoundingClientRect().top)),
    );
    expect(new Set(tops).size, `${name}: three side by side`).toBe(1);
    expect(await page.locator('gnomic-widget .g').evaluate((g) => getComputedStyle(g).fontSize), name).toBe('16px');
  }
});

test('right to left, the carousel goes the other way, and its arrows and keys with it', async ({ page }) => {
  await serve(page, { caro1: carousel }, pageWith(tag('caro1'), 'html{direction:rtl}'));
  const at = page.locator('gnomic-widget .at');
  await expect(at).toHaveText('1 of 3');
  const first = page.locator('gnomic-widget .item').first();
  const box = await first.boundingBox();
  expect(box!.x, 'the first stands at the right').toBeGreaterThan(700);
  await page.locator('gnomic-widget .cards').focus();
  await page.keyboard.press('ArrowLeft');
  await expect(at).toHaveText('2 of 3');
  await page.keyboard.press('ArrowRight');
  await expect(at).toHaveText('1 of 3');
  expect(await page.locator('.next svg').evaluate((svg) => getComputedStyle(svg).transform)).toBe(
    'matrix(-1, 0, 0, 1, 0, 0)',
  );
});

test('forced colours leave glyphs, bars and arrows to be seen', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await serve(page, { caro1: carousel }, pageWith(tag('caro1')));
  await expect(page.locator('gnomic-widget .at')).toHaveText('1 of 3');
  const colours = await page.evaluate(() => {
    const root = document.querySelector('gnomic-widget')!.shadowRoot!;
    const of = (selector: string, property: 'stroke' | 'fill'): string =>
      getComputedStyle(root.querySelector(selector)!)[property];
    const probe = document.body.appendChild(document.createElement('i'));
    probe.style.color = 'CanvasText';
    return {
      text: getComputedStyle(probe).color,
      of: [of('.next svg', 'stroke'), of('.spread', 'fill'), of('.glyphs', 'fill')],
    };
  });
  expect(new Set(colours.of)).toEqual(new Set([colours.text]));
});

test('printed, a carousel shows everything and nothing to press', async ({ page }) => {
  await serve(page, { caro1: carousel }, pageWith(tag('caro1')));
  await expect(page.locator('gnomic-widget .at')).toHaveText('1 of 3');
  await page.emulateMedia({ media: 'print' });
  await expect(page.locator('gnomic-widget .turn')).toBeHidden();
  const inside = await page
    .locator('gnomic-widget .card')
    .evaluateAll((items) =>
      items.every((item) => item.getBoundingClientRect().right <= 1280 && item.getBoundingClientRect().width > 100),
    );
  expect(inside).toBe(true);
});

test('thirty widgets share one page: one sheet each kind, no doubled landmark, none takes the keys of another', async ({
  page,
}) => {
  const kinds = Object.entries(LAYOUTS).filter(([, layout]) => !['panel', 'notices'].includes(String(layout['name'])));
  const widgets = Object.fromEntries(
    kinds.slice(0, 10).map(([, layout], index) => [`many${index}`, { shape: { layout }, of: entries('both') }]),
  );
  const tags = Array.from({ length: 30 }, (_, index) => tag(`many${index % 10}`)).join('');
  await serve(page, widgets, pageWith(tags));
  await expect
    .poll(() =>
      page
        .locator('gnomic-widget')
        .evaluateAll((all) => all.filter((one) => one.shadowRoot?.querySelector('.g')).length),
    )
    .toBe(30);
  const told = await page.evaluate(() => {
    const all = [...document.querySelectorAll('gnomic-widget')].map((one) => one.shadowRoot!);
    return {
      sheets: new Set(all.flatMap((root) => root.adoptedStyleSheets)).size,
      landmarks: all.flatMap((root) => [
        ...root.querySelectorAll('section[aria-label], [role=region], nav:not([hidden])'),
      ]).length,
    };
  });
  expect(told.landmarks).toBe(0);
  expect(told.sheets).toBeLessThanOrEqual(10);
  // Moved and cloned, it goes on.
  await page.evaluate(() => {
    const first = document.querySelector('gnomic-widget')!;
    document.body.append(first, first.cloneNode(true));
  });
  await expect
    .poll(() =>
      page
        .locator('gnomic-widget')
        .evaluateAll((all) => all.filter((one) => one.shadowRoot?.querySelector('.g')).length),
    )
    .toBe(31);
});

test('a bare tag that carries its room moves nothing when the widget comes', async ({ page }) => {
  const all = Object.entries(LAYOUTS).map(([name, layout], index) => ({
    name,
    key: `room${index}`,
    shape: { layout },
  }));
  const of = entries('both');
  const widgets = Object.fromEntries(all.map(({ key, shape }) => [key, { shape, of }]));
  const tags = all.map(({ key, shape }) => {
    return `<gnomic-widget key="${key}" style="--gnomic-room:${roomOf(shape)}">${KEPT}</gnomic-widget><p>Below ${key}</p>`;
  });
  const heights = (): Promise<number[]> =>
    page.locator('gnomic-widget').evaluateAll((all) => all.map((host) => host.getBoundingClientRect().height));
  for (const width of [390, 1280]) {
    await page.setViewportSize({ width, height: 800 });
    // First as the page stands while no script has come.
    await serve(page, widgets, pageWith(tags.join('')).replace(/<script.*?<\/script>/, ''));
    const before = await heights();
    await serve(page, widgets, pageWith(tags.join('')));
    await expect
      .poll(() =>
        page.locator('gnomic-widget').evaluateAll((all) => all.every((one) => one.shadowRoot?.querySelector('.g'))),
      )
      .toBe(true);
    await page.waitForTimeout(150);
    const after = await heights();
    // Below a heading and a paragraph, 240 px high, a widget moves what is under it in the window, and nothing where it reaches the
    // window's end itself. The share of the window that moves, times how far it does (Layout Instability, W3C).
    const moved = all
      .map(({ name }, index) => ({ name, from: before[index]!, to: after[index]! }))
      .filter(({ from, to }) => {
        const share = Math.max(0, 800 - 240 - Math.min(from, to)) / 800;
        return share * (Math.abs(from - to) / Math.max(width, 800)) >= 0.005;
      });
    expect(moved, `at ${width}`).toEqual([]);
  }
});

/** As Codes writes it. */
const KEPT =
  '<svg display=block height=0 style="padding-top:var(--gnomic-room);display:if(media(scripting):block;else:none)">' +
  '<set attributeName=display to=none begin=gno.error;6s /></svg>';

function roomOf(shape: Record<string, unknown>): string {
  return (JSON.parse(render(shape, entries('both'), ['--heights'])) as { room: string }).room;
}

test('the policy that it needs is enough, and what it needs is said where it is refused', async ({ page }) => {
  await serve(
    page,
    { wall1: { shape: { layout: { name: 'mosaic' } }, of: entries('posts') } },
    pageWith(tag('wall1')),
    {
      'Content-Security-Policy': `default-src 'none'; script-src ${HOST}; connect-src ${HOST}; img-src https://pictures.example`,
    },
  );
  const first = page.locator('gnomic-widget a.open').first();
  // What waits for a press has come.
  await page.waitForLoadState('networkidle');
  await first.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(first).toBeFocused();
  expect(page.url()).toBe(`${PAGE}/visit`);
});
