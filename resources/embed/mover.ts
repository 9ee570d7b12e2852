export interface Moves {
  /** Stops it and starts it again; null where nothing moves by itself. */
  button: HTMLButtonElement | null;
  seconds: number;
  /** Whether now is not the time, for reasons of its own. */
  waits: () => boolean;
  on: () => void;
}

/**
 * Moving by itself: never against a visitor's own setting; it can be stopped, and it waits while somebody points at it or is in it
 * with the keys, and while it is out of view.
 */
export function mover(root: ShadowRoot, signal: AbortSignal, { button, seconds, waits, on }: Moves): void {
  if (!button || !(seconds > 0)) return;
  let moving = !matchMedia('(prefers-reduced-motion: reduce)').matches;
  let inView = true;
  const busy = new Set<string>();
  const says = { pause: button.getAttribute('aria-label') ?? '', play: button.dataset['play'] ?? '' };
  const mark = (): void => {
    button.classList.toggle('still', !moving);
    button.setAttribute('aria-label', moving ? says.pause : says.play);
  };
  button.addEventListener(
    'click',
    () => {
      moving = !moving;
      mark();
    },
    { signal },
  );
  // Pointing at its margin is no reading.
  const place = root.querySelector('.deck, .notices') ?? root.host;
  for (const [type, other] of [
    ['pointerenter', 'pointerleave'],
    ['focusin', 'focusout'],
  ] as const) {
    place.addEventListener(type, () => busy.add(type), { signal });
    place.addEventListener(other, () => busy.delete(type), { signal });
  }
  const view = new IntersectionObserver(([entry]) => (inView = entry?.isIntersecting ?? true));
  view.observe(root.host);
  const timer = setInterval(
    () => moving && inView && busy.size === 0 && !document.hidden && !waits() && on(),
    seconds * 1000,
  );
  signal.addEventListener('abort', () => {
    clearInterval(timer);
    view.disconnect();
  });
  mark();
}
