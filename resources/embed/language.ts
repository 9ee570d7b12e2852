/** The language of the page around an element, as its markup says: the primary subtag of BCP 47; "und", undetermined, where it does not. */
export const languageAround = (element: Element): string =>
  /^[a-z]{2,3}(?![a-z])/i.exec(element.closest('[lang]')?.getAttribute('lang') ?? '')?.[0].toLowerCase() ?? 'und';
