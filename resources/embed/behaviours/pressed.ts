// Counts what is pressed and read on in widgets. Fetched when a pointer or the focus comes upon one: who only reads has no use for it.
import { CLICKS, ENGAGED, OPENINGS, READS, type Tally } from '../tally';

const MOST_ENTRIES = 40;

/** By the key of the tag: the enlarged view stands over the page, and tells what is pressed there. */
const tallies = new Map<string, Tally>();

export default function pressed(event: Event, target: Element, root: ShadowRoot, tally: Tally): void {
  if (!tallies.size) document.addEventListener('gnomic-followed', followed);
  tallies.set(root.host.getAttribute('key')!.trim(), tally);
  if (event.type === 'toggle') {
    if (target.matches('details.more[open]')) note(tally, READS, target);
  } else if (event.type === 'click' || (event.type === 'auxclick' && (event as MouseEvent).button === 1)) {
    const link = target.closest<HTMLAnchorElement>('a[href]');
    // What leads to more of the same is an opening; what leads away is a click to the source.
    if (link) note(tally, isOpening(link, root, tally.host, event as MouseEvent) ? OPENINGS : CLICKS, link);
    else if (target.closest('[popovertarget], .opener, .further button')) note(tally, OPENINGS, target);
  }
}

const isOpening = (
  link: HTMLAnchorElement,
  root: ShadowRoot,
  host: string,
  { ctrlKey, metaKey, shiftKey }: MouseEvent,
): boolean =>
  link.href.startsWith(`${host}/w/`) ||
  (link.matches('a.open') && !!root.querySelector('.box[data-enlarge]') && !ctrlKey && !metaKey && !shiftKey);

function followed(event: Event): void {
  const { key, ref } = (event as CustomEvent<{ key: string; ref: string }>).detail;
  const tally = tallies.get(key);
  if (tally) note(tally, CLICKS, null, ref);
}

function note(
  tally: Tally,
  what: typeof OPENINGS | typeof READS | typeof CLICKS,
  target: Element | null,
  ref = target?.closest<HTMLElement>('.item')?.dataset['e'],
): void {
  tally.counts[what]!++;
  if (!tally.isEngaged) tally.counts[ENGAGED] = 1;
  tally.isEngaged = true;
  if (!ref) return;
  let entry = tally.entries.find(([known]) => known === ref);
  if (!entry && tally.entries.length < MOST_ENTRIES) tally.entries.push((entry = [ref, 0, 0, 0]));
  if (entry) entry[(what - OPENINGS + 1) as 1 | 2 | 3]++;
}
