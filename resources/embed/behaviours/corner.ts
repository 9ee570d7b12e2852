/** What lies over the page, of all widgets of it. */
const all: { part: HTMLElement; root: ShadowRoot }[] = [];
const GAP = 8;

/** Lets nothing that lies over the page lie over another: what comes later in the page stands above what is in its place already. */
export default function corner(root: ShadowRoot, signal: AbortSignal): void {
  const part = root.querySelector<HTMLElement>('.opener, .notices');
  if (!part) return;
  const one = { part, root };
  all.push(one);
  const sizes = new ResizeObserver(settle);
  sizes.observe(part);
  addEventListener('resize', settle, { signal });
  signal.addEventListener('abort', () => {
    sizes.disconnect();
    all.splice(all.indexOf(one), 1);
    settle();
  });
}

function settle(): void {
  all.sort(({ root: one }, { root: other }) =>
    one.host.compareDocumentPosition(other.host) & Node.DOCUMENT_POSITION_FOLLOWING ? -1 : 1,
  );
  const taken: DOMRect[] = [];
  for (const one of all) {
    // What brings it to life may have put another in its place.
    one.part = one.root.querySelector<HTMLElement>('.opener, .notices') ?? one.part;
    const { part } = one;
    part.style.removeProperty('--above');
    const box = part.getBoundingClientRect();
    if (!box.height || getComputedStyle(part).position !== 'fixed') continue;
    let above = 0;
    for (const other of [...taken].sort((one, next) => next.bottom - one.bottom)) {
      const beside = other.right <= box.left || other.left >= box.right;
      if (!beside && box.bottom - above > other.top - GAP && box.top - above < other.bottom + GAP)
        above = box.bottom - other.top + GAP;
    }
    if (above) part.style.setProperty('--above', `${above}px`);
    taken.push(new DOMRect(box.x, box.y - above, box.width, box.height));
  }
}
