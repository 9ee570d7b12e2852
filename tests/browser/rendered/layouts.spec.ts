import { expect, test, type Page } from '@playwright/test';
import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { cut, faults, faultsOfAll, show, showAll } from '../faults';
import { axeIn } from '../people';
import { element, entries, LAYOUTS, render, type Written } from '../rendered';
import { LONG } from '../setting';

// Every layout over every kind of entry: whole rows, nothing beyond the container, readable without scripts, accessible, valid.

const WHOLE = [320, 480, 768, 1024, 1440];
const ALL = [120, 200, ...WHOLE, 3000];

/** Whether each row of cards goes from side to side, as far as the layout has rows. */
function gaps(page: Page, width: number): Promise<string[]> {
  return page.evaluate((width) => {
    const box = document.getElementById('w')!;
    box.style.width = `${width}px`;
    const root = box.firstElementChild!.shadowRoot!;
    const framed = root.querySelector('.view')!;
    const { paddingLeft, paddingRight } = getComputedStyle(framed);
    const outer = framed.getBoundingClientRect();
    const view = { left: outer.left + parseFloat(paddingLeft), right: outer.right - parseFloat(paddingRight) };
    const rects = [...root.querySelectorAll<HTMLElement>('.item')]
      .filter((item) => item.offsetWidth > 0)
      .map((item) => item.getBoundingClientRect());
    const wrong: string[] = [];
    for (const line of new Set(rects.map((rect) => Math.round(rect.top + 5)))) {
      const row = rects.filter((rect) => rect.top <= line && rect.bottom >= line);
      const [left, right] = [Math.min(...row.map((rect) => rect.left)), Math.max(...row.map((rect) => rect.right))];
      if (left > view.left + 2 || right < view.right - 2) wrong.push(`a row from ${left} to ${right} at ${width}`);
    }
    return wrong;
  }, width);
}

for (const kind of ['reviews', 'posts', 'both'] as const)
  test(`every layout of ${kind} keeps to its place at every width, without any script`, async ({ browser }) => {
    const context = await browser.newContext({ javaScriptEnabled: true, viewport: { width: 3100, height: 900 } });
    const page = await context.newPage();
    const all = Object.entries(LAYOUTS)
      .map(([name, layout]) => [name, element(render({ layout }, entries(kind)))] as const)
      .filter(([, html]) => !html.includes(':host{display:none')); // no figures of posts that nobody rated
    await showAll(page, Object.fromEntries(all));
    for (const width of ALL) expect.soft(await faultsOfAll(page, width), `${kind} at ${width}`).toEqual({});
    for (const [name, html] of all)
      if (['grid', 'grid, stretched', 'photo rows', 'mosaic', 'strip', 'masonry'].includes(name)) {
        await show(page, html);
        for (const width of WHOLE) expect.soft(await gaps(page, width), `${name} of ${kind}`).toEqual([]);
      }
    await context.close();
  });

test('a last row that is not full stands in the middle, of cards as wide as the others; a column is narrow', async ({
  page,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  for (const count of [4, 5, 7, 8]) {
    await show(page, element(render({ layout: { name: 'grid', last: 'centred' } }, entries('reviews', count))));
    const rects = await page
      .locator('gnomic-widget .item')
      .evaluateAll((items) =>
        items
          .map((item) => item.getBoundingClientRect())
          .map(({ left, right, top, width }) => ({ left, right, top, width })),
      );
    expect(new Set(rects.map(({ width }) => Math.round(width))).size, `${count}: equally wide`).toBe(1);
    const last = rects.filter(({ top }) => top === rects[rects.length - 1]!.top);
    expect(last.length).toBe(count % 3);
    expect(Math.abs((last[0]!.left + last[last.length - 1]!.right) / 2 - 640), `${count}: in the middle`).toBeLessThan(
      3,
    );
  }
  await show(page, element(render({ layout: { name: 'list', column: true } }, entries('both'))));
  expect((await page.locator('gnomic-widget .item').first().boundingBox())!.width).toBeLessThanOrEqual(360);
});

test('who rated without a word stands right under the rating; who said something, at the foot', async ({ page }) => {
  await page.setViewportSize({ width: 1240, height: 800 });
  const [said, other, bare] = entries('reviews', 3);
  const of = [
    { ...said, text: 'Cold, dark, wonderful. '.repeat(5) },
    { ...other, text: 'Go.' },
    { ...bare, text: null, title: null },
  ];
  await show(page, element(render({ layout: { name: 'grid' }, card: ['rating', 'words', 'name'] }, of)));
  const under = (words: RegExp | null): Promise<number> => {
    const cards = page.locator('gnomic-widget .card');
    const card = words ? cards.filter({ hasText: words }) : cards.filter({ hasNot: page.locator('.words') });
    return card.evaluate((card) => {
      const [rating, by] = ['.rating', '.by'].map((part) => card.querySelector(part)!.getBoundingClientRect());
      return by!.top - rating!.bottom;
    });
  };
  expect(await under(/Go\./), 'few words, and the name in line with the others').toBeGreaterThan(60);
  expect(await under(null)).toBeLessThan(20);
});

test('a ring holds the figure and what it rests on; what else there is stands beneath it', async ({ page }) => {
  await page.setViewportSize({ width: 600, height: 800 });
  const shape = {
    layout: { name: 'rating', form: 'seal' },
    head: ['overall', 'count'],
    actions: [{ does: 'link', text: 'Plan your night', url: 'https://quillmoor.example/' }],
  };
  await show(page, element(render(shape, entries('reviews'))));
  const box = (part: string): Promise<DOMRect> =>
    page.locator(`gnomic-widget ${part}`).evaluate((one) => one.getBoundingClientRect().toJSON() as DOMRect);
  const ring = await box('.ring');
  expect(Math.abs(ring.width - ring.height), 'round').toBeLessThan(1);
  for (const part of ['.figure', '.base']) {
    const { top, bottom } = await box(part);
    expect(top > ring.top && bottom < ring.bottom, `${part} is in it`).toBe(true);
  }
  for (const part of ['.line', '.act']) expect((await box(part)).top).toBeGreaterThanOrEqual(ring.bottom);
});

test('what is whole at these widths is not to be read on, though it is cut at others', async ({ page }) => {
  const shape = { layout: { name: 'grid' }, lines: 2, at: { phone: { layout: { name: 'list' }, lines: 0 } } };
  await show(page, element(render(shape, entries('reviews', 6))));
  const cutAt = async (width: number): Promise<boolean> => {
    await page.setViewportSize({ width, height: 800 });
    await page.evaluate((width) => (document.getElementById('w')!.style.width = `${width}px`), width);
    return page
      .locator('gnomic-widget .more')
      .evaluateAll((all) => all.some((more) => (more as HTMLElement).offsetHeight > 0));
  };
  expect(await cutAt(1200)).toBe(true);
  expect(await cutAt(390)).toBe(false);
});

test('where phones have another layout, whichever it is, each keeps to its place, and all can be read', async ({
  page,
}) => {
  await page.setViewportSize({ width: 1500, height: 900 });
  const flowing = [
    'list',
    'photo rows',
    'grid',
    'strip',
    'masonry',
    'mosaic',
    'carousel',
    'ticker',
    'one at a time',
    'single',
  ];
  for (const [index, name] of flowing.entries())
    for (const step of [1, 4]) {
      const phone = flowing[(index + step) % flowing.length]!;
      const at = { phone: { layout: LAYOUTS[phone] } };
      await show(page, element(render({ layout: LAYOUTS[name], at, more: 'button' }, entries('both', 20))));
      for (const width of [320, 590, 620, 1280]) {
        expect.soft(await faults(page, width), `${name}, on phones ${phone}, at ${width}`).toEqual([]);
        expect.soft(await cut(page), `${name}, on phones ${phone}, at ${width}`).toEqual([]);
      }
    }
});

test('tiles on phones are pictures, and words again elsewhere; what moves one layout is not there in another', async ({
  page,
}) => {
  const of = entries('posts', 6);
  const shown = async (what: string): Promise<boolean> =>
    (await page
      .locator(`gnomic-widget ${what}`)
      .first()
      .isVisible()
      .catch(() => false)) ?? false;
  for (const [wide, narrow, words] of [
    ['list', 'mosaic', [true, false]],
    ['photo-rows', 'list', [false, true]],
  ] as const) {
    await show(
      page,
      element(
        render({ layout: { name: wide }, card: ['words', 'name'], at: { phone: { layout: { name: narrow } } } }, of),
      ),
    );
    for (const [width, isWords] of [
      [1280, words[0]],
      [390, words[1]],
    ] as const) {
      await page.setViewportSize({ width, height: 800 });
      expect([await shown('.words'), await shown('.shot')], `${wide}, on phones ${narrow}, at ${width}`).toEqual([
        isWords,
        !isWords,
      ]);
    }
  }
  const at = { phone: { layout: { name: 'single' } }, tablet: { layout: { name: 'carousel' } } };
  await show(page, element(render({ layout: { name: 'ticker' }, at }, entries('reviews', 6))));
  for (const [width, bars] of [
    [1280, [true, false]],
    [390, [false, false]],
  ] as const) {
    await page.setViewportSize({ width, height: 800 });
    expect([await shown('.still'), await shown('.turn')], `at ${width}`).toEqual(bars);
  }
});

test('a bounded width is kept, in the middle, and a head stands beside cards where there is room', async ({ page }) => {
  await page.setViewportSize({ width: 1400, height: 800 });
  for (const [most, isAside] of [
    [600, false],
    [1000, true],
  ] as const)
    for (const name of ['grid', 'mosaic']) {
      await show(page, element(render({ layout: { name }, headAt: 'left', frame: { most } }, entries('posts', 9))));
      const boxes = await page.locator('gnomic-widget').evaluate((host) =>
        ['.g', '.head', '.view', '.item'].map((what) => {
          const { left, right, top, width, height } = host.shadowRoot!.querySelector(what)!.getBoundingClientRect();
          return { left, right, top, width, height };
        }),
      );
      const [all, head, view, item] = boxes as [DOMRect, DOMRect, DOMRect, DOMRect];
      expect(Math.round(all.width), name).toBe(most);
      expect(Math.abs((all.left + all.right) / 2 - 700), name).toBeLessThan(1);
      expect(head.right < view.left, `${name}: the head is aside`).toBe(isAside);
      if (name === 'mosaic') {
        // As high as wide, but the largest no higher than 480.
        expect(Math.abs(Math.min(item.width, 480) - item.height), 'tiles are square').toBeLessThan(2);
      }
    }
  for (const shape of [
    { layout: { name: 'grid' }, heading: null, head: [] },
    { layout: { name: 'mosaic' }, heading: null, head: ['overall'] },
    { layout: { name: 'rating' } },
  ]) {
    await show(
      page,
      element(
        render(
          { ...shape, headAt: 'left' },
          entries('posts', 9).map((one) => ({ ...one, rating: shape.head ? null : { value: 4, best: 5, worst: 1 } })),
        ),
      ),
    );
    const wide = await page
      .locator('gnomic-widget')
      .evaluate((host) => host.shadowRoot!.querySelector('.deck, .whole')!.getBoundingClientRect().width);
    if (shape.layout.name === 'rating') expect(wide, 'a line of figures is no column').toBeGreaterThan(280);
    else expect(wide, `${shape.layout.name}: no head, no room for it`).toBeGreaterThan(1300);
  }
});

test('what is long, endless, empty, foreign or broken breaks no layout', async ({ browser }) => {
  const page = await (await browser.newContext({ viewport: { width: 3100, height: 900 } })).newPage();
  const hard: Written[] = [
    { text: 'Two hours went like ten minutes and nobody minded the cold. '.repeat(340) },
    { text: 'x'.repeat(3000) },
    { text: 'ok', author: { name: 'N'.repeat(200), role: 'R'.repeat(200), place: 'Upper Quillmoor' } },
    { rating: { value: 5, best: 5, worst: 1 } },
    { text: 'ليلة ساحرة جدا في المرصد مع الأصدقاء والعائلة', language: 'ar', author: { name: 'ليلى حداد' } },
    { text: `e${'\u0301'.repeat(200)}${' stacked'.repeat(30)}` },
    { text: '土星の輪がはっきり見えて、娘は「シールみたい」と驚いていました。'.repeat(12), language: 'ja' },
    {
      kind: 'post',
      text: 'tall',
      media: [{ type: 'image', url: 'https://pictures.example/t', width: 1, height: 5000 }],
    },
    {
      kind: 'post',
      text: 'wide',
      media: [{ type: 'image', url: 'https://pictures.example/w', width: 5000, height: 10 }],
    },
    { kind: 'post', text: 'video', media: [{ type: 'video', url: 'https://pictures.example/v.mp4' }] },
    { title: 'T'.repeat(300), text: 't', tags: ['a'.repeat(80), 'b'], reply: { text: 'R'.repeat(500) } },
  ].map((entry, index) => ({
    id: `h${index}`,
    kind: 'review',
    author: { name: 'A B' },
    likes: index,
    comments: 2,
    ...entry,
  }));
  const card = ['rating', 'title', 'words', 'reply', 'pictures', 'face', 'name', 'role', 'place', 'labels', 'likes'];
  for (const [name, layout] of Object.entries(LAYOUTS)) {
    await show(page, element(render({ layout, card }, hard)));
    for (const width of ALL) {
      expect.soft(await faults(page, width), `${name} at ${width}`).toEqual([]);
      expect.soft(await cut(page), `${name} at ${width}`).toEqual([]);
    }
    await show(page, element(render({ layout, card }, hard.slice(0, 1))));
    for (const width of LONG ? ALL : [120, 1280])
      expect.soft(await faults(page, width), `one in ${name} at ${width}`).toEqual([]);
    await show(page, element(render({ layout, card }, [])));
    expect(await page.locator('gnomic-widget').evaluate((host) => (host as HTMLElement).offsetHeight), name).toBe(0);
  }
});

test('every layout is accessible', async ({ page }) => {
  const actions = [{ does: 'all' }, { does: 'link', text: 'Plan your night', url: 'https://quillmoor.example/visit' }];
  const all = Object.entries(LAYOUTS).map(([name, layout]) => [
    name,
    element(render({ layout, actions }, entries('both'))),
  ]);
  await showAll(page, Object.fromEntries(all) as Record<string, string>);
  // Landmarks are those of a page that has one widget.
  const rules = { region: { enabled: false }, 'landmark-unique': { enabled: false } };
  const violations = await axeIn(page, '#w', { rules });
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => String(target)).join()}`)).toEqual([]);
});

test('every layout is without errors for the Nu Html Checker', () => {
  const folder = test.info().outputPath();
  const files = Object.entries(LAYOUTS).map(([name, layout]) => {
    const file = join(folder, `${name.replaceAll(/\W+/g, '-')}.html`);
    writeFileSync(
      file,
      render({ layout, click: 'enlarge', more: 'button', markup: true }, entries('both', LONG ? 20 : 8)),
    );
    return file;
  });
  const wrong = join(folder, 'wrong.html');
  writeFileSync(wrong, '<!doctype html><title>Wrong</title><p><li>Not in a list');
  const { stderr } = spawnSync(
    'java',
    ['-jar', 'node_modules/vnu-jar/build/dist/vnu.jar', '--format', 'json', '--errors-only', wrong, ...files],
    { encoding: 'utf8' },
  );
  // A checker that says nothing at all has not looked: it finds at least what is wrong on purpose.
  const { messages } = JSON.parse(stderr) as { messages: { message: string; extract?: string; url: string }[] };
  const isMeant = ({ url }: { url: string }): boolean => url.endsWith('/wrong.html');
  expect(messages.filter(isMeant)).not.toEqual([]);
  const told = messages.filter((one) => !isMeant(one)).map(({ message, extract }) => `${message} ${extract ?? ''}`);
  expect([...new Set(told)]).toEqual([]);
});

test('heights are as predicted, for the fonts that ship @long', async ({ page }) => {
  const faces: Record<string, [string, string]> = {
    literata: ['literata', 'Literata Variable'],
    'schibsted-grotesk': ['schibsted-grotesk', 'Schibsted Grotesk Variable'],
  };
  for (const [font, [folder, family]] of Object.entries(faces)) {
    await page.route('http://fonts.test/**', (route) =>
      route.fulfill({
        path: `node_modules/@fontsource-variable/${folder}${new URL(route.request().url()).pathname}`,
        headers: { 'Access-Control-Allow-Origin': '*' },
      }),
    );
    for (const [name, layout] of Object.entries({
      list: { name: 'list' },
      grid: { name: 'grid' },
      carousel: { name: 'carousel' },
    })) {
      const shape = { layout, card: ['rating', 'title', 'words', 'name', 'date', 'source'] };
      const reviews = entries('reviews', 40);
      const options = [`--font=${font}`];
      const html = element(render(shape, reviews, options, { sift: { limit: 40 } }));
      await page.goto('about:blank');
      await page.setContent(
        `<!doctype html><html lang="en"><link rel="stylesheet" href="http://fonts.test/index.css"><style>body{margin:0;font-family:'${family}'}</style><div id="w">${html}</div>`,
      );
      await page.evaluate(() => document.fonts.ready);
      for (const width of [360, 768, 1120]) {
        await page.setViewportSize({ width, height: 800 });
        const drawn = await page.evaluate(() => {
          const host = document.querySelector<HTMLElement>('gnomic-widget')!;
          const cards = [...host.shadowRoot!.querySelectorAll<HTMLElement>('.card')].filter(
            (card) => card.offsetWidth > 0,
          );
          return {
            whole: host.offsetHeight,
            cards: cards.map((card) => {
              card.style.height = 'auto';
              const { height } = card.getBoundingClientRect();
              card.style.height = '';
              return height;
            }),
          };
        });
        const said = JSON.parse(
          render(shape, reviews, [...options, '--heights', `--width=${width}`], { sift: { limit: 40 } }),
        ) as { height: number; cards: { height: number }[] };
        const LINE = 26;
        const within = said.cards.filter((card, index) => Math.abs(card.height - (drawn.cards[index] ?? 0)) <= LINE);
        expect(within.length / drawn.cards.length, `${font}, ${name} at ${width}`).toBeGreaterThanOrEqual(0.95);
        if (name !== 'list')
          expect(Math.abs(said.height - drawn.whole), `${font}, the whole ${name} at ${width}`).toBeLessThanOrEqual(8);
      }
    }
    await page.unroute('http://fonts.test/**');
  }
});
