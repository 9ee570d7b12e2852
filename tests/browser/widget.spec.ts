import { expect, test, type Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { atFourthOrigin, expectAccessible } from './people';
import { GNOMIC, SITE } from './setting';

const WIDGETS = ['dome4visit', 'harrow7talk'];

/** By how much what is seen moves, from now on (Layout Instability). Runs in the page. */
function recordShifts(): void {
  const record = window as unknown as { shift: number };
  record.shift = 0;
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) record.shift += (entry as unknown as { value: number }).value;
  }).observe({ type: 'layout-shift', buffered: true });
}
const shifted = (page: Page): Promise<number> => page.evaluate(() => (window as unknown as { shift: number }).shift);
const painted = (page: Page): Promise<unknown> =>
  page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve))));

test('what is public answers with the right headers, and "not modified" to who has it', async ({ request }) => {
  for (const path of ['.html', '', '.json']) {
    const answer = await request.get(`${GNOMIC}/w/dome4visit${path}`);
    expect(answer.status()).toBe(200);
    const headers = answer.headers();
    expect(headers['content-type']).toBe(
      path === '.json' ? 'application/feed+json; charset=utf-8' : 'text/html; charset=utf-8',
    );
    expect(headers['cache-control']).toBe('public, max-age=60, stale-while-revalidate=86400, stale-if-error=604800');
    expect(headers['access-control-allow-origin']).toBe('*');
    expect(headers['set-cookie']).toBeUndefined();
    expect(headers['etag']).toMatch(/^"[^"]+"$/); // strong
    // The worker of this demo may publish between an answer and the next question: then it is asked once more.
    await expect(async () => {
      const { etag } = (await request.get(`${GNOMIC}/w/dome4visit${path}`)).headers();
      const again = await request.get(`${GNOMIC}/w/dome4visit${path}`, { headers: { 'If-None-Match': etag ?? '' } });
      expect(again.status()).toBe(304);
    }).toPass({ timeout: 20_000 });
  }
  const feed = await (await request.get(`${GNOMIC}/w/dome4visit.json`)).json();
  expect(feed.version).toBe('https://jsonfeed.org/version/1.1');
  expect(feed.items).toHaveLength(9);
  const none = await request.get(`${GNOMIC}/w/nosuchkey1.html`);
  expect(none.status()).toBe(404);
  expect(await none.text()).toContain('There is no widget with this key');
});

test('scripts are off: the included widget and the framed one still show everything', async ({ browser }) => {
  const context = await browser.newContext({ javaScriptEnabled: false });
  const page = await context.newPage();
  await page.goto(`${SITE}/visit`);
  await expect(page.locator('gnomic-widget article')).toHaveCount(9);
  await expect(page.locator('gnomic-widget .turn')).toBeHidden();
  const rest = page.locator('gnomic-widget article:has(.rest)').first();
  await expect(rest.locator('.rest')).toBeHidden();
  await rest.locator('summary').click();
  await expect(rest.locator('.rest')).toBeVisible();
  await page.goto(`${SITE}/planetarium`);
  await expect(page.frameLocator('iframe').locator('article')).toHaveCount(5);
  await context.close();
});

test('the carousel turns by button, key and swipe, as many as there is room for', async ({ page }) => {
  await page.goto(`${SITE}/visit`);
  const widget = page.locator('gnomic-widget');
  await widget.scrollIntoViewIfNeeded();
  await expect(widget.locator('.at')).toHaveText('1 of 3');
  await expect(widget.getByRole('button', { name: 'Previous' })).toBeDisabled();
  await widget.getByRole('button', { name: 'Next' }).click();
  await expect(widget.locator('.at')).toHaveText('2 of 3');
  await widget.locator('.cards').focus();
  await page.keyboard.press('End');
  await expect(widget.locator('.at')).toHaveText('3 of 3');
  await expect(widget.getByRole('button', { name: 'Next' })).toBeDisabled();
  await page.keyboard.press('ArrowLeft');
  await expect(widget.locator('.at')).toHaveText('2 of 3');
  await page.keyboard.press('Home');
  await expect(widget.locator('.at')).toHaveText('1 of 3');
  // A swipe is the browser's own scrolling, which snaps to a card.
  await widget
    .locator('.cards')
    .evaluate((track) => track.scrollBy({ left: track.clientWidth - 30, behavior: 'instant' }));
  await expect(widget.locator('.at')).toHaveText('2 of 3');
  await page.setViewportSize({ width: 420, height: 800 });
  await expect(widget.locator('.at')).toContainText('of 9');
});

test('a carousel that moves by itself can be stopped, and stands still for who wants no motion', async ({
  page,
  browser,
}) => {
  const folder = test.info().outputPath();
  const layout = { name: 'carousel', across: 3, autoplay: 4 };
  writeFileSync(join(folder, 'brief.json'), JSON.stringify({ version: 2, sift: { limit: 9 }, shape: { layout } }));
  const entries = Array.from({ length: 9 }, (_, index) => ({
    id: `e${index}`,
    kind: 'review',
    text: `Night ${index}.`,
  }));
  writeFileSync(join(folder, 'entries.jsonl'), entries.map((entry) => JSON.stringify(entry)).join('\n'));
  const command = [
    'artisan',
    'gnomic:render',
    join(folder, 'brief.json'),
    `--entries=${join(folder, 'entries.jsonl')}`,
  ];
  const html = execFileSync('php', command).toString();
  const fourth = await atFourthOrigin(
    `<!doctype html><title>x</title><gnomic-widget key="moving1">${html}</gnomic-widget><script src="${GNOMIC}/gnomic.js"></script>`,
  );
  await page.clock.install();
  await page.goto(fourth.origin);
  const at = page.locator('gnomic-widget .at');
  await expect(at).toHaveText('1 of 3');
  await page.clock.runFor(4100);
  await expect(at).toHaveText('2 of 3');
  await page.getByRole('button', { name: 'Pause' }).click();
  await page.mouse.move(0, 0);
  await page.clock.runFor(20_000);
  await expect(at).toHaveText('2 of 3');
  await page.getByRole('button', { name: 'Play' }).click();
  await page.mouse.move(0, 0);
  await page.locator('body').click({ position: { x: 1, y: 1 } }); // the focus leaves it too
  await page.clock.runFor(4100);
  await expect(at).toHaveText('3 of 3');

  const calm = await browser.newContext({ reducedMotion: 'reduce' });
  const still = await calm.newPage();
  await still.clock.install();
  await still.goto(fourth.origin);
  await expect(still.locator('gnomic-widget .at')).toHaveText('1 of 3');
  await still.clock.runFor(20_000);
  await expect(still.locator('gnomic-widget .at')).toHaveText('1 of 3');
  await calm.close();
  fourth.close();
});

test('an unknown key shows nothing broken, and what stood in the tag stays', async ({ page }) => {
  const warnings: string[] = [];
  page.on('console', (message) => message.type() === 'warning' && warnings.push(message.text()));
  const fourth = await atFourthOrigin(
    `<!doctype html><title>x</title><script async src="${GNOMIC}/gnomic.js"></script><gnomic-widget key="nosuchkey1">Ask us</gnomic-widget><gnomic-widget key="../../etc">And us</gnomic-widget>`,
  );
  await page.goto(fourth.origin);
  await expect.poll(() => warnings.length).toBe(2);
  expect(warnings.join()).toContain('there is no widget with the key "nosuchkey1"');
  await expect(page.getByText('Ask us')).toBeVisible();
  await expect(page.getByText('And us')).toBeVisible();
  fourth.close();
});

test('a page that comes in pieces gets its widget whole: nothing of it is seen, and nothing moves, before', async ({
  page,
  request,
}) => {
  const edition = await (await request.get(`${GNOMIC}/w/dome4visit.html`)).text();
  const cut = edition.indexOf('class="item"', edition.indexOf('class="item"') + 1) + 200;
  let goOn = (): void => undefined;
  const waits = new Promise<void>((resolve) => (goOn = resolve));
  const server = createServer(async (_, response) => {
    response.setHeader('Content-Type', 'text/html');
    response.write(`<!doctype html><title>x</title><script src="${GNOMIC}/gnomic.js"></script>${' '.repeat(2000)}`);
    response.write(`<main><gnomic-widget key="dome4visit">${edition.slice(0, cut)}`);
    await waits;
    response.end(`${edition.slice(cut)}</gnomic-widget></main>`);
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  await page.addInitScript(recordShifts);
  await page.goto(`http://localhost:${(server.address() as AddressInfo).port}`, { waitUntil: 'commit' });
  await expect(page.locator('gnomic-widget .item')).toHaveCount(2);
  await expect(page.locator('gnomic-widget .words').first()).toBeHidden();
  await painted(page);
  goOn();
  await expect(page.locator('gnomic-widget article')).toHaveCount(9);
  await expect(page.locator('gnomic-widget .words').first()).toBeVisible();
  await expect(page.locator('gnomic-widget .at')).toHaveText('1 of 3');
  await painted(page);
  expect(await shifted(page)).toBe(0);
  server.close();
});

test('nothing on the page moves when the widget is included', async ({ page }) => {
  await page.addInitScript(recordShifts);
  await page.goto(`${SITE}/visit`);
  await expect(page.locator('gnomic-widget .turn.live')).toBeVisible();
  await page.waitForLoadState('networkidle');
  await painted(page);
  expect(await shifted(page)).toBe(0);
});

test('both layouts and dressings are accessible on their pages and as documents @long', async ({ page }) => {
  for (const path of [`${SITE}/visit`, `${SITE}/planetarium`, ...WIDGETS.map((key) => `${GNOMIC}/w/${key}`)]) {
    await page.goto(path);
    await expect(page.locator('gnomic-widget article').first()).toBeVisible();
    await expectAccessible(page);
  }
});

test('what is published is without errors for the Nu Html Checker @long', async ({ request }) => {
  const folder = test.info().outputPath();
  const files = await Promise.all(
    WIDGETS.flatMap((key) => [
      { name: `${key}-document.html`, path: `/w/${key}`, wrap: (html: string) => html },
      {
        name: `${key}-included.html`,
        path: `/w/${key}.html`,
        wrap: (html: string) =>
          `<!doctype html><html lang="en"><head><title>x</title></head><body><gnomic-widget>${html}</gnomic-widget></body></html>`,
      },
    ]).map(async ({ name, path, wrap }) => {
      const file = join(folder, name);
      writeFileSync(file, wrap(await (await request.get(GNOMIC + path)).text()));
      return file;
    }),
  );
  let report = '';
  try {
    execFileSync(
      'java',
      ['-jar', 'node_modules/vnu-jar/build/dist/vnu.jar', '--format', 'json', '--errors-only', ...files],
      { stdio: 'pipe' },
    );
  } catch (error) {
    report = String((error as { stderr: Buffer }).stderr);
  }
  const messages =
    report === ''
      ? []
      : (JSON.parse(report) as { messages: { type: string; message: string; extract?: string }[] }).messages;
  expect(messages.map(({ message, extract }) => `${message} ${extract ?? ''}`)).toEqual([]);
});

test('what a visitor transfers stays small', async ({ request }) => {
  const size = async (path: string): Promise<number> =>
    Number((await request.get(GNOMIC + path, { headers: { 'Accept-Encoding': 'br' } })).headers()['content-length']);
  const [script, fragment] = [await size('/gnomic.js'), await size('/w/dome4visit.html')];
  expect(script).toBeLessThanOrEqual(4096);
  expect(script + fragment).toBeLessThanOrEqual(12_288);
});
