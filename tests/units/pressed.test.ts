import { beforeEach, expect, test } from 'vitest';
import pressed from '../../resources/embed/behaviours/pressed';
import type { Tally } from '../../resources/embed/tally';

const HOST = 'http://gnomic.test';

let host: HTMLElement;
let tally: Tally;

/** A widget of one entry, whose link enlarges it where a view for that is there. */
function widget(inside: string, enlarge = ''): ShadowRoot {
  document.body.innerHTML = '<div key=" dome4visit "></div>';
  host = document.body.firstElementChild as HTMLElement;
  const root = host.attachShadow({ mode: 'open' });
  root.innerHTML = `<div class="box"${enlarge}><div class="item" data-e="a1">${inside}</div><p class="foot"><a href="${HOST}/w/dome4visit/all.html">All</a></p></div>`;
  tally = { host: HOST, element: host, width: 900, counts: [0, 0, 0, 0, 0, 0], isEngaged: false, entries: [] };
  return root;
}
const press = (root: ShadowRoot, what: string, event: Event): void =>
  pressed(event, root.querySelector(what)!, root, tally);
const followed = (key: string, ref: string): boolean =>
  document.dispatchEvent(new CustomEvent('gnomic-followed', { detail: { key, ref } }));

beforeEach(() => {
  document.body.innerHTML = '';
});

test('what leads away is a click, with the middle button as well; what leads to more is an opening', () => {
  const root = widget('<a class="away" href="https://wayleaf.example/1"><b>Wayleaf</b></a>');
  press(root, '.away b', new MouseEvent('click'));
  press(root, '.away', new MouseEvent('auxclick', { button: 1 }));
  press(root, '.away', new MouseEvent('auxclick', { button: 2 }));
  press(root, '.foot a', new MouseEvent('click'));
  expect(tally.counts).toEqual([0, 0, 1, 0, 2, 1]);
  expect(tally.entries).toEqual([['a1', 0, 0, 2]]);
});

test('what opens an entry in place is an opening, but not where the browser opens it beside', () => {
  const inside = '<a class="open" href="https://wayleaf.example/1">Enlarge</a>';
  const root = widget(inside, ' data-enlarge="e.js"');
  press(root, '.open', new MouseEvent('click'));
  press(root, '.open', new MouseEvent('click', { ctrlKey: true }));
  expect(tally.entries).toEqual([['a1', 1, 0, 1]]);
  const plain = widget(inside);
  press(plain, '.open', new MouseEvent('click'));
  expect(tally.entries).toEqual([['a1', 0, 0, 1]]);
});

test('reading on counts when it opens, and what is beside all that does not', () => {
  const root = widget('<p>Words</p><details class="more" open><summary>More</summary></details>');
  press(root, 'details', new Event('toggle'));
  root.querySelector('details')!.open = false;
  press(root, 'details', new Event('toggle'));
  for (const type of ['pointerover', 'focusin', 'click']) press(root, 'p', new Event(type));
  expect(tally.counts).toEqual([0, 0, 0, 1, 0, 1]);
  expect(tally.entries).toEqual([['a1', 0, 1, 0]]);
});

test('what is pressed in the enlarged view counts once for its widget, and for no other', () => {
  const root = widget('<p>Words</p>');
  press(root, 'p', new Event('pointerover'));
  press(root, 'p', new Event('pointerover'));
  followed('dome4visit', 'b2');
  followed('other', 'c3');
  expect(tally.counts).toEqual([0, 0, 0, 0, 1, 1]);
  expect(tally.entries).toEqual([['b2', 0, 0, 1]]);
});

test('of more entries than forty, those that come later count for the widget alone', () => {
  const root = widget('<p>Words</p>');
  press(root, 'p', new Event('pointerover'));
  for (let at = 0; at < 45; at++) followed('dome4visit', `e${at}`);
  followed('dome4visit', 'e0');
  expect(tally.counts[4]).toBe(46);
  expect(tally.entries).toHaveLength(40);
  expect(tally.entries[0]).toEqual(['e0', 0, 0, 2]);
});
