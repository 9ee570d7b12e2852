import { expect, test } from '@playwright/test';
import { readdirSync, readFileSync } from 'node:fs';
import { showAll } from '../faults';
import { force, unread, type State } from '../pixels';
import { element, entries, LAYOUTS, render } from '../rendered';
import { LONG } from '../setting';

// What can be read of widgets is measured by the pixels that Chromium paints: every look over every layout, light and dark, at rest,
// under the pointer and with the focus; of one look at each change.

const LOOKS = readdirSync('resources/looks')
  .filter((file) => file.endsWith('.json'))
  .map((file) => file.replace('.json', ''));

/** White cards on a dark band, colours that let a gradient through, and buttons of another colour than words. */
const OWN = {
  'white cards on a dark band': {
    scheme: 'light',
    light: {
      ground: '#10273a',
      surface: '#ffffff',
      ink: '#dde6ee',
      accent: '#7cc4ff',
      rating: '#ffb020',
      button: '#7cc4ff',
    },
    tokens: { inset: 24, corner: 8 },
  },
  'a veil over a gradient': {
    scheme: 'light',
    light: { ground: '#2d123580', groundTo: '#ffd47960', behind: '#402050', behindTo: '#f0c0a0', surface: '#ffffff99' },
    tokens: { inset: 20 },
  },
};

/** What the page is behind a ground that lets it through. */
const behind = (name: string, scheme: string): string => {
  const look = JSON.parse(readFileSync(`resources/looks/${name}.json`, 'utf8')) as Record<string, { behind?: string }>;
  return look[scheme]?.behind ?? '#fff';
};

const DRESSES: [string, object, string][] = [
  ...(LONG ? LOOKS : LOOKS.slice(0, 1)).flatMap((name): [string, object, string][] =>
    ['light', 'dark'].map((scheme) => [`${name}, ${scheme}`, { name, scheme }, behind(name, scheme)]),
  ),
  ...Object.entries(OWN).map(([name, dress]): [string, object, string] => [
    name,
    dress,
    'linear-gradient(#402050, #f0c0a0)',
  ]),
];

for (const [name, dress, ground] of DRESSES)
  test(`everything can be read of ${name}, by its pixels`, async ({ page }) => {
    await page.setViewportSize({ width: 1000, height: 12_000 });
    const shape = { heading: 'What visitors say', actions: [{ does: 'review' }, { does: 'all' }], more: 'button' };
    const all = Object.entries(LAYOUTS).map(([of, layout]) => [
      of,
      element(render({ ...shape, layout }, entries('reviews', 3), [], { dress })),
    ]);
    await showAll(page, Object.fromEntries(all) as Record<string, string>);
    await page.evaluate((of) => (document.documentElement.style.background = of), ground);
    const session = await page.context().newCDPSession(page);
    for (const state of ['rest', 'hover', 'focus'] as State[]) {
      await force(page, session, state);
      expect.soft(await unread(page, state), state).toEqual([]);
    }
  });
