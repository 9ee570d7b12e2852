import { expect, test, type Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { atFourthOrigin } from '../people';

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
  const folder = test.info().outputPath();
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
    },
  ]);
  writeFileSync(join(folder, 'entries.jsonl'), entries.map((entry) => JSON.stringify(entry)).join('\n'));
  writeFileSync(
    join(folder, 'brief.json'),
    JSON.stringify({
      version: 2,
      sift: { limit: 100, stars: { from: 1, to: 4.5, unrated: 'keep' }, pins: ['t0'] },
      shape: {
        layout: { name: 'list' },
        heading: VECTORS[0],
        card: ['rating', 'title', 'words', 'name', 'date', 'source', 'reply', 'face', 'pictures'],
      },
    }),
  );
  const folderOf = execFileSync('php', [
    'artisan',
    'gnomic:render',
    join(folder, 'brief.json'),
    `--entries=${join(folder, 'entries.jsonl')}`,
    `--out=${join(folder, 'out')}`,
  ])
    .toString()
    .trim();
  page.on('dialog', (dialog) => void dialog.dismiss());
  for (const form of ['widget.html', 'document.html', 'all.html']) {
    const html = readFileSync(join(folderOf, form), 'utf8');
    expect(html).toContain('article');
    await nothingRuns(
      page,
      form === 'widget.html'
        ? `<!doctype html><title>x</title><link rel="icon" href="data:,"><main>${html}</main>`
        : html,
    );
  }
});

/** The elements that the templates write; whatever came from outside is text in them. */
const OWN = new Set(
  'html head meta title link style body main h1 gnomic-widget section article p span div bdi time a details summary br svg rect path g use circle img button nav script ul li'.split(
    ' ',
  ),
);

async function nothingRuns(page: Page, html: string): Promise<void> {
  const asked: string[] = [];
  const note = (request: { url(): string }): void => void asked.push(request.url());
  page.on('request', note);
  const fourth = await atFourthOrigin(html);
  await page.goto(fourth.origin);
  await page.waitForLoadState('networkidle');
  await page.locator('summary').evaluateAll((all) => all.forEach((one) => (one as HTMLElement).click()));
  const links = await page.locator('a').evaluateAll((all) => all.map((one) => (one as HTMLAnchorElement).protocol));
  expect(links.filter((protocol) => !['http:', 'https:', 'mailto:'].includes(protocol))).toEqual([]);
  const elements = await page.evaluate(() => {
    const names = new Set<string>();
    const walk = (root: ParentNode): void =>
      root.querySelectorAll('*').forEach((one) => {
        names.add(one.localName);
        if (one.shadowRoot) walk(one.shadowRoot);
      });
    walk(document);
    return [...names];
  });
  expect(elements.filter((name) => !OWN.has(name))).toEqual([]);
  expect(await page.evaluate(() => (window as unknown as { ran?: number }).ran)).toBeUndefined();
  const own = (url: string): boolean => url.startsWith(fourth.origin) || url.startsWith('data:');
  expect(asked.filter((url) => !own(url))).toEqual([]);
  page.off('request', note);
  fourth.close();
}
