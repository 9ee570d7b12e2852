import { decided, type Rule } from './rules';

// The one tag of a whole site: puts widgets where the site's spots say, as soon as the page has the place. Rules and host are set around
// it by the file that is published.

/** Side and selector. */
type Place = [side: 'before' | 'after' | 'inside', selector: string];

declare const GNOMIC_HOST: string;
declare const GNOMIC_RULES: Rule[];
declare const GNOMIC_PLACES: Place[];

declare global {
  interface Window {
    gnomicSite?: boolean;
  }
}

const SIDES = { before: 'beforebegin', after: 'afterend', inside: 'beforeend' } as const;
/** Milliseconds after which places that scripts make have come, or never will. */
const LATE = 10_000;
/** How often a widget is put back that the page's scripts took away with what they made anew. */
const AGAIN = 5;
const self = document.currentScript as HTMLScriptElement | null;

function start(): void {
  let path: string | undefined;
  let due: Rule[] = [];
  let timer: ReturnType<typeof setTimeout> | undefined;
  const shown = new Map<Rule, [widget: Element, times: number]>();
  const put = (): void => {
    due = due.filter((rule) => {
      const [widget, times] = shown.get(rule) ?? [undefined, 0];
      if (widget?.isConnected || times >= AGAIN) return true;
      const [side, selector] = GNOMIC_PLACES[rule[2]]!;
      let at: Element | null = null;
      try {
        at = document.querySelector(selector);
      } catch {
        return false;
      }
      // The end of what the parser has not passed yet is not its end.
      if (at && (side !== 'inside' || document.readyState !== 'loading' || at.nextSibling))
        shown.set(rule, [inserted(at, side, rule), times + 1]);
      return true;
    });
  };
  const watching = new MutationObserver(put);
  const wait = (): void => {
    clearTimeout(timer);
    timer = setTimeout(() => watching.disconnect(), LATE);
  };
  const decide = (): void => {
    if (path === location.pathname) return;
    path = location.pathname;
    for (const [widget] of shown.values()) widget.remove();
    shown.clear();
    due = decided(GNOMIC_RULES, path, Date.now() / 1000);
    if (due.length > 0) watching.observe(document, { childList: true, subtree: true });
    put();
    if (document.readyState === 'complete') wait();
  };
  decide();
  addEventListener('load', wait);
  // At once: what is still being fetched for the page that was must not come into being on this one.
  (window as { navigation?: EventTarget }).navigation?.addEventListener('currententrychange', decide);
  addEventListener('popstate', decide);
  if (!document.querySelector(`script[src="${GNOMIC_HOST}/gnomic.js"]`)) {
    const script = document.createElement('script');
    script.src = `${GNOMIC_HOST}/gnomic.js`;
    script.nonce = self?.nonce ?? '';
    script.async = true;
    document.head.append(script);
  }
}

function inserted(at: Element, side: Place[0], rule: Rule): Element {
  const widget = document.createElement('gnomic-widget');
  widget.setAttribute('key', rule[3]);
  widget.setAttribute('host', GNOMIC_HOST);
  widget.style.display = 'block';
  if (rule[4]) {
    widget.style.setProperty('--gnomic-room', rule[4]);
    widget.style.paddingTop = 'var(--gnomic-room)';
  }
  at.insertAdjacentElement(SIDES[side], widget);
  return widget;
}

if (typeof GNOMIC_RULES !== 'undefined' && !window.gnomicSite) {
  window.gnomicSite = true;
  start();
}
