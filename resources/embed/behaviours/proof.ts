// On the bench, in a frame without an origin: puts the widget where it stands on the page, says how high the page is, and lets the
// owner point at another place. It talks to the studio around it by messages alone.

interface Asked {
  gnomic: 'show' | 'pick';
  fragment: string;
  /** Key of the widget, by which its tag is found. */
  key: string;
  /** A selector of what it stands in; null: where its tag stands. */
  at: string | null;
  /** Of a neutral page: what is behind everything. */
  ground: string | null;
  nothing: string;
}

let widget: HTMLElement | undefined;
let isPicking = false;

const tell = (message: Record<string, unknown>): void => parent.postMessage({ gnomicProof: true, ...message }, '*');

function found(selector: string | null): Element | null {
  try {
    return selector ? document.querySelector(selector) : null;
  } catch {
    return null;
  }
}

/** Where the owner has pointed, else where its tag stands, else the end of the page's own part. */
function place({ at, key }: Asked): void {
  const tag = document.querySelector(`[data-gnomic-here="${CSS.escape(key)}"]`) ?? found('[data-gnomic-here=""]');
  const pointed = found(at);
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

const measure = (): void => {
  const box = widget?.getBoundingClientRect();
  tell({ height: document.documentElement.scrollHeight, top: (box?.top ?? 0) + scrollY, own: box?.height ?? 0 });
};

/** A selector that finds an element again, from the body down. */
function pathOf(element: Element): string {
  const steps: string[] = [];
  for (let at: Element | null = element; at && at !== document.body; at = at.parentElement)
    steps.unshift(`${at.localName}:nth-child(${[...at.parentElement!.children].indexOf(at) + 1})`);
  return ['body', ...steps].join(' > ');
}

addEventListener('message', (event: MessageEvent<Asked>) => {
  if (event.source !== parent || !event.data?.gnomic) return;
  if (event.data.gnomic === 'show') show(event.data);
  isPicking = event.data.gnomic === 'pick';
  document.documentElement.style.cursor = isPicking ? 'crosshair' : '';
});

addEventListener(
  'click',
  (event) => {
    const target = event.target as Element;
    if (isPicking && !widget?.contains(target)) {
      event.preventDefault();
      isPicking = false;
      tell({ picked: pathOf(target) });
    } else if (!widget?.contains(target)) event.preventDefault(); // links of a picture lead nowhere
  },
  true,
);
addEventListener('load', measure);
new ResizeObserver(measure).observe(document.documentElement);
tell({ ready: true });
