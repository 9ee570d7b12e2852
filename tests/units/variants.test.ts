import { describe, expect, test } from 'vitest';
import { languageAround } from '../../resources/embed/language';
import { fitting } from '../../resources/embed/variants';

const manifest = (languages: string[], visits: number, pages: string[]): string =>
  JSON.stringify({ languages, visits, pages });

describe('the variant that fits', () => {
  test.each([
    ['de', 'de'],
    ['fr', ''],
    ['und', ''],
  ])('language %s', (language, name) => {
    expect(fitting(manifest(['de', 'en'], 1, []), language, '/', () => 0)).toBe(name);
  });

  test.each([
    ['/visit', 'p0'],
    ['/visit/groups', 'p0'],
    ['/shop/a.b', 'p1'],
    ['/shop/axb', ''],
    ['/', ''],
  ])('page %s: the first pattern counts, and no sign of it is special but the star', (path, name) => {
    expect(fitting(manifest([], 1, ['/visit*', '/shop/a.b', '*/groups']), 'en', path, () => 0)).toBe(name);
  });

  test('each visit is drawn; the first of them is the usual one', () => {
    const at = (chance: number): string => fitting(manifest([], 4, []), 'en', '/', () => chance);
    expect([at(0), at(0.25), at(0.5), at(0.999)]).toEqual(['', 'v2', 'v3', 'v4']);
  });

  test('all three together, in one order', () => {
    expect(fitting(manifest(['de'], 2, ['/a']), 'de', '/a', () => 0.9)).toBe('de.p0.v2');
  });
});

test('the language around an element is that of the nearest that says one', () => {
  document.body.innerHTML = '<main lang="DE-AT"><section lang="en-GB"><p></p></section><i lang="english"></i></main>';
  expect(languageAround(document.querySelector('p')!)).toBe('en-gb');
  expect(languageAround(document.querySelector('main')!)).toBe('de-at');
  expect(languageAround(document.querySelector('i')!)).toBe('und');
  expect(languageAround(document.body)).toBe('und');
  document.body.innerHTML =
    '<p lang="zh-Hant-HK"></p><p lang="es-419"></p><p lang="sr-Latn"></p><p lang="ca-valencia"></p>';
  const tags = [...document.querySelectorAll('p')].map(languageAround);
  expect(tags).toEqual(['zh-hant', 'es', 'sr-latn', 'ca']);
});

test('a language is looked up by its country and script (RFC 4647, CLDR)', () => {
  const chosen = (language: string): string =>
    fitting(JSON.stringify({ languages: ['de', 'nb', 'zh-hant', 'pt-br', 'pt'], visits: 1, pages: [] }), language, '/');
  expect(['de-at', 'no', 'nn', 'zh-tw', 'zh-hk', 'zh', 'pt-br', 'pt-pt', 'pt', 'it', 'und'].map(chosen)).toEqual([
    'de',
    'nb',
    'nb',
    'zh-hant',
    'zh-hant',
    '',
    'pt-br',
    'pt',
    'pt',
    '',
    '',
  ]);
});
