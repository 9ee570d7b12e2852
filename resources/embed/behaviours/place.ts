import { fits, type Pattern } from '../patterns';
import { languageAround } from '../language';
import { candidates } from '../subject';
import { fitting } from '../variants';

/** A spot where the tag stands: its pattern, the pages left out, what shows there, and from when to when in seconds. */
type Rule = [pattern: Pattern, except: Pattern[], target: Target, from: number, to: number];

/** The key of another form of the widget, empty for the usual; or by what the page says what it is about. */
type Target = string | { by: 'schema' | 'path' | 'data'; usual: boolean; known?: string };

interface Placing {
  /** The site's own page, and its name. */
  home: [address: string, name: string];
  /** Hosts on which it shows; a star is any part of a name. */
  at?: string[];
  rules?: Rule[];
  /** Keys of the two versions that are tried against each other. */
  versions?: [string, string];
}

/**
 * What a tag asks for on this page, the likeliest first: files of editions (ending with .html), or keys of other widgets. None: nothing.
 * Where the site does not allow the page, it leaves a plain link to the site's own.
 */
export default function place(element: Element, { placing, variants }: DOMStringMap, key: string): string[] {
  const usual = `${key}.html`;
  const variant = variants ? fitting(variants, languageAround(element), location.pathname) : '';
  // One that cannot be had leaves the usual one, which is never wrong.
  const own = variant ? [`${key}/at.${variant}.html`, usual] : [usual];
  if (!placing) return own;
  const { home, at, rules = [], versions } = JSON.parse(placing) as Placing;
  if (at && !at.some((pattern) => isAt(pattern))) {
    const link = document.createElement('a');
    [link.href, link.textContent] = home;
    element.replaceChildren(link);
    return [];
  }
  const now = Date.now() / 1000;
  const { pathname } = location;
  const rule = rules.find(
    ([pattern, except, , from, to]) =>
      from <= now && (!to || now < to) && fits(pattern, pathname) && !except.some((one) => fits(one, pathname)),
  );
  const target = rule?.[2];
  if (typeof target === 'object') {
    const known = target.known?.split('.');
    const about = candidates(target.by, element).filter((one) => known?.includes(one.slice(0, 5)) ?? true);
    return [...about.map((digest) => `${key}/for/${digest}`), ...(target.usual ? own : [])];
  }
  // Chance draws the visit; nothing of it is kept.
  const version = target || versions?.[Math.random() < 0.5 ? 0 : 1];
  return version ? [version, ...own] : own;
}

function isAt(pattern: string): boolean {
  const [host, port] = pattern.split(':');
  if (port && port !== '*' && port !== location.port) return false;
  return host!.startsWith('*.') ? location.hostname.endsWith(host!.slice(1)) : host === location.hostname;
}
