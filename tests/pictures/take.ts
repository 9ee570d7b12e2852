import { test, type Page } from '@playwright/test';
import { openTopic, signIn } from '../browser/people';
import { SITE } from '../browser/setting';

const GUEST_BOOK = [
  'Guest;Written at;Date;Stars;What they wrote;Our reply',
  'Wilma Stroud;Guest book;03/04/2026;5;We saw the rings, and the rings saw us.;Thank you for the biscuits.',
  'Eben Cross;Guest book;05/04/2026;4 of 5;Cold feet, warm welcome, clear sky.;',
  'Maud Ellery;Tarnbridge Gazette;06/04/2026;9.2/10;The talk was short, the silence at the eyepiece long.;',
  'Nobody;Guest book;12/05/2026;splendid;A rating in words.;',
  'Teo Brandt;Guest book;09/06/2026;★★★★☆;Go on a weeknight, and take a hat.;',
].join('\n');

// One current picture of each main view, from demo data.

const take = async (page: Page, name: string): Promise<void> => {
  await page.waitForTimeout(900);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
};

test('take', async ({ page }) => {
  test.setTimeout(180_000);
  await signIn(page);
  await take(page, 'today');
  await page.goto('/entries');
  await take(page, 'entries');
  await page.goto('/widgets');
  await take(page, 'widgets');
  await page.goto('/sources');
  await page.getByRole('button', { name: 'Add a source' }).click();
  await page.getByLabel('Name, and town').fill('observatory');
  await page.keyboard.press('Enter');
  await page.getByRole('radio', { name: /Observatory Tea Rooms/ }).check();
  await take(page, 'add-source');
  await page.goto('/sources/add/website');
  await page.getByLabel('Address of your own website').fill(SITE);
  await page.getByRole('button', { name: 'Read' }).click();
  await page.getByText('Nothing is connected yet: choose below.').waitFor();
  await take(page, 'website');
  await page.goto('/sources/add/table');
  await page
    .getByLabel('CSV, TSV, XLSX')
    .setInputFiles({ name: 'guest-book.csv', mimeType: 'text/csv', buffer: Buffer.from(GUEST_BOOK) });
  await page.getByRole('button', { name: 'Look at it' }).click();
  await page.getByText('Say which it is').waitFor();
  await take(page, 'import');
  for (const [channel, account] of [
    ['ticketwick', 'The Dome, Quillmoor'],
    ['shutterfen', 'Quillmoor Observatory on Shutterfen'],
  ] as const) {
    await page.goto(`/sources/add/${channel}`);
    await page.getByRole('button', { name: /^Continue to/ }).click();
    await page.getByRole('button', { name: 'Allow' }).click();
    await page.getByLabel(account).check();
    await page.getByRole('button', { name: `Connect ${account}` }).click();
    await page.getByRole('row', { name: new RegExp(`^${account}.*Healthy`) }).waitFor();
  }
  await page.getByRole('button', { name: 'The Dome, Quillmoor' }).click();
  await page
    .getByRole('button', { name: 'Dismiss' })
    .first()
    .click()
    .catch(() => undefined);
  await take(page, 'sources');
  await page.goto('/sources/subjects');
  await take(page, 'subjects');

  await page.goto('/widgets/dome4visit');
  await openTopic(page, 'stars');
  await take(page, 'bench');
  await page.getByRole('button', { name: /left out: four stars/ }).click();
  await take(page, 'sieve');
  await page.emulateMedia({ colorScheme: 'dark' });
  await page.goto('/widgets/harrow7talk');
  await page.locator('[data-phrase=dress]').click();
  await take(page, 'bench-dark');
  await page.emulateMedia({ colorScheme: 'light' });
  await page.goto('/widgets/hill4posts0');
  await openTopic(page, 'sources');
  await page.getByLabel('Quillmoor Observatory on Shutterfen', { exact: true }).check();
  await page.getByLabel('Rookcall', { exact: true }).uncheck();
  await page.locator('[data-phrase=layout]').click();
  await page.getByRole('radio', { name: 'Mosaic' }).click();
  await page.getByRole('button', { name: 'Pictures', exact: true }).click();
  await take(page, 'layouts');
  await sheet(page, 'paper');
  await looks(page);
  await page.goto('/widgets/about5sky0');
  await page.locator('[data-phrase=dress]').click();
  await page.getByRole('button', { name: 'As your page' }).click();
  await page.getByLabel('Page where the widget will stand').fill(`${SITE}/about`);
  await page.getByRole('button', { name: 'Read the page' }).click();
  await page.getByRole('radio', { name: /Nights to keep/ }).click();
  await page.getByRole('button', { name: '1120' }).click();
  await take(page, 'dress-page');
  await page.getByRole('button', { name: /^Can it be read/ }).click();
  await take(page, 'dress-guard');
  await page.goto(`${SITE}/about`);
  await page.locator('gnomic-widget[key=hill6wall0] a.open').first().focus();
  await page.keyboard.press('Enter');
  await page.getByRole('dialog').waitFor();
  await take(page, 'enlarged');
  await page.goto(`${SITE}/visit`);
  await page.evaluate(() => scrollTo(0, 330));
  await take(page, 'observatory');

  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/widgets/dome4visit');
  await openTopic(page, 'stars');
  await take(page, 'bench-phone');
});

/** Every layout of the same entries, side by side. */
async function sheet(page: Page, look: string): Promise<void> {
  await page.goto('/widgets/dome4visit');
  const layouts = await page.evaluate(async (look) => {
    const token = decodeURIComponent(/XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? '');
    const pictured = ['Photo rows', 'Mosaic', 'Strip'];
    const drawn = async (gather: unknown, sift: unknown): Promise<{ label: string; fragment: string }[]> => {
      const shape = { card: ['rating', 'words', 'name', 'date'], heading: 'What visitors say' };
      const answer = await fetch('/api/layouts', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token },
        body: JSON.stringify({ brief: { version: 3, gather, sift, shape, dress: { name: look } } }),
      });
      return ((await answer.json()) as { layouts: { label: string; fragment: string }[] }).layouts;
    };
    const words = await drawn({ sources: ['the-dome'] }, { withWords: true, limit: 12 });
    const pictures = await drawn({ sources: ['rookcall'] }, { withPictures: true, limit: 12 });
    return words.map((one, index) => (pictured.includes(one.label) ? pictures[index]! : one));
  }, look);
  const ground = '#fff';
  const cells = layouts.map(
    ({ label, fragment }) =>
      `<figure><figcaption>${label}</figcaption><div class="cell"><div class="page"><div>${fragment}</div></div></div></figure>`,
  );
  await page.route('**/sheet', (route) =>
    route.fulfill({
      contentType: 'text/html; charset=utf-8',
      body: `<!doctype html><title>x</title><style>body{margin:16px;display:grid;grid-template-columns:repeat(3,minmax(0,1fr));gap:14px;font:13px sans-serif;background:#f3f5f1}figure{margin:0}.cell{height:230px;overflow:hidden;background:${ground};outline:1px solid #d6dbd3}.page{width:900px;height:520px;overflow:hidden;transform:scale(.45);transform-origin:0 0;font-family:Georgia,serif}</style>${cells.join('')}`,
    }),
  );
  await page.goto('/sheet');
  await page.waitForTimeout(900);
  await page.screenshot({
    path: 'docs/screenshots/layouts-light.png',
    fullPage: true,
  });
  await page.unroute('**/sheet');
}

/** One widget in every look that there is. */
async function looks(page: Page): Promise<void> {
  await page.goto('/widgets/dome4visit');
  const drawn = await page.evaluate(async () => {
    const token = decodeURIComponent(/XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? '');
    const send = async <T>(path: string, body?: unknown): Promise<T> =>
      (await (
        await fetch(path, {
          method: body ? 'POST' : 'GET',
          headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token },
          ...(body ? { body: JSON.stringify(body) } : {}),
        })
      ).json()) as T;
    const { looks: names } = await send<{ looks: { key: string; name: string }[] }>('/api/choices');
    const brief = {
      version: 3,
      gather: { sources: ['the-dome'] },
      sift: { withWords: true, limit: 6 },
      shape: { layout: { name: 'masonry' }, card: ['rating', 'words', 'name', 'date'], heading: 'What visitors say' },
    };
    const { looks } = await send<{ looks: { key: string; fragment: string; ground: string }[] }>(
      '/api/looks/pictures',
      { brief },
    );
    return looks.map((look) => ({ ...look, name: names.find(({ key }) => key === look.key)?.name ?? look.key }));
  });
  const cells = drawn.map(
    ({ name, fragment, ground }) =>
      `<figure><figcaption>${name}</figcaption><div class="cell" style="background:${ground}"><div class="page">${fragment}</div></div></figure>`,
  );
  await page.route('**/sheet', (route) =>
    route.fulfill({
      contentType: 'text/html; charset=utf-8',
      body: `<!doctype html><title>x</title><style>body{margin:16px;display:grid;grid-template-columns:repeat(3,minmax(0,1fr));gap:14px;font:13px sans-serif;background:#f3f5f1}figure{margin:0}.cell{height:230px;overflow:hidden;outline:1px solid #d6dbd3}.page{width:820px;transform:scale(.5);transform-origin:0 0;font-family:Georgia,serif}</style>${cells.map((cell) => cell.replace('<div class="page">', '<div class="page"><div>').replace('</div></div></figure>', '</div></div></div></figure>')).join('')}`,
    }),
  );
  await page.goto('/sheet');
  await page.waitForTimeout(900);
  await page.screenshot({ path: 'docs/screenshots/looks.png', fullPage: true });
  await page.unroute('**/sheet');
}
