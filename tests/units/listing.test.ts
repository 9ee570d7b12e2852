import { beforeEach, describe, expect, test } from 'vitest';
import { Listing } from '../../resources/studio/entries/listing.svelte';
import { hide, join, label } from '../../resources/studio/entries/marks';
import { notices } from '../../resources/studio/parts/notices.svelte';
import { asked, askedFor, interfaceAnswers } from './interface';
import { until } from './until';

const COUNT = 150;
const row = (index: number): object => ({ entry: { id: `e${index}` }, hidden: false, held: false, labels: ['Old'] });
const wanted = { gather: { sources: null }, sift: { order: 'newest', stars: null } };
const entries = ({ query }: { query: URLSearchParams }): object => {
  const from = Number(query.get('from') ?? 0);
  const rows = Array.from({ length: Math.min(60, COUNT - from) }, (_, index) => row(from + index));
  return { count: COUNT, entries: rows, wanted, sentence: [], doubts: [] };
};

beforeEach(() => {
  notices.list = [];
  interfaceAnswers({ 'GET /entries': entries });
});

describe('a long list', () => {
  test('fetches what comes in sight, once, and nothing else', async () => {
    const listing = new Listing();
    await listing.load();
    await listing.ensure(100, 130);
    await listing.ensure(110, 125);
    expect(askedFor('GET /entries').map(({ query }) => query.get('from'))).toEqual([null, '60', '120']);
    expect(listing.rows.size).toBe(COUNT);
    await listing.ensure(0, 10_000);
    expect(askedFor('GET /entries')).toHaveLength(3);
  });

  test('an answer to an earlier question comes too late', async () => {
    let late: (answer: object) => void = () => undefined;
    const listing = new Listing();
    interfaceAnswers({ 'GET /entries': () => new Promise((resolve) => (late = resolve)) });
    const first = listing.load();
    await until(() => expect(asked).toHaveLength(1));
    interfaceAnswers({ 'GET /entries': entries });
    await listing.load();
    late({ count: 1, entries: [], wanted, sentence: [], doubts: [] });
    await first;
    expect(listing.count).toBe(COUNT);
  });

  test('what cannot be had is said, and what was there stays', async () => {
    const listing = new Listing();
    await listing.load();
    interfaceAnswers({ 'GET /entries': 500 });
    await listing.load();
    expect(listing.broken).toContain('status 500');
    expect(listing.rows.size).toBe(60);
  });

  test('is narrowed by a wish, a state or words, and cleared of all', async () => {
    const listing = new Listing();
    await listing.load();
    expect(listing.narrowed).toBe(false);
    const phrase = { key: 'stars', stage: 'sift', text: 'two stars and down', isOffer: false };
    interfaceAnswers({
      'GET /entries': ({ query }: { query: URLSearchParams }) => ({
        ...entries({ query }),
        sentence: query.get('wanted')?.includes('"to":2') ? [phrase] : [{ ...phrase, key: 'more', isOffer: true }],
      }),
    });
    listing.change((brief) => (brief.sift.stars = { from: 1, to: 2, unrated: 'drop' }));
    await until(() => expect(listing.narrowed).toBe(true));
    expect(listing.query.wanted).toContain('"from":1');
    listing.clear();
    await until(() => expect(listing.narrowed).toBe(false));
    listing.state = 'held';
    expect(listing.narrowed).toBe(true);
  });
});

describe('marks', () => {
  test('are set on what is selected, told, and taken back for just those that changed', async () => {
    const listing = new Listing();
    await listing.load();
    listing.selectThrough(3, 1);
    interfaceAnswers({ 'POST /entries/marks': { changed: ['e1', 'e3'] } });
    await hide(listing, listing.targets(), true);
    expect(asked[0]?.body).toEqual({ ids: ['e1', 'e2', 'e3'], hidden: true });
    expect([1, 2, 3].map((index) => listing.rows.get(index)?.hidden)).toEqual([true, false, true]);
    expect(notices.list.at(-1)?.text).toBe('2 entries hidden in every widget.');
    notices.undoLast();
    await until(() => expect(asked[1]?.body).toEqual({ ids: ['e1', 'e3'], hidden: false }));
  });

  test('nothing is asked for nothing, and nothing that changed is said so', async () => {
    const listing = new Listing();
    await listing.load();
    interfaceAnswers({ 'POST /entries/marks': { changed: [] } });
    await hide(listing, [], true);
    expect(asked).toHaveLength(0);
    await label(listing, ['e1'], 'New', true);
    expect(notices.list.at(-1)).toMatchObject({ text: 'Nothing to change: that is so already.', undo: undefined });
  });

  test('a label stands once, whatever its case, and comes off again', async () => {
    const listing = new Listing();
    await listing.load();
    interfaceAnswers({ 'POST /entries/marks': { changed: ['e1'] } });
    await label(listing, ['e1'], 'OLD', true);
    expect(listing.rows.get(1)?.labels).toEqual(['OLD']);
    await label(listing, ['e1'], 'old', false);
    expect(listing.rows.get(1)?.labels).toEqual([]);
  });

  test('what is refused changes nothing and is told', async () => {
    const listing = new Listing();
    await listing.load();
    interfaceAnswers({ 'POST /entries/marks': 500, 'POST /likeness/joined': 500 });
    await hide(listing, ['e1'], true);
    await join(listing, ['e1', 'e2']);
    expect(listing.rows.get(1)?.hidden).toBe(false);
    expect(notices.list.map(({ tone }) => tone)).toEqual(['harm', 'harm']);
  });
});
