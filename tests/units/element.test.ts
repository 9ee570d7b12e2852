import { beforeAll, beforeEach, expect, test, vi } from 'vitest';
import { define } from '../../resources/embed/define';
import { GnomicWidget } from '../../resources/embed/widget';
import { asked, interfaceAnswers } from './interface';

const edition = (words: string, variants = ''): string =>
  `<template shadowrootmode="open"${variants && ` data-variants='${variants}'`}><p>${words}</p></template>`;

beforeAll(() => {
  GnomicWidget.host = 'http://gnomic.test';
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
  interfaceAnswers({ 'GET /w/dome4visit.html': edition('Clear skies.') });
  const element = put('dome4visit');
  await vi.waitFor(() => expect(shown(element)).toBe('Clear skies.'));
  expect(asked.map(({ what }) => what)).toEqual(['GET /w/dome4visit.html']);
});

test('takes the variant in the language of the page', async () => {
  const variants = JSON.stringify({ languages: ['de'], visits: 1, pages: [] });
  interfaceAnswers({
    'GET /w/dome4visit.html': edition('Clear skies.', variants),
    'GET /w/dome4visit/at.de.html': edition('Klarer Himmel.'),
  });
  document.documentElement.lang = 'de-CH';
  const element = put('dome4visit');
  await vi.waitFor(() => expect(shown(element)).toBe('Klarer Himmel.'));
});

test('a variant that cannot be had leaves the usual one', async () => {
  const variants = JSON.stringify({ languages: ['de'], visits: 1, pages: [] });
  interfaceAnswers({
    'GET /w/dome4visit.html': edition('Clear skies.', variants),
    'GET /w/dome4visit/at.de.html': 500,
  });
  document.documentElement.lang = 'de';
  const element = put('dome4visit');
  await vi.waitFor(() => expect(shown(element)).toBe('Clear skies.'));
});

test('another key shows another widget', async () => {
  interfaceAnswers({ 'GET /w/first1.html': edition('One.'), 'GET /w/second2.html': edition('Two.') });
  const element = put('first1');
  await vi.waitFor(() => expect(shown(element)).toBe('One.'));
  element.setAttribute('key', 'second2');
  await vi.waitFor(() => expect(shown(element)).toBe('Two.'));
});

test.each(['nosuchkey1', '../../etc', ''])('the key "%s" leaves what the page held, and says so', async (key) => {
  const warn = vi.spyOn(console, 'warn').mockImplementation(() => undefined);
  interfaceAnswers({});
  const failed = vi.fn();
  document.addEventListener('gnomic-widget:failed', failed, { capture: true, once: true });
  const element = put(key, 'Ask us');
  await vi.waitFor(() => expect(warn).toHaveBeenCalledOnce());
  expect(element.shadowRoot).toBeNull();
  expect(element.textContent).toBe('Ask us');
  expect(failed).toHaveBeenCalledOnce();
});

test('one that is taken off the page while it asks shows nothing and complains of nothing', async () => {
  const warn = vi.spyOn(console, 'warn').mockImplementation(() => undefined);
  let give: (edition: string) => void = () => undefined;
  interfaceAnswers({ 'GET /w/dome4visit.html': () => new Promise<string>((resolve) => (give = resolve)) });
  const element = put('dome4visit');
  await vi.waitFor(() => expect(asked).toHaveLength(1));
  element.remove();
  give(edition('Too late.'));
  await new Promise((resolve) => setTimeout(resolve));
  expect(element.shadowRoot).toBeNull();
  expect(warn).not.toHaveBeenCalled();
});
