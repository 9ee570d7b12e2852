import { expect, test, type Page } from '@playwright/test';
import { alive, entries, one, pageWith, type Widget } from '../rendered';
import { LONG } from '../setting';

// Entries beside those that are shown first: all of them can be had, at every width, and each looks as it would among the first.

const show = (page: Page, widget: Widget): Promise<void> =>
  alive(page, { more1: widget }, pageWith('<gnomic-widget key="more1"></gnomic-widget>'));
const items = (page: Page) => page.locator('gnomic-widget .item');
const visible = (page: Page): Promise<string[]> =>
  items(page).evaluateAll((all) =>
    (all as HTMLElement[]).filter((item) => item.offsetWidth > 0).map((item) => item.dataset['e'] ?? ''),
  );
const long = 'The whole summer sky, one constellation after another. ';

test('more comes by a button, in pages, on scrolling; the focus goes to the first that is new, and how many is said', async ({
  page,
}) => {
  for (const layout of ['list', 'masonry', 'photo-rows']) {
    await show(
      page,
      one({ layout: { name: layout }, more: 'button' }, entries(layout === 'photo-rows' ? 'posts' : 'reviews', 14), 6),
    );
    const cards = page.locator('gnomic-widget .item');
    await expect(cards).toHaveCount(6);
    const button = page.getByRole('button', { name: 'Show more' });
    await button.press('Enter');
    await expect(cards).toHaveCount(12);
    await expect(cards.nth(6)).toBeFocused();
    await expect(page.locator('gnomic-widget .further [role=status]')).toHaveText('6 more are shown');
    await button.click();
    await expect(cards).toHaveCount(14);
    await expect(button).toBeHidden();
    await expect(page.getByRole('link', { name: 'See all' })).toBeVisible();
  }
  await show(page, one({ layout: { name: 'grid' }, more: 'pages' }, entries('reviews', 14), 6));
  await page.getByRole('button', { name: 'Page 3' }).click();
  await expect(page.locator('gnomic-widget .item')).toHaveCount(2);
  await expect(page.getByRole('button', { name: 'Page 3' })).toHaveAttribute('aria-current', 'page');
  await page.getByRole('button', { name: 'Page 1' }).click();
  await expect(page.locator('gnomic-widget .item').first()).toBeFocused();
  await show(page, one({ layout: { name: 'list' }, more: 'scroll' }, entries('reviews', 40), 6));
  for (let turn = 0; turn < 12; turn++)
    await page.evaluate(() => scrollTo(0, document.body.scrollHeight)).then(() => page.waitForTimeout(120));
  await expect(page.locator('gnomic-widget .item')).toHaveCount(24);
  await page.getByRole('button', { name: 'Show more' }).click();
  await expect(page.locator('gnomic-widget .item')).toHaveCount(30);
});

test('what scripts count is in the digits of the language (CLDR, default numbering systems)', async ({ page }) => {
  const slides = { layout: { name: 'carousel', across: 3, controls: ['arrows', 'dots', 'numbers'] } };
  const pages = one({ layout: { name: 'grid' }, more: 'pages' }, entries('reviews', 14), 6);
  for (const [language, counted] of Object.entries({ ar: '١٢٣', fa: '۱۲۳', bn: '১২৩' })) {
    const others = new RegExp(`[^\\P{Nd}${counted}]`, 'u');
    await show(page, { ...one(slides), language });
    await expect(page.locator('gnomic-widget .at')).toHaveText(new RegExp(`(?=.*${counted[0]}).*${counted[2]}`, 'u'));
    await expect(page.locator('gnomic-widget .at'), language).not.toHaveText(others);
    const dot = page.locator('gnomic-widget .dots button').nth(1);
    await expect(dot, language).toHaveAttribute('aria-label', new RegExp(counted[1]!));
    await show(page, { ...pages, language });
    await expect(page.locator('gnomic-widget .further nav button')).toHaveText([...counted]);
    await expect(page.locator('gnomic-widget .further nav button').first()).not.toHaveAttribute('aria-label', others);
  }
});

test('every entry can be had, by pages or by a button, wherever fewer are shown at first', async ({ page }) => {
  const fewer = { phone: 2, tablet: 4 };
  const layouts = [{ name: 'list' }, { name: 'grid' }, { name: 'masonry' }, { name: 'carousel' }];
  for (const [turn, width] of [390, 800, 1280].entries()) {
    await page.setViewportSize({ width, height: 800 });
    for (const [place, layout] of layouts.entries()) {
      // Each layout in one way at one width or two; all of them together in the long run.
      if (LONG || (turn + place) % 4 === 0) {
        await show(page, one({ layout, more: 'pages' }, entries('reviews', 17), 7, fewer));
        const seen = new Set<string>();
        for (const number of [3, 2, 1]) {
          await page
            .getByRole('button', { name: `Page ${number} of 3`, exact: true })
            .last()
            .click();
          await expect(items(page)).toHaveCount(number === 3 ? 3 : 7);
          for (const ref of await visible(page)) seen.add(ref);
        }
        expect(seen.size, `pages of ${layout.name} at ${width}`).toBe(17);
      }
      if (LONG || (turn + place) % 4 === 2) {
        await show(page, one({ layout, more: 'button' }, entries('reviews', 17), 7, fewer));
        for (const count of [14, 17]) {
          await page.getByRole('button', { name: 'Show more' }).click();
          await expect(items(page)).toHaveCount(count);
        }
        expect((await visible(page)).length, `a button under ${layout.name} at ${width}`).toBe(17);
      }
    }
  }
});

test('what is further has places and lengths of its own, not those of the first', async ({ page }) => {
  // A long one stands where the first page has a short one, and the other way round.
  const reviews = entries('reviews', 15).map((entry, index) => ({
    ...entry,
    title: null,
    text: index % 2 ? long.repeat(14) : 'A night to keep.',
  }));
  const grid = { name: 'grid', last: 'centred' };
  const masonry = { name: 'masonry' };
  const all = [grid, { name: 'list' }, masonry];
  for (const more of ['button', 'pages'])
    for (const layout of LONG ? all : [more === 'button' ? masonry : grid]) {
      await show(page, one({ layout, more, lines: 3 }, reviews, 5));
      if (more === 'pages') await page.getByRole('button', { name: 'Page 2' }).click();
      else await page.getByRole('button', { name: 'Show more' }).click();
      await expect(page.locator('gnomic-widget .item.p2').first()).toBeVisible();
      await expect(items(page)).toHaveCount(more === 'pages' ? 5 : 10);
      const told = await items(page).evaluateAll((all) =>
        (all as HTMLElement[]).map((item) => {
          const [words, more] = [item.querySelector('.words p')!, item.querySelector<HTMLElement>('.more')];
          const isCut = words.scrollHeight > words.clientHeight + 2 || words.querySelector('.rest') !== null;
          return [isCut, (more?.offsetHeight ?? 0) > 0].join();
        }),
      );
      const from = more === 'pages' ? 5 : 0;
      const wanted = told.map((_, index) => ((from + index) % 2 ? 'true,true' : 'false,false'));
      expect(told, `${layout.name} by ${more}`).toEqual(wanted);
    }
  await show(page, one({ layout: grid, more: 'button' }, entries('reviews', 14), 5));
  const boxes = (): Promise<[number, number][]> =>
    items(page).evaluateAll((all) =>
      all.map((item) => item.getBoundingClientRect()).map(({ left, width }) => [Math.round(left), Math.round(width)]),
    );
  const alone = await boxes();
  expect(alone[3]![0], 'two in the middle').toBeGreaterThan(alone[0]![0]);
  await page.getByRole('button', { name: 'Show more' }).click();
  await expect(items(page)).toHaveCount(10);
  const followed = await boxes();
  followed.forEach(([left, width], index) => expect([left, width]).toEqual([followed[index % 3]![0], followed[0]![1]]));
});

test('a carousel goes on over what came, and tells how many there are', async ({ page }) => {
  await show(
    page,
    one({ layout: { name: 'carousel', controls: ['arrows', 'numbers'] }, more: 'button' }, entries('reviews', 12), 6),
  );
  const at = page.locator('gnomic-widget .at');
  await expect(at).toHaveText('1 of 2');
  await expect(items(page).first()).toHaveAttribute('aria-label', '1 of 12');
  await page.getByRole('button', { name: 'Show more' }).click();
  await expect(items(page)).toHaveCount(12);
  await expect(items(page).nth(6)).toHaveAttribute('aria-label', '7 of 12');
  await expect(items(page).nth(6)).toHaveAttribute('role', 'group');
  await expect(items(page).nth(6)).toBeFocused();
  await expect(at).toHaveText('3 of 4');
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(at).toHaveText('4 of 4');
  await expect(items(page).nth(6)).toHaveAttribute('inert');
});

test('the time since is reckoned for what comes as well; a shared entry that is gone opens nothing', async ({
  page,
  context,
}) => {
  await page.clock.setFixedTime(new Date('2026-11-02T12:00:00Z'));
  await show(page, one({ layout: { name: 'list' }, date: 'relative', more: 'button' }, entries('reviews', 9), 6));
  await page.getByRole('button', { name: 'Show more' }).click();
  await expect(items(page)).toHaveCount(9);
  await expect(page.locator('gnomic-widget time').last()).toHaveText(/ago$/);
  await show(page, one({ layout: { name: 'mosaic' } }, entries('posts', 6)));
  const errors: Error[] = [];
  page.on('pageerror', (error) => errors.push(error));
  await page.goto('about:blank');
  const large = page.waitForResponse(/large\.html/);
  await page.goto('http://page.test/visit#gnomic=more1.0123456789abcdef');
  await large;
  await page.waitForLoadState('networkidle');
  await expect(page.getByRole('dialog')).toBeHidden();
  expect(context.pages().length, 'no other window').toBe(1);
  expect(errors).toEqual([]);
});
