/**
 * Text as it is compared: no case, no accents; the marks that make another letter, as in Japanese, stay. The studio marks by it
 * what the interface has found by its own folding.
 */
export function fold(text: string): string {
  return text
    .normalize('NFKD')
    .replace(/[\u0300-\u036f\u0591-\u05c7\u0610-\u061a\u064b-\u065f\u0670]/g, '')
    .normalize('NFC')
    .toLowerCase();
}

/**
 * Cuts a text where words begin that were looked for: every second piece is one of them.
 *
 * @param words - apart by blanks
 */
export function marked(text: string, words: string): string[] {
  const wanted = words
    .split(/[^\p{L}\p{N}\p{M}]+/u)
    .map(fold)
    .filter(Boolean);
  if (wanted.length === 0) return [text];
  const pieces: string[] = [];
  let from = 0;
  const alone =
    /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}]/u;
  for (const { 0: run, index } of text.matchAll(/[\p{L}\p{N}\p{M}]+/gu)) {
    const folded = fold(run);
    for (const word of wanted) {
      const at = alone.test(word) ? folded.indexOf(word) : folded.startsWith(word) ? 0 : -1;
      if (at < 0) continue;
      // Folding may change how long a word is; the whole of it is marked then.
      const [begin, end] =
        folded.length === run.length ? [index + at, index + at + word.length] : [index, index + run.length];
      if (begin < from) continue;
      pieces.push(text.slice(from, begin), text.slice(begin, end));
      from = end;
      break;
    }
  }
  return [...pieces, text.slice(from)];
}
