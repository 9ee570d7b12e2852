import { test, type APIRequestContext, type Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { resolve } from 'node:path';
import { atFourthOrigin, signIn } from '../browser/people';
import { GNOMIC, SITE } from '../browser/setting';

// Measures, and asserts nothing of time: figures of one run on one machine, with a baseline beside each.

const DATA = resolve('var/measure');
const say = (line: string): void => console.warn(line);
const median = (numbers: number[]): number => [...numbers].sort((a, b) => a - b)[Math.floor(numbers.length / 2)] ?? NaN;
const php = (...words: string[]): string =>
  execFileSync(
    'setpriv',
    [...(process.getuid?.() === 0 ? ['--reuid=www-data', '--regid=www-data', '--clear-groups'] : []), 'php', ...words],
    {
      env: { ...process.env, GNOMIC_DATA: DATA },
    },
  ).toString();

async function timed(work: () => Promise<unknown>, times = 31): Promise<number> {
  const took: number[] = [];
  for (let round = 0; round < times; round++) {
    const from = performance.now();
    await work();
    took.push(performance.now() - from);
  }
  return median(took.slice(1));
}

async function bytes(request: APIRequestContext, path: string): Promise<number> {
  const answer = await request.fetch(GNOMIC + path, { headers: { 'Accept-Encoding': 'br' } });
  return Number(answer.headers()['content-length']);
}

async function shift(page: Page, url: string): Promise<number> {
  await page.addInitScript(() => {
    const record = window as unknown as { shift: number };
    record.shift = 0;
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) record.shift += (entry as unknown as { value: number }).value;
    }).observe({ type: 'layout-shift', buffered: true });
  });
  await page.goto(url);
  await page.locator('gnomic-widget article').first().waitFor();
  await page.waitForTimeout(800);
  return page.evaluate(() => (window as unknown as { shift: number }).shift);
}

function requestsPerSecond(path: string): number {
  const report = execFileSync('wrk', ['-t2', '-c16', '-d4s', '-H', 'Accept-Encoding: br', GNOMIC + path]).toString();
  return Number(/Requests\/sec:\s+([\d.]+)/.exec(report)?.[1]);
}

test('measure', async ({ page }) => {
  await signIn(page);
  const token = (await page.context().cookies()).find(({ name }) => name === 'XSRF-TOKEN')?.value ?? '';
  const headers = { 'X-XSRF-TOKEN': decodeURIComponent(token), Accept: 'application/json' };
  const post = async (path: string, data: unknown): Promise<Record<string, unknown>> => {
    const answer = await page.request.post(`${GNOMIC}/api${path}`, { headers, data });
    if (!answer.ok()) throw new Error(`${path}: ${answer.status()} ${await answer.text()}`);
    return answer.json();
  };

  say('\nSize, packed with brotli');
  const twelve = await post('/widgets', {
    name: 'Twelve',
    brief: { version: 1, gather: { sources: ['the-dome'] }, sift: { stars: { from: 4 }, withWords: true, limit: 12 } },
  });
  await post(`/widgets/${twelve.key}/editions`, {});
  const [script, fragment] = [
    await bytes(page.request, '/gnomic.js'),
    await bytes(page.request, `/w/${twelve.key}.html`),
  ];
  say(`  the tag's script                     ${script} bytes (wanted: at most 4096)`);
  say(`  a twelve-review carousel, all of it  ${script + fragment} bytes (wanted: at most 12288)`);

  say('Layout shift on the host page (wanted: 0.00)');
  say(`  included by the server               ${(await shift(page, `${SITE}/visit`)).toFixed(4)}`);
  say(`  by tag, with room kept by the page   ${(await shift(page, `${SITE}/planetarium`)).toFixed(4)}`);
  const bare = await atFourthOrigin(
    `<!doctype html><title>x</title><h1>Above</h1><script async src="${GNOMIC}/gnomic.js"></script><gnomic-widget key="${twelve.key}"></gnomic-widget><p>${'Below it. '.repeat(400)}</p>`,
  );
  say(`  by tag alone, text right below it    ${(await shift(page, bare.origin)).toFixed(4)}`);
  bare.close();
  await page.goto(`${GNOMIC}/widgets/${twelve.key}`);
  await page.getByRole('button', { name: 'Code to paste' }).click();
  await page.waitForTimeout(1000);
  const code = async (name: string): Promise<string> => (await page.locator(`[data-code=${name}]`).textContent()) ?? '';
  const roomy = await atFourthOrigin(
    `<!doctype html><meta name="viewport" content="width=device-width"><title>x</title><h1>Above</h1>${await code('room')}${await code('tag')}<p>${'Below it. '.repeat(400)}</p>`,
  );
  say(`  by tag, with the room the bench says ${(await shift(page, roomy.origin)).toFixed(4)}`);
  roomy.close();

  say('A round in which nothing changed');
  const state = (): string =>
    php(
      '-r',
      `$d = new PDO('sqlite:${DATA}/gnomic.sqlite'); echo json_encode($d->query("SELECT (SELECT COUNT(*) FROM entries), (SELECT MAX(updated_at) FROM entries), (SELECT COUNT(*) FROM revisions), (SELECT COUNT(*) FROM editions)")->fetch(PDO::FETCH_NUM));`,
    );
  const before = state();
  const told = php('artisan', 'gnomic:round', 'the-dome').trim();
  say(`  ${told}; entries, revisions and editions ${before === state() ? 'untouched' : 'CHANGED'}`);

  say('Proof after a change on the bench, whole request (median of 30)');
  const briefs = ['newest', 'highest', 'shuffled'].map((order) => ({
    version: 1,
    gather: { kinds: ['review'] },
    sift: { stars: { from: 4 }, withWords: true, order, limit: 9 },
  }));
  const times: Record<number, number[]> = {};
  for (const count of [1000, 20_000]) {
    php('tests/measure/fill.php', String(count));
    const plain = await timed(() => page.request.get(`${GNOMIC}/api/session`, { headers }));
    times[count] = [];
    for (const brief of briefs) {
      const took = await timed(() => post('/proof', { brief, widths: [360, 768, 1120] }));
      times[count].push(took);
      say(
        `  ${String(count).padStart(6)} entries, ${brief.sift.order.padEnd(9)} ${took.toFixed(1).padStart(6)} ms   (baseline, a request that asks one row: ${plain.toFixed(1)} ms)`,
      );
    }
  }
  briefs.forEach((brief, index) => {
    const ratio = (times[20_000]?.[index] ?? NaN) / (times[1000]?.[index] ?? NaN);
    say(`  growth from 1,000 to 20,000, ${brief.sift.order.padEnd(9)} ${ratio.toFixed(2)} times (wanted: at most 3)`);
  });

  say('Requests a second (wrk, 2 threads, 16 connections)');
  const [file, answered] = [requestsPerSecond('/w/dome4visit.html'), requestsPerSecond('/')];
  say(`  a published widget  ${file.toFixed(0)}`);
  say(`  a page by PHP       ${answered.toFixed(0)}   (the file is ${(file / answered).toFixed(0)} times as fast)`);
});

test('gather', () => {
  interface Gathered {
    count: number;
    seconds: number;
    perSecond: number;
    plain: number;
    alike: number;
    megabytes: number;
  }
  say('Reading and matching JSON Lines, language and likeness included, on one core');
  const [few, many] = [10_000, 100_000].map((count) => {
    const told = JSON.parse(php('tests/measure/gather.php', String(count))) as Gathered;
    say(
      `  ${String(told.count).padStart(7)} entries  ${told.seconds.toFixed(1)} s, ${told.perSecond.toFixed(0)} a second (wanted: at least 3000), ` +
        `${told.megabytes.toFixed(0)} MB at most (wanted: below 256), ${told.alike} told again; ${(told.seconds / told.plain).toFixed(0)} times as long as parsing the JSON alone`,
    );
    return told;
  });
  say(
    `  growth from 10,000 to 100,000  ${((many?.seconds ?? NaN) / (few?.seconds ?? NaN)).toFixed(2)} times (wanted: at most 11)`,
  );
});
