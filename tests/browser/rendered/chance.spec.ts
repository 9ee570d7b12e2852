import { expect, test, type Page } from '@playwright/test';
import { Chance, layoutsIn, schemaOf } from '../drawn';
import { cut, faults, show } from '../faults';
import { element, entries, picture, render, type Written } from '../rendered';
import { LONG } from '../setting';

// Briefs that nobody thought of, drawn by chance: always the same ones, as chance begins with a number that is written here.

const FIRST = 7;
// Each layout once, and four times in the long run.
const MANY = LONG ? 52 : 13;
/** Widths at which heights are compared, and CSS pixels by which they may differ from what was foretold: a line. */
const FORETOLD = [320, 390, 1200];
const NEAR = 24;
const WIDTHS = [120, 320, 700, 1024, 1600];

const SHAPE = schemaOf('shape');
const LAYOUTS = layoutsIn(schemaOf('shape', 'layout'));
/** That can stand in for each other on phones and tablets. */
const FLOWING = Object.keys(layoutsIn(schemaOf('shape', 'at', 'phone', 'layout')));
const CHOICES = ['card', 'heights', 'names', 'rating', 'date', 'picture', 'head', 'headAt'] as const;

interface Drawn {
  shape: Written;
  of: Written[];
  rest: Written;
}

/** Each layout in its turn. */
function drawn(chance: Chance, turn: number): Drawn {
  const name = Object.keys(LAYOUTS)[turn % Object.keys(LAYOUTS).length]!;
  const layout = { name, ...(chance.value(LAYOUTS[name]!) as Written) };
  const other = (often: number): Written => (chance.is(often) ? { layout: { name: chance.one(FLOWING) } } : {});
  const now = (often: number): boolean => chance.is(often);
  const { one, whole } = { one: chance.one.bind(chance), whole: chance.whole.bind(chance) };
  const of = entries(one(['reviews', 'posts', 'both'] as const), one([0, 1, 2, 3, 5, 8, 12, 20])).map(
    (entry, index) => ({
      ...entry,
      ...(now(0.2) ? { text: 'Two hours went like ten minutes and nobody minded the cold. '.repeat(30) } : {}),
      ...(now(0.2) ? { title: 'A title that goes on and on over the hill and far away into the night' } : {}),
      ...(now(0.2)
        ? {
            author: {
              name: 'Maximiliana Featherstonehaugh the Younger',
              role: 'Keeper of the brass',
              place: 'Upper Hill',
            },
          }
        : {}),
      ...(now(0.2) ? { reply: { text: 'Thank you for coming up the hill. '.repeat(6) } } : {}),
      ...(now(0.2) ? { tags: ['dome', 'cold', 'saturn'] } : {}),
      likes: index,
      comments: 3,
    }),
  );
  return {
    of,
    rest: { sift: { limit: one([3, 6, 12]), fewer: now(0.4) ? { phone: whole(1, 4), tablet: whole(2, 8) } : {} } },
    shape: {
      ...Object.fromEntries(CHOICES.map((member) => [member, chance.value(SHAPE.properties![member]!)])),
      layout,
      composition: one([null, 'words', 'face', 'quotation', 'caption', 'bubble', 'row', 'compact', 'even'] as const),
      lines: one([null, 0, 1, 2, 6]),
      shorten: one([220, null, 40, 400]),
      more: one(['none', 'button', 'pages']),
      choosing: { by: one(['none', 'none', 'none', 'stars', 'order', 'search'] as const) },
      click: one(['usual', 'source', 'enlarge']),
      frame: {
        padding: whole(0, 80),
        gap: whole(0, 80),
        edge: now(0.3),
        most: now(0.2) ? whole(200, 1400) : null,
      },
      actions: now(0.5)
        ? [
            { does: 'all' },
            { does: 'link', text: 'Plan your night on the hill with us', url: 'https://quillmoor.example/' },
          ]
        : [],
      at: FLOWING.includes(name)
        ? { phone: { ...other(0.25), lines: now(0.2) ? whole(0, 3) : null }, tablet: other(0.2) }
        : {},
    },
  };
}

/** Height of a widget in a page set in a font that ships, at a width of the window. */
async function heightAt(page: Page, width: number): Promise<number> {
  await page.setViewportSize({ width, height: 800 });
  return page
    .locator('gnomic-widget')
    .evaluate((host) => host.shadowRoot?.querySelector<HTMLElement>('.g')?.offsetHeight ?? 0);
}

test('whatever a brief says, everything keeps to its place and can be read, and heights are as predicted', async ({
  page,
}) => {
  const chance = new Chance(FIRST);
  await page.route('http://fonts.test/**', (route) =>
    route.fulfill({
      path: `node_modules/@fontsource-variable/literata${new URL(route.request().url()).pathname}`,
      headers: { 'Access-Control-Allow-Origin': '*' },
    }),
  );
  await page.route('https://pictures.example/**', picture);
  const far: string[] = [];
  for (let turn = 0; turn < MANY; turn++) {
    const { shape, of, rest } = drawn(chance, turn);
    const told = `${turn}: ${JSON.stringify({ ...shape, rest, entries: of.length })}`;
    const font = ['--font=literata'];
    const html = element(render(shape, of, font, rest));
    await page.setViewportSize({ width: 1700, height: 900 });
    await show(page, html);
    for (const width of WIDTHS) {
      expect.soft(await faults(page, width), `at ${width}, ${told}`).toEqual([]);
      expect.soft(await cut(page), `at ${width}, ${told}`).toEqual([]);
    }
    await page.goto('about:blank');
    await page.setContent(
      `<!doctype html><html lang="en"><link rel="stylesheet" href="http://fonts.test/index.css"><style>body{margin:0;font-family:'Literata Variable'}</style>${html}`,
    );
    await page.evaluate(() => document.fonts.ready);
    for (const width of FORETOLD) {
      const { height } = JSON.parse(render(shape, of, [...font, '--heights', `--width=${width}`], rest)) as {
        height: number;
      };
      const is = await heightAt(page, width);
      if (Math.abs(height - is) > NEAR) far.push(`${is} at ${width}, ${height} foretold: ${told}`);
    }
  }
  expect(
    far.length / (FORETOLD.length * MANY),
    `heights that are not as predicted:\n${far.join('\n')}`,
  ).toBeLessThanOrEqual(0.05);
});
