import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { Bench } from '../../resources/studio/bench/bench.svelte';
import { notices } from '../../resources/studio/parts/notices.svelte';
import { asked, askedFor, interfaceAnswers } from './interface';

const brief = {
  version: 4,
  gather: { sources: null },
  sift: { limit: 10, pins: [], hidden: ['e9'] },
  shape: { layout: { name: 'grid', across: 3, last: 'whole' } },
};
const edition = (number: number): object => ({ number, brief, createdAt: '2026-11-20T12:00:00Z' });
const widget = { key: 'dome4visit', name: 'Dome', brief, edition: edition(1), publishing: false };
const answers = {
  'GET /widgets/dome4visit': widget,
  'PATCH /widgets/dome4visit': ({ body }: { body: unknown }): object => ({ ...widget, ...(body as object) }),
  'GET /sources': { sources: [] },
  'GET /choices': { topics: [] },
  'POST /proof': ({ body }: { body: unknown }): object => {
    const proofed = (body as { brief: typeof brief }).brief;
    const changes = proofed.sift.limit === 10 ? [] : [`10 became ${proofed.sift.limit}`];
    return { sentence: [], brief: proofed, changes };
  },
};

let bench: Bench;
beforeEach(async () => {
  vi.useFakeTimers();
  notices.list = [];
  interfaceAnswers(answers);
  bench = new Bench('dome4visit');
  await bench.load();
});
afterEach(() => vi.useRealTimers());

const limits = (what: string): number[] =>
  askedFor(what).map(({ body }) => (body as { brief: typeof brief }).brief.sift.limit);
const setLimit = (limit: number): void => bench.change((changed) => (changed.sift.limit = limit));

describe('changes', () => {
  test('are proved and kept once the owner pauses, not one by one', async () => {
    for (const limit of [11, 12, 13]) setLimit(limit);
    await vi.advanceTimersByTimeAsync(1000);
    expect(limits('POST /proof')).toEqual([10, 13]);
    expect(limits('PATCH /widgets/dome4visit')).toEqual([13]);
  });

  test('against what is out are told by the proof', async () => {
    expect(bench.changes).toEqual([]);
    setLimit(11);
    await vi.advanceTimersByTimeAsync(1000);
    expect(bench.changes).toEqual(['10 became 11']);
  });

  test('go back one by one, to the beginning and no further', () => {
    setLimit(11);
    setLimit(12);
    expect(bench.undo()).toBe(true);
    expect(bench.brief?.sift.limit).toBe(11);
    expect(bench.undo()).toBe(true);
    expect(bench.undo()).toBe(false);
    expect(bench.brief?.sift.limit).toBe(10);
  });

  test('that wait are kept when the bench is left', async () => {
    setLimit(11);
    bench.leave();
    await vi.advanceTimersByTimeAsync(0);
    expect(limits('PATCH /widgets/dome4visit')).toEqual([11]);
    expect(limits('POST /proof')).toEqual([10]);
  });
});

describe('a layout', () => {
  test('begins with what is usual, and finds its settings again when it comes back', () => {
    sessionStorage.clear();
    const shape = { layout: { name: 'carousel', across: 4 } };
    bench.brief = { ...brief, shape } as unknown as typeof bench.brief;
    const group = { type: 'object', properties: { phone: { type: ['integer', 'null'] } } };
    bench.offered = {
      layouts: [
        {
          name: 'grid',
          settings: { across: { type: 'integer', default: 3 }, rows: { type: ['integer', 'null'] }, fixed: group },
        },
      ],
    } as unknown as typeof bench.offered;
    bench.layOut('grid');
    expect(bench.brief?.shape.layout).toEqual({ name: 'grid', across: 3, rows: null, fixed: { phone: null } });
    bench.layOut('carousel');
    expect(bench.brief?.shape.layout).toEqual({ name: 'carousel', across: 4 });
  });
});

describe('the proof', () => {
  test('of an earlier brief comes too late', async () => {
    const waiting: (() => void)[] = [];
    interfaceAnswers({
      ...answers,
      'POST /proof': ({ body }: { body: unknown }) =>
        new Promise((resolve) =>
          waiting.push(() => resolve({ sentence: [], brief: (body as { brief: object }).brief })),
        ),
    });
    setLimit(11);
    await vi.advanceTimersByTimeAsync(100);
    setLimit(12);
    await vi.advanceTimersByTimeAsync(100);
    waiting[1]?.();
    waiting[0]?.();
    await vi.advanceTimersByTimeAsync(0);
    expect(bench.proof?.brief.sift?.limit).toBe(12);
  });

  test('that is refused says why, and the last one stays', async () => {
    interfaceAnswers({ ...answers, 'POST /proof': 500 });
    setLimit(11);
    await vi.advanceTimersByTimeAsync(100);
    expect(bench.wrong?.message).toContain('status 500');
    expect(bench.proof?.brief.sift?.limit).toBe(10);
    interfaceAnswers(answers);
    bench.again();
    await vi.advanceTimersByTimeAsync(1000);
    expect(bench.wrong).toBeNull();
    expect(bench.proof?.brief.sift?.limit).toBe(11);
    expect(limits('PATCH /widgets/dome4visit').at(-1)).toBe(11);
  });
});

describe('an entry', () => {
  test('that is pinned is no longer hidden, and the other way round', () => {
    bench.pin('e9');
    expect(bench.brief?.sift).toMatchObject({ pins: ['e9'], hidden: [] });
    bench.hide('e9');
    expect(bench.brief?.sift).toMatchObject({ pins: [], hidden: ['e9'] });
    bench.hide('e9');
    expect(bench.brief?.sift).toMatchObject({ pins: [], hidden: [] });
  });
});

describe('publishing', () => {
  test('waits for the worker, and tells which edition is out', async () => {
    let looks = 0;
    interfaceAnswers({
      ...answers,
      'POST /widgets/dome4visit/editions': { ...widget, publishing: true },
      'GET /widgets/dome4visit': () => ({ ...widget, edition: edition(2), publishing: ++looks < 3 }),
    });
    const done = bench.publish();
    await vi.advanceTimersByTimeAsync(2000);
    await done;
    expect(asked.map(({ what }) => what)).toEqual([
      'PATCH /widgets/dome4visit',
      'POST /widgets/dome4visit/editions',
      ...Array.from({ length: 3 }, () => 'GET /widgets/dome4visit'),
    ]);
    expect(notices.list.at(-1)?.text).toMatch(/^Edition 2 is published\./);
    expect(bench.publishing).toBe(false);
  });

  test('what is out already is told', async () => {
    interfaceAnswers({ ...answers, 'POST /widgets/dome4visit/editions': widget });
    await bench.publish();
    expect(notices.list.at(-1)?.text).toBe('Nothing to publish: pages show this already.');
  });

  test('that fails leaves the button free', async () => {
    interfaceAnswers({ ...answers, 'POST /widgets/dome4visit/editions': 500 });
    await bench.publish();
    expect(notices.list.at(-1)?.tone).toBe('harm');
    expect(bench.publishing).toBe(false);
  });
});
