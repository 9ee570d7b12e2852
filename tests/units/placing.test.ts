import { afterEach, describe, expect, test, vi } from 'vitest';
import place from '../../resources/embed/behaviours/place';
import { fits, type Pattern } from '../../resources/embed/patterns';
import { decided, type Rule } from '../../resources/embed/rules';
import { candidates, digest } from '../../resources/embed/subject';

afterEach(() => {
  document.head.innerHTML = document.body.innerHTML = '';
  history.replaceState(null, '', '/');
  vi.restoreAllMocks();
});

describe('patterns, as they are compiled', () => {
  test.each<[Pattern, string, boolean]>([
    ['/visit', '/visit', true],
    ['/visit', '/visit/', false],
    [['/shop/', ''], '/shop/', true],
    [['/shop/', ''], '/shop', false],
    [['/', '/b/', '.html'], '/a/b/c.html', true],
    [['/', '/b/', '.html'], '/a/c.html', false],
    [['/a', 'a'], '/a', false],
    [['', ''], '/', true],
    [{ 0: '/shop', r: '^\\/shop(?:\\/([^\\/]+?))$' }, '/shop/lamp', true],
    [{ 0: '/shop', r: '^\\/shop(?:\\/([^\\/]+?))$' }, '/shop/lamp/red', false],
    [{ 0: '/shop', r: 'not asked' }, '/visit', false],
    [{ 0: '/', e: '.html', r: 'not asked' }, '/visit', false],
    [{ 0: '/', m: '/lamps/', r: 'not asked' }, '/visit', false],
    [{ 0: '/', r: '^\\/([^/]+)$' }, '/visit', false],
  ])('%j on %s', (pattern, path, expected) => expect(fits(pattern, path)).toBe(expected));
});

const rule = (
  pattern: Pattern,
  place: number,
  key: string,
  more: Partial<{ except: Pattern[]; from: number; to: number }> = {},
): Rule => [pattern, more.except ?? [], place, key, '', more.from ?? 0, more.to ?? 0];

test('for each place the first rule that fits decides, on its days alone', () => {
  const rules = [
    rule('/shop/basket', 0, 'basket'),
    rule(['/shop/', ''], 0, 'shop', { except: ['/shop/secret'] }),
    rule(['/', ''], 1, 'advent', { from: 100, to: 200 }),
    rule(['/', ''], 1, 'foot'),
  ];
  const keys = (path: string, now: number): string[] => decided(rules, path, now).map((one) => one[3]);
  expect(keys('/shop/basket', 150)).toEqual(['basket', 'advent']);
  expect(keys('/shop/lamp', 200)).toEqual(['shop', 'foot']);
  expect(keys('/shop/secret', 99)).toEqual(['foot']);
});

test('a thousand rules are few', () => {
  const rules = Array.from({ length: 1000 }, (_, number) => rule([`/part-${number}/`, ''], number % 5, `k${number}`));
  decided(rules, '/part-999/x', 0);
  expect(decided(rules, '/part-999/x', 0).map((one) => one[3])).toEqual(['k999']);
});

test('one that the browser cannot read is nobody else’s trouble', () => {
  const rules = [rule({ 0: '/', r: '^\\/([\\w-]+$' }, 0, 'bad'), rule({ 0: '/', r: '^\\/([\\w\\-]+)$' }, 0, 'good')];
  expect(decided(rules, '/visit', 0).map((one) => one[3])).toEqual(['good']);
});

test('a thousand rules with expressions ask hardly any of them', () => {
  let made = 0;
  vi.stubGlobal(
    'RegExp',
    class extends RegExp {
      constructor(source: string, flags: string) {
        super(source, flags);
        made++;
      }
    },
  );
  const rules = Array.from({ length: 1000 }, (_, number) =>
    rule({ 0: '/', e: '', m: `/part-${number}/`, r: `^\\/(?:de|en)\\/part-${number}\\/([\\w\\-]+)$` }, 0, `k${number}`),
  );
  expect(decided(rules, '/de/part-999/x', 0).map((one) => one[3])).toEqual(['k999']);
  vi.unstubAllGlobals();
  expect(made).toBeLessThanOrEqual(1);
});

test('digests are those of PHP', () => {
  // hash('fnv1a64', …) of PHP, and the test vector of the authors of FNV.
  expect(digest('foobar')).toBe('85944171f73967e8');
  expect(digest('  The\n Dome ')).toBe(digest('the dome'));
  expect(digest('Über')).toBe('a720359e11610baf');
});

describe('what a page is about', () => {
  const put = (data: unknown): void => {
    document.head.innerHTML = `<script type="application/ld+json">${JSON.stringify(data)}</script>`;
  };
  const by = (way: 'schema' | 'path' | 'data'): string[] => candidates(way, document.body);

  test('its schema.org data, the surest name first', () => {
    put({ '@context': 'https://schema.org', '@type': 'Product', name: 'Moon Atlas', sku: 'QO-1', '@id': '#moon' });
    expect(by('schema')).toEqual(['QO-1', '#moon', 'Moon Atlas'].map(digest));
    put({
      '@graph': [
        { '@type': 'WebSite', name: 'x' },
        { '@type': ['Product', 'Book'], name: 'Moon Atlas' },
      ],
    });
    expect(by('schema')).toEqual([digest('Moon Atlas')]);
    put({ '@type': 'WebPage', mainEntity: { '@type': 'TouristAttraction', name: 'The Dome' } });
    expect(by('schema')).toEqual([digest('The Dome')]);
  });

  test('data that is none says nothing', () => {
    document.head.innerHTML = '<script type="application/ld+json">{broken</script>';
    expect(by('schema')).toEqual([]);
    put([[[[[[[[{ '@type': 'Product', name: 'deep' }]]]]]]]]);
    expect(by('schema')).toEqual([]);
    put({ '@type': 'Product', name: 5 });
    expect(by('schema')).toEqual([]);
  });

  test('its microdata', () => {
    document.body.innerHTML =
      '<div itemscope itemtype="https://schema.org/Product"><b itemprop="name">Moon Atlas</b></div>';
    expect(by('schema')).toEqual([digest('Moon Atlas')]);
  });

  test('its path, and its attribute', () => {
    history.replaceState(null, '', '/shop/Pocket%20Star-Wheel.html/');
    expect(by('path')).toEqual([digest('pocket star-wheel')]);
    document.body.innerHTML = '<main data-subject="the-dome"><p></p></main>';
    expect(candidates('data', document.querySelector('p')!)).toEqual([digest('the-dome')]);
  });
});

describe('what a tag asks for', () => {
  const decide = (placing: object, variants?: object): string[] => {
    document.body.innerHTML = '<div id="tag"></div>';
    const home = ['https://quillmoor.example/', 'Quillmoor'];
    const told = {
      placing: JSON.stringify({ home, ...placing }),
      ...(variants && { variants: JSON.stringify(variants) }),
    };
    return place(document.getElementById('tag')!, told, 'base');
  };

  test('nothing but a link where it is not allowed', () => {
    expect(decide({ at: ['quillmoor.example', '*.quillmoor.example'] })).toEqual([]);
    expect(document.body.innerHTML).toContain('<a href="https://quillmoor.example/">Quillmoor</a>');
    for (const at of [['gnomic.test'], ['gnomic.test:*'], ['*.test'], ['*.x', 'gnomic.test']])
      expect(decide({ at })).toEqual(['base.html']);
  });

  test('by rule, by subject, and by chance', () => {
    history.replaceState(null, '', '/shop/lamp');
    const rules = [
      ['/visit', [], 'a', 0, 0],
      [['/shop/', ''], [], 'b', 0, 0],
    ];
    expect(decide({ rules })).toEqual(['b', 'base.html']);
    expect(decide({ rules: [[['/shop/', ''], ['/shop/lamp'], 'b', 0, 0]] })).toEqual(['base.html']);
    expect(decide({ rules: [[['/shop/', ''], [], 'b', 0, 1]] })).toEqual(['base.html']);
    const known = digest('lamp').slice(0, 5);
    const about = (usual: boolean, known: string) => ({ rules: [[['', ''], [], { by: 'path', usual, known }, 0, 0]] });
    expect(decide(about(false, known))).toEqual([`base/for/${digest('lamp')}`]);
    expect(decide(about(true, '00000'))).toEqual(['base.html']);
    expect(decide(about(false, '00000'))).toEqual([]);
    vi.spyOn(Math, 'random').mockReturnValue(0.7);
    expect(decide({ versions: ['a', 'b'] })).toEqual(['b', 'base.html']);
  });

  test('in the language of the page', () => {
    document.documentElement.lang = 'de-AT';
    expect(decide({}, { languages: ['de'], visits: 1, pages: [] })).toEqual(['base/at.de.html', 'base.html']);
    document.documentElement.lang = '';
  });
});
