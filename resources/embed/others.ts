/** What an edition says of the variants that were made beside it. */
interface Others {
  languages: string[];
  visits: number;
  pages: string[];
}

/**
 * The name of the variant that fits this page and this visit, "de.p0.v3"; empty for the usual one. Chance draws the visit:
 * nothing of it is kept.
 */
export function fitting(manifest: string, element: Element, chance: () => number = Math.random): string {
  const { languages, visits, pages } = JSON.parse(manifest) as Others;
  const spoken = (element.closest('[lang]')?.getAttribute('lang') ?? '').toLowerCase().split('-')[0] ?? '';
  const page = pages.findIndex((pattern) => matches(pattern, location.pathname));
  const visit = 1 + Math.floor(chance() * visits);
  return [languages.includes(spoken) ? spoken : '', page < 0 ? '' : `p${page}`, visit < 2 ? '' : `v${visit}`]
    .filter(Boolean)
    .join('.');
}

/** A star in a pattern is any run of characters. */
function matches(pattern: string, path: string): boolean {
  const parts = pattern.split('*').map((part) => part.replace(/[.+?^${}()|[\]\\]/g, '\\$&'));
  return new RegExp(`^${parts.join('.*')}$`).test(path);
}
