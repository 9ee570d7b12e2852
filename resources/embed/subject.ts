/** Beyond these, a page that speaks of many things is about none of them. */
const MOST = 4;

/** Digests of what a page may be about, the surest first, as SubjectDigest::of() writes them. */
export function candidates(by: 'schema' | 'path' | 'data', element: Element): string[] {
  const named =
    by === 'schema'
      ? fromData()
      : by === 'path'
        ? [decodeURIComponent(location.pathname.replace(/\/$/, '').split('/').pop() ?? '').replace(/\.\w{2,5}$/, '')]
        : [
            element.closest('[data-subject]')?.getAttribute('data-subject') ??
              document.querySelector('[data-subject]')?.getAttribute('data-subject'),
          ];
  return [...new Set(named.filter((one): one is string => !!one?.trim()).map(digest))].slice(0, MOST);
}

/** What the page's schema.org data calls the first thing that it is about. */
function fromData(): string[] {
  const found: string[] = [];
  for (const script of document.querySelectorAll('script[type="application/ld+json"]')) {
    // A widget's own data says what the site is, not what the page is about.
    if (script.closest('gnomic-widget')) continue;
    try {
      walk(JSON.parse(script.textContent ?? ''), found);
    } catch {
      continue;
    }
  }
  const item = document.querySelector('[itemscope][itemtype*="schema.org/"]');
  for (const name of ['sku', 'gtin13', 'productID', 'name']) {
    const value = item?.querySelector(`[itemprop="${name}"]`);
    if (value) found.push(value.getAttribute('content') ?? value.textContent ?? '');
  }
  return found;
}

const ABOUT =
  /Product|Service|Event|Course|Place|Business|Organization|Person|CreativeWork|Book|Hotel|Restaurant|Attraction|Vehicle|Accommodation/;
const NAMES = ['sku', 'gtin', 'gtin13', 'gtin14', 'gtin12', 'gtin8', 'productID', 'mpn', '@id', 'name'];

function walk(data: unknown, found: string[], depth = 0): void {
  if (depth > 6 || found.length >= MOST || typeof data !== 'object' || !data) return;
  if (Array.isArray(data)) return data.slice(0, 50).forEach((one) => walk(one, found, depth + 1));
  const thing = data as Record<string, unknown>;
  if (ABOUT.test(String(thing['@type']))) {
    for (const name of NAMES) if (typeof thing[name] === 'string') found.push(thing[name]);
  } else for (const part of ['@graph', 'mainEntity', 'about', 'itemListElement']) walk(thing[part], found, depth + 1);
}

/** FNV-1a of 64 bits over the words in small letters, blanks made one: sixteen signs. */
export function digest(words: string): string {
  let hash = 0xcbf29ce484222325n;
  for (const byte of new TextEncoder().encode(words.trim().replace(/\s+/g, ' ').toLowerCase()))
    hash = BigInt.asUintN(64, (hash ^ BigInt(byte)) * 0x100000001b3n);
  return hash.toString(16).padStart(16, '0');
}
