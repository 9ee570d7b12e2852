import { expect, test } from '@playwright/test';
import { atFourthOrigin, atStandins, openTopic, signIn } from './people';
import { GNOMIC, SITE } from './setting';

// The whole story, as an owner lives it: from an outside address to a fresh widget on a page.

// Each goes on from what the demo is by then; one that fails does not keep the others from being looked at.

test('a place is looked up among its namesakes and connected', async ({ page }) => {
  await signIn(page);
  await page.getByRole('link', { name: 'Sources' }).first().click();
  await page.getByRole('button', { name: 'Add a source' }).click();
  await page.getByLabel('Name, and town').fill('observatory');
  await page.getByRole('button', { name: 'Look up' }).click();
  await expect(page.getByText('4 places found. Which one is yours?')).toBeVisible();
  await page.getByRole('radio', { name: /Observatory Tea Rooms/ }).check();
  await page.getByLabel('Name', { exact: true }).fill('Tea rooms');
  await page.getByRole('button', { name: 'Connect Tea rooms' }).click();
  const row = page.getByRole('row', { name: /Tea rooms/ });
  await expect(row).toContainText('Healthy');
  await expect(row.getByRole('cell').nth(1)).toHaveText('7');
});

test('a feed is found on a page and connected', async ({ page }) => {
  await signIn(page, '/sources');
  await page.getByRole('button', { name: 'Add a source' }).click();
  await page.getByRole('link', { name: /Paste an address/ }).click();
  await page.getByLabel('Address of a feed').fill('127.0.0.1:9/none');
  await page.getByRole('button', { name: 'Look' }).click();
  await expect(page.getByRole('alert')).toContainText('private network');
  await page.getByLabel('Address of a feed').fill('http://127.0.0.1:18081/rookcall/quillmoor');
  await page.getByRole('button', { name: 'Look' }).click();
  await expect(page.getByText('This page links to 3 feeds')).toBeVisible();
  await page.getByRole('button', { name: 'Posts (json)' }).click();
  await expect(page.getByText('JSON Feed 1.1, 48 entries.')).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('The JSON feed');
  await page.getByRole('button', { name: 'Connect The JSON feed' }).click();
  const row = page.getByRole('row', { name: /The JSON feed/ });
  await expect(row.getByRole('cell').nth(1)).toHaveText('48');
  await row.getByRole('button', { name: 'Disconnect' }).click();
  await expect(row).toContainText('Disconnected');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).not.toContainText('Disconnected');
  await row.getByRole('button', { name: 'Disconnect' }).click();
});

test('a widget is made on the bench: sentence, proof and sieve follow each other', async ({ page }) => {
  await signIn(page, '/widgets');
  await page.getByRole('button', { name: 'New widget' }).click();
  await expect(page).toHaveURL(/\/widgets\/[a-z0-9]{10}$/);
  await page.getByLabel('Name of the widget').fill('The story');
  await page.getByLabel('Name of the widget').press('Tab');
  const sentence = page.locator('.sentence');
  await expect(sentence).toContainText('Show the newest ten entries.');

  await openTopic(page, 'sources');
  await page.getByLabel('All sources, also those connected later').uncheck();
  for (const name of ['Harrow Lane', 'Rookcall', 'Tea rooms', 'The JSON feed'])
    await page.getByLabel(name, { exact: true }).uncheck();
  await expect(sentence).toContainText('from the Dome');

  await openTopic(page, 'stars');
  await page.getByRole('button', { name: /^4 stars and up/ }).click();
  await page.getByLabel('Only with words').check();
  await expect(sentence).toContainText('four stars and up, with words');

  await page.locator('[data-phrase=order]').click();
  await page.getByRole('spinbutton', { name: 'How many' }).fill('6');
  await page.getByLabel('Posts').uncheck();
  await page.getByLabel('Testimonials').uncheck();
  await expect(sentence).toContainText('the newest six reviews');
  await page.getByLabel('Oldest first').check();
  await expect(sentence).toContainText('the oldest six reviews');
  await page.keyboard.press('u');
  await expect(sentence).toContainText('the newest six reviews');

  const wide = page.frameLocator('iframe[title*="1120"]');
  await expect(wide.locator('article')).toHaveCount(6);
  await page.locator('[data-phrase=dress]').click();
  await page.getByRole('radio', { name: /Night ink/ }).click();
  await expect(wide.locator('.g')).toHaveCSS('background-color', 'rgb(22, 27, 44)');
  await page.locator('[data-phrase=layout]').click();
  await page.getByRole('radio', { name: 'List', exact: true }).click();
  await expect(wide.locator('.cards article')).toHaveCount(6);
  await page.getByRole('radio', { name: 'Carousel', exact: true }).click();
  await expect(wide.locator('.cards .item')).toHaveCount(6);

  const dropped = page.getByRole('button', { name: /left out: four stars and up/ });
  const count = Number((await dropped.textContent())?.replace('−', ''));
  await dropped.click();
  const behind = page.getByRole('dialog', { name: 'Entries behind the number' });
  await expect(behind.locator('li[data-current]')).toHaveCount(Math.min(30, count));
  await expect(behind).toContainText('the widget asks for four stars and up.');
  await behind.getByRole('button', { name: 'Pin first' }).first().click();
  await expect(sentence).toContainText('one pinned first');
  await page.keyboard.press('Escape');
  await expect(behind).toBeHidden();
  await openTopic(page, 'hand');
  await page.getByRole('button', { name: 'Unpin' }).click();
  await expect(sentence).not.toContainText('pinned');

  await page.getByRole('button', { name: 'Publish the first edition' }).click();
  await expect(page.getByText('Edition 1, published')).toBeVisible();
});

test('its code, pasted on any origin, shows it: no cookie, nothing from anybody else', async ({ page, context }) => {
  await signIn(page, '/widgets');
  await page.getByRole('link', { name: 'The story' }).first().click();
  await page.getByRole('button', { name: 'Get the code' }).click();
  const copy = page.getByRole('button', { name: 'Copy' }).first();
  expect((await copy.boundingBox())?.width, 'as wide as its word').toBeLessThan(90);
  const code = (await page.locator('[data-code=tag]').textContent()) ?? '';
  const key = new URL(page.url()).pathname.split('/').pop() ?? '';
  const tag = `<script async id="gno" src="${GNOMIC}/gnomic.js"></script><gnomic-widget key="${key}"><svg `;
  expect(code.slice(0, tag.length)).toBe(tag);
  expect(code.length).toBeLessThanOrEqual(300);

  const visitor = await context.browser()!.newContext();
  const theirs = await visitor.newPage();
  const asked: string[] = [];
  theirs.on('request', (request) => asked.push(new URL(request.url()).origin));
  const fourth = await atFourthOrigin(
    `<!doctype html><title>Theirs</title><link rel="icon" href="data:,"><style>p,article,div{color:red!important;display:inline!important}</style>${code}<p>Between</p>${code}`,
  );
  await theirs.goto(fourth.origin);
  await expect(theirs.locator('gnomic-widget article')).toHaveCount(12);
  await expect(theirs.locator('gnomic-widget .words p').first()).toHaveCSS('color', 'rgb(236, 238, 245)');
  expect(await visitor.cookies()).toEqual([]);
  expect([...new Set(asked)].sort()).toEqual([GNOMIC, fourth.origin].sort());
  expect(await theirs.evaluate(() => [localStorage.length, sessionStorage.length])).toEqual([0, 0]);
  await visitor.close();
  fourth.close();
});

test('a new review comes to the page with nobody touching anything', async ({ page }) => {
  const words = `The moon rose behind the mast at ${Date.now()}.`;
  await page.goto(`${SITE}/visit`);
  await expect(page.locator('gnomic-widget article')).toHaveCount(9);
  await atStandins(page, { do: 'review', place: 'wl-dome', name: 'Wren Hollis', points: '5', comment: words });
  await expect(async () => {
    await page.goto(`${SITE}/visit`);
    await expect(page.locator('gnomic-widget article').first()).toContainText(words, { timeout: 500 });
  }).toPass({ timeout: 45_000 });
  await signIn(page);
  await expect(page.getByText(/the Dome\s+1 new, \d widgets? updated/).first()).toBeVisible();
});

test('Wayleaf goes down: the pages keep their widgets, and the studio says why', async ({ page }) => {
  await atStandins(page, { do: 'mood', service: 'wayleaf', mood: 'fault' });
  await signIn(page, '/sources');
  const row = page.getByRole('row', { name: /the Dome/ });
  await row.getByRole('button', { name: 'Check now' }).click();
  await expect(row).toContainText('Wayleaf answered with status 500', { timeout: 20_000 });
  await page.goto(`${SITE}/visit`);
  await expect(page.locator('gnomic-widget article')).toHaveCount(9);
  await page.goto(`${SITE}/planetarium`);
  await expect(page.locator('gnomic-widget article')).toHaveCount(5);
  await atStandins(page, { do: 'mood', service: 'wayleaf', mood: 'well' });
  await page.goto('/sources');
  await row.getByRole('button', { name: 'Check now' }).click();
  await expect(row).toContainText('Healthy', { timeout: 20_000 });
});

test('an entry is hidden everywhere by a key, and comes back by another', async ({ page }) => {
  await signIn(page);
  await page.keyboard.press('g');
  await page.keyboard.press('e');
  await page.getByLabel('Search').fill('Wren Hollis');
  await expect(page.getByText('1 entry', { exact: true })).toBeVisible();
  await expect(page.locator('mark').first()).toHaveText('Wren');
  await page.getByRole('heading', { name: 'Entries' }).click();
  await page.keyboard.press('x');
  await expect(page.getByText('One entry hidden in every widget.')).toBeVisible();
  await expect(page.locator('.row .flag')).toHaveText('hidden');
  await expect(async () => {
    await page.request
      .get(`${GNOMIC}/w/dome4visit.html`)
      .then(async (answer) => expect(await answer.text()).not.toContain('Wren Hollis'));
  }).toPass();
  await page.keyboard.press('u');
  await expect(page.getByRole('button', { name: 'Hide everywhere' })).toBeVisible();
  await expect(async () => {
    await page.request
      .get(`${GNOMIC}/w/dome4visit.html`)
      .then(async (answer) => expect(await answer.text()).toContain('Wren Hollis'));
  }).toPass();
});

test('a widget is removed from its pages by keys alone, and brought back', async ({ page }) => {
  await signIn(page, '/widgets');
  const remove = page.getByRole('button', { name: 'Remove Planetarium, foyer' });
  const onPages = async (): Promise<boolean> =>
    (await (await page.request.get(`${GNOMIC}/w/harrow7talk.html`)).text()).includes('class="card"');
  await remove.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Show nothing' })).toBeFocused();
  await page.getByRole('button', { name: 'Keep the widget' }).press('Enter');
  await expect(remove).toBeFocused();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Enter');
  await expect(page.getByText('nothing is shown within a minute')).toBeVisible();
  await expect(remove).toHaveCount(0);
  await expect.poll(onPages).toBe(false);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(remove).toBeVisible();
  await expect.poll(onPages).toBe(true);
});
