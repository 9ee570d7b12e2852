import { expect, test, type Page } from '@playwright/test';
import { cut, faultsOfAll, showAll } from '../faults';
import { schemaOf } from '../drawn';
import { alive, DIFFERENT, element, entries, one, pageWith, render } from '../rendered';
import { LONG } from '../setting';

// How the parts of a card stand to each other, in every layout.

const COMPOSITIONS = (schemaOf('shape', 'composition').anyOf ?? [])
  .flatMap((one) => one.oneOf ?? [])
  .map((one) => String(one.const));
const WIDTHS = [320, 390, 768, 1280];

test('there are compositions to try', () => {
  expect(COMPOSITIONS.length).toBeGreaterThanOrEqual(7);
});

for (const [turn, composition] of COMPOSITIONS.entries())
  test(`cards composed as ${composition} keep to their places in every layout, with nothing cut off`, async ({
    page,
  }) => {
    await page.setViewportSize({ width: 1400, height: 900 });
    const all = DIFFERENT.map(([name, layout]) => [
      name,
      element(render({ layout, composition }, entries('both', LONG ? 12 : 6))),
    ]);
    await showAll(page, Object.fromEntries(all) as Record<string, string>);
    for (const width of LONG ? WIDTHS : [WIDTHS[turn % 2]!, WIDTHS[2 + (turn % 2)]!]) {
      expect.soft(await faultsOfAll(page, width), `at ${width}`).toEqual({});
      expect.soft(await cut(page), `at ${width}`).toEqual([]);
    }
  });

/** Sizes of words in CSS pixels, by what they begin with. */
const sizes = (page: Page): Promise<number[]> =>
  page
    .locator('gnomic-widget .words')
    .evaluateAll((all) => all.map((one) => parseFloat(getComputedStyle(one).fontSize)));

test('few words stand large and many at a size that is read on; marks hang outside, and words begin at the edge', async ({
  page,
}) => {
  await page.setViewportSize({ width: 1160, height: 800 });
  const texts = [
    'Rainy Sunday saved.',
    'Lovely evening, slightly chaotic start. The talk ran long, but the view of the Orion nebula made up for it. Would go again in summer.',
  ];
  const of = texts.map((text, index) => ({ ...entries('reviews', 1)[0], id: `t${index}`, title: null, text }));
  await showAll(page, { grid: element(render({ layout: { name: 'grid', across: 2 } }, of)) });
  expect(await sizes(page)).toEqual([27, 17]);
  const lines = await page.locator('gnomic-widget .words p').evaluateAll((all) =>
    all.map((one) => {
      const range = document.createRange();
      range.setStart(one.firstChild!, 0);
      range.setEnd(one.firstChild!, 1);
      const mark = getComputedStyle(one, '::before');
      return {
        from: range.getBoundingClientRect().left - one.closest('.card')!.getBoundingClientRect().left,
        mark: parseFloat(mark.marginLeft) + parseFloat(mark.width),
      };
    }),
  );
  for (const { from, mark } of lines) {
    expect(Math.abs(from), 'words begin where the card does').toBeLessThanOrEqual(1);
    expect(Math.abs(mark), 'the mark takes no room').toBeLessThanOrEqual(1);
  }
  const edge = await page
    .locator('gnomic-widget')
    .evaluate((host) => host.shadowRoot!.querySelector('.card')!.getBoundingClientRect().left);
  expect(edge, 'and the card where the place does').toBe(0);
});

test('glyphs that say it all stand alone, a number stands where they do not, and praise has a neutral form', async ({
  page,
}) => {
  const of = [5, 4.6, 1].map((value, index) => ({
    ...entries('reviews', 1)[0],
    id: `r${index}`,
    rating: { value, best: 5, worst: 1 },
  }));
  await showAll(page, {
    list: element(render({ layout: { name: 'list' }, head: [] }, of, [], { dress: { tokens: { glyph: 'heart' } } })),
  });
  const ratings = page.locator('gnomic-widget .rating');
  await expect(ratings).toHaveText(['', '4.6', '']);
  await expect(ratings.locator('svg.glyphs')).toHaveCount(3);
  expect(
    await ratings.locator('svg.glyphs').evaluateAll((all) => all.map((one) => one.getAttribute('aria-label'))),
  ).toEqual(['5 out of 5', '4.6 out of 5', '1 out of 5']);
  expect(
    await ratings.locator('use').evaluateAll((all) => [...new Set(all.map((one) => one.getAttribute('href')))]),
  ).toEqual(['#y5', '#n5']);
});

test('where a list is scanned, ratings stand in a column of their own at its edge, and above the words on phones', async ({
  page,
}) => {
  const ratings = [
    { value: 5, best: 5, worst: 1 },
    { value: 9.2, best: 10, worst: 0 },
    { value: 2, best: 5, worst: 1 },
  ];
  const of = ratings.map((rating, index) => ({
    ...entries('reviews', 1)[0],
    id: `c${index}`,
    title: null,
    rating,
    reply: { text: 'Thank you.' },
  }));
  const card = ['rating', 'title', 'words', 'reply', 'face', 'name', 'date', 'source'];
  const shape = { layout: { name: 'list' }, head: [], card };
  const list = element(render(shape, of));
  /** From the beginning of the words, and from the edge of each card, to its glyphs. */
  const told = (): Promise<{ start: number; end: number; above: number; weight: string }[]> =>
    page.locator('gnomic-widget .card').evaluateAll((cards) =>
      cards.map((card) => {
        const edges = (part: string): DOMRect => card.querySelector(part)!.getBoundingClientRect();
        const [all, glyphs, words] = [card.getBoundingClientRect(), edges('.glyphs'), edges('.words')];
        return {
          start: Math.round(glyphs.left - words.left),
          end: Math.round(all.right - glyphs.right),
          above: Math.round(words.top - glyphs.bottom),
          weight: getComputedStyle(card.querySelector('.date')!).fontWeight,
        };
      }),
    );
  /** How much higher cards are drawn than foretold. */
  const higher = async (width: number): Promise<number[]> => {
    const { cards } = JSON.parse(render(shape, of, ['--heights', `--width=${width}`])) as {
      cards: { height: number }[];
    };
    const drawn = await page.locator('gnomic-widget .card').evaluateAll((all) => all.map((one) => one.clientHeight));
    return drawn.map((height, index) => Math.round(height - cards[index]!.height));
  };
  await page.setViewportSize({ width: 1200, height: 800 });
  await showAll(page, { list });
  for (const { end, above, weight } of await told()) {
    expect(end, 'glyphs end where the list does').toBe(0);
    expect(above, 'beside the words, not above them').toBeLessThan(0);
    expect(weight, 'a reply makes no day bold').toBe('400');
  }
  expect(Math.max(...(await higher(1200)).map(Math.abs))).toBeLessThanOrEqual(1);
  for (const width of [140, 160, 390, 800]) {
    await page.setViewportSize({ width, height: 800 });
    for (const { start, above } of await told()) {
      expect(start, `where words begin at ${width}`).toBe(0);
      expect(above, `above the words at ${width}`).toBeGreaterThanOrEqual(0);
    }
    // Also where a number that glyphs do not say stands under them.
    const off = await higher(width);
    expect(Math.max(...off) - Math.min(...off), `one as well foretold as the other at ${width}`).toBeLessThanOrEqual(1);
  }
  expect(Math.max(...(await higher(800)).map(Math.abs))).toBeLessThanOrEqual(1);
});

test('the enlarged view is swiped by touch, and fills a phone', async ({ browser }) => {
  const context = await browser.newContext({ hasTouch: true, isMobile: true, viewport: { width: 390, height: 800 } });
  const page = await context.newPage();
  await alive(
    page,
    { swiped1: one({ layout: { name: 'mosaic' } }, entries('posts', 6)) },
    pageWith('<gnomic-widget key="swiped1"></gnomic-widget>'),
  );
  await page.locator('gnomic-widget a.open').first().tap();
  const dialog = page.getByRole('dialog', { name: 'Enlarged' });
  await expect(dialog.locator('.at')).toHaveText('1/6');
  expect((await dialog.boundingBox())!.height).toBeGreaterThanOrEqual(799);
  const touch = await context.newCDPSession(page);
  const move = (type: string, x: number): Promise<unknown> =>
    touch.send('Input.dispatchTouchEvent', {
      type: type as 'touchStart',
      touchPoints: type === 'touchEnd' ? [] : [{ x, y: 420 }],
    });
  await move('touchStart', 320);
  for (const x of [280, 220, 150, 90]) await move('touchMove', x);
  await move('touchEnd', 90);
  await expect(dialog.locator('.at')).toHaveText('2/6');
  await context.close();
});

test('on phones a mosaic has two columns, and the next card of a carousel is seen', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 800 });
  await showAll(page, { mosaic: element(render({ layout: { name: 'mosaic' } }, entries('posts', 9))) });
  const rects = await page
    .locator('gnomic-widget .item')
    .evaluateAll((all) => all.map((one) => one.getBoundingClientRect()).map(({ width, height }) => [width, height]));
  expect(Math.min(...rects.map(([width]) => width!))).toBeLessThan(200);
  expect(Math.max(...rects.map(([, height]) => height!))).toBeLessThanOrEqual(481);
  await showAll(page, { carousel: element(render({ layout: { name: 'carousel' } }, entries('reviews', 6))) });
  const second = await page
    .locator('gnomic-widget .card')
    .nth(1)
    .evaluate((card) => card.getBoundingClientRect().left);
  expect(390 - second).toBeGreaterThanOrEqual(20);
  expect(390 - second).toBeLessThanOrEqual(40);
});

test('in a carousel, who said it stands level with who is beside it, and right under the words where nobody is', async ({
  page,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await showAll(page, { carousel: element(render({ layout: { name: 'carousel' } }, entries('reviews', 6))) });
  /** From the words to the one who said them, and where that one begins, of each card. */
  const told = (): Promise<{ air: number[]; at: number[] }> =>
    page.locator('gnomic-widget .card').evaluateAll((cards) => {
      const edge = (card: Element, part: string, side: 'top' | 'bottom'): number =>
        card.querySelector(part)?.getBoundingClientRect()[side] ?? 0;
      return {
        air: cards.map((card) =>
          Math.round(
            edge(card, '.by', 'top') - Math.max(edge(card, '.words', 'bottom'), edge(card, '.more', 'bottom')),
          ),
        ),
        at: cards.map((card) => Math.round(edge(card, '.by', 'bottom'))),
      };
    });
  const wide = await told();
  expect(new Set(wide.at).size, 'all are level').toBe(1);
  expect(Math.max(...wide.air)).toBeGreaterThan(20);
  await page.setViewportSize({ width: 390, height: 800 });
  await expect.poll(async () => Math.max(...(await told()).air)).toBeLessThanOrEqual(20);
});
