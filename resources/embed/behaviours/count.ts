// Counts what visitors do, for the owner, and knows nothing of who they are: numbers are added up in the page and sent once, when it is
// left. Nothing is stored; whoever asks not to be tracked is not counted.

import { type Pressed, SHOWN, type Tally, VIEWS } from '../tally';

/** The file of what counts presses, set by the build. */
declare const GNOMIC_PRESSED: string;

const nothing = (): number[] => [0, 0, 0, 0, 0, 0];

/** Programs that name themselves so are nobody. The host knows more of them; but some have another name on what they send when they leave. */
const ROBOTS = /bot\b|crawl|spider/i;
const SECOND = 1000;
/** Of a widget, or of the window where one is taller than it. */
const HALF = 0.5;

const tallies = new Map<string, Tally>();
/** Those that have come into being, and whether they were seen: each once, though it may be moved about. */
const seen = new WeakMap<ShadowRoot, boolean>();
/** The page that is counted for, which scripts may have left without loading another. */
let path = location.pathname;

export default function count(root: ShadowRoot, signal: AbortSignal, host: string): void {
  const key = root.querySelector<HTMLElement>('.box')?.dataset['key'];
  const asked = navigator as Navigator & { globalPrivacyControl?: boolean };
  if (!key || asked.globalPrivacyControl || navigator.doNotTrack === '1' || ROBOTS.test(navigator.userAgent)) return;
  turn();
  if (!tallies.size) {
    addEventListener('pagehide', send);
    (window as { navigation?: EventTarget }).navigation?.addEventListener('currententrychange', turn);
    document.addEventListener('visibilitychange', () => document.hidden && send());
  }
  const tally = tallies.get(key) ?? {
    host,
    element: root.host,
    width: 0,
    counts: nothing(),
    isEngaged: false,
    entries: [],
  };
  tallies.set(key, tally);
  if (!tally.element.isConnected) tally.element = root.host;
  tally.width = widthOf(tally.element);
  if (!seen.has(root)) tally.counts[SHOWN]!++;
  seen.set(root, !!seen.get(root));
  if (!seen.get(root)) watch(root, tally, signal);

  // How a press counts is told by a part of its own, which is there as soon as a pointer or the focus is upon the widget.
  for (const type of ['pointerover', 'focusin', 'click', 'auxclick', 'toggle'])
    root.addEventListener(
      type,
      (event) => {
        const target = event.target as Element;
        (import(/* @vite-ignore */ `${host}/b/${GNOMIC_PRESSED}`) as Promise<{ default: Pressed }>).then(
          (told) => told.default(event, target, root, tally),
          () => 0,
        );
      },
      { signal, capture: true },
    );
}

/** Seen: half of it, or half of the window full of it, for a second. */
function watch(root: ShadowRoot, tally: Tally, signal: AbortSignal): void {
  const parts = [root.host, ...root.querySelectorAll('.g, .g > *, .g button')];
  const shape = parts.find((part) => part.getBoundingClientRect().height > 0) ?? root.host;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const view = new IntersectionObserver(
    ([entry]) => {
      const { intersectionRatio, intersectionRect } = entry!;
      const isSeen = !document.hidden && (intersectionRatio >= HALF || intersectionRect.height >= HALF * innerHeight);
      clearTimeout(timer);
      if (isSeen) {
        timer = setTimeout(() => {
          tally.width = widthOf(tally.element);
          // What has no width is not seen, though the page may say that it is in view.
          if (!tally.width) return;
          tally.counts[VIEWS]!++;
          seen.set(root, true);
          view.disconnect();
        }, SECOND);
      }
    },
    { threshold: [0, 0.1, 0.2, 0.3, 0.4, HALF] },
  );
  view.observe(shape);
  signal.addEventListener('abort', () => [view.disconnect(), clearTimeout(timer)]);
}

/** Whether pictures of it were asked for and did not come: refused by the page's policy, held back, or gone. */
const lacksPictures = (element: Element): boolean =>
  [...element.shadowRoot!.querySelectorAll('img')].some((img) => img.src && img.complete && !img.naturalWidth);

/** As wide as the window, for what stands over the page. */
const widthOf = (element: Element): number =>
  getComputedStyle(element).display === 'contents' ? innerWidth : Math.round(element.getBoundingClientRect().width);

/** Why nobody can see it as it is meant; nothing where they can, or where the page has taken it away since. */
function faultOf(element: Element): string {
  if (!element.isConnected) return '';
  if (widthOf(element) > 0) return lacksPictures(element) ? 'pictures' : '';
  return element.getClientRects().length ? 'narrow' : 'hidden';
}

/** KEY.width.shown.views.openings.reads.clicks.engaged.fault, and for each entry ~REF.openings.reads.clicks. */
function written(key: string, { element, width, counts, entries }: Tally): string {
  const now = element.isConnected ? widthOf(element) : width;
  return [[key, now, ...counts, faultOf(element)], ...entries].map((told) => told.join('.')).join('~');
}

/** Where the page has become another without loading: what was seen, was seen on the one before. */
function turn(): void {
  if (path === location.pathname) return;
  send();
  path = location.pathname;
  for (const tally of tallies.values()) tally.isEngaged = false;
}

function send(): void {
  const hosts: Record<string, URLSearchParams> = {};
  for (const [key, tally] of tallies) {
    if (!tally.counts.some(Boolean)) continue;
    (hosts[tally.host] ??= new URLSearchParams({ h: location.host, p: path.slice(0, 300) })).append(
      'd',
      written(key, tally),
    );
    tally.counts = nothing();
    tally.entries = [];
  }
  for (const host in hosts) navigator.sendBeacon(`${host}/t?${hosts[host]}`);
}
