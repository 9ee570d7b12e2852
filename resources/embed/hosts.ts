/** Set around the script by the host that serves it, so that it knows its home even where a page holds it inline. */
declare const GNOMIC_HOST: string;

/** What a node says of one behind it (DOM, compareDocumentPosition()). */
const FOLLOWING = 4;

let home = '';

/** Remembers where the running script comes from: its address, else what its host has written around it. */
export function settle(own: Element | null): void {
  const baked = typeof GNOMIC_HOST === 'string' ? GNOMIC_HOST : '';
  home ||= originOf(own) || baked || originOf(document.querySelector('script[src$="/gnomic.js"]')) || location.origin;
  // Where the page holds the script inline, the tags behind it find their host by this.
  if (own && !originOf(own) && baked) own.setAttribute('data-gnomic', baked);
}

/** Where the running script comes from. */
export const homeOf = (): string => home;

/** For tests, and for pages that make elements themselves. */
export function comeFrom(host: string): void {
  home = host;
}

/**
 * Hosts to ask for a tag's edition, the likeliest first: the one that the tag names, else that of the script before it, else that of
 * the script that runs; then the others of the page.
 */
export function hostsOf(tag: Element): string[] {
  const named = tag.getAttribute('host');
  if (named) return [new URL(named, location.href).origin];
  const before: string[] = [];
  const behind: string[] = [];
  for (const script of document.scripts) {
    const host = script.dataset['gnomic'] ?? originOf(script);
    if (host) script.compareDocumentPosition(tag) & FOLLOWING ? before.unshift(host) : behind.push(host);
  }
  return [...new Set([...before, home, ...behind])];
}

function originOf(script: Element | null): string {
  const { src = '' } = (script ?? {}) as Partial<HTMLScriptElement>;
  return /^(\w+:\/\/[^/]+)\/([^?#]+\/)?gnomic\.js([?#]|$)/.exec(src)?.[1] ?? '';
}
