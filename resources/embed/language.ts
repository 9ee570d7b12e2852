/**
 * The language of the page around an element, as its markup says: "pt", "pt-br", "zh-hant", without what else BCP 47 may add; "und",
 * undetermined, where it does not.
 */
export const languageAround = (element: Element): string =>
  /^[a-z]{2,3}(?![a-z])(-([a-z]{2}){1,2}\b)?/i
    .exec(element.closest('[lang]')?.getAttribute('lang') ?? '')?.[0]
    .toLowerCase() ?? 'und';
