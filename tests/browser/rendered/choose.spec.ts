import { expect, test, type Page } from '@playwright/test';
import { alive, entries, one, pageWith, serve, type Widget } from '../rendered';

// What visitors may choose among the entries: made ahead, within the widget's own place, and useful without scripts.

const tag = '<gnomic-widget key="choose1"></gnomic-widget>';
const stars = (count = 24, more: object = {}): Widget =>
  one({ layout: { name: 'grid' }, choosing: { by: 'stars' }, ...more }, entries('reviews', count), 6);
const cards = (page: Page) => page.locator('gnomic-widget article');

test('by stars: the cards are others, the figure stays, and the focus is where it was', async ({ page }) => {
  await alive(page, { choose1: stars() }, pageWith(tag));
  const figure = await page.locator('gnomic-widget .figure').textContent();
  const ways = page.getByRole('navigation', { name: 'Show' });
  await expect(ways.getByRole('link')).toHaveText(['All', '5', '4', '3']);
  await expect(ways.getByRole('status')).toHaveText('6 of 24 are shown');
  await ways.getByRole('link', { name: '3 stars' }).press('Enter');
  await expect(ways.getByRole('status')).toHaveText('5 of 5 are shown');
  await expect(cards(page)).toHaveCount(5);
  for (const label of await page
    .locator('gnomic-widget article .glyphs')
    .evaluateAll((all) => all.map((one) => one.ariaLabel)))
    expect(label).toMatch(/^3 /);
  await expect(page.locator('gnomic-widget .figure')).toHaveText(figure!);
  await expect(ways.getByRole('link', { name: '3 stars' })).toBeFocused();
  await expect(ways.getByRole('link', { name: '3 stars' })).toHaveAttribute('aria-current', 'true');
  await ways.getByRole('link', { name: 'All', exact: true }).click();
  await expect(ways.getByRole('status')).toHaveText('6 of 24 are shown');
  await expect(cards(page)).toHaveCount(6);
});

test('of two presses in a row, the last counts', async ({ page }) => {
  await alive(page, { choose1: stars() }, pageWith(tag));
  let held: (() => void) | undefined;
  await page.route(/by\.s3/, async (route) => {
    await new Promise<void>((resolve) => (held = resolve));
    await route.fallback();
  });
  const ways = page.getByRole('navigation', { name: 'Show' });
  await ways.getByRole('link', { name: '3 stars' }).click();
  await expect.poll(() => held !== undefined).toBe(true);
  await ways.getByRole('link', { name: '4 stars' }).click();
  await expect(ways.getByRole('link', { name: '4 stars' })).toHaveAttribute('aria-current', 'true');
  held!();
  await page.waitForTimeout(300);
  await expect(ways.getByRole('link', { name: '4 stars' })).toHaveAttribute('aria-current', 'true');
});

test('where bars are shown, they are what is pressed, and back again', async ({ page }) => {
  await alive(page, { choose1: stars(24, { head: ['overall', 'count', 'spread'], headAt: 'left' }) }, pageWith(tag));
  const bars = page.locator('gnomic-widget .spread');
  await expect(bars.getByRole('link')).toHaveCount(3);
  await bars.getByRole('link', { name: '4 stars' }).click();
  await expect(bars.getByRole('link', { name: '4 stars' })).toBeFocused();
  await expect(page.getByRole('navigation', { name: 'Show' }).getByRole('status')).toHaveText('6 of 9 are shown');
  // Not only the first of them.
  await bars.getByRole('link', { name: '3 stars' }).click();
  await expect(bars.getByRole('link', { name: '3 stars' })).toBeFocused();
  await expect(bars.getByRole('link', { name: '3 stars' })).toHaveAttribute('aria-current', 'true');
  await page.getByRole('navigation', { name: 'Show' }).getByRole('link', { name: 'All', exact: true }).click();
  await expect(cards(page)).toHaveCount(6);
});

test('a carousel that was chosen moves as the first did', async ({ page }) => {
  await page.setViewportSize({ width: 1000, height: 800 });
  const widget = one({ layout: { name: 'carousel' }, choosing: { by: 'order' } }, entries('reviews', 14), 9);
  await alive(page, { choose1: { ...widget, rest: { sift: { limit: 9, order: 'oldest' } } } }, pageWith(tag));
  await page.getByRole('link', { name: 'Highest rated' }).click();
  await expect(page.getByRole('link', { name: 'Highest rated' })).toHaveAttribute('aria-current', 'true');
  await expect(page.locator('gnomic-widget .at')).toHaveText('1 of 3');
  await page.locator('gnomic-widget .next').click();
  await expect(page.locator('gnomic-widget .at')).toHaveText('2 of 3');
});

test('without scripts, each choice is a page of its own', async ({ browser }) => {
  const context = await browser.newContext({ javaScriptEnabled: false });
  const page = await context.newPage();
  await serve(page, { choose1: stars() }, pageWith(tag));
  await page.goto('http://gnomic.test/w/preview/by.s3.html');
  await expect(cards(page)).toHaveCount(5);
  await expect(page.getByRole('link', { name: 'All', exact: true })).toHaveAttribute('href', /\/w\/preview$/);
  await context.close();
});

test('what the owner leaves out cannot be chosen, and labels are those that the owner names', async ({ page }) => {
  await alive(page, { choose1: { ...stars(), rest: { sift: { limit: 6, stars: { from: 4 } } } } }, pageWith(tag));
  await expect(page.getByRole('navigation', { name: 'Show' }).getByRole('link')).toHaveText(['All', '5', '4']);
});

test('a search goes on over the pages of everything, and what it finds is seen', async ({ page }) => {
  const of = entries('reviews', 130).map((entry, at) =>
    at % 60 === 5 ? { ...entry, text: 'A comet, at last.' } : entry,
  );
  await alive(page, { choose1: one({ layout: { name: 'list' }, choosing: { by: 'search' } }, of, 5) }, pageWith(tag));
  await page.goto('http://gnomic.test/w/preview/all.html?q=comet');
  await expect(page.getByRole('status')).toHaveText('3 of 130');
  await expect(cards(page)).toHaveCount(3);
  for (const card of await cards(page).all()) await expect(card).toBeVisible();
  await expect(page.getByRole('link', { name: 'Older' })).toBeHidden();
});

test('a search in everything: all of the words, however they are written, on its own page', async ({ page }) => {
  const of = entries('reviews', 30).map((entry, at) =>
    at === 17 ? { ...entry, text: 'The Café of the Dôme, at night.' } : entry,
  );
  const widget = one({ layout: { name: 'list' }, choosing: { by: 'search' } }, of, 5);
  await alive(page, { choose1: widget }, pageWith(tag));
  const form = page.getByRole('search');
  await page.context().route('http://localhost/**', (route) => route.fulfill({ body: 'Everything' }));
  await form.getByRole('searchbox').fill('dome cafe');
  const [opened] = await Promise.all([
    page.context().waitForEvent('page'),
    form.getByRole('button', { name: 'Search' }).click(),
  ]);
  expect(opened.url()).toMatch(/\/all\.html\?q=dome\+cafe$/);
  await opened.close();
  await page.goto('http://gnomic.test/w/preview/all.html?q=dome+cafe');
  await expect(cards(page)).toHaveCount(1);
  await expect(cards(page)).toContainText('The Café of the Dôme');
  await expect(page.getByRole('status')).toHaveText('1 of 30');
  await page.getByRole('searchbox').fill('');
  await page.getByRole('button', { name: 'Search' }).click();
  await expect(cards(page)).toHaveCount(30);
});
