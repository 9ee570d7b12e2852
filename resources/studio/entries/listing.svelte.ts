import { SvelteMap, SvelteSet } from 'svelte/reactivity';
import {
  api,
  ask,
  type Offered,
  type Phrase,
  type Source,
  type StoredEntry,
  type View,
  type WholeBrief,
} from '../api/client';
import type { Holder } from '../clauses/holder';
import { notices } from '../parts/notices.svelte';

export type State = '' | 'held' | 'hidden' | 'gone' | 'duplicate' | 'barred' | 'shown';
/** Entries that one answer brings. */
const PAGE = 60;

/** A list of entries that is being read: which are wanted, those fetched so far, and those selected. */
export class Listing implements Holder {
  readonly isListing = true;
  brief = $state<WholeBrief>();
  state = $state<State>('');
  search = $state('');
  sources = $state<Source[]>([]);
  offered = $state<Offered>();
  sentence = $state<Phrase[]>([]);
  doubts = $state<string[]>([]);
  open = $state<string | null>(null);
  /** Null until the first answer. */
  count = $state<number | null>(null);
  broken = $state('');
  at = $state(0);
  readonly rows = new SvelteMap<number, StoredEntry>();
  readonly selected = new SvelteSet<string>();

  #asked = 0;
  #fetching = new SvelteSet<number>();
  #waiting: ReturnType<typeof setTimeout> | undefined;

  readonly current = $derived(this.rows.get(this.at));

  /** Whether some entries are left out. */
  readonly narrowed = $derived(
    this.search !== '' ||
      this.state !== '' ||
      this.brief?.gather.kinds != null ||
      // The order is always spoken of, and narrows nothing.
      this.sentence.some(({ key, isOffer }) => key !== null && key !== 'order' && !isOffer),
  );

  /** What the interface is asked: the parts of a brief that choose, a state and words. */
  readonly query = $derived({
    wanted: this.brief ? JSON.stringify({ gather: this.brief.gather, sift: this.brief.sift }) : undefined,
    state: this.state || undefined,
    search: this.search.trim() || undefined,
  });

  async load(): Promise<void> {
    const mine = ++this.#asked;
    this.#fetching.clear();
    try {
      const page = await ask(api.GET('/entries', { params: { query: this.query } }));
      if (mine !== this.#asked) return; // a later question has been asked meanwhile
      this.rows.clear();
      this.#take(page, 0);
      this.at = 0;
      this.broken = '';
    } catch (error) {
      if (mine === this.#asked) this.broken = (error as Error).message;
    }
  }

  /** What is around the list: sources, and what there is to choose from. */
  async loadAround(): Promise<void> {
    try {
      const [{ sources }, offered] = await Promise.all([ask(api.GET('/sources')), ask(api.GET('/choices'))]);
      [this.sources, this.offered] = [sources, offered];
    } catch (error) {
      notices.fail(error);
    }
  }

  /** Sees to it that these rows are there, or on their way. */
  async ensure(from: number, to: number): Promise<void> {
    const mine = this.#asked;
    for (let page = Math.floor(from / PAGE); page * PAGE <= to && page * PAGE < (this.count ?? 0); page++) {
      if (this.rows.has(page * PAGE) || this.#fetching.has(page)) continue;
      this.#fetching.add(page);
      try {
        const answer = await ask(api.GET('/entries', { params: { query: { ...this.query, from: page * PAGE } } }));
        if (mine === this.#asked) this.#take(answer, page * PAGE);
      } catch (error) {
        notices.fail(error);
      }
      this.#fetching.delete(page);
    }
  }

  #take(
    page: { count: number; entries: StoredEntry[]; wanted: object; sentence: Phrase[]; doubts: string[] },
    from: number,
  ): void {
    this.count = page.count;
    this.brief ??= { version: 2, ...page.wanted } as WholeBrief;
    this.sentence = page.sentence;
    this.doubts = page.doubts;
    page.entries.forEach((entry, index) => this.rows.set(from + index, entry));
  }

  change(how: (brief: WholeBrief) => void): void {
    if (!this.brief) return;
    const next = $state.snapshot(this.brief) as WholeBrief;
    how(next);
    this.brief = next;
    this.later();
  }

  /** Asks once the owner has stopped typing. */
  later(): void {
    clearTimeout(this.#waiting);
    this.#waiting = setTimeout(() => void this.load(), 160);
  }

  show(view: Pick<View, 'wanted' | 'state' | 'search'>): void {
    this.brief = { version: 2, ...view.wanted } as WholeBrief;
    this.state = (view.state ?? '') as State;
    this.search = view.search;
    this.selected.clear();
    void this.load();
  }

  /** Everything again, newest first. */
  clear(): void {
    [this.brief, this.state, this.search] = [undefined, '', ''];
    void this.load();
  }

  turn(id: string): void {
    if (!this.selected.delete(id)) this.selected.add(id);
  }

  /** From the row that was selected last to this one, whatever lies between and has been fetched. */
  selectThrough(from: number, to: number): void {
    for (let index = Math.min(from, to); index <= Math.max(from, to); index++) {
      const row = this.rows.get(index);
      if (row) this.selected.add(row.entry.id);
    }
  }

  async selectAll(): Promise<void> {
    try {
      const { ids } = await ask(api.GET('/entries/ids', { params: { query: this.query } }));
      this.selected.clear();
      ids.forEach((id) => this.selected.add(id));
      if (ids.length < (this.count ?? 0))
        notices.say(`Only the first ${ids.length.toLocaleString('en-GB')} are selected: that is the most at once.`);
    } catch (error) {
      notices.fail(error);
    }
  }

  /** Those that a key or a button acts on: the selected ones, or else the one that is being read. */
  targets(): string[] {
    return this.selected.size > 0 ? [...this.selected] : this.current ? [this.current.entry.id] : [];
  }

  /** Changes the rows of some entries where they are on the screen. */
  patch(ids: string[], how: (row: StoredEntry) => StoredEntry): void {
    const wanted = Object.fromEntries(ids.map((id) => [id, true]));
    for (const [index, row] of this.rows) if (wanted[row.entry.id]) this.rows.set(index, how(row));
  }
}
