/** What an edition says of the variants that were made beside it. */
interface Variants {
  languages: string[];
  visits: number;
  pages: string[];
}

/**
 * The name of the variant that fits this page and this visit, "de.p0.v3"; empty for the usual one. Chance draws the visit:
 * nothing of it is kept.
 *
 * @param language the page's, a primary subtag
 */
export function fitting(manifest: string, language: string, path: string, chance: () => number = Math.random): string {
  const { languages, visits, pages } = JSON.parse(manifest) as Variants;
  const page = pages.findIndex((pattern) => matches(pattern, path));
  const visit = 1 + Math.floor(chance() * visits);
  return [languages.includes(language) ? language : '', page < 0 ? '' : `p${page}`, visit < 2 ? '' : `v${visit}`]
    .filter(Boolean)
    .join('.');
}

/** A star in a pattern is any run of characters. */
function matches(pattern: string, path: string): boolean {
  const parts = pattern.split('*').map((part) => part.replace(/[.+?^${}()|[\]\\]/g, '\\$&'));
  return new RegExp(`^${parts.join('.*')}$`).test(path);
}
