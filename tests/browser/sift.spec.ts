import { expect, test, type Page } from '@playwright/test';
import { atFourthOrigin, expectAccessible, openTopic, signIn } from './people';
import { GNOMIC } from './setting';

/** Presses a key some times. */
async function press(page: Page, key: string, times = 1): Promise<void> {
  for (let time = 0; time < times; time++) await page.keyboard.press(key);
}

/** Goes by Tab until the focus stands on something of this name. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  for (let step = 0; step < 60; step++) {
    const named = await page.evaluate(() => {
      const on = document.activeElement as HTMLElement | null;
      const label = (on as HTMLInputElement | null)?.labels?.[0]?.textContent;
      return (on?.getAttribute('aria-label') ?? label ?? on?.textContent ?? '').trim();
    });
    if (name.test(named)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`Tab does not lead to ${name}`);
}

test('from an empty brief to a good one, by the sentence and keys alone @long', async ({ page }) => {
  await signIn(page);
  await press(page, 'g');
  await press(page, 'w');
  await tabTo(page, /^New widget$/);
  await press(page, 'Enter');
  await expect(page).toHaveURL(/\/widgets\/[a-z0-9]{10}$/);
  const sentence = page.locator('.sentence');
  await expect(sentence).toContainText('Show the newest ten entries.');

  // How many, of what: the first phrase of Sift is open by one key, its controls are one arrow below.
  await press(page, '2');
  await press(page, 'ArrowDown');
  await tabTo(page, /^Posts$/);
  await press(page, 'Space');
  // Back by one: the proofs behind have links and buttons of their own.
  await page.keyboard.press('Shift+Tab');
  await tabTo(page, /^Testimonials$/);
  await press(page, 'Space');
  await expect(sentence).toContainText('the newest ten reviews');
  await tabTo(page, /Newest first/);
  await press(page, 'ArrowDown', 7);
  await expect(sentence).toContainText('ten reviews');
  await press(page, 'Escape');
  await expect(page.locator('[data-phrase=order]')).toBeFocused();

  // Stars, which the sentence does not speak of yet: by the button at its end.
  await press(page, 'Enter');
  await press(page, ']');
  await expect(page.locator('[data-phrase=more]')).toBeFocused();
  await press(page, 'ArrowDown');
  await tabTo(page, /^Stars and words/);
  await press(page, 'Enter');
  await tabTo(page, /^4 stars and up/);
  await press(page, 'Enter');
  await tabTo(page, /Only with words/);
  await press(page, 'Space');
  await expect(sentence).toContainText('four stars and up, with words');
  await press(page, 'Escape');

  // Languages likewise.
  await page.locator('[data-phrase=more]').focus();
  await press(page, 'Enter');
  await press(page, 'ArrowDown');
  await tabTo(page, /^Languages/);
  await press(page, 'Enter');
  await tabTo(page, /^English$/);
  await press(page, 'Space');
  await expect(sentence).toContainText('in English');
  await press(page, 'Escape');
  await expect(page.locator('[data-phrase=languages]')).toBeFocused();

  const proof = page.frameLocator('iframe[title*="1120"]');
  await expect(proof.locator('article')).toHaveCount(10);
  await expect(proof.locator('.honest')).toHaveText(
    /A selection: four stars and up, with words, a balanced choice\. See all \(\d+ entries\)/,
  );
  await tabTo(page, /^Publish the first edition$/).catch(async () => {
    await page.getByRole('button', { name: 'Publish the first edition' }).focus();
  });
  await press(page, 'Enter');
  await expect(page.getByText('Edition 1, published')).toBeVisible();
});

test('the sieve says what each clause costs, and a number of it opens the way to loosen it @long', async ({ page }) => {
  await signIn(page, '/widgets');
  await page.getByRole('button', { name: 'New widget' }).click();
  const sentence = page.locator('.sentence');
  await openTopic(page, 'stars');
  await page.getByRole('button', { name: /^5 stars and up/ }).click();
  await openTopic(page, 'words');
  await page.getByLabel('All of').first().fill('saturn, rings');
  await expect(sentence).toContainText('saying "saturn" and "rings"');

  // The account adds up, whatever was written.
  const account = await page.locator('.sieve li').evaluateAll((steps) =>
    steps.map((step) => ({
      kept: Number(step.querySelector('.kept')?.textContent),
      dropped: Number((step.querySelector('.dropped')?.textContent ?? '0').replace(/\D/g, '')),
    })),
  );
  account.slice(1).forEach((step, index) => expect(step.kept + step.dropped).toBe(account[index]?.kept));

  const shown = account.at(-1)?.kept ?? 0;
  expect(shown).toBeLessThan(10);
  await expect(page.locator('.sieve li', { hasText: 'saying' }).locator('.if')).toHaveText(/without it: \d+ more/);
  await page.getByRole('button', { name: /left out: saying/ }).click();
  const behind = page.getByRole('dialog', { name: 'Entries behind the number' });
  await expect(behind).toContainText('It does not say "');
  await expect(behind).toContainText(/Without this condition \d+ more would pass/);
  await expectAccessible(page, { except: ['landmark-unique'], part: '.behind' });
  await behind.getByRole('button', { name: 'Leave out the words said' }).click();
  await expect(sentence).not.toContainText('saying');
  await page.keyboard.press('Escape');

  // What is hardly meant is told, kept and harmless.
  await openTopic(page, 'words');
  await page.getByLabel('None of').first().fill('/que+ue.*/');
  await expect(page.getByText(/looks like a regular expression. Only plain words are matched/)).toBeVisible();
  await expect(page.frameLocator('iframe[title*="768"]').locator('article').first()).toBeVisible();
  await page
    .getByLabel('None of')
    .first()
    .fill(Array.from({ length: 5001 }, (_, index) => `word${index}`).join(', '));
  await expect(page.getByText(/These are 5,001 terms/)).toBeVisible();
  await page
    .getByLabel('None of')
    .first()
    .fill(Array.from({ length: 5000 }, (_, index) => `word${index}`).join(', '));
  await expect(page.getByText('5,000 words are a long list.', { exact: false })).toBeVisible();
});

test('what leaves nothing is named, and the smallest change that gives enough is one press away', async ({ page }) => {
  await signIn(page, '/widgets');
  await page.getByRole('button', { name: 'New widget' }).click();
  await openTopic(page, 'words');
  await page.getByRole('spinbutton', { name: 'From' }).fill('4000');
  const warning = page.getByText(/Nothing is left: "at least 4,000 characters long" kept out the last/);
  await expect(warning).toBeVisible();
  await expect(page.frameLocator('iframe[title*="768"]').getByText('Visitors see nothing here')).toBeVisible();
  await page.getByRole('button', { name: /^At least [\d,]+ characters long: .* would pass$/ }).click();
  await expect(warning).toHaveCount(0);
  await expect(page.frameLocator('iframe[title*="768"]').locator('article').first()).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('u');
  await expect(warning).toBeVisible();
});

test('the honest line speaks the language of the page, and leads to everything @long', async ({ page }) => {
  for (const [language, says] of [
    ['en', 'A selection: four stars and up, with words. See all'],
    ['de', 'Eine Auswahl: ab 4 Sternen, mit Text. Alle ansehen'],
    ['ja', 'A selection: four stars and up, with words. See all'],
    ['eu', 'A selection: four stars and up, with words. See all'],
  ] as const) {
    const theirs = await atFourthOrigin(
      `<!doctype html><html lang="${language}"><meta charset="utf-8"><title>x</title><script async src="${GNOMIC}/gnomic.js"></script><gnomic-widget key="dome4visit"></gnomic-widget>`,
    );
    await page.goto(theirs.origin);
    const line = page.locator('gnomic-widget .honest:visible');
    await expect(line).toHaveCount(1);
    await expect(line).toContainText(says);
    theirs.close();
  }
  const all = await page.locator('gnomic-widget .honest:visible a').getAttribute('href');
  expect(all).toBe(`${GNOMIC}/w/dome4visit/all.html`);
  await page.goto(all ?? '');
  await expect(page.locator('article').first()).toBeVisible();
  // Seen as glyphs, heard in words.
  const ratings = await page
    .locator('article .rating .glyphs')
    .evaluateAll((all) => all.map((glyphs) => glyphs.getAttribute('aria-label') ?? ''));
  expect(ratings.some((rating) => /^[12] out of 5/.test(rating))).toBe(true);
  await expectAccessible(page);
});

test('a widget fits its page and its visit: language first, an order for each visit, labels by page @long', async ({
  page,
}) => {
  await signIn(page, '/widgets');
  await page.getByRole('button', { name: 'New widget' }).click();
  await expect(page).toHaveURL(/\/widgets\/[a-z0-9]{10}$/);
  const key = page.url().split('/').pop() ?? '';
  await openTopic(page, 'languages');
  await page.getByLabel('The language of the page first, then the others').check();
  await page.locator('[data-phrase=order]').click();
  await page.getByLabel('In random order', { exact: true }).check();
  await page.getByLabel('at every visit').check();
  await expect(page.locator('.sentence')).toContainText('ten entries, shuffled at every visit');
  await page.getByRole('button', { name: 'Publish the first edition' }).click();
  await expect(page.getByText('Edition 1, published')).toBeVisible();

  const orders = new Set<string>();
  const visitor = await page.context().browser()!.newContext();
  const theirs = await visitor.newPage();
  const site = await atFourthOrigin(
    `<!doctype html><html lang="de-AT"><meta charset="utf-8"><title>x</title><script async src="${GNOMIC}/gnomic.js"></script><gnomic-widget key="${key}"></gnomic-widget>`,
  );
  for (let visit = 0; visit < 8; visit++) {
    await theirs.goto(site.origin);
    const words = theirs.locator('gnomic-widget article .words');
    const language = words.first().locator('xpath=ancestor-or-self::*[@lang][1]');
    await expect(language).toHaveAttribute('lang', 'de');
    orders.add((await words.allTextContents()).join('|'));
  }
  expect(orders.size).toBeGreaterThan(1);
  expect(await visitor.cookies()).toEqual([]);
  site.close();
  await visitor.close();
});
