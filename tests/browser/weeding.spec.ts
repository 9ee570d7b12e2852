import { expect, test } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { atStandins, expectAccessible, openTopic, signIn } from './people';
import { GNOMIC } from './setting';

/** What a widget shows to visitors now. */
async function published(request: import('@playwright/test').APIRequestContext, key: string): Promise<string> {
  return (await request.get(`${GNOMIC}/w/${key}.html`)).text();
}

test('a hundred and more are hidden at once by keys, and all of them come back @long', async ({ page }) => {
  await signIn(page, '/entries');
  const counted = page.locator('.selected');
  await expect(counted).toContainText('entries');
  await page.locator('[data-phrase=order]').click();
  await page.getByLabel('Posts').uncheck();
  await page.getByLabel('Testimonials').uncheck();
  await expect(page.locator('.sentence')).toContainText('Reviews, newest first');
  await page.keyboard.press('Escape');
  await page.getByRole('heading', { name: 'Entries' }).click();
  await page.keyboard.press('Shift+A');
  await expect(counted).toContainText('selected');
  const many = parseInt((await counted.textContent()) ?? '', 10);
  expect(many).toBeGreaterThan(100);
  const before = await published(page.request, 'dome4visit');
  await page.keyboard.press('x');
  await expect(page.getByText(`${many} entries hidden in every widget.`)).toBeVisible({ timeout: 60_000 });
  await expect(async () => expect(await published(page.request, 'dome4visit')).not.toContain('<article')).toPass();
  expect(await published(page.request, 'dome4visit'), 'nothing to show takes no room').toContain(
    ':host{display:none!important}',
  );
  await page.keyboard.press('u');
  await expect(page.getByText(`${many} entries may be shown again.`)).toBeVisible({ timeout: 60_000 });
  await expect(async () => expect(await published(page.request, 'dome4visit')).toBe(before)).toPass();
});

test('the list reads hundreds by keys, tells where each is on show, and marks what was searched', async ({ page }) => {
  await signIn(page, '/entries');
  const rows = page.locator('.row');
  await expect(rows.first()).toBeVisible();
  expect(await rows.count(), 'only those in sight are there').toBeLessThan(40);
  await page.keyboard.press('j');
  await page.keyboard.press('j');
  await expect(page.locator('[data-current=true]')).toHaveAttribute('aria-posinset', '3');
  await expect(page.locator('[data-current=true] .open')).toBeFocused();
  await page.keyboard.press('k');
  await expect(page.locator('[data-current=true]')).toHaveAttribute('aria-posinset', '2');
  await page.locator('.box').evaluate((box) => (box.scrollTop = box.scrollHeight));
  const count = parseInt((await page.locator('.selected').textContent()) ?? '', 10);
  await expect(page.locator(`[aria-posinset="${count}"] .said`)).toBeVisible();

  await page.keyboard.press('/');
  await page.keyboard.type('DÔME');
  await expect(page.locator('.row mark').first()).toHaveText(/dome/i);
  await page.getByLabel('Search').fill('');
  await openTopic(page, 'sources');
  await page.getByLabel('All sources, also those connected later').uncheck();
  const others = await page.locator('#controls fieldset').first().locator('label').allTextContents();
  for (const name of others
    .map((text) => text.trim())
    .filter((text) => text !== 'the Dome' && !text.startsWith('All sources')))
    await page.locator('#controls fieldset').first().getByLabel(name, { exact: true }).uncheck();
  await expect(page.locator('.sentence')).toContainText('from the Dome');
  await page.locator('[data-phrase=order]').click();
  await page.getByLabel('Lowest rated first').check();
  await expect(page.locator('.sentence')).toContainText('Reviews, worst first');
  await expect(rows.first()).toContainText('1 of 5');
  await expect(page.locator('.reading .where')).toContainText('1 star; the widget asks for four stars and up.');
  await expectAccessible(page);

  // The list that was made gets a name, and is there again by it.
  await page.locator('summary', { hasText: 'Views' }).click();
  await page.getByPlaceholder('Name this view').fill('Worst of the Dome');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Worst of the Dome', exact: true })).toBeVisible();
  await page.reload();
  await page.locator('summary', { hasText: 'Views' }).click();
  await page.getByRole('button', { name: 'Worst of the Dome', exact: true }).click();
  await expect(page.locator('.sentence')).toContainText('Reviews, worst first, from the Dome');

  // What is listed goes out as a table that computes nothing, and as two open formats.
  await page.locator('summary', { hasText: 'Export' }).click();
  for (const [name, first] of [
    ['Table (CSV)', /^\uFEFFid,kind,source/],
    ['JSON Lines', /^\{"id":"the-dome:/],
    ['JSON Feed', /^\{"version":"https:\/\/jsonfeed.org\/version\/1.1"/],
  ] as const) {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name, exact: true }).click(),
    ]);
    expect(await readFile((await download.path()) ?? '', 'utf8')).toMatch(first);
  }
});

test('labels and pins, by keys', async ({ page }) => {
  await signIn(page, '/entries');
  await expect(page.locator('.row').first()).toBeVisible();
  await page.getByLabel('State').selectOption('Shown by a widget now');
  await expect(page.locator('.reading')).toContainText('place ');
  await page.getByRole('heading', { name: 'Entries' }).click();
  // One that the widget gathers, and does not show first already.
  await page.getByLabel('Search').fill('Bryony, worth the hill');
  await expect(page.locator('.row')).toHaveCount(1);
  await page.getByRole('heading', { name: 'Entries' }).click();
  await page.keyboard.press('j');
  const name = (await page.locator('[data-current=true] bdi').textContent()) ?? '';
  await page.keyboard.press('l');
  await expect(page.getByRole('dialog')).toContainText('Label it');
  await page.keyboard.type('Front page');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-current=true] .flag.label')).toHaveText('Front page');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.keyboard.press('u');
  await expect(page.locator('[data-current=true] .flag.label')).toHaveCount(0);
  await page.keyboard.press('p');
  await page.keyboard.type('Dome, visit');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Pinned first in “Dome, visit page”/)).toBeVisible();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(async () => {
    const html = await published(page.request, 'dome4visit');
    expect(html.slice(0, html.indexOf('</article>'))).toContain(name);
  }).toPass();
  await page.keyboard.press('u');
  await expect(page.getByText(/No longer pinned/)).toBeVisible();
});

test('what a rule holds waits on Today, shows nowhere, and is released @long', async ({ page }) => {
  await signIn(page, '/entries');
  await page.getByRole('button', { name: 'Rules' }).click();
  const rules = page.getByRole('dialog');
  await rules.getByLabel('That contain one of these words').fill('comet*');
  await expectAccessible(page);
  await rules.getByRole('button', { name: 'Save rules' }).click();
  await expect(page.getByText(/The rules are saved/)).toBeVisible();
  await atStandins(page, {
    do: 'review',
    place: 'wl-dome',
    name: 'Ottilie Brandt',
    points: '5',
    comment: 'We saw the COMETS, all three.',
  });
  await page.goto('/');
  await expect(page.getByRole('link', { name: '1 new entry is waiting' })).toBeVisible({ timeout: 60_000 });
  expect(await published(page.request, 'dome4visit')).not.toContain('Ottilie Brandt');
  await expectAccessible(page);
  await page.getByRole('link', { name: '1 new entry is waiting' }).click();
  await expect(page.locator('.reading')).toContainText('It says "comet*", which you want to look at first.');
  await page.getByRole('heading', { name: 'Entries' }).click();
  await page.keyboard.press('r');
  await expect(page.getByText('One entry released.')).toBeVisible();
  await expect(async () => expect(await published(page.request, 'dome4visit')).toContain('Ottilie Brandt')).toPass();

  // A word that is never shown takes it away again, everywhere.
  await page.getByRole('button', { name: 'Rules' }).click();
  await rules.getByLabel('Never show entries with one of these words').fill('comets');
  await rules.getByLabel('That contain one of these words').fill('');
  await rules.getByRole('button', { name: 'Save rules' }).click();
  await expect(page.getByText('One entry contains a blocked word.', { exact: false })).toBeVisible();
  await expect(async () => expect(await published(page.request, 'dome4visit')).not.toContain('Ottilie Brandt')).toPass({
    timeout: 60_000,
  });
  await page.keyboard.press('u');
  await expect(async () => expect(await published(page.request, 'dome4visit')).toContain('Ottilie Brandt')).toPass({
    timeout: 60_000,
  });
});
