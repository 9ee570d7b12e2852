// On the bench, in a frame without an origin: puts the widget where it stands on the page, says how high the page is, and lets the
// owner point at another place. It talks to the studio around it by messages alone.

interface Asked {
  gnomic: 'show' | 'pick' | 'crop';
  fragment: string;
  /** Key of the widget, by which its tag is found. */
  key: string;
  /** A selector of what it stands in; null: where its tag stands. */
  at: string | null;
  /** Of a neutral page: what is behind everything. */
  ground: string | null;
  nothing: string;
  /** On which side of what was pointed at; absent: at its end where it can hold a widget, else behind it. */
  side?: 'before' | 'after' | 'inside';
  /** Whether nothing is shown until something was pointed at, and what was is marked. */
  isPointed?: boolean;
}

let widget: HTMLElement | undefined;
/** What of the page is shown alone. */
let cropped: string | undefined;
let isPicking = false;
let isPointing = false;

const tell = (message: Record<string, unknown>): void => parent.postMessage({ gnomicProof: true, ...message }, '*');

// What is pressed on the page leads nowhere: the frame would follow, and the proof be gone.
for (const kind of ['click', 'auxclick'])
  addEventListener(
    kind,
    (event) => {
      const path = event.composedPath();
      const link = path.find((one) => one instanceof Element && one.matches('a[href], area[href]'));
      if (link && !path.includes(widget!)) event.preventDefault();
    },
    true,
  );
addEventListener('submit', (event) => event.preventDefault(), true);

function found(selector: string | null): Element | null {
  try {
    return selector ? document.querySelector(selector) : null;
  } catch {
    return null;
  }
}

/** Where the owner has pointed, else where its tag stands, else the end of the page's own part. */
function place({ at, key, side }: Asked): void {
  const tag = document.querySelector(`[data-gnomic-here="${CSS.escape(key)}"]`) ?? found('[data-gnomic-here=""]');
  const pointed = found(at);
  if (pointed && side) {
    pointed.insertAdjacentElement(
      side === 'before' ? 'beforebegin' : side === 'after' ? 'afterend' : 'beforeend',
      widget!,
    );
    return;
  }
  if (pointed && pointed.matches('section, main, article, div, aside, header, footer, td, body'))
    pointed.append(widget!);
  else if (pointed) pointed.after(widget!);
  else (tag ?? document.querySelector('main') ?? document.body).append(widget!);
}

function show(asked: Asked): void {
  const holder = document.createElement('template');
  holder.innerHTML = asked.fragment;
  const edition = holder.content.querySelector('template');
  widget?.remove();
  widget = document.createElement('gnomic-widget');
  widget.style.display = 'block';
  if (edition) widget.attachShadow({ mode: 'open' }).append(edition.content);
  if (asked.ground) document.body.style.background = asked.ground;
  if (asked.isPointed) mark(asked.at);
  // Where nothing is pointed at yet, nothing stands anywhere.
  if (asked.isPointed && !found(asked.at)) return measure();
  place(asked);
  document.querySelector('.gnomic-nothing')?.remove();
  if (asked.nothing) {
    const says = document.createElement('em');
    says.className = 'gnomic-nothing';
    says.style.cssText =
      'display:block;margin:0 20px;padding:12px;border:1px dashed #767c91;color:#555b6e;background:#fff;font:14px system-ui';
    says.textContent = asked.nothing;
    widget.after(says);
  }
  measure();
  // A long page is scrolled to it, once the page is laid out; by itself, and not with the studio around it.
  requestAnimationFrame(() => {
    const box = widget!.getBoundingClientRect();
    scrollTo(0, box.top + scrollY - Math.max(0, (innerHeight - box.height) / 2));
  });
}

/** A part of the page alone, as a picture of it: scrolled to, and as high as it is; nothing in it can be pressed or heard. */
function crop(): void {
  const part = found(cropped!) ?? document.body;
  const { style } = document.documentElement;
  style.overflow = 'hidden';
  // Also what stands at the end of the page stands at the top of its picture.
  style.paddingBottom = '100vh';
  document.documentElement.inert = true;
  const { top, height } = part.getBoundingClientRect();
  scrollTo({ top: part === document.body ? 0 : top + scrollY, behavior: 'instant' });
  tell({ cropped: Math.round(height) });
}

const measure = (): void => {
  // Pictures that come in move what is below them.
  if (cropped !== undefined) return crop();
  const box = widget?.getBoundingClientRect();
  tell({ height: document.documentElement.scrollHeight, top: (box?.top ?? 0) + scrollY, own: box?.height ?? 0 });
};

/** Parts of the page that somebody may name without pointing. */
const PARTS = 'h1, h2, h3, main > *, section, article, table, form, footer, header, aside, nav, [id]';

/** What people would call a part: its heading, else its first words. */
function nameOf(element: Element): string {
  const heading = element.matches('h1, h2, h3, h4')
    ? element
    : element.querySelector('h1, h2, h3, h4, legend, caption');
  const words = (heading ?? element).textContent?.trim().replace(/\s+/g, ' ') ?? '';
  return words.slice(0, 60) || element.localName;
}

/** Marks what was pointed at, and says how many there are. */
function mark(at: string | null): void {
  for (const marked of document.querySelectorAll('[data-gnomic-marked]')) marked.removeAttribute('data-gnomic-marked');
  found(at)?.setAttribute('data-gnomic-marked', '');
  let count = 0;
  try {
    count = at ? document.querySelectorAll(at).length : 0;
  } catch {
    count = 0;
  }
  const parts = [...document.querySelectorAll(PARTS)]
    .slice(0, 60)
    .map((one) => ({ selector: selectorOf(one), name: `${nameOf(one)} (${one.localName})` }));
  tell({ found: count, parts: [...new Map(parts.map((one) => [one.selector, one])).values()] });
}

const isAlone = (selector: string): boolean => document.querySelectorAll(selector).length === 1;

/** The selector of one that can be named by itself: its id, a class of its own, else that there is no other of its type. */
function ownName(element: Element): string | null {
  if (element.id && isAlone(`#${CSS.escape(element.id)}`)) return `#${CSS.escape(element.id)}`;
  for (const name of element.classList) {
    const selector = `${element.localName}.${CSS.escape(name)}`;
    if (isAlone(selector)) return selector;
  }
  return isAlone(element.localName) ? element.localName : null;
}

/**
 * A selector that finds it alone and outlives small changes: the way down from the nearest that can be named. Counted are only
 * elements of the same type: what the picture of a page leaves out, scripts, frames and widgets, shifts none of them.
 */
function selectorOf(element: Element): string {
  const name = ownName(element);
  const parent = element.parentElement;
  if (name || !parent) return name ?? element.localName;
  const alike = [...parent.children].filter((one) => one.localName === element.localName);
  const step = alike.length > 1 ? `:nth-of-type(${alike.indexOf(element) + 1})` : '';
  return `${selectorOf(parent)} > ${element.localName}${step}`;
}

addEventListener('message', (event: MessageEvent<Asked>) => {
  if (event.source !== parent || !event.data?.gnomic) return;
  if (event.data.gnomic === 'show') {
    isPointing = event.data.isPointed ?? false;
    show(event.data);
  }
  if (event.data.gnomic === 'crop') {
    cropped = event.data.at ?? 'body';
    crop();
  }
  isPicking = event.data.gnomic === 'pick';
  document.documentElement.style.cursor = isPicking ? 'crosshair' : '';
});

addEventListener(
  'click',
  (event) => {
    const target = event.target as Element;
    if (isPicking && !widget?.contains(target)) {
      event.preventDefault();
      isPicking = isPointing;
      tell({ picked: selectorOf(target), named: nameOf(target) });
    } else if (!widget?.contains(target)) event.preventDefault(); // links of a picture lead nowhere
  },
  true,
);
addEventListener('pointerover', (event) => {
  for (const over of document.querySelectorAll('[data-gnomic-over]')) over.removeAttribute('data-gnomic-over');
  const target = event.target as Element;
  if (isPicking && isPointing && !widget?.contains(target)) target.setAttribute('data-gnomic-over', '');
});
const marks = document.createElement('style');
marks.textContent =
  '[data-gnomic-over]{outline:2px dashed #0e6656!important;outline-offset:2px}[data-gnomic-marked]{outline:3px solid #0e6656!important;outline-offset:3px}';
document.head.append(marks);
addEventListener('load', measure);
new ResizeObserver(measure).observe(document.documentElement);
tell({ ready: true });
