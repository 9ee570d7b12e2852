import { test, type Page } from '@playwright/test';
import { openTopic, signIn } from '../browser/people';
import { SITE } from '../browser/setting';

// One current picture of each main view, from demo data.

const take = async (page: Page, name: string): Promise<void> => {
  await page.waitForTimeout(900);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
};

test('take', async ({ page }) => {
  test.setTimeout(420_000);
  await signIn(page);
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
  await page.locator('[data-phrase=layout]').click();
  await page.getByRole('radio', { name: 'Mosaic' }).click();
  await page.getByRole('button', { name: 'Pictures', exact: true }).click();
  await take(page, 'layouts');
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
  await page.goto(`${SITE}/visit`);
  await page.evaluate(() => scrollTo(0, 330));
  await take(page, 'observatory');
  await placing(page);

  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/widgets/dome4visit');
  await openTopic(page, 'stars');
  await take(page, 'bench-phone');
});

/** Widgets on pages: a place that is pointed at, three faults, and who sees it. */
async function placing(page: Page): Promise<void> {
  for (let time = 0; time < 6; time++) {
    await page.setViewportSize(time % 3 === 2 ? { width: 390, height: 844 } : { width: 1280, height: 800 });
    await page.goto(`${SITE}/`);
    const widget = page.locator('gnomic-widget[key=home3band0]');
    await widget.scrollIntoViewIfNeeded();
    await page.waitForTimeout(1500);
    const more = widget.locator('details.more summary');
    if (time < (await more.count())) await more.nth(time).evaluate((one: HTMLElement) => one.click());
    await page.waitForTimeout(150);
  }
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto('/pages');
  await page.getByRole('link').filter({ hasText: '/about' }).click();
  await page.getByRole('button', { name: 'Put a widget here' }).click();
  await page.getByLabel('Under a part of the page').check();
  await page.getByText('Click the part of the page').waitFor();
  await page.locator('iframe[title="The page, to point at"]').scrollIntoViewIfNeeded();
  await page.waitForTimeout(1000);
  await page
    .frameLocator('iframe[title="The page, to point at"]')
    .getByRole('heading', { name: 'The mirror-making' })
    .click();
  await page.getByText('It stands under').scrollIntoViewIfNeeded();
  await take(page, 'pointing');
  for (const [path, fault] of [
    ['/visit', 'policy-header'],
    ['/planetarium', 'held'],
    ['/shop', 'twice'],
  ] as const) {
    await page.request.post(`${SITE}/workshop`, { form: { page: path, fault }, maxRedirects: 0 });
  }
  await page.goto('/pages');
  await page.getByRole('button', { name: 'Check all now' }).click();
  await page.getByText('refused by the page’s policy').first().waitFor({ timeout: 60_000 });
  await page.waitForTimeout(9000);
  await take(page, 'pages');
  await page.getByRole('link').filter({ hasText: '/visit' }).first().click();
  await take(page, 'check');
  await page.goto('/');
  await page.getByText('Not where it should be').waitFor();
  await take(page, 'today');
  await page.waitForTimeout(45_000); // counts are added up every minute
  await page.goto('/widgets/home3band0/counts');
  await take(page, 'counts');
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
      version: 4,
      gather: { sources: ['the-dome'] },
      sift: { withWords: true, limit: 6 },
      shape: {
        layout: { name: 'masonry' },
        card: ['rating', 'words', 'face', 'name', 'date'],
        heading: 'What visitors say',
      },
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
      body: `<!doctype html><title>x</title><style>body{margin:16px;display:grid;grid-template-columns:repeat(3,minmax(0,1fr));gap:14px;font:13px sans-serif;background:#f3f5f1}figure{margin:0}.cell{height:230px;overflow:hidden;outline:1px solid #d6dbd3}.page{box-sizing:border-box;width:812px;padding:20px 28px;transform:scale(.5);transform-origin:0 0;font-family:Georgia,serif}</style>${cells.map((cell) => cell.replace('<div class="page">', '<div class="page"><div>').replace('</div></div></figure>', '</div></div></div></figure>')).join('')}`,
    }),
  );
  await page.goto('/sheet');
  await page.waitForTimeout(900);
  await page.screenshot({ path: 'docs/screenshots/looks.png', fullPage: true });
  await page.unroute('**/sheet');
}
