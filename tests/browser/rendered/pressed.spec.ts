import { expect, test, type Page } from '@playwright/test';
import { alive, entries, one, pageWith, PAGE, serve } from '../rendered';

// What visitors press in widgets, by mouse, by keys alone and by waiting: the patterns of the WAI-ARIA Authoring Practices.

const tag = '<gnomic-widget key="pressed1"></gnomic-widget>';
const show = (page: Page, widget: ReturnType<typeof one>, html = tag): Promise<void> =>
  alive(page, { pressed1: widget }, pageWith(html));
const at = (page: Page) => page.locator('gnomic-widget .at');

test('a carousel: pause first, controls in the group, focus kept at both ends, what is out of view out of the way', async ({
  page,
}) => {
  await show(
    page,
    one({ layout: { name: 'carousel', autoplay: 15, controls: ['arrows', 'dots', 'numbers'] } }),
    `<a href="#x">Before</a>${tag}`,
  );
  await expect(at(page)).toHaveText('1 of 3');
  const carousel = page.getByRole('group', { name: '9 entries' });
  await expect(carousel).toHaveAttribute('aria-roledescription', 'carousel');
  await expect(page.getByRole('group', { name: 'What visitors say' })).toHaveCount(1);
  await page.getByRole('link', { name: 'Before' }).focus();
  await page.keyboard.press('Tab');
  await expect(carousel.getByRole('button', { name: 'Pause' })).toBeFocused();
  await page.keyboard.press('Tab');
  const previous = carousel.getByRole('button', { name: 'Previous' });
  await expect(previous).toBeFocused();
  await expect(previous).toHaveAttribute('aria-disabled', 'true');
  await page.keyboard.press('Enter');
  await expect(previous).toBeFocused();
  const next = carousel.getByRole('button', { name: 'Next' });
  await next.focus();
  await page.keyboard.press('Enter');
  await expect(at(page)).toHaveText('2 of 3');
  await page.keyboard.press('Enter');
  await expect(at(page)).toHaveText('3 of 3');
  await expect(next).toHaveAttribute('aria-disabled', 'true');
  await expect(next).toBeFocused();
  await expect(page.locator('gnomic-widget .item').first()).toHaveAttribute('inert');
  await expect(page.locator('gnomic-widget .item').last()).not.toHaveAttribute('inert');
  await carousel.getByRole('button', { name: 'Page 1' }).click();
  await expect(at(page)).toHaveText('1 of 3');
});

test('the counter is right where it is narrow, and after a swipe by one card of three', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 700 });
  await show(page, one({ layout: { name: 'carousel' } }, entries('reviews', 100), 100), `<div id="box">${tag}</div>`);
  await expect(at(page)).toHaveText('1 of 34');
  const track = page.locator('gnomic-widget .cards');
  const swipe = (cards: number): Promise<void> =>
    track.evaluate(
      (all, cards) =>
        all.scrollBy({ left: cards * all.children[0]!.getBoundingClientRect().width, behavior: 'instant' }),
      cards,
    );
  await swipe(1);
  await expect(page.getByRole('button', { name: 'Previous' })).toHaveAttribute('aria-disabled', 'false');
  await track.evaluate((all) => all.scrollTo({ left: all.scrollWidth, behavior: 'instant' }));
  await expect(at(page)).toHaveText('34 of 34');
  await swipe(-1);
  await expect(at(page)).toHaveText('33 of 34');
  await expect(page.getByRole('button', { name: 'Next' })).toHaveAttribute('aria-disabled', 'false');
  await page.evaluate(() => (document.getElementById('box')!.style.width = '120px'));
  await track.evaluate((all) => all.scrollTo({ left: 0, behavior: 'instant' }));
  await expect(at(page)).toHaveText('1 of 100');
  for (const place of [2, 3, 4]) {
    await page.getByRole('button', { name: 'Next' }).click();
    await expect(at(page)).toHaveText(`${place} of 100`);
  }
});

test('what moves by itself waits for who reads, and says nothing of itself', async ({ page }) => {
  await page.clock.install();
  const long = entries('reviews', 9).map((entry) => ({
    ...entry,
    text: 'The whole summer sky, one constellation after another. '.repeat(12),
  }));
  await show(page, one({ layout: { name: 'carousel', autoplay: 5 } }, long));
  await expect(at(page)).toHaveText('1 of 3');
  await expect(at(page)).toHaveAttribute('aria-live', 'off');
  await page.locator('gnomic-widget summary').first().click();
  await page.mouse.move(0, 0);
  await page.locator('h1').click();
  await page.clock.runFor(12_000);
  await expect(at(page)).toHaveText('1 of 3');
  await page.locator('gnomic-widget summary').first().click();
  await page.mouse.move(0, 0);
  await page.locator('h1').click();
  await page.clock.runFor(5_100);
  await expect(at(page)).toHaveText('2 of 3');
  await expect(at(page)).toHaveAttribute('aria-live', 'off');
});

test('one at a time changes in order or by chance', async ({ page }) => {
  for (const next of ['order', 'chance']) {
    await page.clock.install();
    await show(page, one({ layout: { name: 'one-at-a-time', autoplay: 2, next } }));
    await expect(at(page)).toHaveText('1 of 9');
    await page.clock.runFor(2_100);
    await expect(at(page)).not.toHaveText('1 of 9');
    if (next === 'order') await expect(at(page)).toHaveText('2 of 9');
  }
});

test('where phones have another layout, each has controls and a pace of its own', async ({ page }) => {
  await page.clock.install();
  const at = { phone: { layout: { name: 'one-at-a-time', autoplay: 4 } } };
  await show(page, one({ layout: { name: 'carousel', controls: ['arrows', 'numbers'] }, at }));
  const now = page.locator('gnomic-widget .at:visible');
  const next = page.getByRole('button', { name: 'Next' });
  await expect(now).toHaveText('1 of 3');
  await expect(next).toHaveCount(1);
  await expect(page.getByRole('button', { name: 'Pause' })).toBeHidden();
  await page.clock.runFor(9_000);
  await expect(now, 'it stands still where nothing else was said').toHaveText('1 of 3');
  await page.locator('gnomic-widget .cards').press('ArrowRight');
  await expect(now).toHaveText('2 of 3');
  await page.setViewportSize({ width: 390, height: 800 });
  await page.locator('gnomic-widget .cards').press('Home');
  await expect(now).toHaveText('1 of 9');
  await page.locator('gnomic-widget .cards').press('ArrowRight');
  await expect(now, 'one key, one card').toHaveText('2 of 9');
  await next.click();
  await expect(now).toHaveText('3 of 9');
  await page.locator('h1').click();
  await page.clock.runFor(4_100);
  await expect(now).toHaveText('4 of 9');
});

test('the same layout may have other settings on phones: other controls, other rows', async ({ page }) => {
  const at = { phone: { layout: { name: 'carousel', rows: 2, controls: ['dots'] } } };
  await show(page, one({ layout: { name: 'carousel', controls: ['arrows'] }, at }));
  const [next, dots] = [page.getByRole('button', { name: 'Next' }), page.locator('gnomic-widget .dots:visible button')];
  const tops = (): Promise<number> =>
    page
      .locator('gnomic-widget .item:visible')
      .evaluateAll((all) => new Set(all.map((item) => Math.round(item.getBoundingClientRect().top))).size);
  await expect(next).toBeVisible();
  await expect(dots).toHaveCount(0);
  expect(await tops()).toBe(1);
  await page.setViewportSize({ width: 390, height: 800 });
  await expect(dots).toHaveCount(4);
  await expect(next).toBeHidden();
  expect(await tops()).toBe(2);
});

test('a picture is enlarged: keys, places, sharing, video, and the focus comes back', async ({ page }) => {
  const posts = entries('posts', 6).map((post, index) =>
    index === 4
      ? {
          ...post,
          media: [{ type: 'video', url: 'https://pictures.example/film.mp4' }],
          reply: { text: 'Thank you.' },
          comments: 3,
        }
      : post,
  );
  const asked: string[] = [];
  page.on('request', (request) => asked.push(new URL(request.url()).pathname));
  await show(page, { ...one({ layout: { name: 'mosaic' } }, posts), rest: { dress: { name: 'paper' } } });
  const links = page.locator('gnomic-widget a.open');
  await expect(links).toHaveCount(6);
  await page.waitForLoadState('networkidle');
  expect(
    asked.filter((path) => path.startsWith('/b/')),
    'what waits for a press, and nothing else before it is wanted',
  ).toHaveLength(1);
  await links.nth(1).focus();
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog', { name: 'Enlarged' });
  await expect(dialog).toBeVisible();
  await expect(dialog.getByText('Thank you.')).toBeVisible();
  await expect(dialog).toHaveCSS('display', 'grid');
  await expect(dialog).toHaveCSS('background-color', 'rgb(255, 255, 255)');
  await expect(dialog).toHaveCSS('border-top-width', '0px');
  await expect(dialog.getByText('3 comments')).toBeVisible();
  await expect(dialog.locator('video')).toHaveCount(0);
  await dialog.getByRole('link', { name: /^Video/ }).click();
  await expect(dialog.locator('video')).toHaveAttribute('src', 'https://pictures.example/film.mp4');
  await dialog.getByRole('button', { name: 'Next' }).click();
  await expect(dialog.locator('video')).toHaveCount(0);
  await expect(dialog.locator('.at')).toHaveText('3/6');
  await page.keyboard.press('ArrowLeft');
  await expect(dialog.locator('.at')).toHaveText('2/6');
  await page.evaluate(() => Object.defineProperty(navigator, 'share', { value: undefined }));
  await dialog.getByRole('button', { name: 'Share' }).click();
  await expect(dialog.locator('.at')).toHaveText('Link copied');
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  await expect(links.nth(1)).toBeFocused();
  const ref = await page.locator('gnomic-widget .item').nth(1).getAttribute('data-e');
  await page.goto('about:blank');
  await page.goto(`${PAGE}/visit#gnomic=pressed1.${ref}`);
  await expect(page.getByRole('dialog').getByText('Thank you.')).toBeVisible();
});

test('panels, menus and notices open, close and stay closed, scripts or none', async ({ page, browser }) => {
  for (const form of ['button', 'badge', 'tab']) {
    await show(page, one({ layout: { name: 'panel', form } }));
    const opener = page.locator('gnomic-widget .opener');
    await opener.focus();
    await page.keyboard.press('Enter');
    const panel = page.getByRole('dialog');
    await expect(panel).toBeVisible();
    await expect(panel.locator('article')).toHaveCount(9);
    await page.keyboard.press('Escape');
    await expect(panel).toBeHidden();
    await expect(opener).toBeFocused();
  }
  await show(page, one({ layout: { name: 'notices', after: 0, every: 5 } }));
  const notice = page.locator('gnomic-widget .notices');
  await expect(notice.locator('.item.now')).toHaveCount(1);
  await notice.getByRole('button', { name: 'Dismiss for good' }).focus();
  await page.keyboard.press('Enter');
  await expect(notice).toBeHidden();
  await page.reload();
  await page.waitForTimeout(500);
  await expect(notice).toBeHidden();
  const calm = await (await browser.newContext({ reducedMotion: 'reduce' })).newPage();
  await calm.clock.install();
  await serve(calm, { pressed1: one({ layout: { name: 'notices', after: 0, every: 3 } }) }, pageWith(tag));
  const first = await calm.locator('gnomic-widget .item.now').getAttribute('data-e');
  await calm.clock.runFor(20_000);
  expect(await calm.locator('gnomic-widget .item.now').getAttribute('data-e'), 'nothing starts by itself').toBe(first);
  await calm.context().close();
});

test('a ticker is stopped by a box to tick, and stands still where less motion is wished', async ({
  page,
  browser,
}) => {
  await show(page, one({ layout: { name: 'ticker' } }));
  const cards = page.locator('gnomic-widget .cards');
  await expect(cards).toHaveCSS('animation-name', 'round');
  await page.getByLabel('Stop moving').check();
  await expect(cards).toHaveCSS('animation-name', 'none');
  const calm = await (await browser.newContext({ reducedMotion: 'reduce' })).newPage();
  await serve(calm, { pressed1: one({ layout: { name: 'ticker' } }) }, pageWith(tag));
  await expect(calm.locator('gnomic-widget .cards')).toHaveCSS('animation-name', 'none');
  await expect(calm.getByLabel('Stop moving')).toBeHidden();
  await calm.context().close();
});

test('a plain list loads nothing but itself, and words in place stand there once', async ({ page }) => {
  const asked: string[] = [];
  page.on(
    'request',
    (request) => request.url().startsWith('http://gnomic.test') && asked.push(new URL(request.url()).pathname),
  );
  const long = [
    { ...entries('reviews', 1)[0], text: `${'The whole summer sky and more of it. '.repeat(12)}The very end.` },
  ];
  await show(page, { ...one({ layout: { name: 'list' } }, long), rest: { dress: { name: 'paper' } } });
  await expect(page.locator('gnomic-widget article')).toHaveCount(1);
  await page.waitForTimeout(300);
  expect(asked).toEqual(['/gnomic.js', '/w/pressed1/open.en.html']);
  await expect(page.getByText('The very end.')).toBeHidden();
  await page.locator('gnomic-widget summary').press('Enter');
  await expect(page.getByText('The very end.')).toBeVisible();
  expect(
    await page.locator('gnomic-widget').evaluate((host) => host.shadowRoot!.innerHTML.split('The very end.').length),
  ).toBe(2);
});

test('where dates are the time since, it is reckoned on the page', async ({ page }) => {
  await page.clock.setFixedTime(new Date('2026-10-31T12:00:00Z'));
  await show(page, one({ layout: { name: 'list' }, date: 'relative' }, entries('reviews', 1)));
  const time = page.locator('gnomic-widget time');
  await expect(time).toHaveText('3 weeks ago');
  await expect(time).toHaveAttribute('title', '10 October 2026');
});
