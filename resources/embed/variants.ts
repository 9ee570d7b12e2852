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
 * @param language the page's, with its script or country where it says so
 */
export function fitting(manifest: string, language: string, path: string, chance: () => number = Math.random): string {
  const { languages, visits, pages } = JSON.parse(manifest) as Variants;
  const page = pages.findIndex((pattern) => matches(pattern, path));
  const visit = 1 + Math.floor(chance() * visits);
  return [spoken(languages, language), page < 0 ? '' : `p${page}`, visit < 2 ? '' : `v${visit}`]
    .filter(Boolean)
    .join('.');
}

/** Look-up (RFC 4647, 3.4): the tag itself, else the language in the script that the country writes it in (CLDR), else the language. */
function spoken(languages: string[], tag: string): string {
  let likely = tag;
  try {
    const { language, script } = new Intl.Locale(tag).maximize();
    likely = `${language}-${script}`.toLowerCase();
  } catch {
    // What is no tag is no language.
  }
  const primary = tag.split('-')[0]!;
  return [tag, likely, primary, /^n[no]$/.test(primary) ? 'nb' : ''].find((one) => languages.includes(one)) ?? '';
}

/** A star in a pattern is any run of characters. */
function matches(pattern: string, path: string): boolean {
  const parts = pattern.split('*').map((part) => part.replace(/[.+?^${}()|[\]\\]/g, '\\$&'));
  return new RegExp(`^${parts.join('.*')}$`).test(path);
}
