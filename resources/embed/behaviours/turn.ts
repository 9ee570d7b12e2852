import { CAME } from '../came';
import { inDigits } from '../digits';
import { ASKED, type Go, GO, type Turned, TURNED } from '../turned';

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
  const [previous, next, at] = ['.previous', '.next', '.at'].map((name) => bar.querySelector(name));
  const listen = (target: EventTarget, type: string, act: (event: Event) => void): void =>
    target.addEventListener(type, act, { signal });

  // How the track stands, as look() has last seen it.
  /** The first slide of each column: in two rows, every second one. */
  let columns: HTMLElement[];
  /** Columns that a page has. */
  let step: number;
  /** The page that begins at the start; a fraction where it stands between two. */
  let first: number;
  let now: number;
  let last: number;
  let scrolls: boolean;
  let isStart: boolean;
  let isEnd: boolean;

  const look = (): void => {
    let before = NaN;
    // Where there is less room, the style sheet may show fewer, or have another layout.
    columns = ([...track.children] as HTMLElement[]).filter(
      ({ offsetWidth, offsetLeft }) => offsetWidth && before !== (before = offsetLeft),
    );
    const size = columns[0]?.getBoundingClientRect().width ?? 1;
    const across = Math.max(1, Math.round(track.clientWidth / size));
    const gone = Math.abs(track.scrollLeft);
    const left = track.scrollWidth - track.clientWidth;
    step = bar.dataset['step'] === 'card' ? 1 : across;
    first = Math.round(gone / size) / step;
    last = 1 + Math.max(0, Math.ceil((columns.length - across) / step));
    scrolls = left > 1;
    isStart = gone < 2;
    isEnd = gone >= left - 2;
    now = isEnd ? last - 1 : Math.min(last - 1, Math.floor(first));
  };
  /** Who moves it by hand hears where it is; who waits or turns a tablet does not. */
  const speak = (isByHand: boolean): void => at?.setAttribute('aria-live', isByHand ? 'polite' : 'off');
  const go = (to: number, isByHand = true): void => {
    look();
    const slide = columns[Math.max(0, Math.min(to * step, columns.length - 1))];
    speak(isByHand);
    if (slide) track.scrollTo({ left: slide.offsetLeft - columns[0]!.offsetLeft });
  };

  const tell = (): void => {
    look();
    const text = inDigits(bar, bar.dataset['place']!.replace('{at}', `${now + 1}`).replace('{count}', `${last}`));
    if (at && at.textContent !== text) at.textContent = text;
    previous?.setAttribute(DISABLED, `${isStart}`);
    next?.setAttribute(DISABLED, `${isEnd}`);
    bar.classList.toggle('live', last > 1);
    track.tabIndex = scrolls ? 0 : -1;
    bar.dispatchEvent(new CustomEvent<Turned>(TURNED, { detail: { now, last } }));
  };

  // What is out of view is not in the order of keys either, but for what has the focus already and is about to come.
  const seen = new IntersectionObserver(
    (entries) => {
      look();
      for (const { target, intersectionRatio } of entries)
        target.toggleAttribute('inert', scrolls && intersectionRatio < 0.3 && !target.contains(root.activeElement));
    },
    { root: track, threshold: [0, 0.3] },
  );
  const watch = (): void => {
    seen.disconnect();
    for (const slide of track.children) {
      slide.removeAttribute('inert');
      seen.observe(slide);
    }
    tell();
  };
  listen(bar, 'click', ({ target }) => {
    const button = (target as Element).closest(`[${DISABLED}=false]`);
    look();
    if (button) go(button === next ? now + 1 : Math.ceil(first) - 1);
  });
  listen(track, 'scroll', tell);
  listen(track, 'keydown', (event) => {
    look();
    const forward = track.matches(':dir(rtl)') ? -1 : 1;
    const pages: Record<string, number> = {
      Home: 0,
      End: last,
      ArrowRight: now + forward,
      ArrowLeft: now - forward,
    };
    const to = pages[(event as KeyboardEvent).key];
    if (to === undefined || event.target !== track || !scrolls || !bar.offsetWidth) return;
    event.preventDefault();
    go(to);
  });
  const sizes = new ResizeObserver(() => {
    speak(false);
    watch();
  });
  sizes.observe(track);
  signal.addEventListener('abort', () => [sizes.disconnect(), seen.disconnect()]);
  listen(root, CAME, watch);
  listen(bar, ASKED, tell);
  listen(bar, GO, (event) => go(...(event as CustomEvent<Go>).detail));

  track.classList.add('live');
  tell();
}
