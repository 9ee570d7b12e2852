// @vitest-environment node
import { describe, expect, test } from 'vitest';
import { fold, marked } from '../../resources/studio/parts/fold';

describe('folding', () => {
  test.each([
    ['DÔME', 'dome'],
    ['Größe', 'große'],
    ['ﬁne', 'fine'], // NFKD of Unicode: the ligature is two letters
    ['שָׁלוֹם', 'שלום'],
    ['が', 'が'], // the mark makes another letter
  ])('%s', (text, folded) => expect(fold(text)).toBe(folded));
});

describe('marking', () => {
  const found = (text: string, words: string): string[] => marked(text, words).filter((_, index) => index % 2 === 1);

  test('where words begin, whatever their case and accents', () => {
    expect(found('The Dôme, the domes, and freedom', 'dome')).toEqual(['Dôme', 'dome']);
  });

  test('several words, in the order of the text', () => {
    expect(found('Saturn rose; rings of Saturn', 'rings saturn')).toEqual(['Saturn', 'rings', 'Saturn']);
  });

  test('inside a run, in scripts without blanks', () => expect(found('昨夜は星空でした', '星')).toEqual(['星']));

  test('the pieces are the text, whatever was looked for', () => {
    for (const words of ['', '  ', 'saturn', 'ring', '*', '.*', 'ﬁ'])
      expect(marked('Saturn ﬁne — rings.', words).join('')).toBe('Saturn ﬁne — rings.');
  });
});
