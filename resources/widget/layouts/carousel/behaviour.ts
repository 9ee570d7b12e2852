/**
 * Buttons, keys, pages and pause of a carousel, after the WAI-ARIA Authoring Practices. Swiping is the browser's own:
 * the track scrolls and snaps, with or without this.
 */
export default function carousel(root: ShadowRoot, signal: AbortSignal): void {
  const track = root.querySelector<HTMLElement>('.track');
  const turn = root.querySelector<HTMLElement>('.turn');
  const [previous, next, pause] = ['.previous', '.next', '.pause'].map((name) => root.querySelector<HTMLButtonElement>(name));
  const at = root.querySelector<HTMLElement>('.at');
  if (!track || !turn || !previous || !next || !at) return;
  const all = [...track.children] as HTMLElement[];

  const listen = (target: EventTarget, type: string, act: (event: Event) => void): void =>
    target.addEventListener(type, act, { signal });
  const across = (): number => Math.max(1, Math.round(track.clientWidth / (all[0]?.offsetWidth || 1)));
  // Where there is less room, the style sheet may show fewer.
  const shown = (): HTMLElement[] => all.filter((slide) => slide.offsetWidth > 0);
  const pages = (): number => Math.max(1, Math.ceil(shown().length / across()));
  const atEnd = (): boolean => Math.abs(track.scrollLeft) + track.clientWidth >= track.scrollWidth - 2;
  const page = (): number =>
    atEnd() ? pages() - 1 : Math.round(Math.abs(track.scrollLeft) / (across() * (all[0]?.offsetWidth || 1)));
  const go = (to: number): void => {
    const whole = (to + pages()) % pages();
    const slide = all[Math.min(whole * across(), shown().length - 1)];
    if (slide) track.scrollTo({ left: slide.offsetLeft - (all[0]?.offsetLeft ?? 0) });
  };

  let said = '';
  const tell = (): void => {
    const [now, last] = [page(), pages()];
    const text = (at.dataset.pattern ?? '{at}/{count}').replace('{at}', `${now + 1}`).replace('{count}', `${last}`);
    if (text !== said) at.textContent = said = text;
    previous.disabled = !moving && now === 0;
    next.disabled = !moving && now === last - 1;
    turn.style.display = last > 1 ? '' : 'none';
  };

  // Moving by itself: only where the owner wished it, never against a visitor's own setting, and it can be stopped.
  const seconds = Number(track.dataset.autoplay);
  let moving = seconds > 0 && !matchMedia('(prefers-reduced-motion: reduce)').matches;
  let busy = false; // somebody is reading: the pointer or the focus is inside
  if (pause) {
    const mark = (): void => {
      pause.setAttribute('aria-pressed', String(!moving));
      at.setAttribute('aria-live', moving ? 'off' : 'polite');
      tell();
    };
    listen(pause, 'click', () => {
      moving = !moving;
      mark();
    });
    for (const type of ['pointerenter', 'focusin']) listen(root.host, type, () => (busy = true));
    for (const type of ['pointerleave', 'focusout']) listen(root.host, type, () => (busy = false));
    const timer = setInterval(() => moving && !busy && !document.hidden && go(page() + 1), seconds * 1000);
    signal.addEventListener('abort', () => clearInterval(timer));
    mark();
  }

  listen(previous, 'click', () => go(page() - 1));
  listen(next, 'click', () => go(page() + 1));
  listen(track, 'scroll', tell);
  listen(track, 'keydown', (event) => {
    const to = { ArrowLeft: page() - 1, ArrowRight: page() + 1, Home: 0, End: pages() - 1 }[
      (event as KeyboardEvent).key
    ];
    if (to === undefined || event.target !== track) return;
    event.preventDefault();
    go(Math.max(0, Math.min(to, pages() - 1)));
  });
  const sizes = new ResizeObserver(tell);
  sizes.observe(track);
  signal.addEventListener('abort', () => sizes.disconnect());

  track.classList.add('live');
  turn.classList.add('live');
  tell();
}
