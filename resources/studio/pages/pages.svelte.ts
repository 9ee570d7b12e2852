import { api, ask } from '../api/client';
import type { components } from '../api/schema';

type Schemas = components['schemas'];
export type Page = Schemas['Page'];
export type Told = Schemas['Told'];
export type Spot = Schemas['Spot'];
export type PlacedSpot = Schemas['PlacedSpot'];
export type Reading = NonNullable<Schemas['Pages']['read']>;

/** What is asked of the list. */
export interface Wanted {
  search: string;
  branch: string | null;
  state: 'missing' | 'placed' | null;
}

/** Milliseconds between looks at a list that is being read. */
const LOOK = 1500;

/** The pages of the site, as the list shows them. */
export class PageList {
  list = $state<Schemas['Pages']>();
  broken = $state('');
  wanted = $state<Wanted>({ search: '', branch: null, state: null });
  /** What the list that is shown answers, which may be less than was typed since. */
  answered = $state('');
  after = $state(0);
  #timer: ReturnType<typeof setTimeout> | undefined;
  #asked = 0;

  readonly isReading = $derived(this.list?.read?.state === 'reading');

  async load(): Promise<void> {
    const turn = ++this.#asked;
    const { search, branch, state } = this.wanted;
    try {
      const query = {
        ...(search && { search }),
        ...(branch && { branch }),
        ...(state && { state }),
        after: this.after,
      };
      const list = await ask(api.GET('/pages', { params: { query } }));
      if (turn !== this.#asked) return;
      [this.list, this.answered, this.broken] = [list, search, ''];
    } catch (error) {
      if (turn !== this.#asked) return;
      this.broken = (error as Error).message;
    }
    clearTimeout(this.#timer);
    if (this.isReading) this.#timer = setTimeout(() => void this.load(), LOOK);
  }

  ask(change: Partial<Wanted>): void {
    Object.assign(this.wanted, change);
    this.after = 0;
    void this.load();
  }

  leave(): void {
    this.#asked++; // what still comes is of no use, and asks for no more
    clearTimeout(this.#timer);
  }
}

/** Of what was found on a page, what is told first. */
export const worst = (page: Page): Told | null =>
  page.findings
    .map((finding) => finding.told[0])
    .filter((told): told is Told => !!told)
    .sort(
      (one, other) =>
        Number(one.shows) - Number(other.shows) || Number(one.verdict === 'right') - Number(other.verdict === 'right'),
    )[0] ?? null;
