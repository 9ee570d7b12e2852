/** Where words stand, by how their keys begin. */
const PLACES: [string, RegExp][] = [
  ['Head and buttons', /^(widget|account|faces|action)\./],
  ['Ratings and figures', /^(figures|rating)\./],
  ['Cards', /^card\./],
  ['The honest line', /^(honest|list)\./],
  ['Cards that move', /^(carousel|ticker|notices)\./],
  ['More, and choosing', /^(more|choose)\./],
  ['One entry enlarged', /^large\./],
  ['The page of everything', /^everything\./],
];

/** A text of widgets, as visitors read it. */
export interface Said {
  key: string;
  usual: string;
  beside: string;
}

/** What is put into a message is shown as an ellipsis, and of plurals the last form: for reading, not for writing. */
export function plainly(message: string): string {
  let plain = message;
  for (let before = ''; before !== plain;) {
    before = plain;
    plain = plain
      .replace(/\{\w+, (?:plural|select),(?:\s*(?:=\d+|\w+)\s*\{[^{}]*\})*?\s*other\s*\{([^{}]*)\}\s*\}/g, '$1')
      .replace(/\{\w+(?:, number)?\}/g, '…');
  }
  return plain.replace(/#/g, '…');
}

/** Texts by where they stand, those alone that have what was searched in their own words, beside them, or in their key. */
export function placed(
  usual: Record<string, string>,
  beside: Record<string, string>,
  searched: string,
): [string, Said[]][] {
  const wanted = searched.trim().toLowerCase();
  const all = Object.entries(usual).map(([key, text]) => ({ key, usual: text, beside: beside[key] ?? '' }));
  const has = (one: Said): boolean =>
    wanted === '' ||
    [one.key, plainly(one.usual), plainly(one.beside)].some((text) => text.toLowerCase().includes(wanted));
  return PLACES.map(([place, pattern]): [string, Said[]] => [
    place,
    all.filter((one) => pattern.test(one.key) && has(one)),
  ]).filter(([, said]) => said.length > 0);
}
