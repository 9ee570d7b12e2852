/** What lies over the page, of all widgets of it: a badge, a tab or notices, and what tells how large that is now. */
const all = new Map<ShadowRoot, ResizeObserver>();
const GAP = 8;

/** Lets nothing that lies over the page lie over another: what comes later in the page stands above what is in its place already. */
export default function corner(root: ShadowRoot, signal: AbortSignal): void {
  all.set(root, new ResizeObserver(settle));
  addEventListener('resize', settle, { signal });
  signal.addEventListener('abort', () => {
    all.get(root)?.disconnect();
    all.delete(root);
    settle();
  });
  settle();
}

function settle(): void {
  const taken: DOMRect[] = [];
  for (const root of [...all.keys()].sort(inOrder)) {
    const part = root.querySelector<HTMLElement>('.opener, .notices');
    if (!part) continue;
    // What brings it to life may have put another in its place since.
    all.get(root)?.observe(part);
    part.style.removeProperty('--above');
    const box = part.getBoundingClientRect();
    if (!box.height || getComputedStyle(part).position !== 'fixed') continue;
    let above = 0;
    for (const other of [...taken].sort((one, next) => next.bottom - one.bottom)) {
      const isBeside = other.right <= box.left || other.left >= box.right;
      if (!isBeside && box.bottom - above > other.top - GAP && box.top - above < other.bottom + GAP)
        above = box.bottom - other.top + GAP;
    }
    if (above) part.style.setProperty('--above', `${above}px`);
    taken.push(new DOMRect(box.x, box.y - above, box.width, box.height));
  }
}

const inOrder = ({ host: one }: ShadowRoot, { host: other }: ShadowRoot): number =>
  one.compareDocumentPosition(other) & Node.DOCUMENT_POSITION_FOLLOWING ? -1 : 1;
