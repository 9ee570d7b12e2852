import { test, type APIRequestContext, type Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { atFourthOrigin, signIn } from '../browser/people';
import { GNOMIC, SITE } from '../browser/setting';
import { beacons, spots } from './place';

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
      // Nothing interrupts it but this, whatever the machine has to do besides.
      timeout: 240_000,
      killSignal: 'SIGKILL',
    },
  ).toString();

// A part that fails, or is not done in its time, is told by a line of its own; the others go on, and the command ends with 1.
test.afterEach(({}, { title, status, duration, errors }) => {
  if (status !== 'passed')
    say(
      `  NOT REACHED in ${(duration / 1000).toFixed(0)} s: the rest of "${title}" (${errors[0]?.message?.split('\n')[0] ?? status})`,
    );
});

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

/** What a browser that has been nowhere yet is sent for a page of one widget: bytes as they are packed, and requests before its words. */
async function got(page: Page, url: string): Promise<{ bytes: number; files: number; before: number }> {
  const context = await page.context().browser()!.newContext();
  const fresh = await context.newPage();
  const sizes: Promise<number>[] = [];
  const paths: string[] = [];
  fresh.on('requestfinished', (request) => {
    const { origin, pathname } = new URL(request.url());
    if (origin !== GNOMIC || request.resourceType() === 'image' || pathname === '/t') return;
    paths.push(pathname);
    sizes.push(request.sizes().then(({ responseBodySize }) => responseBodySize));
  });
  await fresh.goto(url);
  await fresh.locator('gnomic-widget').first().waitFor({ state: 'attached' });
  await fresh.waitForLoadState('networkidle');
  await fresh.waitForTimeout(1200);
  const all = await Promise.all(sizes);
  await context.close();
  // The element's script, then what holds the words; what comes for a widget that is there already is not waited for.
  const words = paths.findIndex((path) => /^\/w\/[a-z0-9]+(\.html|\/(at|open)\..*)$/.test(path));
  return { bytes: all.reduce((sum, one) => sum + one, 0), files: all.length, before: words + 1 };
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
    brief: { version: 2, gather: { kinds: ['review'] }, sift: { stars: { from: 4 }, withWords: true, limit: 12 } },
  });
  await post(`/widgets/${twelve.key}/editions`, {});
  const edition = async (): Promise<number> => {
    for (;;) {
      const widget = (await (await page.request.get(`${GNOMIC}/api/widgets/${twelve.key}`, { headers })).json()) as {
        publishing: boolean;
        edition: { number: number } | null;
      };
      if (!widget.publishing && widget.edition) return widget.edition.number;
      await page.waitForTimeout(200);
    }
  };
  await edition();
  const [script, fragment] = [
    await bytes(page.request, '/gnomic.js'),
    await bytes(page.request, `/w/${twelve.key}.html`),
  ];
  say(`  the tag's script                     ${script} bytes (wanted: at most 4096)`);
  say(`  a twelve-review carousel, all of it  ${script + fragment} bytes (wanted: at most 12288)`);
  // The usual way to a carousel on a page: a library for carousels with its styles, and the entries as JSON.
  const library = ['js', 'css'].map((kind) => readFileSync(`node_modules/swiper/swiper-bundle.min.${kind}`));
  const feed = await (await page.request.get(`${GNOMIC}/w/${twelve.key}.json`)).body();
  const usual = [...library, feed].reduce((sum, part) => sum + brotliCompressSync(part).length, 0);
  say(
    `  the usual way: a library, JSON       ${usual} bytes; ours is ${((script + fragment) / usual).toFixed(3)} of it (wanted: below 0.25)`,
  );

  say("What a visitor of the demo's own widgets gets, each alone on a page, without pictures, counting included");
  for (const [key, kind, wanted] of [
    ['harrow7talk', 'a list', 6144],
    ['dome4visit', 'a carousel', 8192],
    ['home3band0', 'a grid, a carousel on phones', 11_264],
    ['about1line', 'one at a time', 11_264],
    ['shop2short', 'a column with figures', 11_264],
    ['hill6wall0', 'a mosaic', 11_264],
    ['quill7mark', 'a badge with a panel', 11_264],
  ] as const) {
    const alone = await atFourthOrigin(
      `<!doctype html><title>x</title><script async src="${GNOMIC}/gnomic.js"></script><gnomic-widget key="${key}"></gnomic-widget>`,
    );
    const told = await got(page, alone.origin);
    alone.close();
    say(
      `  ${key.padEnd(12)} ${String(told.bytes).padStart(6)} bytes in ${told.files} files (wanted: at most ${wanted}), ${(told.bytes / usual).toFixed(3)} of the usual way (wanted: at most 0.35), first words after ${told.before} requests one after another (wanted: at most 2): ${kind}`,
    );
  }

  say('Layout shift on the host page (wanted: 0.00)');
  say(`  included by the server               ${(await shift(page, `${SITE}/visit`)).toFixed(4)}`);
  say(`  by tag, with room kept by the page   ${(await shift(page, `${SITE}/planetarium`)).toFixed(4)}`);
  const bare = await atFourthOrigin(
    `<!doctype html><title>x</title><h1>Above</h1><script async src="${GNOMIC}/gnomic.js"></script><gnomic-widget key="${twelve.key}"></gnomic-widget><p>${'Below it. '.repeat(400)}</p>`,
  );
  say(`  by tag alone, text right below it    ${(await shift(page, bare.origin)).toFixed(4)}`);
  bare.close();
  await page.goto(`${GNOMIC}/widgets/${twelve.key}`);
  await page.getByRole('button', { name: 'Get the code' }).click();
  await page.waitForTimeout(1000);
  const code = async (name: string): Promise<string> => (await page.locator(`[data-code=${name}]`).textContent()) ?? '';
  const roomy = await atFourthOrigin(
    `<!doctype html><meta name="viewport" content="width=device-width"><title>x</title><h1>Above</h1>${await code('tag')}<p>${'Below it. '.repeat(400)}</p>`,
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
  const briefs: Record<string, { sift: Record<string, unknown> }> = {
    newest: { sift: { stars: { from: 4 }, withWords: true, limit: 9 } },
    highest: { sift: { stars: { from: 4 }, withWords: true, order: 'highest', limit: 9 } },
    shuffled: { sift: { stars: { from: 4 }, withWords: true, order: 'shuffled', limit: 9 } },
    balanced: { sift: { stars: { from: 3 }, withWords: true, order: 'balanced', limit: 9 } },
    words: { sift: { words: { any: ['dome', 'night*'], none: ['queue'] } } },
    'time and length': {
      sift: { when: { last: 24, unit: 'months' }, length: { from: 20 }, languages: { only: ['en', 'de'] } },
    },
    'one of an author': { sift: { stars: { from: 3 }, most: { author: 1 } } },
  };
  const times: Record<number, Record<string, number>> = {};
  for (const count of [1000, 10_000, 20_000, 100_000]) {
    if (Number(php('tests/measure/fill.php', String(count))) < count) throw new Error(`There are no ${count} entries.`);
    const plain = await timed(() => page.request.get(`${GNOMIC}/api/session`, { headers }));
    const took: Record<string, number> = {};
    for (const [name, brief] of Object.entries(briefs))
      took[name] = await timed(() =>
        post('/proof', { brief: { version: 2, gather: { kinds: ['review'] }, ...brief }, widths: [360, 768, 1120] }),
      );
    times[count] = took;
    const told = Object.entries(took).map(([name, ms]) => `${name} ${ms.toFixed(0)}`);
    say(
      `  ${String(count).padStart(7)} entries  ${told.join(', ')} ms   (baseline, a request that asks one row: ${plain.toFixed(0)} ms)`,
    );
  }
  const growth = (from: number, to: number): string =>
    Object.keys(briefs)
      .map((name) => `${name} ${((times[to]?.[name] ?? NaN) / (times[from]?.[name] ?? NaN)).toFixed(1)}`)
      .join(', ');
  say(`  growth from 1,000 to 20,000                         ${growth(1000, 20_000)}`);
  say(`  growth from 1,000 to 100,000 (wanted: at most 4)    ${growth(1000, 100_000)}`);

  const plain = await timed(() => page.request.get(`${GNOMIC}/api/session`, { headers }));
  say(
    `Search in 100,000 entries, whole request (median of 30), against a bare one of ${plain.toFixed(0)} ms (wanted: at most 3 times)`,
  );
  for (const words of ['saturn', 'the dome', 'nig', '天文', 'xylophone']) {
    const took = await timed(() =>
      page.request.get(`${GNOMIC}/api/entries?search=${encodeURIComponent(words)}`, { headers }),
    );
    say(`  ${words.padEnd(10)} ${took.toFixed(0)} ms, ${(took / plain).toFixed(1)} times`);
  }
  const listed = await timed(() => page.request.get(`${GNOMIC}/api/entries?from=60000`, { headers }));
  say(`  the list without words, from its 60,000th  ${listed.toFixed(0)} ms`);

  say('Publishing (median of 9)');
  const published = JSON.parse(php('tests/measure/publish.php', '9')) as Record<
    'one' | 'many',
    { milliseconds: number; queries: number; fragments: number }
  >;
  for (const { milliseconds, queries, fragments } of [published.one, published.many])
    say(`  ${fragments} fragments  ${milliseconds.toFixed(0)} ms, ${queries} queries`);
  say(`  ratio  ${(published.many.milliseconds / published.one.milliseconds).toFixed(1)} times (wanted: at most 6)`);

  say('An import of 2,000 rows that a widget shows');
  const numberBefore = await edition();
  await page.goto(`${GNOMIC}/sources/add/table`);
  const rows = Array.from(
    { length: 2000 },
    (_, index) => `Guest ${index},The Book,2026-11-0${1 + (index % 9)},5,The rings of night ${index} and more.`,
  );
  await page.getByLabel('CSV, TSV, XLSX').setInputFiles({
    name: 'book.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`author,said at,date,rating,text\n${rows.join('\n')}\n`),
  });
  await page.getByRole('button', { name: 'Look at it' }).click();
  await page.getByRole('button', { name: 'Import 2000 rows' }).click({ timeout: 120_000 });
  await page.getByText('2000 new and 0 changed').waitFor({ timeout: 300_000 });
  const from = performance.now();
  while ((await edition()) === numberBefore && performance.now() - from < 120_000) await page.waitForTimeout(500);
  const followed = (performance.now() - from) / 1000;
  await page.waitForTimeout(15_000); // beyond the sweep of what waits
  say(
    `  editions of it  ${(await edition()) - numberBefore} (wanted: 1), ${followed.toFixed(1)} s after it, its pages of everything among them`,
  );

  say('Requests a second (wrk, 2 threads, 16 connections)');
  const [file, answered] = [requestsPerSecond('/w/dome4visit.html'), requestsPerSecond('/')];
  say(`  a published widget  ${file.toFixed(0)}`);
  say(`  a page by PHP       ${answered.toFixed(0)}   (the file is ${(file / answered).toFixed(0)} times as fast)`);
});

test('place', async ({ page, request }) => {
  await spots(page, request, say);
  say('Counting');
  await signIn(page);
  const views = async (): Promise<number> =>
    ((await (await page.request.get('/api/widgets/dome4visit/counts')).json()) as { total: { views: number } }).total
      .views;
  php('artisan', 'gnomic:count');
  const before = await views();
  // As many at once as one sender may send: beyond, the server answers with a refusal.
  const sent = await beacons(600, 200, say);
  const from = performance.now();
  php('artisan', 'gnomic:count');
  say(`  added up in ${(performance.now() - from).toFixed(0)} ms, the command's start included`);
  say(`  counted ${(await views()) - before} of ${sent} (wanted: all)`);
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
  const measured = [10_000, 100_000, 10_000, 100_000, 10_000, 100_000].map((count) => {
    const told = JSON.parse(php('tests/measure/gather.php', String(count))) as Gathered;
    say(
      `  ${String(told.count).padStart(7)} entries  ${told.seconds.toFixed(1)} s, ${told.perSecond.toFixed(0)} a second (wanted: at least 5000), ` +
        `${told.megabytes.toFixed(0)} MB at most (wanted: below 256), ${told.alike} told again; ${(told.seconds / told.plain).toFixed(0)} times as long as parsing the JSON alone`,
    );
    return told;
  });
  const growths = [0, 2, 4].map((pair) => (measured[pair + 1]?.seconds ?? NaN) / (measured[pair]?.seconds ?? NaN));
  say(
    `  growth from 10,000 to 100,000  ${growths.map((one) => one.toFixed(2)).join(', ')}; median ${median(growths).toFixed(2)} times (wanted: at most 10.5)`,
  );
});
