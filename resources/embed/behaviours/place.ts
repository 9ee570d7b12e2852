import { fits, type Pattern } from '../patterns';
import { candidates } from '../subject';

/** A spot where the tag stands: its pattern, the pages left out, what shows there, and from when to when in seconds. */
type Rule = [pattern: Pattern, except: Pattern[], target: Target, from: number, to: number];

/** The key of another form of the widget, or by what the page says what it is about. */
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
 * What a tag shows on this page: keys to ask for, the likeliest first; empty for the usual edition. None: nothing. Where the site does not
 * allow the page, it leaves a plain link to the site's own.
 */
export default function place(element: Element, manifest: string, key: string): string[] {
  const { home, at, rules = [], versions } = JSON.parse(manifest) as Placing;
  if (at && !at.some((pattern) => isAt(pattern))) {
    const link = document.createElement('a');
    [link.href, link.textContent] = home;
    element.replaceChildren(link);
    return [];
  }
  const now = Date.now() / 1000;
  const rule = rules.find(
    ([pattern, except, , from, to]) =>
      from <= now &&
      (!to || now < to) &&
      fits(pattern, location.pathname) &&
      !except.some((one) => fits(one, location.pathname)),
  );
  const target = rule?.[2];
  if (typeof target === 'string') return [target];
  if (target)
    return [
      ...candidates(target.by, element)
        .filter((one) => target.known?.split('.').includes(one.slice(0, 5)) ?? true)
        .map((digest) => `${key}/for/${digest}`),
      ...(target.usual ? [''] : []),
    ];
  // Chance draws the visit; nothing of it is kept.
  return [versions ? versions[Math.random() < 0.5 ? 0 : 1]! : ''];
}

function isAt(pattern: string): boolean {
  const [host, port] = pattern.split(':');
  if (port && port !== '*' && port !== location.port) return false;
  return host!.startsWith('*.') ? location.hostname.endsWith(host!.slice(1)) : host === location.hostname;
}
