/** A text with its digits as the language of its widget writes them: the server says which is the zero, where it is another. */
export function inDigits(part: Element, text: string): string {
  const zero = part.closest<HTMLElement>('.box')?.dataset['zero'];
  return zero ? text.replace(/\d/g, (digit) => String.fromCharCode(zero.charCodeAt(0) + +digit)) : text;
}
