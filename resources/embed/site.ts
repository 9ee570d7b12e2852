import { decided, type Rule } from './rules';

// The one tag of a whole site: puts widgets where the site's spots say, as soon as the page has the place. Rules and host are set around
// it by the file that is published.

/** Side and selector. */
type Place = [side: 'before' | 'after' | 'inside', selector: string];

declare const GNOMIC_HOST: string;
declare const GNOMIC_RULES: Rule[];
declare const GNOMIC_PLACES: Place[];

const SIDES = { before: 'beforebegin', after: 'afterend', inside: 'beforeend' } as const;
const self = document.currentScript as HTMLScriptElement | null;

function start(): void {
  let waiting = decided(GNOMIC_RULES, location.pathname, Date.now() / 1000);
  const put = (): void => {
    waiting = waiting.filter((rule) => {
      const [side, selector] = GNOMIC_PLACES[rule[2]]!;
      let at: Element | null = null;
      try {
        at = document.querySelector(selector);
      } catch {
        return false;
      }
      // The end of what the parser has not passed yet is not its end.
      if (!at || (side === 'inside' && document.readyState === 'loading' && !at.nextSibling)) return true;
      const widget = document.createElement('gnomic-widget');
      widget.setAttribute('key', rule[3]);
      widget.setAttribute('host', GNOMIC_HOST);
      widget.style.display = 'block';
      if (rule[4]) {
        widget.style.setProperty('--gnomic-room', rule[4]);
        widget.style.paddingTop = 'var(--gnomic-room)';
      }
      at.insertAdjacentElement(SIDES[side], widget);
      return false;
    });
    if (waiting.length === 0) watching.disconnect();
  };
  const watching = new MutationObserver(put);
  watching.observe(document, { childList: true, subtree: true });
  put();
  if (!document.querySelector(`script[src="${GNOMIC_HOST}/gnomic.js"]`)) {
    const script = document.createElement('script');
    script.src = `${GNOMIC_HOST}/gnomic.js`;
    script.nonce = self?.nonce;
    script.async = true;
    document.head.append(script);
  }
  // Places that scripts make come late, or never.
  addEventListener('load', () => setTimeout(() => watching.disconnect(), 10_000));
}

if (typeof GNOMIC_RULES !== 'undefined' && !(window as { gnomicSite?: boolean }).gnomicSite) {
  (window as { gnomicSite?: boolean }).gnomicSite = true;
  start();
}
