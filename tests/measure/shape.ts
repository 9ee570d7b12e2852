import { test, type Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { svelte } from '@sveltejs/vite-plugin-svelte';
import { build } from 'vite';
import { entries, LAYOUTS, PAGE, pageWith, render, serve } from '../browser/rendered';

// What layouts weigh, move and cost, each beside a plain baseline of the same run.

const say = (line: string): void => console.warn(line);
const packed = (text: string | Buffer): number => brotliCompressSync(text).length;
const LIMIT = 12;

/** The same widget the usual way: a component drawn in the browser from JSON, with a library for what moves. */
async function usualWay(): Promise<string> {
  const folder = mkdtempSync(join(resolve('var'), 'usual-'));
  writeFileSync(
    join(folder, 'Widget.svelte'),
    `<script>
      import Swiper from 'swiper';
      import { Navigation, Pagination, Autoplay, A11y, Keyboard } from 'swiper/modules';
      import 'swiper/css'; import 'swiper/css/navigation'; import 'swiper/css/pagination';
      let { url } = $props(); let items = $state([]); let place;
      $effect(() => { fetch(url).then((answer) => answer.json()).then((feed) => (items = feed.items)); });
      $effect(() => { if (items.length) new Swiper(place, { modules: [Navigation, Pagination, Autoplay, A11y, Keyboard], slidesPerView: 1, breakpoints: { 640: { slidesPerView: 2 }, 960: { slidesPerView: 3 } }, navigation: true, pagination: { clickable: true } }); });
    </script>
    <div class="swiper" bind:this={place}><div class="swiper-wrapper">{#each items as item (item.id)}<div class="swiper-slide"><article><p class="rating">{item._gnomic?.rating?.value}</p><p>{item.content_text}</p><p class="by">{item.authors?.[0]?.name} <time>{new Date(item.date_published).toLocaleDateString()}</time></p></article></div>{/each}</div></div>
    <style>article{padding:16px;border:1px solid #ddd}.by{color:#666}</style>`,
  );
  writeFileSync(
    join(folder, 'main.js'),
    `import { mount } from 'svelte'; import Widget from './Widget.svelte';
     for (const target of document.querySelectorAll('[data-usual]')) mount(Widget, { target, props: { url: target.dataset.usual } });`,
  );
  await build({
    configFile: false,
    publicDir: false,
    logLevel: 'error',
    plugins: [svelte()],
    build: {
      outDir: join(folder, 'out'),
      lib: {
        entry: join(folder, 'main.js'),
        formats: ['iife'],
        name: 'Usual',
        fileName: () => 'usual.js',
        cssFileName: 'usual',
      },
    },
  });
  return join(folder, 'out');
}

const manifest = (): Record<string, string> =>
  JSON.parse(readFileSync('public/b/manifest.json', 'utf8')) as Record<string, string>;

test('weight', async () => {
  const out = await usualWay();
  const script = packed(readFileSync('public/gnomic.js'));
  const of = (names: string[]): number =>
    [...new Set(names.map((name) => manifest()[name]))]
      .map((file) => packed(readFileSync(`public/b/${file}`)))
      .reduce((sum, one) => sum + one, 0);
  const counting = of(['count']);
  say('\nWeight, packed with brotli, without pictures');
  say(
    `  first script ${script} bytes (wanted: at most 2560), all behaviours ${of(Object.keys(manifest()))} (wanted: at most 9216), of them ${of(['place', 'count', 'frame', 'owner'])} for places, counts, frames and owners`,
  );
  const feed = packed(
    JSON.stringify({
      items: entries('reviews', LIMIT).map((entry) => ({
        id: entry['id'],
        content_text: entry['text'],
        authors: [entry['author']],
        date_published: entry['published'],
      })),
    }),
  );
  const usual = packed(readFileSync(join(out, 'usual.js'))) + packed(readFileSync(join(out, 'usual.css'))) + feed;
  say(`  the usual way, a component with a library: ${usual} bytes`);
  for (const [name, layout] of Object.entries(LAYOUTS)) {
    const html = render(
      { layout, card: ['rating', 'title', 'words', 'name', 'date', 'source', 'pictures'] },
      entries('both', LIMIT),
      [],
      { sift: { limit: LIMIT } },
    );
    const fragment = /<template shadowrootmode[\s\S]*<\/template>/.exec(html)?.[0] ?? '';
    const files = /data-with="([^"]*)"/.exec(fragment)?.[1]?.split(' ') ?? [];
    const whole =
      script + packed(fragment) + files.reduce((sum, file) => sum + packed(readFileSync(`public/b/${file}`)), 0);
    const wanted = name === 'list' ? 6144 : name === 'carousel' ? 8192 : 12_288;
    say(
      `  ${name.padEnd(22)} ${String(whole).padStart(6)} bytes (wanted: at most ${wanted}), ${whole + counting} where views are counted, ${(whole / usual).toFixed(3)} of the usual way (wanted: at most 0.25)`,
    );
  }
});

/** Layout shift, longest task and largest paint of a page, slowed down four times. */
async function felt(page: Page): Promise<{ shift: number; task: number; paint: number }> {
  await page.waitForTimeout(1500);
  return page.evaluate(() => {
    const record = window as unknown as { shift: number; task: number; paint: number };
    return { shift: record.shift, task: record.task, paint: record.paint };
  });
}

test('felt', async ({ page }) => {
  test.setTimeout(300_000);
  await page.addInitScript(() => {
    const record = window as unknown as Record<string, number>;
    record['shift'] = record['task'] = record['paint'] = 0;
    const watch = (type: string, take: (entry: PerformanceEntry) => void): void =>
      new PerformanceObserver((list) => list.getEntries().forEach(take)).observe({ type, buffered: true });
    watch('layout-shift', (entry) => (record['shift']! += (entry as unknown as { value: number }).value));
    watch('longtask', (entry) => (record['task'] = Math.max(record['task']!, entry.duration)));
    watch('largest-contentful-paint', (entry) => (record['paint'] = entry.startTime));
  });
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  const text = `<p>${'Above it, words of the page. '.repeat(60)}</p>`;
  const below = `<p>${'Below it, words of the page. '.repeat(400)}</p>`;
  const median = (numbers: number[]): number =>
    [...numbers].sort((a, b) => a - b)[Math.floor(numbers.length / 2)] ?? NaN;
  const paints = async (go: () => Promise<void>): Promise<{ shift: number; task: number; paint: number }> => {
    const runs = [];
    for (let run = 0; run < 5; run++) {
      await go();
      runs.push(await felt(page));
    }
    return {
      shift: Math.max(...runs.map((run) => run.shift)),
      task: Math.max(...runs.map((run) => run.task)),
      paint: median(runs.map((run) => run.paint)),
    };
  };
  const bare = await paints(() => serve(page, {}, pageWith(text + below).replace(/<script.*?<\/script>/, '')));
  say(
    `\nFelt on a page of text, four times slowed; the page alone paints its largest at ${bare.paint.toFixed(0)} ms, longest task ${bare.task.toFixed(0)} ms`,
  );
  for (const [name, layout] of Object.entries(LAYOUTS)) {
    const shape = { layout };
    const { room } = JSON.parse(render(shape, entries('both'), ['--heights'])) as { room: string };
    const tag =
      room === '0px'
        ? '<gnomic-widget key="felt1"></gnomic-widget>'
        : `<gnomic-widget key="felt1" style="--gnomic-room:${room}"><svg display=block height=0 style="padding-top:var(--gnomic-room);display:if(media(scripting):block;else:none)"><set attributeName=display to=none begin=gno.error;6s /></svg></gnomic-widget>`;
    await serve(page, { felt1: { shape, of: entries('both') } }, pageWith(text + tag + below));
    const told = await paints(async () => void (await page.goto(`${PAGE}/visit`)));
    say(
      `  ${name.padEnd(22)} shift ${told.shift.toFixed(4)} (wanted: 0.00), longest task ${told.task.toFixed(0)} ms (wanted: at most 50), largest paint ${(told.paint / bare.paint).toFixed(2)} of the page alone (wanted: at most 1.05)`,
    );
  }
});

test('render', () => {
  const told = JSON.parse(
    execFileSync('php', ['-d', 'opcache.enable_cli=1', 'tests/measure/render.php']).toString(),
  ) as {
    renders: Record<string, number>;
    plans: Record<string, number>;
  };
  // As the workers that publish run.
  say('\nRenders of twelve cards a second on one core (wanted: at least 300)');
  for (const [name, many] of Object.entries(told.renders)) say(`  ${name.padEnd(14)} ${many}`);
  say('A plan of two hundred entries for every width (wanted: below 10 ms)');
  for (const [name, ms] of Object.entries(told.plans)) say(`  ${name.padEnd(14)} ${ms.toFixed(1)} ms`);
});

test('dress', () => {
  const told = JSON.parse(
    execFileSync('php', ['-d', 'opcache.enable_cli=1', 'tests/measure/dress.php']).toString(),
  ) as { match: number; megabytes: number; mend: { mean: number; median: number; worst: number } };
  say('\nA look read from a page with two megabytes of style sheets (wanted: at most 2 s and 64 MB)');
  say(`  ${told.match} ms, ${told.megabytes} MB`);
  say('A set of tokens drawn by chance, mended (wanted: at most 5 ms)');
  say(`  mean ${told.mend.mean} ms, median ${told.mend.median} ms, worst of a thousand ${told.mend.worst} ms`);
  say(
    'Widgets in the look that their page proposes: what stands on its lines at 1280 and 390 pixels (wanted: 90 in a hundred of each)',
  );
  const lines = execFileSync('php', ['tests/against/tell-lines.php']).toString();
  for (const row of lines.split('\n').filter((line) => line !== '')) say(`  ${row}`);
});
