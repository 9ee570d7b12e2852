import { expect, test, type Page } from '@playwright/test';
import { atFourthOrigin } from './people';
import { GNOMIC, SITE } from './setting';

// The element as pages really hold it, and what a visitor's browser does for it.

/** A page of an owner, on an origin of its own. */
async function onAPage(page: Page, html: string, head = ''): Promise<() => void> {
  const site = await atFourthOrigin(
    `<!doctype html><html lang="en"><meta charset="utf-8"><title>x</title><link rel="icon" href="data:,">${head}<body>${html}`,
  );
  await page.goto(`${site.origin}/visit?secret=1`);
  return site.close;
}
const TAG = '<gnomic-widget key="dome4visit">Ask us</gnomic-widget>';
const cards = (page: Page) => page.locator('gnomic-widget article');

for (const [how, html] of Object.entries({
  'as a module': `<script type="module" src="${GNOMIC}/gnomic.js"></script>${TAG}`,
  'with blanks around its key': `<script async src="${GNOMIC}/gnomic.js"></script>${TAG.replace('dome4visit', ' dome4visit\n ')}`,
  'before its script': `${TAG}<script src="${GNOMIC}/gnomic.js"></script>`,
  'with the host on the tag': `<script src="${SITE}/nothing.js"></script><script src="${GNOMIC}/gnomic.js"></script>${TAG.replace('key', `host="${GNOMIC}" key`)}`,
  'beside the script of another host': `<script src="${SITE}/gnomic.js"></script><script src="${GNOMIC}/gnomic.js"></script>${TAG}`,
}))
  test(`a widget shows ${how}`, async ({ page }) => {
    const close = await onAPage(page, html);
    await expect(cards(page)).toHaveCount(9);
    close();
  });

test('a widget shows where the page holds the script inline', async ({ page, request }) => {
  const script = await (await request.get(`${GNOMIC}/gnomic.js`)).text();
  const close = await onAPage(page, `<script>${script}</script>${TAG}`);
  await expect(cards(page)).toHaveCount(9);
  close();
});

test('a visitor gets no cookie, fetches one edition, and leaves no more than the origin of the page @long', async ({
  browser,
}) => {
  const visitor = await browser.newContext();
  const page = await visitor.newPage();
  const asked: { path: string; referrer: string }[] = [];
  page.on('request', (request) => {
    const url = new URL(request.url());
    if (url.origin === GNOMIC) asked.push({ path: url.pathname, referrer: request.headers()['referer'] ?? '' });
  });
  const close = await onAPage(page, `<script async src="${GNOMIC}/gnomic.js"></script>${TAG}`);
  await expect(cards(page)).toHaveCount(9);
  await page.waitForLoadState('networkidle');
  const editions = asked.filter(({ path }) => /^\/w\/dome4visit(\.html|\/at\.[\w.]+\.html)$/.test(path));
  expect(editions.length).toBeLessThanOrEqual(1);
  expect(asked.filter(({ path }) => path.startsWith('/w/dome4visit')).length).toBeLessThanOrEqual(2);
  for (const { referrer } of asked) expect(referrer).not.toContain('secret');

  for (const path of ['/w/dome4visit', '/w/dome4visit/', '/w/dome4visit/all.html', '/w/dome4visit.html']) {
    asked.length = 0;
    await page.goto(GNOMIC + path);
    await page.waitForLoadState('networkidle');
    expect(asked.map((one) => one.path).filter((one) => one === '/favicon.ico')).toEqual([]);
  }
  expect(await visitor.cookies()).toEqual([]);
  await page.goto(`${GNOMIC}/w/dome4visit`);
  await expect(page.locator('a[target=_blank]').first()).toHaveAttribute('rel', /noopener/);
  close();
  await visitor.close();
});

test('a policy of the page that forbids it is told apart, with the line to add', async ({ page }) => {
  const warnings: string[] = [];
  page.on('console', (message) => message.type() === 'warning' && warnings.push(message.text()));
  const policy = `<meta http-equiv="Content-Security-Policy" content="script-src ${GNOMIC} 'unsafe-inline'; connect-src 'self'">`;
  const close = await onAPage(
    page,
    `<script>addEventListener('gnomic-widget:failed', (event) => (document.title = event.detail.cause), true)</script><script src="${GNOMIC}/gnomic.js"></script>${TAG}`,
    policy,
  );
  await expect(page).toHaveTitle('policy');
  expect(warnings.join()).toContain(`Add ${GNOMIC} to its connect-src`);
  await expect(page.getByText('Ask us')).toBeVisible();
  close();
});

test('a host that does not answer is told apart, and tried once more', async ({ page }) => {
  let tries = 0;
  await page.route(`${GNOMIC}/w/**`, (route) => (++tries < 2 ? route.abort() : route.continue()));
  const close = await onAPage(page, `<script src="${GNOMIC}/gnomic.js"></script>${TAG}`);
  await expect(cards(page)).toHaveCount(9);
  close();
});

test('what visitors may open has no script but ours, even where words would bring one', async ({ page }) => {
  for (const path of ['/w/dome4visit', '/w/dome4visit/all.html', '/w/dome4visit.html']) {
    await page.goto(GNOMIC + path);
    const ran = await page.evaluate(() => {
      const script = document.createElement('script');
      script.textContent = 'window.ran = true';
      document.body.append(script);
      return 'ran' in window;
    });
    expect(ran, path).toBe(false);
  }
});
