import ExcelJS from 'exceljs';
import { expect, test, type Locator, type Page } from '@playwright/test';
import { atStandins, expectAccessible, openTopic, signIn } from './people';
import { GNOMIC, SITE, STANDINS } from './setting';

// Every way in, as an owner goes it, against the stand-ins on their own origin. One that fails does not keep the others from being
// looked at.

const rowOf = (page: Page, name: string | RegExp): Locator => page.getByRole('row', { name });

async function expectEntries(page: Page, name: RegExp, count: number): Promise<void> {
  await expect(rowOf(page, name)).toContainText(/Healthy|Kept in Gnomic/, { timeout: 30_000 });
  await expect(rowOf(page, name).getByRole('cell').nth(1)).toHaveText(String(count));
}

test('by name: an address at the directory names the place; another channel’s is led there @long', async ({ page }) => {
  await signIn(page, '/sources/add/name');
  await page.getByLabel('Name, and town').fill(`${STANDINS}/wayleaf/places/wl-inn`);
  await page.getByRole('button', { name: 'Look up' }).click();
  await expect(page.getByText('One place found')).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('The inn');
  await page.getByRole('button', { name: 'Connect The inn' }).click();
  await expectEntries(page, /^The inn/, 12);
  await page.goto('/sources/add/name');
  await page.getByLabel('Name, and town').fill(`${STANDINS}/ticketwick/venues/tv-dome`);
  await page.getByRole('button', { name: 'Look up' }).click();
  await expect(page.getByText('This address belongs to Ticketwick')).toBeVisible();
  await page.getByRole('link', { name: 'Go on there' }).click();
  await expect(page.getByRole('button', { name: 'Continue to Ticketwick' })).toBeVisible();
});

test('by granting access: refused, empty, then venues chosen; told once where both services have it @long', async ({
  page,
}) => {
  await signIn(page, '/sources/add/ticketwick');
  await page.getByRole('button', { name: 'Continue to Ticketwick' }).click();
  await expect(page).toHaveURL(new RegExp(`^${STANDINS}/ticketwick/oauth/authorize`));
  await expect(page.getByRole('listitem')).toHaveText([
    'see which venues you sell tickets for',
    'read what guests rated and wrote, and your replies',
  ]);
  await page.getByRole('button', { name: 'Refuse' }).click();
  await expect(page.getByRole('alert')).toContainText('You refused access at Ticketwick');

  await page.getByRole('button', { name: 'Continue to Ticketwick' }).click();
  await page.getByLabel('An account without venues').check();
  await page.getByRole('button', { name: 'Allow' }).click();
  await expect(page.getByText('has no venues')).toBeVisible();

  await page.getByRole('button', { name: 'Use another account' }).click();
  await page.getByRole('button', { name: 'Allow' }).click();
  await expect(page.getByText('Quillmoor box office')).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel(/The Dome, Quillmoor/).check();
  await page.getByLabel(/Harrow Lane Planetarium/).check();
  await page.getByRole('button', { name: 'Connect 2' }).click();
  await expectEntries(page, /^The Dome, Quillmoor/, 40);
  await rowOf(page, /^The Dome, Quillmoor/)
    .getByRole('button', { name: 'The Dome, Quillmoor' })
    .click();
  await expect(page.getByText('given for Quillmoor box office')).toBeVisible();
  await expect(page.getByText(/of 10 from 40 ratings/)).toBeVisible();
  await expectAccessible(page);

  await page.goto('/entries');
  await page.getByLabel('State').selectOption('Duplicates');
  const counted = page.locator('.selected');
  await expect(page.locator('.reading')).toContainText('another entry is shown instead');
  const told = parseInt((await counted.textContent())?.trim() ?? '', 10);
  expect(told).toBeGreaterThanOrEqual(6);
  await page
    .getByRole('button', { name: /another entry is shown instead/ })
    .first()
    .click();
  await expect(page.getByText(/the same words, the same author/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Not a duplicate' }).first().click();
  await expect(counted).toContainText(`${told - 1} entries`);
  await page.keyboard.press('u');
  await expect(counted).toContainText(`${told} entries`);
});

test('access taken back at the service is told, everything is kept, and granting again mends it @long', async ({
  page,
}) => {
  await signIn(page);
  await atStandins(page, { do: 'withdraw', service: 'ticketwick' });
  await page.goto('/sources');
  const row = rowOf(page, /^The Dome, Quillmoor/);
  await row.getByRole('button', { name: 'Check now' }).click();
  await expect(row).toContainText('Needs your permission again', { timeout: 20_000 });
  await expect(row.getByRole('cell').nth(1)).toHaveText('40');
  await row.getByRole('link', { name: 'Give permission again' }).click();
  await page.getByRole('button', { name: 'Continue to Ticketwick' }).click();
  await page.getByRole('button', { name: 'Allow' }).click();
  await expect(page.getByText('connected').first()).toBeVisible();
  await page.goto('/sources');
  await expect(row).toContainText('Healthy', { timeout: 30_000 });
});

test('by granting access to a photo account: posts, mentions, hashtags @long', async ({ page }) => {
  await signIn(page, '/sources/add/shutterfen');
  await page.getByRole('button', { name: 'Continue to Shutterfen' }).click();
  await page.getByRole('button', { name: 'Allow' }).click();
  await page.getByLabel(/Quillmoor Observatory on Shutterfen/).check();
  await page.getByLabel(/Mentions on Shutterfen/).check();
  await page.getByRole('button', { name: 'Connect 2' }).click();
  await expectEntries(page, /^Quillmoor Observatory on Shutterfen/, 30);
  await expectEntries(page, /^Mentions on Shutterfen/, 5);
  await page.goto('/sources');
  await page.getByRole('button', { name: 'Quillmoor Observatory on Shutterfen' }).click();
  await page.getByLabel('Account bio').fill('Stars, gloves, cocoa.');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('is saved')).toBeVisible();
});

test('by token: boards are chosen; a token of another service is told', async ({ page }) => {
  await signIn(page, '/sources/add/corkwall');
  await page.getByLabel('Your Corkwall token').fill('wl-demo-key-7Q2M');
  await page.getByRole('button', { name: 'Save the token' }).click();
  await expect(page.getByRole('alert').last()).toContainText('this token is for another service');
  await page.getByLabel('Your Corkwall token').fill('ck-5d1e-demo-board');
  await page.getByRole('button', { name: 'Save the token' }).click();
  await page.getByLabel(/Night skies/).check();
  await page.getByRole('button', { name: 'Connect Night skies' }).click();
  await expectEntries(page, /^Night skies/, 7);
});

test('by a page that marks up its reviews; one with several products asks which', async ({ page }) => {
  await signIn(page, '/sources/add/address');
  await page.getByLabel('Address of a feed').fill(`${STANDINS}/barrowfair/items/star-wheel`);
  await page.getByRole('button', { name: 'Look' }).click();
  await expect(page.getByText('marks up 4 reviews')).toBeVisible();
  await expect(page.getByText('Figures it publishes: 4.4 of 5 from 8 ratings.')).toBeVisible();
  await page.getByRole('button', { name: 'Connect Pocket Star Wheel' }).click();
  await expectEntries(page, /^Pocket Star Wheel/, 4);
  await page.goto('/sources/add/address');
  await page.getByLabel('Address of a feed').fill(`${STANDINS}/barrowfair/stalls/quillmoor`);
  await page.getByRole('button', { name: 'Look' }).click();
  await expect(page.getByText('The page is about several things. Which one?')).toBeVisible();
  await page.getByLabel(/Red Lantern/).check();
  await page.getByRole('button', { name: 'Connect Red Lantern' }).click();
  await expectEntries(page, /^Red Lantern/, 3);
});

test('by spreadsheet: looked at, put right, imported; the second time changes nothing', async ({ page }) => {
  await signIn(page);
  const book = new ExcelJS.Workbook();
  const sheet = book.addWorksheet('Reviews');
  sheet.addRow(['Guest', 'Said at', 'Date', 'Stars', 'What they wrote', 'Reply']);
  sheet.addRow([
    'Wilma Stroud',
    'Hill Gazette',
    '03/04/2026',
    5,
    'We saw the rings, and the rings saw us.',
    'Thank you.',
  ]);
  sheet.addRow(['Eben Cross', 'Hill Gazette', '05/04/2026', '4 of 5', 'Cold feet, warm welcome, clear sky.', '']);
  sheet.addRow(['Nobody', 'Hill Gazette', '99/99/2026', 'splendid', 'Neither date nor rating.', '']);
  const file = test.info().outputPath('past.xlsx');
  await book.xlsx.writeFile(file);

  await page.goto('/sources/add/table');
  await page.getByLabel('CSV, TSV, XLSX').setInputFiles(file);
  await page.getByRole('button', { name: 'Look at it' }).click();
  await expect(page.getByText('Choose one.')).toBeVisible({ timeout: 30_000 });
  await page.getByLabel('month first').check();
  await expect(page.getByRole('button', { name: 'Import 2 rows' })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole('region', { name: 'Rows' }).getByRole('row', { name: /Wilma Stroud/ })).toContainText(
    '4 March 2026',
  );
  await page.getByLabel('day first').check();
  await expect(page.getByRole('region', { name: 'Rows' }).getByRole('row', { name: /Wilma Stroud/ })).toContainText(
    '3 April 2026',
    { timeout: 30_000 },
  );
  await page.getByRole('button', { name: /1 wrong/ }).click();
  await expect(page.getByText('"splendid" is no rating')).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Download the wrong rows' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('wrong-rows.csv');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Import 2 rows' }).click();
  await expect(page.getByText('2 new and 0 changed are in')).toBeVisible({ timeout: 30_000 });
  await page.goto('/sources');
  await expectEntries(page, /^Hill Gazette/, 2);

  await page.goto('/sources/add/table');
  await page.getByLabel('CSV, TSV, XLSX').setInputFiles(file);
  await page.getByRole('button', { name: 'Look at it' }).click();
  // What was said of the dates is remembered.
  await expect(page.getByRole('button', { name: 'Nothing new to import' })).toBeVisible({ timeout: 30_000 });
});

test('by spreadsheet: a table of subjects with their addresses @long', async ({ page }) => {
  await signIn(page, '/sources/add/table');
  await page.getByLabel(/Subjects, with their addresses/).check();
  await page.getByLabel('CSV, TSV, XLSX').setInputFiles({
    name: 'subjects.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('subject,kind,Wayleaf,Corkwall\nThe tea rooms,Venue,wl-tea,\nOld plates,Product,,old-plates\n'),
  });
  await page.getByRole('button', { name: 'Look at it' }).click();
  await page.getByRole('button', { name: 'Import 2 rows' }).click({ timeout: 30_000 });
  await page.getByRole('button', { name: 'See the subjects' }).click({ timeout: 30_000 });
  await expect(rowOf(page, /^The tea rooms/)).toContainText('wl-tea');
  await page.getByRole('button', { name: 'Connect The tea rooms on Wayleaf' }).click();
  await expect(rowOf(page, /^The tea rooms/)).toContainText('7', { timeout: 30_000 });
  await expectAccessible(page);
});

test('by hand: a testimonial with a picture, edited with its history, removed and brought back @long', async ({
  page,
}) => {
  await signIn(page, '/sources/add/hand');
  await page.getByLabel('Who said it').fill('Juno Park');
  await page.getByLabel('Role or company').fill('Teacher');
  await page.getByLabel('What they said').fill('Thirty children, one comet, no complaints.');
  await page.getByLabel('Rating').selectOption('5');
  await page.getByLabel(/E-mail/).fill('juno@school.example');
  const picture = await page.request.get(`${STANDINS}/pictures/juno.png?w=400`);
  await page
    .getByLabel(/^Picture/)
    .setInputFiles({ name: 'juno.png', mimeType: 'image/png', buffer: await picture.body() });
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Save the testimonial' }).click();
  const entry = page.getByRole('listitem').filter({ hasText: 'Thirty children' });
  await expect(entry).toContainText('Juno Park');
  await expect(page.getByText('juno@school.example')).toHaveCount(0);
  await entry.locator('.open').click();
  await page.locator('.reading').getByRole('link', { name: 'Edit' }).click();
  await expect(page.getByLabel(/E-mail/)).toHaveValue('juno@school.example');
  await page.getByLabel('What they said').fill('Thirty-one children, one comet, no complaints.');
  await page.getByRole('button', { name: 'Save changes' }).click();
  await page.getByRole('listitem').filter({ hasText: 'Thirty-one children' }).locator('.open').click();
  await expect(page.locator('.reading')).toContainText('1 earlier version kept');
  await page.locator('.reading').getByRole('link', { name: 'Edit' }).click();
  await page.getByRole('button', { name: 'Remove it' }).click();
  await expect(page.getByText('The testimonial is removed.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
});

test('from the owner’s website: what it tells is ticked and connected @long', async ({ page }) => {
  await signIn(page, '/sources/add/website');
  await page.getByLabel('Address of your own website').fill(SITE);
  await page.getByRole('button', { name: 'Read' }).click();
  await expect(page.getByText('Nothing is connected yet: choose below.')).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText(/Moon Atlas.*\/shop marks up 2 reviews of it/)).toBeVisible();
  await expect(page.getByText(/your permission at/).first()).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: /^Connect \w+ sources?$/ }).click();
  await expectEntries(page, /^Moon Atlas/, 2);
});

test('a sudden loss is held and asked about; the owner says that it is right', async ({ page }) => {
  await signIn(page);
  await atStandins(page, { do: 'forget' });
  await page.goto('/sources');
  const row = rowOf(page, /^Night skies/);
  await row.getByRole('button', { name: 'Check now' }).click();
  await expect(row).toContainText('That is more than a third, so nothing was changed', { timeout: 20_000 });
  await expect(row.getByRole('cell').nth(1)).toHaveText('7');
  await row.getByRole('button', { name: 'Mark as removed' }).click();
  await expect(row.getByRole('cell').nth(1)).toHaveText('2', { timeout: 20_000 });
});

test('a service has the owner’s own sign beside its figures, or its name again', async ({ page }) => {
  await signIn(page, '/sources');
  await rowOf(page, /^the Dome/)
    .getByRole('button', { name: 'the Dome' })
    .click();
  const sign = page.getByRole('definition').filter({ has: page.locator('input[type=file]') });
  await expect(sign).toContainText('“Wayleaf”');
  const give = (buffer: Buffer): Promise<void> =>
    sign.locator('input[type=file]').setInputFiles({ name: 'sign.png', mimeType: 'image/png', buffer });
  await give(Buffer.from('no picture'));
  await expect(page.getByText('This picture cannot be read. Use a JPEG, PNG, WebP or GIF.')).toBeVisible();
  // Two pixels beside each other.
  await give(
    Buffer.from(
      'iVBORw0KGgoAAAANSUhEUgAAAAIAAAABCAYAAAD0In+KAAAACXBIWXMAAA7EAAAOxAGVKw4bAAAAEUlEQVQImWPUyHP7v4CBgQEADXMCfXsbGnEAAAAASUVORK5CYII=',
      'base64',
    ),
  );
  await expect(sign.getByRole('img', { name: 'The picture for Wayleaf' })).toBeVisible();
  await expectAccessible(page);
  await sign.getByRole('button', { name: 'Use its name' }).click();
  await expect(sign.getByRole('img')).toHaveCount(0);
  await expect(page.getByText('Wayleaf is shown by its name again.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(sign.getByRole('img')).toBeVisible();
  await sign.getByRole('button', { name: 'Use its name' }).click();
  await expect(sign).toContainText('“Wayleaf”');
});

test('removing a source says what goes, and can be undone', async ({ page }) => {
  await signIn(page, '/sources');
  const row = rowOf(page, /^Red Lantern/);
  await row.getByRole('button', { name: 'Red Lantern' }).click();
  await page.getByRole('button', { name: 'Remove the source and its 3 entries' }).click();
  await expect(page.getByText('Red Lantern is removed, and 3 entries with it')).toBeVisible();
  await expect(row).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row.getByRole('cell').nth(1)).toHaveText('3');
});

test('a widget shows the pictures of a photo account, and they are ours @long', async ({ page, browser }) => {
  await signIn(page, '/widgets/hill4posts0');
  await openTopic(page, 'sources');
  await page.getByLabel('Rookcall', { exact: true }).uncheck();
  await page.getByLabel('Quillmoor Observatory on Shutterfen', { exact: true }).check();
  await page.locator('[data-phrase=layout]').click();
  await page.getByRole('button', { name: 'On each card' }).click();
  await expect(page.getByRole('checkbox', { name: 'Portrait or initials' })).toBeChecked();
  await page.getByRole('checkbox', { name: 'Pictures and videos' }).check();
  await page.getByRole('button', { name: 'How it is said' }).click();
  await page.getByLabel('Names').selectOption('first name, initial of the last');
  const proof = page.frameLocator('iframe[title*="1120"]');
  await expect(proof.locator('.by .name').first()).toHaveText('Quillmoor O.');
  await expect(proof.locator('.pictures img').first()).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: 'Publish the first edition' }).click();
  await expect(page.getByText('Edition 1, published')).toBeVisible();

  const visitor = await (await browser.newContext()).newPage();
  const asked: string[] = [];
  visitor.on('request', (request) => asked.push(request.url()));
  await visitor.goto(`${GNOMIC}/w/hill4posts0`);
  const picture = visitor.locator('.pictures img').first();
  await expect(picture).toHaveJSProperty('complete', true);
  expect(await picture.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBeGreaterThan(0);
  expect([...new Set(asked.map((url) => new URL(url).origin))]).toEqual([GNOMIC]);
  const answer = await visitor.request.get((await picture.getAttribute('src')) ?? '');
  expect(answer.headers()['content-type']).toBe('image/webp');
  expect(answer.headers()['cache-control']).toContain('immutable');
  await expectAccessible(visitor);
  await visitor.context().close();
});
