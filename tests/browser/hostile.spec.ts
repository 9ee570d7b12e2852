import { expect, test } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { atFourthOrigin } from './people';

// Text from outside is hostile. The vectors are those that lists of cross-site scripting tests have in common (from
// memory): through every member of an entry, nothing of them runs in the browser, in a widget or in its whole document.

const RUN = 'window.ran=(window.ran||0)+1';
const VECTORS = [
  `<script>${RUN}</script>`,
  `<img src=x onerror="${RUN}">`,
  `<svg onload="${RUN}"><animate onbegin="${RUN}" attributeName=x dur=1s>`,
  `<svg><script>${RUN}</script></svg>`,
  `<a href="javascript:${RUN}">x</a>`,
  `<a href="jav&#x09;ascript:${RUN}">x</a>`,
  `<iframe srcdoc="<script>parent.${RUN}</script>"></iframe>`,
  `<details open ontoggle="${RUN}">x</details>`,
  `<input autofocus onfocus="${RUN}">`,
  `<video><source onerror="${RUN}"></video>`,
  `<math><mtext><table><mglyph><style><!--</style><img title="--&gt;&lt;img src=1 onerror=${RUN}&gt;">`,
  `<template shadowrootmode="open"><script>${RUN}</script></template>`,
  `</template></section><script>${RUN}</script>`,
  `</style><script>${RUN}</script>`,
  `"><script>${RUN}</script>`,
  `'"><img src=x onerror=${RUN}>`,
  `<style>@import 'javascript:${RUN}';</style>`,
  `<object data="data:text/html,<script>parent.${RUN}</script>"></object>`,
  `<base href="https://evil.example/">`,
  `<meta http-equiv="refresh" content="0;url=javascript:${RUN}">`,
  `<form><button formaction="javascript:${RUN}">x</button></form>`,
  `<noscript><p title="</noscript><img src=x onerror=${RUN}>">`,
  `{{constructor.constructor('${RUN}')()}}`,
  `\u202Eevil\u202C<img src=x onerror=${RUN}>`,
];

test('nothing that comes from outside runs', async ({ page }) => {
  const folder = mkdtempSync(join(tmpdir(), 'gnomic-hostile-'));
  const entries = VECTORS.flatMap((vector, index) => [
    {
      id: `t${index}`,
      kind: 'review',
      author: { name: vector, image: 'javascript:1' },
      title: vector,
      text: vector,
      source: vector,
      url: `javascript:${RUN}`,
      rating: { value: 5 },
      reply: { text: vector },
    },
    {
      id: `h${index}`,
      kind: 'post',
      html: `<p>Words ${vector} and more words</p>`,
      tags: [vector],
      language: 'en" onload="x',
    },
  ]);
  writeFileSync(join(folder, 'entries.jsonl'), entries.map((entry) => JSON.stringify(entry)).join('\n'));
  writeFileSync(
    join(folder, 'brief.json'),
    JSON.stringify({
      version: 2,
      sift: { limit: 100 },
      shape: {
        layout: { name: 'list' },
        heading: VECTORS[0],
        card: ['rating', 'title', 'words', 'name', 'date', 'source', 'reply', 'face', 'pictures'],
      },
    }),
  );
  const html = execFileSync('php', [
    'artisan',
    'gnomic:render',
    join(folder, 'brief.json'),
    `--entries=${join(folder, 'entries.jsonl')}`,
  ]).toString();
  expect(html).toContain('article');

  const asked: string[] = [];
  page.on('request', (request) => asked.push(request.url()));
  page.on('dialog', (dialog) => void dialog.dismiss());
  const fourth = await atFourthOrigin(
    `<!doctype html><title>x</title><link rel="icon" href="data:,"><main>${html}</main>`,
  );
  await page.goto(fourth.origin);
  await page.waitForLoadState('networkidle');
  await page.locator('summary').evaluateAll((all) => all.forEach((one) => (one as HTMLElement).click()));
  await page
    .locator('a')
    .evaluateAll((all) =>
      all.forEach((one) => one.getAttribute('href')?.startsWith('http') || (one as HTMLElement).click()),
    );
  expect(await page.evaluate(() => (window as unknown as { ran?: number }).ran)).toBeUndefined();
  expect(asked.filter((url) => !url.startsWith(fourth.origin) && !url.startsWith('data:'))).toEqual([]);
  fourth.close();
});
