// Counts what visitors do, for the owner, and knows nothing of who they are: numbers are added up in the page and sent once, when it is
// left. Nothing is stored; whoever asks not to be tracked is not counted.

/** What is counted, in the order in which it is told. */
const SHOWN = 0;
const VIEWS = 1;
const OPENINGS = 2;
const READS = 3;
const CLICKS = 4;
const ENGAGED = 5;
const nothing = (): number[] => [0, 0, 0, 0, 0, 0];

/** Of a widget, what has not been sent yet. */
interface Tally {
  host: string;
  element: Element;
  /** Of the element when it came, or was seen, in CSS pixels. */
  width: number;
  counts: number[];
  /** Whether somebody has done something with it on this page; the first time is counted. */
  isEngaged: boolean;
  /** By entry: openings, reads, clicks. */
  entries: Map<string, number[]>;
}

const SECOND = 1000;
const MOST_ENTRIES = 40;
/** Programs that name themselves so are nobody; the server leaves them out by the same words. */
const ROBOTS = /bot\b|bot[/;_-]|crawl|spider|slurp|archiver/i;
/** Of the window, that a widget taller than it fills when it counts as seen. */
const FILLED = 0.5;

const tallies = new Map<string, Tally>();
/** Those that have come into being, and those that were seen: each once, though it may be moved about. */
const counted = new WeakSet<ShadowRoot>();
const seen = new WeakSet<ShadowRoot>();
/** The page that is counted for, which scripts may have left without loading another. */
let path = location.pathname;

export default function count(root: ShadowRoot, signal: AbortSignal, host: string): void {
  const box = root.querySelector<HTMLElement>('.box');
  const key = box?.dataset['key'];
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
    entries: new Map(),
  };
  tallies.set(key, tally);
  if (!tally.element.isConnected) tally.element = root.host;
  tally.width = widthOf(tally.element);
  if (!counted.has(root)) tally.counts[SHOWN]!++;
  counted.add(root);
  if (!seen.has(root)) watch(root, tally, signal);

  const note = (
    what: number,
    target: Element | null,
    ref = target?.closest<HTMLElement>('.item')?.dataset['e'],
  ): void => {
    tally.counts[what]!++;
    if (!tally.isEngaged) tally.counts[ENGAGED] = 1;
    tally.isEngaged = true;
    if (!ref || (tally.entries.size >= MOST_ENTRIES && !tally.entries.has(ref))) return;
    const of = tally.entries.get(ref) ?? [0, 0, 0];
    of[what - OPENINGS]!++;
    tally.entries.set(ref, of);
  };
  const listen = (type: string, heard: (event: Event, target: Element) => void, on: EventTarget = root): void =>
    on.addEventListener(type, (event) => heard(event, event.target as Element), { signal, capture: true });
  const press = (event: Event, target: Element): void => {
    const link = target.closest<HTMLAnchorElement>('a[href]');
    // What leads to more of the same is an opening; what leads away is a click to the source.
    if (link) note(isOpening(link, box, host, event as MouseEvent) ? OPENINGS : CLICKS, link);
    else if (target.closest('[popovertarget], .opener, .further button')) note(OPENINGS, target);
  };
  listen('click', press);
  listen('auxclick', (event, target) => (event as MouseEvent).button === 1 && press(event, target));
  listen('toggle', (_, target) => target.matches('details.more[open]') && note(READS, target));
  // The enlarged view stands over the page, and tells what is pressed there.
  listen(
    'gnomic-followed',
    (event) => {
      const { key, ref } = (event as CustomEvent<{ key: string; ref: string }>).detail;
      if (key === root.host.getAttribute('key')) note(CLICKS, null, ref);
    },
    document,
  );
}

const isOpening = (
  link: HTMLAnchorElement,
  box: HTMLElement,
  host: string,
  { ctrlKey, metaKey, shiftKey }: MouseEvent,
): boolean =>
  link.href.startsWith(`${host}/w/`) ||
  (link.matches('a.open') && !!box.dataset['enlarge'] && !ctrlKey && !metaKey && !shiftKey);

/** Seen: half of it, or half of the window full of it, for a second. */
function watch(root: ShadowRoot, tally: Tally, signal: AbortSignal): void {
  const parts = [root.host, ...root.querySelectorAll('.g, .g > *, .g button')];
  const shape = parts.find((part) => part.getBoundingClientRect().height > 0) ?? root.host;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const view = new IntersectionObserver(
    ([entry]) => {
      const isSeen =
        !!entry &&
        entry.isIntersecting &&
        !document.hidden &&
        (entry.intersectionRatio >= 0.5 ||
          entry.intersectionRect.height >= FILLED * (entry.rootBounds?.height ?? innerHeight));
      clearTimeout(timer);
      if (isSeen) {
        timer = setTimeout(() => {
          tally.width = widthOf(tally.element);
          // What has no width is not seen, though the page may say that it is in view.
          if (!tally.width) return;
          tally.counts[VIEWS]!++;
          seen.add(root);
          view.disconnect();
        }, SECOND);
      }
    },
    { threshold: [0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.8, 1] },
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
  return [[key, now, ...counts, faultOf(element)], ...[...entries].map(([ref, of]) => [ref, ...of])]
    .map((told) => told.join('.'))
    .join('~');
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
    tally.entries.clear();
  }
  for (const host in hosts) navigator.sendBeacon(`${host}/t?${hosts[host]}`);
}
