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
/** How often a widget is put back at once that the page's scripts took away with what they made anew; then they are given time. */
const AT_ONCE = 20;
/** Milliseconds, doubled each time, and the most that are waited. */
const PAUSE = 100;
const LONGEST = 30_000;
/** Of the page's time, what looking for places may take. */
const SHARE = 0.02;

function start(): void {
  let path: string | undefined;
  let due: Rule[] = [];
  let timer: ReturnType<typeof setTimeout> | undefined;
  /** When may be looked again, and when a rule may be tried again. */
  let next = 0;
  const shown = new Map<Rule, { widget: Element; times: number; next: number }>();
  const put = (): void => {
    timer = undefined;
    const began = performance.now();
    let soonest = Infinity;
    due = due.filter((rule) => {
      const before = shown.get(rule);
      if (before?.widget.isConnected) return true;
      // Whoever takes it away again and again is not fought.
      if (before && before.next > began) {
        soonest = Math.min(soonest, before.next);
        return true;
      }
      const [side, selector] = GNOMIC_PLACES[rule[2]]!;
      let at: Element | null = null;
      try {
        at = document.querySelector(selector);
      } catch {
        return false;
      }
      // The end of what the parser has not passed yet is not its end.
      if (at && (side !== 'inside' || document.readyState !== 'loading' || at.nextSibling)) {
        const times = (before?.times ?? 0) + 1;
        const pause = times < AT_ONCE ? 0 : Math.min(LONGEST, PAUSE * 2 ** (times - AT_ONCE));
        shown.set(rule, { widget: inserted(at, side, rule), times, next: began + pause });
      }
      return true;
    });
    const now = performance.now();
    next = now + (now - began) / SHARE;
    if (soonest < Infinity) timer = setTimeout(put, Math.max(soonest, next) - now);
  };
  // As long as the page lives: places may come late, and go, and come again.
  const watching = new MutationObserver(() => {
    if (performance.now() >= next) {
      clearTimeout(timer);
      put();
    } else timer ??= setTimeout(put, next - performance.now());
  });
  const decide = (): void => {
    if (path === location.pathname) return;
    path = location.pathname;
    for (const { widget } of shown.values()) widget.remove();
    shown.clear();
    due = decided(GNOMIC_RULES, path, Date.now() / 1000);
    watching.disconnect();
    if (due.length > 0) watching.observe(document, { childList: true, subtree: true });
    put();
  };
  decide();
  // At once: what is still being fetched for the page that was must not come into being on this one.
  (window as { navigation?: EventTarget }).navigation?.addEventListener('currententrychange', decide);
  addEventListener('popstate', decide);
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
