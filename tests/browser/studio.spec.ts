import { expect, test } from '@playwright/test';
import { expectAccessible, openTopic, signIn } from './people';
import { GNOMIC, LONG, STANDINS } from './setting';

test('the way in is accessible, refuses in words, and holds off forged requests', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByLabel('E-mail')).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('E-mail').fill('owner@quillmoor.example');
  await page.getByLabel('Password').fill('wrong');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('alert')).toContainText('do not match');
  await signIn(page);
  const forged = await page.request.post('/api/widgets', {
    data: { name: 'Forged' },
    headers: { Accept: 'application/json' },
  });
  expect(forged.status()).toBe(419);
});

test('letters of the demo are found from the start page of its services', async ({ page }) => {
  await page.goto(STANDINS);
  await page.getByRole('link', { name: 'mailbox' }).click();
  await expect(page.getByRole('heading', { name: 'Mailbox of the demo' })).toBeVisible();
});

for (const scheme of ['light', 'dark'] as const) {
  test(`every screen is accessible, ${scheme}${scheme === 'dark' ? ' @long' : ''}`, async ({ page }) => {
    await page.emulateMedia({ colorScheme: scheme });
    await signIn(page);
    for (const path of [
      '/',
      '/sources',
      '/sources/subjects',
      '/entries',
      '/widgets',
      '/pages',
      '/pages/1',
      '/widgets/dome4visit/counts',
      '/pages/nowhere',
    ]) {
      await page.goto(path);
      await expect(page.getByRole('heading').first()).toBeVisible();
      await page.waitForLoadState('networkidle');
      await expectAccessible(page, { contrast: true });
    }
    await page.goto('/sources');
    await page.getByRole('button', { name: 'Add a source' }).click();
    await page.getByLabel('Name, and town').fill('observatory');
    await page.keyboard.press('Enter');
    await expect(page.getByText('Which one is yours?')).toBeVisible();
    await expectAccessible(page, { contrast: true });
    await page.goto('/widgets/dome4visit');
    await expect(page.locator('[data-phrase=order]')).toBeVisible();
    // The proof is the same widget on three pages: its landmarks stand there three times, in three frames.
    const thrice = { except: ['landmark-unique'], contrast: true };
    await expectAccessible(page, thrice);
    const phrases = LONG ? ['stars', 'more', 'place', 'cadence'] : [];
    for (const phrase of ['order', 'sources', 'layout', 'head', 'dress', ...phrases]) {
      await page.locator(`[data-phrase=${phrase}]`).click();
      await expect(page.locator('#controls')).toBeVisible();
      await expectAccessible(page, { ...thrice, part: '.work > :not(.proofs)' });
    }
    // Those of the others are made of the same fields.
    const others = LONG ? ['allowed', 'languages', 'labels', 'media', 'most', 'apart', 'when'] : [];
    for (const topic of ['words', 'hand', ...others]) {
      await openTopic(page, topic);
      await expect(page.locator('#controls :is(input, select, textarea, h2)').first()).toBeVisible();
      await expectAccessible(page, { ...thrice, part: '#controls' });
    }
    await page.getByRole('button', { name: /left out: four stars/ }).click();
    await expect(page.getByRole('dialog', { name: 'Entries behind the number' })).toContainText('the widget asks for');
    await expectAccessible(page, thrice);
  });
}

test('the bench works by keys alone', async ({ page }) => {
  await signIn(page);
  await page.keyboard.press('g');
  await page.keyboard.press('w');
  await page.getByRole('link', { name: /Posts from the hill/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('.sentence')).toBeVisible();
  await page.keyboard.press('2');
  await expect(page.locator('[data-phrase=order]')).toBeFocused();
  await expect(page.locator('[data-phrase=order]')).toHaveAttribute('aria-expanded', 'true');
  await page.keyboard.press(']');
  await expect(page.locator('[data-phrase=sources]')).toHaveAttribute('aria-expanded', 'true');
  await page.keyboard.press('[');
  await page.keyboard.press('6');
  await expect(page.locator('[data-phrase=cadence]')).toHaveAttribute('aria-expanded', 'true');
  await page.keyboard.press('Escape');
  await expect(page.locator('#controls')).toHaveCount(0);
  await page.keyboard.press('4');
  await page.getByRole('radio', { name: /Night ink/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('.sentence')).toContainText('Night ink');
  await page.keyboard.press('u');
  await expect(page.locator('.sentence')).toContainText('Window');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('previous and next phrase');
  await page.keyboard.press('Escape');
});

test('a brief that leaves nothing says which clause did it, and leads there @long', async ({ page }) => {
  await signIn(page, '/widgets');
  await page.getByRole('button', { name: 'New widget' }).click();
  await page.locator('[data-phrase=order]').click();
  await page.getByLabel('Reviews').uncheck();
  await page.getByLabel('Posts').uncheck();
  await expect(page.getByText(/Nothing is left: "testimonials only"/)).toBeVisible();
  await expect(page.frameLocator('iframe[title*="768"]').getByText('Visitors see nothing here')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Change this' }).click();
  await expect(page.getByLabel('Reviews')).toBeVisible();
  await page.getByRole('button', { name: /^Leave out the choice of kinds: \d+ would pass/ }).click();
  await expect(page.getByText(/Nothing is left/)).toHaveCount(0);
  await expect(page.frameLocator('iframe[title*="768"]').locator('article').first()).toBeVisible();
});

test('a screen whose answer does not come says so and can be tried again', async ({ page }) => {
  await signIn(page);
  await page.route('**/api/entries*', (route) =>
    route.fulfill({ status: 500, body: '{}', contentType: 'application/json' }),
  );
  await page.goto('/entries');
  await expect(page.getByRole('alert')).toContainText('The entries cannot be loaded');
  await page.unroute('**/api/entries*');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.locator('.sentence')).toContainText('Entries, newest first');
  // The bench has nothing to show before its first proof.
  await page.route('**/api/proof', (route) => route.abort());
  await page.goto('/widgets/dome4visit');
  await expect(page.getByText('This widget cannot be opened')).toBeVisible();
  await expect(page.getByText('Gnomic does not answer.')).toBeVisible();
  await expectAccessible(page);
  await page.unroute('**/api/proof');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.locator('.sentence')).toContainText('reviews');
});

test('a new site is empty and says what to do first', async ({ page }) => {
  await page.route('**/api/sources', (route) => route.fulfill({ json: { sources: [] } }));
  await page.route('**/api/widgets', (route) => route.fulfill({ json: { widgets: [] } }));
  await page.route('**/api/today', (route) =>
    route.fulfill({ json: { rounds: [], missing: [], entries: 0, held: 0, sources: 0, widgets: 0, out: 0 } }),
  );
  await page.route('**/api/pages*', (route) =>
    route.fulfill({
      json: { pages: [], total: 0, all: 0, branches: [], read: null, website: 'https://quillmoor.example/' },
    }),
  );
  const sentence = [{ text: 'Entries, newest first.', key: null, stage: null, isOffer: false }];
  await page.route('**/api/entries', (route) =>
    route.fulfill({ json: { entries: [], count: 0, wanted: { gather: {}, sift: {} }, sentence, doubts: [] } }),
  );
  await signIn(page);
  await expect(page.getByText('Nothing has been checked yet')).toBeVisible();
  for (const [path, says] of [
    ['/sources', 'No source is connected'],
    ['/entries', 'No entries yet'],
    ['/widgets', 'No widgets yet'],
    ['/pages', 'No pages yet'],
  ] as const) {
    await page.goto(path);
    await expect(page.getByRole('heading', { name: says })).toBeVisible();
  }
});

test('on a phone every screen fits, and the bench works', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page);
  for (const path of [
    '/',
    '/sources',
    '/sources/subjects',
    '/sources/add/hand',
    '/entries',
    '/widgets',
    '/pages',
    '/pages/1',
    '/widgets/dome4visit/counts',
  ]) {
    await page.goto(path);
    await expect(page.getByRole('heading').first()).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThanOrEqual(390);
  }
  await page.goto('/sources');
  await expect(page.getByRole('button', { name: 'Check now' }).first()).toBeInViewport({ ratio: 1 });
  await page.goto('/widgets/dome4visit');
  const frames = page.locator('iframe');
  await expect(frames).toHaveCount(1);
  await expect(frames).toHaveAttribute('title', /360 pixels/);
  await page.getByRole('button', { name: '768' }).click();
  await expect(frames).toHaveAttribute('title', /768 pixels/);
  await page.locator('[data-phrase=layout]').click();
  const controls = page.locator('#controls');
  await expect(controls).toBeVisible();
  // The pictures of layouts are scrolled through; what is in them is not pressed.
  const beyond = await controls.evaluate((all) =>
    [...all.querySelectorAll(':is(input, select, button):not([role=radio])')]
      .filter((control) => control.getBoundingClientRect().right > 390)
      .map((control) => control.outerHTML),
  );
  expect(beyond).toEqual([]);
  await expectAccessible(page, { except: ['landmark-unique'], part: '.work > :not(.proofs)' });
});

test('the languages of the pages are the site’s, and what is out follows', async ({ page }) => {
  await signIn(page);
  await page.getByTitle('Address, tag, languages and time zone').click();
  const site = page.getByRole('dialog');
  await expect(site.getByLabel('Time zone')).toHaveValue('Europe/London');
  await site.getByRole('checkbox', { name: 'Deutsch' }).uncheck();
  await expectAccessible(page);
  await site.getByRole('button', { name: 'Save' }).click();
  const german = () => page.request.get(`${GNOMIC}/w/dome4visit/at.de.html`).then((answer) => answer.status());
  await expect.poll(german).toBe(404);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(german).toBe(200);
});
