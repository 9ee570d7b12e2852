import { CAME } from '../came';
import { ASKED, GO, ON, TURNED } from '../turned';

const DISABLED = 'aria-disabled';

/**
 * Buttons, keys and pages of cards in a track, after the WAI-ARIA Authoring Practices. Swiping is the browser's own: the track scrolls and
 * snaps, with or without this. Dots and moving by itself are parts of their own.
 */
export default function turn(root: ShadowRoot, signal: AbortSignal): void {
  const track = root.querySelector<HTMLElement>('.cards');
  // A bar for each layout that moves its cards; the style sheet shows the one whose widths they are.
  if (track) root.querySelectorAll<HTMLElement>('.turn').forEach((bar) => turnBy(bar, track, root, signal));
}

function turnBy(bar: HTMLElement, track: HTMLElement, root: ShadowRoot, signal: AbortSignal): void {
  const [previous, next] = ['.previous', '.next'].map((name) => bar.querySelector<HTMLElement>(name));
  const at = bar.querySelector<HTMLElement>('.at');
  const listen = (target: EventTarget, type: string, act: (event: Event) => void): void =>
    target.addEventListener(type, act, { signal, passive: type === 'scroll' });

  // Where there is less room, the style sheet may show fewer, or have another layout.
  const slides = (): HTMLElement[] => ([...track.children] as HTMLElement[]).filter((slide) => slide.offsetWidth > 0);
  const left = (slide: HTMLElement | undefined): number => slide?.getBoundingClientRect().left ?? 0;
  /** The first slide of each column: in two rows, every second one. */
  const columns = (): HTMLElement[] =>
    slides().filter((slide, index, all) => index === 0 || Math.abs(left(slide) - left(all[index - 1])) > 1);
  const room = (): number => track.getBoundingClientRect().width;
  const across = (all: HTMLElement[]): number =>
    Math.max(1, Math.round(room() / (all[0]?.getBoundingClientRect().width || 1)));
  const step = (all: HTMLElement[]): number => (bar.dataset['step'] === 'card' ? 1 : across(all));
  const scrolls = (): boolean => track.scrollWidth > track.clientWidth + 1;
  const atEnd = (): boolean => Math.abs(track.scrollLeft) + track.clientWidth >= track.scrollWidth - 2;
  /** Which column stands at the start. */
  const first = (all: HTMLElement[]): number => {
    const width = all[0]?.getBoundingClientRect().width || 1;
    return Math.round(Math.abs(track.scrollLeft) / width);
  };
  const pages = (all: HTMLElement[]): number =>
    scrolls() ? 1 + Math.ceil(Math.max(0, all.length - across(all)) / step(all)) : 1;
  const page = (all: HTMLElement[]): number =>
    atEnd() ? pages(all) - 1 : Math.min(pages(all) - 1, Math.floor(first(all) / step(all)));
  const go = (to: number): void => {
    const all = columns();
    const slide = all[Math.max(0, Math.min(to * step(all), all.length - 1))];
    if (slide) track.scrollTo({ left: slide.offsetLeft - (all[0]?.offsetLeft ?? 0) });
  };
  /** Round, where it moves by itself. */
  const on = (): void => {
    const all = columns();
    const last = pages(all);
    const other = 1 + Math.floor(Math.random() * (last - 1));
    go((page(all) + (bar.dataset['chance'] === undefined ? 1 : other)) % last);
  };
  /** Who moves it by hand hears where it is; who waits or turns a tablet does not. */
  const byHand = (to: number): void => {
    at?.setAttribute('aria-live', 'polite');
    go(to);
  };

  const tell = (): void => {
    const all = columns();
    const [now, last] = [page(all), pages(all)];
    const text = (bar.dataset['place'] ?? '').replace('{at}', `${now + 1}`).replace('{count}', `${last}`);
    if (at && at.textContent !== text) at.textContent = text;
    previous?.setAttribute(DISABLED, String(Math.abs(track.scrollLeft) < 2));
    next?.setAttribute(DISABLED, String(atEnd()));
    bar.classList.toggle('live', last > 1);
    track.tabIndex = scrolls() ? 0 : -1;
    bar.dispatchEvent(new CustomEvent(TURNED, { detail: { now, last } }));
  };

  // What is out of view is not in the order of keys either, but for what has the focus already and is about to come.
  const seen = new IntersectionObserver(
    (entries) => {
      for (const { target, intersectionRatio } of entries)
        target.toggleAttribute('inert', scrolls() && intersectionRatio < 0.3 && !target.contains(root.activeElement));
    },
    { root: track, threshold: [0, 0.3, 0.6] },
  );
  const watch = (): void => {
    seen.disconnect();
    for (const slide of track.children) {
      slide.removeAttribute('inert');
      seen.observe(slide);
    }
  };

  for (const [button, by] of [
    [previous, -1],
    [next, 1],
  ] as const)
    if (button)
      listen(button, 'click', () => {
        const all = columns();
        if (button.getAttribute(DISABLED) !== 'true')
          byHand(by < 0 ? Math.ceil(first(all) / step(all)) - 1 : page(all) + 1);
      });
  listen(track, 'scroll', tell);
  listen(track, 'keydown', (event) => {
    const all = columns();
    const forward = getComputedStyle(track).direction === 'rtl' ? 'ArrowLeft' : 'ArrowRight';
    const key = (event as KeyboardEvent).key;
    const to =
      key === 'Home'
        ? 0
        : key === 'End'
          ? pages(all)
          : key.startsWith('Arrow') && /Left|Right/.test(key)
            ? page(all) + (key === forward ? 1 : -1)
            : null;
    if (to === null || event.target !== track || !scrolls() || !bar.offsetWidth) return;
    event.preventDefault();
    byHand(to);
  });
  const sizes = new ResizeObserver(() => {
    at?.removeAttribute('aria-live');
    watch();
    tell();
  });
  sizes.observe(track);
  listen(root, CAME, () => {
    watch();
    tell();
  });
  signal.addEventListener('abort', () => {
    sizes.disconnect();
    seen.disconnect();
  });
  listen(bar, ASKED, tell);
  listen(bar, GO, (event) => byHand((event as CustomEvent<number>).detail));
  listen(bar, ON, () => {
    if (!scrolls()) return;
    at?.removeAttribute('aria-live');
    on();
  });

  track.classList.add('live');
  tell();
}
