/** A text with its digits as the language of its widget writes them: the server says which they are, where they are others. */
export const inDigits = (part: Element, text: string): string =>
  text.replace(/\d/g, (digit) => part.closest<HTMLElement>('[data-digits]')?.dataset['digits']![+digit] ?? digit);
