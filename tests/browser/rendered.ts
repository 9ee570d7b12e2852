import type { Page, Route } from '@playwright/test';
import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { layoutsIn, schemaOf } from './drawn';
import { rendering } from './renderer';
import { LONG } from './setting';

/** Layouts with settings that show what they are. */
const SHOWN: Record<string, Record<string, unknown>> = {
  list: { name: 'list' },
  column: { name: 'list', column: true },
  grid: { name: 'grid' },
  'grid, centred': { name: 'grid', last: 'centred' },
  'grid, stretched': { name: 'grid', last: 'stretched' },
  masonry: { name: 'masonry' },
  carousel: { name: 'carousel', autoplay: 5, controls: ['arrows', 'dots', 'numbers'] },
  'carousel of two rows': { name: 'carousel', rows: 2 },
  'one at a time': { name: 'one-at-a-time' },
  'one at a time, arrows over': { name: 'one-at-a-time', arrows: 'over' },
  'carousel, arrows beside': { name: 'carousel', arrows: 'beside', controls: ['arrows', 'dots'] },
  single: { name: 'single' },
  'photo rows': { name: 'photo-rows' },
  mosaic: { name: 'mosaic' },
  strip: { name: 'strip' },
  ticker: { name: 'ticker' },
  rating: { name: 'rating' },
  seal: { name: 'rating', form: 'seal' },
  button: { name: 'panel' },
  badge: { name: 'panel', form: 'badge' },
  tab: { name: 'panel', form: 'tab' },
  notices: { name: 'notices', after: 0 },
};

/** All layouts that a brief can have; those that nobody has named above as they are by themselves. */
export const LAYOUTS: Record<string, Record<string, unknown>> = {
  ...SHOWN,
  ...Object.fromEntries(
    Object.keys(layoutsIn(schemaOf('shape', 'layout')))
      .filter((name) => !Object.values(SHOWN).some((shown) => shown['name'] === name))
      .map((name) => [name, { name }]),
  ),
};

const kindOf = (layout: Record<string, unknown>): string => `${String(layout['name'])} ${String(layout['form'])}`;

/** The first of each layout and form, for what their other settings do not change; all of them in the long run. */
export const DIFFERENT = Object.entries(LAYOUTS).filter(
  ([, layout], place, all) => LONG || all.findIndex(([, other]) => kindOf(other) === kindOf(layout)) === place,
);

const PARTS = ['rating', 'title', 'words', 'pictures', 'face', 'name', 'date', 'source'];

const WORDS = [
  'Saturn was so sharp that my daughter asked whether it was a sticker on the lens. Two hours went like ten minutes.',
  'Cloud at nine, stars at ten. They kept the dome open for us and talked us through the whole summer sky, one constellation after another, until the last visitor had seen the double cluster, and nobody wanted to go home even though it was freezing by then.',
  'Cold, dark, wonderful. Bring gloves and arrive before sunset for the parking.',
  'A night to keep.',
];
/** Of pictures in turn. */
const SIZES = [
  [800, 600],
  [600, 800],
  [1200, 600],
  [640, 640],
] as const;

export interface Written {
  [member: string]: unknown;
}

/** Entries of nobody's: reviews, posts with pictures, or now one and now the other. */
export function entries(kind: 'reviews' | 'posts' | 'both', count = 14): Written[] {
  return Array.from({ length: count }, (_, index) => {
    const isPost = kind === 'posts' || (kind === 'both' && index % 2 === 1);
    const [width, height] = SIZES[index % SIZES.length]!;
    return {
      id: `e${index}`,
      kind: isPost ? 'post' : 'review',
      source: 'wayleaf',
      url: `https://wayleaf.example/r/${index}`,
      author: { name: ['Ines Marlow', 'Tomasz Kettle', 'A. Okafor', 'Bea Thorn'][index % 4] },
      rating: isPost ? null : { value: [5, 4, 3, 5, 4.5][index % 5], best: 5, worst: 1 },
      title: index % 3 ? null : 'Rings and all',
      text: WORDS[index % WORDS.length],
      language: 'en',
      published: `2026-10-${10 + (index % 20)}T12:00:00Z`,
      likes: isPost ? (index * 37) % 90 : null,
      media: isPost
        ? [{ type: 'image', url: `https://pictures.example/${index}.svg`, width, height, alt: `Sky ${index}` }]
        : [],
    };
  });
}

/** For routes of a page: what stands at the address of a picture, as large as its entry says. */
export function picture(route: Route): Promise<void> {
  const [width, height] = SIZES[Number(/(\d+)\.svg/.exec(route.request().url())?.[1] ?? 0) % SIZES.length]!;
  const body = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><rect width="100%" height="100%" fill="teal"/></svg>`;
  return route.fulfill({ contentType: 'image/svg+xml', body });
}

const folder = mkdtempSync(join(tmpdir(), 'gnomic-rendered-'));
process.on('exit', () => rmSync(folder, { recursive: true, force: true }));
let files = 0;

const rendered = new Map<string, string>();

/** The brief's document as the command line prints it; with --heights, what it predicts. */
export function render(shape: Written, of: Written[], options: string[] = [], rest: Written = {}): string {
  const asked = JSON.stringify([shape, of, options, rest]);
  const made = rendered.get(asked) ?? printed(shape, of, options, rest);
  rendered.set(asked, made);
  return made;
}

function printed(shape: Written, of: Written[], options: string[], rest: Written = {}): string {
  const [brief, lines] = [join(folder, `${++files}.json`), join(folder, `${files}.jsonl`)];
  writeFileSync(
    brief,
    JSON.stringify({
      version: 4,
      sift: { limit: 12 },
      ...rest,
      shape: { heading: 'What visitors say', card: PARTS, ...shape },
    }),
  );
  writeFileSync(lines, of.map((entry) => JSON.stringify(entry)).join('\n'));
  return rendering(folder, [brief, `--entries=${lines}`, ...options]);
}

/** The widget alone, out of such a document. */
export const element = (document: string): string => /<gnomic-widget[\s\S]*<\/gnomic-widget>/.exec(document)?.[0] ?? '';

/** A widget to serve. */
export interface Widget {
  shape: Written;
  of: Written[];
  rest?: Written;
  /** Of the site: English where none is given. */
  language?: string;
}

/** One that shows so many of its entries. */
export const one = (shape: Written, of = entries('reviews', 14), limit = 9, fewer: Written = {}): Widget => ({
  shape,
  of,
  rest: { sift: { limit, fewer } },
});

export const HOST = 'http://gnomic.test';
export const PAGE = 'http://page.test';

const folders = new Map<string, string>();

/** Where the files of a widget lie. */
function served({ shape, of, rest, language }: Widget): string {
  const asked = JSON.stringify([shape, of, rest, language]);
  const out = folders.get(asked) ?? mkdtempSync(join(folder, 'served-'));
  if (!folders.has(asked)) printed(shape, of, [`--out=${out}`, ...(language ? [`--language=${language}`] : [])], rest);
  folders.set(asked, out);
  return out;
}

/**
 * A host that serves these widgets from files, as the real one does, and a page of another origin. For what depends on a widget's
 * layout and not on how it was published.
 */
export async function serve(
  page: Page,
  widgets: Record<string, Widget>,
  body: string,
  headers: Record<string, string> = {},
): Promise<void> {
  const outs = Object.values(widgets).map(served);
  // What the page before still fetches would be answered by nobody, and end the next visit with it.
  await page.goto('about:blank');
  await page.unrouteAll({ behavior: 'wait' });
  await page.route('https://pictures.example/**', picture);
  await page.route(`${HOST}/**`, (route) => {
    const { pathname } = new URL(route.request().url());
    const [, key = '', rest = ''] =
      /^\/w\/([a-z0-9]+)\/?(.*)$/.exec(pathname.replace(/^(\/w\/\w+)\.html$/, '$1/open.und.html')) ?? [];
    // The command line calls every widget "preview".
    const paths = pathname.startsWith('/w/')
      ? [outs[Object.keys(widgets).indexOf(key)] ?? '', ...outs].map((one) =>
          join(
            one,
            'preview',
            /^(by|all)\b/.test(rest)
              ? `current/${rest}`
              : /^open\.[\w-]+\.html$/.test(rest)
                ? 'current/widget.html'
                : rest,
          ),
        )
      : [join('public', pathname)];
    const path = paths.find((one) => existsSync(one));
    return route.fulfill(path ? { path, headers: { 'Access-Control-Allow-Origin': '*' } } : { status: 404 });
  });
  await page.route(`${PAGE}/**`, (route) =>
    route.fulfill({ contentType: headers['Content-Type'] ?? 'text/html; charset=utf-8', headers, body }),
  );
  await page.goto(`${PAGE}/visit`);
}

/** The same, once what moves and opens widgets has come as well. */
export async function alive(page: Page, widgets: Record<string, Widget>, body: string): Promise<void> {
  await serve(page, widgets, body);
  await page.waitForLoadState('networkidle');
}

/** A page with the script and what stands in it. */
export const pageWith = (html: string, style = 'body{margin:0;font-family:Georgia,serif}', head = ''): string =>
  `<!doctype html><html lang="en"><meta charset="utf-8"><title>x</title>${head}<style>${style}</style><script async src="${HOST}/gnomic.js"></script><main><h1>Visit</h1>${html}</main>`;
