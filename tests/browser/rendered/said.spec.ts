import { expect, test, type Page } from '@playwright/test';
import { alive, entries, one, pageWith, type Widget } from '../rendered';

// What an entry has beside its words: several pictures, films and how long they are, comments, translations, words that are marked.

const show = (page: Page, widget: Widget): Promise<void> =>
  alive(page, { said1: widget }, pageWith('<gnomic-widget key="said1"></gnomic-widget>'));
const picture = (at: number) => ({
  type: 'image',
  url: `https://pictures.example/${at}.svg`,
  width: 800,
  height: 600,
  alt: `Sky ${at}`,
});

test('several pictures of a post: a mark on its tile, a row when it is enlarged, with keys of its own', async ({
  page,
}) => {
  const posts = entries('posts', 4).map((post, at) => ({
    ...post,
    media: at === 3 ? [picture(0), picture(4), picture(8)] : [picture(at)],
    said: at === 3 ? [{ author: 'Leda Voss', text: 'Which night was this?', published: null }] : [],
  }));
  await show(page, one({ layout: { name: 'mosaic' }, names: 'short' }, posts, 4));
  await page.waitForLoadState('networkidle');
  const marks = page.locator('gnomic-widget .many').filter({ visible: true });
  await expect(marks).toHaveCount(1);
  await expect(marks).toContainText('3 pictures');
  await page
    .locator('gnomic-widget .item')
    .filter({ has: page.locator('.many') })
    .locator('a.open')
    .click();
  const dialog = page.getByRole('dialog', { name: 'Enlarged' });
  const row = dialog.getByRole('group', { name: '3 pictures' });
  await expect(row).toBeVisible();
  await expect(row.locator('img')).toHaveCount(3);
  const boxes = await row.locator('.shot').evaluateAll((all) => all.map((shot) => shot.getBoundingClientRect().top));
  expect(new Set(boxes).size, 'one row').toBe(1);
  const place = await dialog.getByRole('status').textContent();
  await row.focus();
  await page.keyboard.press('ArrowRight');
  await expect.poll(() => row.evaluate((one) => one.scrollLeft)).toBeGreaterThan(0);
  await expect(dialog.getByRole('status')).toHaveText(place!);
  await expect(dialog.getByRole('list', { name: 'Comments' })).toContainText('Leda V. Which night was this?');
});

test('a film says how long it is', async ({ page }) => {
  const posts = entries('posts', 3).map((post, at) => ({
    ...post,
    media: [
      picture(at),
      ...(at === 2 ? [{ type: 'video', url: 'https://pictures.example/film.mp4', seconds: 102 }] : []),
    ],
  }));
  await show(page, one({ layout: { name: 'mosaic' } }, posts, 3));
  await expect(page.locator('gnomic-widget .length')).toHaveText('1:42');
  await expect(page.locator('gnomic-widget .length')).toBeVisible();
});

test('a translation of the source unfolds beside the words, and words are marked', async ({ page }) => {
  const reviews = entries('reviews', 2).map((review, at) => ({
    ...review,
    ...(at === 1
      ? {
          text: 'Saturn war so scharf, dass wir zweimal hinsahen.',
          language: 'de',
          translation: { text: 'Saturn was so sharp that we looked twice.', language: 'en' },
        }
      : {}),
  }));
  await show(
    page,
    one({ layout: { name: 'grid' }, card: ['words', 'translation', 'name'], marked: ['Saturn'] }, reviews, 2),
  );
  const unfold = page.getByText('Translated by wayleaf');
  const translated = page.getByText('Saturn was so sharp that we looked twice.');
  await expect(translated).toBeHidden();
  await unfold.click();
  await expect(translated).toBeVisible();
  await expect(translated).toHaveAttribute('lang', 'en');
  await expect(page.getByText('Saturn war so scharf').first()).toBeVisible();
  await expect(page.locator('gnomic-widget mark')).toHaveText(['Saturn', 'Saturn']);
  const box = await unfold.boundingBox();
  expect(box!.height, 'WCAG 2.2, 2.5.8').toBeGreaterThanOrEqual(24);
});
