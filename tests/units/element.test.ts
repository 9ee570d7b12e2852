import { beforeAll, beforeEach, expect, test, vi } from 'vitest';
import { define } from '../../resources/embed/define';
import { comeFrom, hostsOf, settle } from '../../resources/embed/hosts';
import { GnomicWidget } from '../../resources/embed/widget';
import { asked, interfaceAnswers } from './interface';
import { until } from './until';

// What decides, what describes and what tells failures are files of their own, which no server has here.
vi.mock('../../resources/embed/load', async (original) => {
  const there: Record<string, { default: unknown }> = {
    'place.js': await import('../../resources/embed/behaviours/place'),
    'described.js': await import('../../resources/embed/behaviours/described'),
    'failed.js': await import('../../resources/embed/behaviours/failed'),
  };
  return {
    ...(await original<object>()),
    load: async (address: string) => {
      const name = address.replace(/^.*\/b\//, '');
      if (!(name in there) || (name === 'failed.js' && !isThere)) throw new TypeError();
      return there[name]!.default;
    },
  };
});
let isThere = true;

const edition = (words: string): string => `<template shadowrootmode="open"><p>${words}</p></template>`;
const choice = (...languages: string[]): string =>
  `<template data-place='place.js' data-variants='${JSON.stringify({ languages, visits: 1, pages: [] })}'></template>`;

beforeAll(() => {
  comeFrom('http://gnomic.test');
  GnomicWidget.patience = 1;
  define();
  define(); // pasted twice
});
beforeEach(() => {
  document.body.innerHTML = '';
  document.documentElement.lang = '';
});

function put(key: string, inside = ''): HTMLElement {
  document.body.innerHTML = `<gnomic-widget key="${key}">${inside}</gnomic-widget>`;
  return document.querySelector<HTMLElement>('gnomic-widget')!;
}
const shown = (element: HTMLElement): string => element.shadowRoot?.textContent ?? '';

test('shows the edition that is out, and asks for nothing else', async () => {
  interfaceAnswers({ 'GET /w/dome4visit/open.und.html': edition('Clear skies.') });
  const element = put('dome4visit');
  await until(() => expect(shown(element)).toBe('Clear skies.'));
  expect(asked.map(({ what }) => what)).toEqual(['GET /w/dome4visit/open.und.html']);
});

const paths = (): string[] => asked.map(({ what }) => what);

test('takes the variant in the language of the page, and never the usual one besides', async () => {
  interfaceAnswers({
    'GET /w/dome4visit/open.de-ch.html': choice('de'),
    'GET /w/dome4visit.html': edition('Clear skies.'),
    'GET /w/dome4visit/at.de.html': edition('Klarer Himmel.'),
  });
  document.documentElement.lang = 'de-CH';
  const element = put('dome4visit');
  await until(() => expect(shown(element)).toBe('Klarer Himmel.'));
  expect(paths()).toEqual(['GET /w/dome4visit/open.de-ch.html', 'GET /w/dome4visit/at.de.html']);
});

test('takes the usual one where none fits', async () => {
  interfaceAnswers({
    'GET /w/dome4visit/open.und.html': choice('de'),
    'GET /w/dome4visit.html': edition('Clear skies.'),
  });
  const element = put('dome4visit');
  await until(() => expect(shown(element)).toBe('Clear skies.'));
});

test('a variant that cannot be had leaves the usual one', async () => {
  interfaceAnswers({
    'GET /w/dome4visit/open.de.html': choice('de'),
    'GET /w/dome4visit.html': edition('Clear skies.'),
    'GET /w/dome4visit/at.de.html': 500,
  });
  document.documentElement.lang = 'de';
  const element = put('dome4visit');
  await until(() => expect(shown(element)).toBe('Clear skies.'));
});

test('what passes by itself is tried once more', async () => {
  let tries = 0;
  interfaceAnswers({ 'GET /w/dome4visit/open.und.html': () => (++tries < 2 ? 503 : edition('Clear skies.')) });
  const element = put('dome4visit');
  await until(() => expect(shown(element)).toBe('Clear skies.'));
  expect(tries).toBe(2);
});

const causes: [string, () => unknown, number, RegExp][] = [
  ['address', () => 404, 1, /no widget with the key "dome4visit".*Copy the code/],
  ['server', () => 503, 2, /status 503.*look whether Gnomic is well/],
  ['server', () => '<p>A page of something else</p>', 2, /something else than a widget/],
  ['server', () => '', 2, /something else than a widget/],
  ['server', () => `<main>${edition('Of somebody')}</main>`, 2, /something else than a widget/],
  // Once more, and once to be told whether the page's policy refuses it.
  ['network', () => Promise.reject(new TypeError('Failed to fetch')), 3, /could not be reached/],
  [
    'policy',
    () => {
      const refused = new Event('securitypolicyviolation');
      document.dispatchEvent(Object.assign(refused, { blockedURI: 'http://gnomic.test/w/dome4visit/open.und.html' }));
      return Promise.reject(new TypeError('Failed to fetch'));
    },
    3,
    /Content-Security-Policy.*Add http:\/\/gnomic.test to its connect-src/,
  ],
];

test.each(causes)('a failure of the %s is told with its own next step', async (cause, answer, times, says) => {
  const warn = vi.spyOn(console, 'warn').mockImplementation(() => undefined);
  interfaceAnswers({ 'GET /w/dome4visit/open.und.html': answer, 'HEAD /w/dome4visit.html': answer });
  const failed = vi.fn();
  document.addEventListener('gnomic-widget:failed', failed, { capture: true, once: true });
  put('dome4visit', 'Ask us');
  await until(() => expect(failed).toHaveBeenCalledOnce());
  expect((failed.mock.calls[0]?.[0] as CustomEvent<{ cause: string }>).detail.cause).toBe(cause);
  expect(warn).toHaveBeenCalledWith(expect.stringMatching(says));
  expect(asked).toHaveLength(times);
});

test('a failure is told where what tells failures cannot be had either', async () => {
  const warn = vi.spyOn(console, 'warn').mockImplementation(() => undefined);
  interfaceAnswers({ 'GET /w/dome4visit/open.und.html': () => Promise.reject(new TypeError('Failed to fetch')) });
  isThere = false;
  put('dome4visit');
  await until(() => expect(warn).toHaveBeenCalledOnce());
  isThere = true;
  expect(warn).toHaveBeenCalledWith(expect.stringMatching(/http:\/\/gnomic.test.*Content-Security-Policy/));
});

test.each([404, 503])(
  'where nothing comes (%d), the room that was kept is given back, and what stands in the tag stays',
  async (status) => {
    vi.spyOn(console, 'warn').mockImplementation(() => undefined);
    interfaceAnswers({ 'GET /w/dome4visit/open.und.html': () => status });
    const element = put(
      'dome4visit',
      'Ask us<svg style="padding-top:400px"><set attributeName="display"></set></svg><svg id="own"></svg>',
    );
    element.style.paddingTop = 'var(--gnomic-room)';
    await until(() => expect(element.querySelector('set')).toBeNull());
    expect(element.style.paddingTop).toBe('');
    expect(element.querySelector('#own')).not.toBeNull();
    expect(element.textContent).toBe('Ask us');
  },
);

test('blanks around a key are no part of it', async () => {
  interfaceAnswers({ 'GET /w/dome4visit/open.und.html': edition('Clear skies.') });
  const element = put(' dome4visit\n');
  await until(() => expect(shown(element)).toBe('Clear skies.'));
});

test('the host goes with the tag', () => {
  document.body.innerHTML = `
    <gnomic-widget id="early"></gnomic-widget>
    <script type="x" src="https://one.test/gnomic.js?v=2"></script><gnomic-widget id="one"></gnomic-widget>
    <script type="x" src="https://two.test/gnomic.js"></script><p><gnomic-widget id="two"></gnomic-widget></p>
    <script type="x" src="https://else.test/other.js"></script><script type="x" data-gnomic="https://inline.test"></script>
    <gnomic-widget id="inline"></gnomic-widget><gnomic-widget id="named" host="https://named.test/x"></gnomic-widget>`;
  const hosts = (id: string): string[] => hostsOf(document.getElementById(id)!);
  expect(hosts('early')[0]).toBe('http://gnomic.test');
  expect(hosts('one')[0]).toBe('https://one.test');
  expect(hosts('two')[0]).toBe('https://two.test');
  expect(hosts('inline')[0]).toBe('https://inline.test');
  expect(hosts('named')).toEqual(['https://named.test']);
  expect(hosts('one')).toEqual(['https://one.test', 'http://gnomic.test', 'https://two.test', 'https://inline.test']);
});

test('a script that the page holds inline knows its home by what its host wrote around it', () => {
  vi.stubGlobal('GNOMIC_HOST', 'https://baked.test');
  const inline = document.body.appendChild(document.createElement('script'));
  settle(inline);
  expect(inline.getAttribute('data-gnomic')).toBe('https://baked.test');
  vi.unstubAllGlobals();
});

test('a widget that one host does not have is asked of the other of the page', async () => {
  interfaceAnswers({
    'GET /w/other1/open.und.html': ({ host }: { host: string }) => (host === 'two.test' ? edition('Two.') : 404),
  });
  document.body.innerHTML = `<script type="x" src="https://two.test/gnomic.js"></script><script type="x" src="https://one.test/gnomic.js"></script><gnomic-widget key="other1"></gnomic-widget>`;
  const element = document.querySelector<HTMLElement>('gnomic-widget')!;
  await until(() => expect(shown(element)).toBe('Two.'));
});

test('another key shows another widget', async () => {
  interfaceAnswers({ 'GET /w/first1/open.und.html': edition('One.'), 'GET /w/second2/open.und.html': edition('Two.') });
  const element = put('first1');
  await until(() => expect(shown(element)).toBe('One.'));
  element.setAttribute('key', 'second2');
  await until(() => expect(shown(element)).toBe('Two.'));
});

test.each(['nosuchkey1', '../../etc', ''])('the key "%s" leaves what the page held, and says so', async (key) => {
  const warn = vi.spyOn(console, 'warn').mockImplementation(() => undefined);
  interfaceAnswers({});
  const failed = vi.fn();
  document.addEventListener('gnomic-widget:failed', failed, { capture: true, once: true });
  const element = put(key, 'Ask us');
  await until(() => expect(warn).toHaveBeenCalledOnce());
  expect(element.shadowRoot).toBeNull();
  expect(element.textContent).toBe('Ask us');
  expect(failed).toHaveBeenCalledOnce();
});

test('one that is taken off the page while it asks shows nothing and complains of nothing', async () => {
  const warn = vi.spyOn(console, 'warn').mockImplementation(() => undefined);
  let give: (edition: string) => void = () => undefined;
  interfaceAnswers({ 'GET /w/dome4visit/open.und.html': () => new Promise<string>((resolve) => (give = resolve)) });
  const element = put('dome4visit');
  await until(() => expect(asked).toHaveLength(1));
  element.remove();
  give(edition('Too late.'));
  await new Promise((resolve) => setTimeout(resolve));
  expect(element.shadowRoot).toBeNull();
  expect(warn).not.toHaveBeenCalled();
});

test('what search engines may read stands in the page, once a widget, and as the edition has it', async () => {
  const described = (figure: string): string =>
    `<template shadowrootmode="open"><div class="box" data-with="described.js">${figure}</div></template>` +
    `<script type="application/ld+json">{"ratingValue":"${figure}"}</script>`;
  interfaceAnswers({
    'GET /w/dome4visit/open.und.html': described('4.6'),
    'GET /w/shop4rows/open.und.html': described('3.9'),
  });
  document.body.innerHTML = `<gnomic-widget key="dome4visit"><script type="application/ld+json">{"ratingValue":"4.5"}</script></gnomic-widget>
    <gnomic-widget key="dome4visit"></gnomic-widget><gnomic-widget key="shop4rows"></gnomic-widget>`;
  const said = (): string[] =>
    [...document.querySelectorAll('gnomic-widget')].map((widget) =>
      [...widget.querySelectorAll('script')].map((script) => script.textContent).join(),
    );
  await until(() => expect(said()).toEqual(['{"ratingValue":"4.6"}', '', '{"ratingValue":"3.9"}']));
});
