import { expect, test, type Browser, type Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { appendFileSync, readdirSync, readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import { expectAccessible, signIn } from './people';
import { GNOMIC, PORTS, SITE } from './setting';

// From the studio to the observatory's own pages: spots, codes, checks, counts. What page builders do to pages is done on /workshop.

const DATA = resolve(`var/browser-${PORTS.gnomic}`);

/** Does something to a page of the observatory. */
async function breakPage(page: Page, path: string, fault: string): Promise<void> {
  const answer = await page.request.post(`${SITE}/workshop`, { form: { page: path, fault }, maxRedirects: 0 });
  expect(answer.status()).toBe(303);
}

/** Opens a page of the observatory in the studio. */
async function openPage(page: Page, path: string): Promise<void> {
  await page.goto('/pages');
  await page.getByLabel('Search pages').fill(path);
  // Before the answer is there, the list would move away from under the pointer.
  await expect(page.getByText(`with “${path}”`)).toBeVisible();
  await page
    .getByRole('link')
    .filter({ has: page.getByText(path, { exact: true }) })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: 'Is it there?' })).toBeVisible();
}

const finding = (page: Page, widget: string) =>
  page
    .getByRole('listitem')
    .filter({ has: page.getByRole('link', { name: widget, exact: true }) })
    .filter({ hasText: 'Checked' });

async function check(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Check now' }).click();
  await expect(page.getByRole('button', { name: 'Check now' })).toBeEnabled();
}

/** Adds up now what the schedule adds up every minute. */
function addUp(): void {
  const drop = process.getuid?.() === 0 ? ['--reuid=www-data', '--regid=www-data', '--clear-groups'] : [];
  execFileSync('setpriv', [...drop, 'php', 'artisan', 'gnomic:count'], { env: { ...process.env, GNOMIC_DATA: DATA } });
}

/** What was told last was told in the two hours before as well: one hour by itself is not believed. */
function alsoEarlier(): void {
  const folder = resolve(DATA, 'run/beacons');
  const newest = readdirSync(folder).sort().at(-1) ?? '';
  const line = readFileSync(resolve(folder, newest), 'utf8').trimEnd().split('\n').at(-1) ?? '';
  const told = line.slice(line.indexOf(' '));
  for (const hours of [1, 2]) {
    const at = parseFloat(line) - hours * 3600;
    const file = `${new Date(at * 1000).toISOString().slice(0, 13)}.log`;
    appendFileSync(resolve(folder, file), `${at.toFixed(3)}${told}\n`);
  }
}

interface Counts {
  total: Record<'shown' | 'views' | 'openings' | 'reads' | 'clicks' | 'engaged', number>;
  entries: { name: string | null; openings: number; reads: number; clicks: number }[];
  pages: { page: string; shown: number; views: number; widest: number | null }[];
}
const counts = async (page: Page, key: string): Promise<Counts> =>
  (await (await page.request.get(`/api/widgets/${key}/counts`)).json()) as Counts;

/** A visitor, who is nobody before and after. */
async function visit(
  browser: Browser,
  work: (page: Page) => Promise<void>,
  { userAgent, asks }: { userAgent?: string; asks?: 'gpc' | 'dnt' } = {},
): Promise<void> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, ...(userAgent && { userAgent }) });
  if (asks === 'gpc')
    await context.addInitScript(() => Object.defineProperty(navigator, 'globalPrivacyControl', { value: true }));
  if (asks === 'dnt') await context.addInitScript(() => Object.defineProperty(navigator, 'doNotTrack', { value: '1' }));
  const page = await context.newPage();
  await work(page);
  await page.goto('about:blank');
  await page.waitForTimeout(500); // for what is sent on leaving
  await context.close();
}

/** The same until it holds, as a new visitor each time: nothing is in anybody's cache. */
async function eventually(browser: Browser, work: (page: Page) => Promise<void>): Promise<void> {
  await expect(() => visit(browser, work)).toPass({ timeout: 90_000, intervals: [1000] });
}

const states: [fault: string, verdict: string][] = [
  ['gone', 'missing'],
  ['script-gone', 'script removed'],
  ['element-gone', 'element removed'],
  ['escaped', 'shown as text'],
  ['other-key', 'another key'],
  ['twice', 'there twice'],
  ['policy-header', 'refused by the page’s policy'],
  ['policy-meta', 'refused by the page’s policy'],
  ['policy-report', 'there, and reported'],
  ['held', 'waits for consent'],
  ['hidden', 'hidden'],
  ['framed', 'there in part'],
  ['old-copy', 'an old copy is served'],
  ['sign-in', 'behind a sign-in'],
  ['missing', 'page unreachable'],
];

test('a page is checked in each state that it can be in, and mended', async ({ page }) => {
  await signIn(page);
  await openPage(page, '/planetarium');
  await check(page);
  await expect(finding(page, 'Planetarium, foyer')).toContainText('there');
  for (const [fault, verdict] of states) {
    await breakPage(page, '/planetarium', fault);
    await check(page);
    await expect(finding(page, 'Planetarium, foyer'), fault).toContainText(verdict);
    if (!verdict.startsWith('there')) await expect(finding(page, 'Planetarium, foyer'), fault).toContainText('Next:');
    if (fault === 'policy-header') {
      await expect(finding(page, 'Planetarium, foyer').locator('code').first()).toContainText(
        `script-src 'self' ${GNOMIC}`,
      );
      await expectAccessible(page);
    }
  }
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Not where it should be' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Planetarium, foyer on /planetarium' })).toHaveCount(1);
  await breakPage(page, '/planetarium', '');
  await openPage(page, '/planetarium');
  await check(page);
  await expect(finding(page, 'Planetarium, foyer')).toContainText('✓');
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Planetarium, foyer on /planetarium' })).toHaveCount(0);

  // A place that was pointed at, on a page that has changed.
  await breakPage(page, '/about', 'moved');
  await openPage(page, '/about');
  await check(page);
  await expect(finding(page, 'Strip above the foot')).toContainText('its place is gone');
  await expect(finding(page, 'Badge on every page')).toContainText('✓');
  await breakPage(page, '/about', '');
  await check(page);
  await expect(finding(page, 'Strip above the foot')).toContainText('✓');
});

test('what no fetch can see, the widget itself tells', async ({ page, browser }) => {
  await signIn(page);
  await breakPage(page, '/planetarium', 'folded');
  await visit(browser, async (visitor) => {
    await visitor.goto(`${SITE}/planetarium`);
    await visitor.waitForTimeout(600);
  });
  alsoEarlier();
  addUp();
  await page.goto('/pages');
  await page.getByRole('button', { name: 'Check all now' }).click();
  await expect(async () => {
    await openPage(page, '/planetarium');
    await expect(finding(page, 'Planetarium, foyer')).toContainText('Visitors’ browsers report', { timeout: 2000 });
  }).toPass({ timeout: 60_000 });
  // A look that the owner asks for and that finds it counts for more.
  await breakPage(page, '/planetarium', '');
  await check(page);
  await expect(finding(page, 'Planetarium, foyer')).toContainText('✓');

  // Pictures that somebody on the way holds back.
  await visit(browser, async (visitor) => {
    await visitor.route('**/w/p/**', (route) => route.abort());
    await visitor.goto(`${SITE}/about`);
    await visitor.locator('gnomic-widget[key=hill6wall0]').scrollIntoViewIfNeeded();
    await visitor.waitForTimeout(1000);
  });
  addUp();
  await page.goto('/widgets/hill6wall0/counts');
  await expect(page.getByText('Not as it should be 1 time (pictures did not come).')).toBeVisible();
  await expectAccessible(page);
});

test('pointing at a place puts the widget there, by the one tag of the site', async ({ page, browser }) => {
  await signIn(page);
  await openPage(page, '/visit');
  await page.getByRole('button', { name: 'Put a widget here' }).click();
  await page.getByLabel('Widget', { exact: true }).selectOption({ label: 'About, one voice' });
  await page.getByLabel('Under a part of the page').check();
  await expect(page.getByText('Click the part of the page')).toBeVisible();
  // Browsers leave out what is clicked in a strange frame that has just moved.
  await page.locator('iframe[title="The page, to point at"]').scrollIntoViewIfNeeded();
  await page.waitForTimeout(1000);
  const frame = page.frameLocator('iframe[title="The page, to point at"]');
  await frame.getByRole('heading', { name: 'How to find us' }).click();
  await expect(page.getByLabel('Called')).toHaveValue('How to find us');
  await expect(page.getByText('It stands under')).toBeVisible();
  // The page within the page has landmarks of its own.
  await expectAccessible(page, {
    except: [
      'landmark-unique',
      'landmark-no-duplicate-main',
      'landmark-main-is-top-level',
      'landmark-no-duplicate-banner',
      'landmark-no-duplicate-contentinfo',
      'landmark-banner-is-top-level',
      'landmark-contentinfo-is-top-level',
    ],
  });
  await page.getByText('What differs here').click();
  await page.getByLabel('Entries', { exact: true }).fill('2');
  await page.getByRole('combobox', { name: 'Layout', exact: true }).selectOption({ label: 'List' });
  await page.getByRole('button', { name: 'Put it there' }).click();
  await expect(page.getByText('/visit, under “How to find us”').first()).toBeVisible();
  await eventually(browser, async (visitor) => {
    await visitor.goto(`${SITE}/visit`);
    await expect(visitor.locator('h2:has-text("How to find us") + gnomic-widget article')).toHaveCount(2, {
      timeout: 2500,
    });
  });
  await check(page);
  await expect(finding(page, 'About, one voice')).toContainText('✓');
  await page.goto('/widgets/about1line');
  await expect(page.locator('[data-phrase=place]')).toContainText('/visit, under “How to find us”');
  // Taken away, it is away.
  await page.locator('[data-phrase=place]').click();
  await page.locator('#controls').getByRole('button', { name: 'Take away' }).click();
  await eventually(browser, async (visitor) => {
    await visitor.goto(`${SITE}/visit`);
    await visitor.waitForTimeout(1200);
    await expect(visitor.locator('h2:has-text("How to find us") + gnomic-widget')).toHaveCount(0, { timeout: 100 });
  });
});

test('the pages of the observatory have what their spots say', async ({ page }) => {
  await page.goto(`${SITE}/about`);
  await expect(page.locator('.edge gnomic-widget[key=hill9strip]')).toBeVisible();
  await expect(page.locator('body > footer > gnomic-widget[key=quill7mark]')).toHaveCount(1);
  await page.goto(`${SITE}/workshop`);
  await expect(page.locator('gnomic-widget')).toHaveCount(0);
  // A page about a place shows what was said of it, by one spot for all of them.
  for (const [path, name] of [
    ['the-dome', 'wayleaf'],
    ['harrow-lane-planetarium', 'wayleaf'],
  ]) {
    await page.goto(`${SITE}/venues/${path}`);
    await expect(page.locator('.place + gnomic-widget article'), name).toHaveCount(3);
  }
  const words = (): Promise<string[]> => page.locator('.place + gnomic-widget article .words').allTextContents();
  const lane = await words();
  await page.goto(`${SITE}/venues/the-dome`);
  await expect(page.locator('.place + gnomic-widget article')).toHaveCount(3);
  expect(await words()).not.toEqual(lane);
  await page.goto(`${SITE}/venues/skerry-field-station`);
  await page.waitForTimeout(800);
  await expect(page.locator('.place + gnomic-widget article')).toHaveCount(0);
});

test('views, openings, readings and clicks are counted to the last', async ({ page, browser }) => {
  await signIn(page);
  addUp();
  const before = await counts(page, 'home3band0');
  const beacons: string[] = [];
  for (let time = 0; time < 3; time++)
    await visit(browser, async (visitor) => {
      visitor.on('request', (request) => new URL(request.url()).pathname === '/t' && beacons.push(request.url()));
      await visitor.goto(`${SITE}/`);
      const widget = visitor.locator('gnomic-widget[key=home3band0]');
      await expect(widget.locator('article').first()).toBeVisible();
      if (time === 2) return visitor.waitForTimeout(300).then(() => undefined); // never looked at
      await widget.scrollIntoViewIfNeeded();
      await visitor.waitForTimeout(1500);
      if (time === 0) {
        // Open, close and open again: two readings.
        const more = widget.locator('details.more summary').first();
        for (let turn = 0; turn < 3; turn++) {
          await more.evaluate((summary: HTMLElement) => summary.click());
          await visitor.waitForTimeout(120);
        }
        const away = visitor.waitForEvent('popup');
        await widget.locator('.source a').first().click();
        await (await away).close();
        const popup = visitor.waitForEvent('popup');
        await widget.locator('.foot a').first().click();
        await (await popup).close();
      }
    });
  addUp();
  const after = await counts(page, 'home3band0');
  const more = Object.fromEntries(
    Object.entries(after.total).map(([kind, number]) => [kind, number - before.total[kind as keyof Counts['total']]]),
  );
  expect(more).toEqual({ shown: 3, views: more['views'], openings: 1, reads: 2, clicks: 1, engaged: 1 });
  expect(more['views']).toBeGreaterThanOrEqual(2);
  expect(
    after.entries.reduce((sum, one) => sum + one.reads, 0) - before.entries.reduce((sum, one) => sum + one.reads, 0),
  ).toBe(2);
  expect(after.entries[0]?.name).toBeTruthy();
  for (const url of beacons) expect(url).not.toContain('cookie');

  // Whoever asks not to be followed is not, and neither is a robot.
  const unseen = [{ asks: 'gpc' }, { asks: 'dnt' }, { userAgent: 'ExampleBot/1.0 (+https://bot.example)' }] as const;
  await Promise.all(
    unseen.map((who) =>
      visit(
        browser,
        async (visitor) => {
          await visitor.goto(`${SITE}/`);
          await visitor.locator('gnomic-widget[key=home3band0]').scrollIntoViewIfNeeded();
          await visitor.waitForTimeout(1300);
        },
        who,
      ),
    ),
  );
  // The server heeds them, too, whoever sends what.
  const beacon = `${GNOMIC}/t?h=x&p=/&d=home3band0.9.1.1.0.0.0.0.`;
  for (const headers of [{ 'Sec-GPC': '1' }, { DNT: '1' }] as Record<string, string>[])
    expect((await page.request.post(beacon, { headers })).status()).toBe(204);
  // Of 1 MB, with a body, for a key of nobody: harmless.
  for (const url of [`${GNOMIC}/t?${'x'.repeat(1_000_000)}`, `${GNOMIC}/t?h=x&p=/&d=nobody0key.9.1.1.0.0.0.0.`])
    expect((await page.request.post(url, { data: 'x'.repeat(1_000_000) })).status()).toBeLessThan(500);
  addUp();
  expect((await counts(page, 'home3band0')).total).toEqual(after.total);

  await page.goto('/widgets/home3band0/counts');
  await expect(page.getByRole('heading', { name: 'Who sees Home, what people say' })).toBeVisible();
  await expect(page.getByRole('row', { name: /^\/ / })).toBeVisible();
  await expectAccessible(page);
  await page.goto('/widgets');
  await expect(page.locator('[data-key=home3band0]').getByRole('link', { name: /views? in 30 days/ })).toBeVisible();
});

test('a page that becomes another without loading has the widgets of that one, counted for it @long', async ({
  page,
  browser,
}) => {
  await signIn(page);
  addUp();
  const shown = async (): Promise<Record<string, number>> =>
    Object.fromEntries((await counts(page, 'quill7mark')).pages.map((one) => [one.page, one.shown]));
  const before = await shown();
  await visit(browser, async (visitor) => {
    const foot = visitor.locator('body > footer > gnomic-widget[key=quill7mark]');
    const strip = visitor.locator('.edge gnomic-widget');
    const go = (path: string): Promise<void> => visitor.evaluate((to) => history.pushState(null, '', to), path);
    await visitor.goto(`${SITE}/about`);
    await expect(foot.getByRole('button').first()).toBeVisible();
    await expect(strip).toHaveCount(1);
    // Scripts that make a part of the page anew take with it what stood there, and it is put there again.
    await visitor.evaluate(() => document.querySelector('body > footer > gnomic-widget')!.remove());
    await expect(foot.getByRole('button').first()).toBeVisible();
    await go('/planetarium');
    await expect(foot).toHaveCount(0);
    await expect(strip).toHaveCount(0);
    await go('/shop');
    await expect(foot.getByRole('button').first()).toBeVisible();
    await expect(strip).toHaveCount(1);
    await visitor.waitForTimeout(1500);
    await visitor.goBack();
    await visitor.goBack();
    await expect(foot.getByRole('button').first()).toBeVisible();
    expect(new URL(visitor.url()).pathname).toBe('/about');
    await visitor.waitForTimeout(300);
  });
  addUp();
  const after = await shown();
  expect((after['/shop'] ?? 0) - (before['/shop'] ?? 0)).toBe(1);
  expect((after['/about'] ?? 0) - (before['/about'] ?? 0)).toBeGreaterThanOrEqual(2);
  expect(after['/planetarium']).toBe(before['/planetarium']);
  await page.goto('/widgets/quill7mark/counts');
  await expect(page.getByRole('heading', { name: 'On which pages' })).toBeVisible();
  await expect(page.getByText('Not as it should be')).toHaveCount(0);
});

test('nothing is kept with a visitor, and nobody else is asked', async ({ browser }) => {
  await visit(browser, async (visitor) => {
    const hosts = new Set<string>();
    visitor.on('request', (request) => hosts.add(new URL(request.url()).host));
    await visitor.goto(`${SITE}/visit`);
    await expect(visitor.locator('gnomic-widget[key=dome4visit] article')).toHaveCount(9);
    await visitor.waitForTimeout(1500);
    expect(await visitor.context().cookies()).toEqual([]);
    expect(await visitor.evaluate(() => [localStorage.length, sessionStorage.length, document.cookie])).toEqual([
      0,
      0,
      '',
    ]);
    expect([...hosts].sort()).toEqual([new URL(GNOMIC).host, new URL(SITE).host].sort());
  });
});

/** A page of somebody, on an origin of its own. */
async function onAPage(page: Page, html: string, host = 'localhost'): Promise<() => void> {
  const server = createServer((_, response) =>
    response
      .setHeader('Content-Type', 'text/html')
      .end(`<!doctype html><html lang="en"><meta charset="utf-8"><title>x</title><body>${html}`),
  );
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
  await page.goto(`http://${host}:${(server.address() as AddressInfo).port}/`);
  return () => server.close();
}

test('every code shows the widget where it is pasted', async ({ page, browser }) => {
  await signIn(page);
  const { codes } = (await (await page.request.get('/api/widgets/dome4visit/codes')).json()) as {
    codes: { key: string; code: string }[];
  };
  const code = (key: string): string => codes.find((one) => one.key === key)?.code ?? '';
  await visit(browser, async (visitor) => {
    let close = await onAPage(visitor, code('tag'));
    await expect(visitor.locator('gnomic-widget article')).toHaveCount(9);
    close();
    close = await onAPage(visitor, code('frame'));
    const inside = visitor.frameLocator('iframe').locator('gnomic-widget article');
    await expect(inside).toHaveCount(9);
    const height = (): Promise<number> =>
      visitor.locator('iframe').evaluate((frame) => frame.getBoundingClientRect().height);
    const content = (): Promise<number> =>
      visitor.frames()[1]!.evaluate(() => document.documentElement.getBoundingClientRect().height);
    await expect.poll(async () => Math.abs((await height()) - (await content()))).toBeLessThanOrEqual(1);
    await visitor.setViewportSize({ width: 400, height: 800 });
    await expect.poll(async () => Math.abs((await height()) - (await content()))).toBeLessThanOrEqual(1);
    // Nobody else can set its height.
    const before = await height();
    await visitor.evaluate(() => window.postMessage({ gnomicHeight: 5 }, '*'));
    await visitor.waitForTimeout(200);
    expect(await height()).toBe(before);
    close();
    close = await onAPage(visitor, code('plain'));
    await expect(visitor.getByRole('img')).toHaveJSProperty('complete', true);
    expect(await visitor.getByRole('img').evaluate((image: HTMLImageElement) => image.naturalWidth)).toBe(360);
    close();
  });
  for (const [key, type] of [
    ['svg', 'image/svg+xml'],
    ['png', 'image/png'],
    ['feed', 'application/feed+json'],
    ['rss', 'application/rss+xml'],
    ['atom', 'application/atom+xml'],
  ] as const) {
    const answer = await page.request.get(code(key));
    expect([answer.status(), answer.headers()['content-type']?.split(';')[0]], key).toEqual([200, type]);
  }
  const oembed = await page.request.get(`${GNOMIC}/oembed?url=${encodeURIComponent(code('address'))}`);
  expect(((await oembed.json()) as { type: string }).type).toBe('rich');
});

test('a frame keeps its stated height, and everything in it, without scripts', async ({ page, browser }) => {
  await signIn(page);
  const { codes } = (await (await page.request.get('/api/widgets/harrow7talk/codes')).json()) as {
    codes: { key: string; code: string }[];
  };
  const context = await browser.newContext({ javaScriptEnabled: false });
  const visitor = await context.newPage();
  const close = await onAPage(visitor, codes.find((one) => one.key === 'frame')?.code ?? '');
  await expect(visitor.frameLocator('iframe').locator('article')).toHaveCount(5);
  expect((await visitor.locator('iframe').boundingBox())?.height).toBeGreaterThan(200);
  close();
  await context.close();
});

test('an address that is not allowed shows a link to the site, and the others show the widget @long', async ({
  page,
  browser,
}) => {
  await signIn(page);
  const token = async (): Promise<string> =>
    decodeURIComponent((await page.context().cookies()).find((cookie) => cookie.name === 'XSRF-TOKEN')?.value ?? '');
  const allow = async (allowed: string[] | null): Promise<void> => {
    const answer = await page.request.patch('/api/site', {
      data: { allowed },
      headers: { 'X-XSRF-TOKEN': await token() },
    });
    expect(answer.ok(), await answer.text()).toBe(true);
  };
  const tag = `<script async src="${GNOMIC}/gnomic.js"></script><gnomic-widget key="harrow7talk"></gnomic-widget>`;
  await allow([]);
  try {
    await eventually(browser, async (visitor) => {
      const close = await onAPage(visitor, tag);
      const link = visitor.locator('gnomic-widget > a');
      await expect(link).toHaveText('Quillmoor Observatory', { timeout: 2000 }).finally(close);
      await expect(link).toHaveAttribute('href', `${SITE}/`);
    });
    await visit(browser, async (visitor) => {
      await visitor.goto(`${SITE}/planetarium`);
      await expect(visitor.locator('gnomic-widget[key=harrow7talk] article')).toHaveCount(5);
    });
    await allow(['localhost:*']);
    await eventually(browser, async (visitor) => {
      const close = await onAPage(visitor, tag);
      await expect(visitor.locator('gnomic-widget article')).toHaveCount(5, { timeout: 2000 }).finally(close);
    });
  } finally {
    await allow(null);
  }
});

test('the owner sees links on the own page, and nobody else does @long', async ({ page, browser }) => {
  await signIn(page);
  await openPage(page, '/visit');
  const opened = page.waitForEvent('popup');
  await page.getByRole('button', { name: 'Show me the links on my page' }).click();
  const tab = await opened;
  const link = tab.getByRole('link', { name: /Edit “Dome, visit page” · .* today/ });
  await expect(link).toBeVisible();
  await expect(link).toHaveAttribute('href', `${GNOMIC}/widgets/dome4visit`);
  // It is for this page and this once: neither the bar of the browser nor another page has it.
  expect(tab.url()).not.toContain('gnomic-owner');
  await tab.getByRole('link', { name: 'Planetarium', exact: true }).click();
  await expect(tab.locator('gnomic-widget article').first()).toBeVisible();
  await expect(tab.getByText(/Edit “/)).toHaveCount(0);
  expect(await tab.evaluate(() => [localStorage.length, sessionStorage.length])).toEqual([0, 0]);
  await visit(browser, async (visitor) => {
    await visitor.goto(`${SITE}/visit`);
    await expect(visitor.locator('gnomic-widget[key=dome4visit] article')).toHaveCount(9);
    await expect(visitor.getByText(/Edit “/)).toHaveCount(0);
    await visitor.goto(`${SITE}/visit#gnomic-owner=1.9999999999.${'0'.repeat(40)}`);
    await visitor.waitForTimeout(800);
    await expect(visitor.getByText(/Edit “/)).toHaveCount(0);
  });
});

test('two versions are tried, and one is kept @long', async ({ page, browser }) => {
  await signIn(page, '/widgets/shop5rows0');
  await expect(page.locator('[data-phrase]').first()).toBeVisible();
  const widget = (await (await page.request.get('/api/widgets/shop5rows0')).json()) as {
    brief: { shape: Record<string, unknown> };
  };
  widget.brief.shape['heading'] = 'Another heading';
  const headers = {
    'X-XSRF-TOKEN': decodeURIComponent(
      (await page.context().cookies()).find((cookie) => cookie.name === 'XSRF-TOKEN')?.value ?? '',
    ),
  };
  expect((await page.request.patch('/api/widgets/shop5rows0', { data: { brief: widget.brief }, headers })).ok()).toBe(
    true,
  );
  await page.goto('/widgets/shop5rows0/counts');
  await page.getByRole('button', { name: 'Begin a trial' }).click();
  await expect(page.getByText('Not yet:')).toBeVisible();
  // One and the same visitor has now the one, now the other: nobody is remembered.
  await eventually(browser, async (visitor) => {
    const seen = new Set<boolean>();
    for (let time = 0; time < 14 && seen.size < 2; time++) {
      await visitor.goto(`${SITE}/shop`);
      await expect(visitor.locator('gnomic-widget[key=shop5rows0] article').first()).toBeVisible({ timeout: 2500 });
      seen.add((await visitor.getByText('Another heading').count()) > 0);
    }
    expect(seen.size).toBe(2);
  });
  await page.getByRole('button', { name: 'Keep this one' }).last().click();
  await expect(page.getByText('the other version was kept')).toBeVisible();
  await expect
    .poll(
      async () =>
        (
          (await (await page.request.get('/api/widgets/shop5rows0/editions')).json()) as {
            editions: { cause: string }[];
          }
        ).editions[0]?.cause,
      { timeout: 30_000 },
    )
    .toContain('The other version was kept after a trial');
});
