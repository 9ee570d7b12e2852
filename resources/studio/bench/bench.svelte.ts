import { api, ask, type Offered, type Proof, type Source, type Widget, type WholeBrief } from '../api/client';
import type { Holder } from '../clauses/holder';
import { notices } from '../parts/notices.svelte';

/** Widths at which a widget is proved: phone, tablet, desktop, in CSS pixels. */
export const WIDTHS = [360, 768, 1120] as const;

/** How often it is asked whether an edition is made, and for how long, in milliseconds. */
const [LOOK, PATIENCE] = [200, 60_000];

/** A widget on the bench: its brief as it is being changed, and what that makes. */
export class Bench implements Holder {
  readonly isListing = false;
  widget = $state<Widget>();
  brief = $state<WholeBrief>();
  proof = $state<Proof>();
  sources = $state<Source[]>([]);
  offered = $state<Offered>();
  /** The phrase whose controls are open. */
  open = $state<string | null>(null);
  broken = $state('');
  /** Why the brief on the bench cannot be proved; the last proof that could stays to be seen. */
  wrong = $state('');
  publishing = $state(false);
  /** How high the widget is at each of WIDTHS, as the proof shows it. */
  heights = $state<Record<number, number>>({});

  #before: WholeBrief[] = [];
  #asked = 0;
  #proving: ReturnType<typeof setTimeout> | undefined;
  #saving: ReturnType<typeof setTimeout> | undefined;

  constructor(readonly key: string) {}

  /** How many members of the brief differ from what is out. */
  readonly changes = $derived.by(() => {
    const out = this.widget?.edition?.brief as WholeBrief | undefined;
    return out && this.brief ? countDifferences(out, this.brief) : 0;
  });

  async load(): Promise<void> {
    try {
      const [widget, { sources }, offered] = await Promise.all([
        ask(api.GET('/widgets/{key}', { params: { path: { key: this.key } } })),
        ask(api.GET('/sources')),
        ask(api.GET('/choices')),
      ]);
      this.offered = offered;
      this.widget = widget as Widget;
      this.brief = this.widget.brief;
      this.sources = sources;
      this.broken = '';
      await this.#prove();
    } catch (error) {
      this.broken = (error as Error).message;
    }
  }

  async loadSources(): Promise<void> {
    try {
      this.sources = (await ask(api.GET('/sources'))).sources;
      await this.#prove();
    } catch (error) {
      notices.fail(error);
    }
  }

  /** Changes the brief: the proof follows at once, and the bench keeps it. */
  change(how: (brief: WholeBrief) => void): void {
    if (!this.brief) return;
    this.#before = [...this.#before.slice(-99), $state.snapshot(this.brief) as WholeBrief];
    const next = $state.snapshot(this.brief) as WholeBrief;
    how(next);
    this.#take(next);
  }

  /** Takes a whole brief that was offered in place of this one. */
  take(brief: WholeBrief): void {
    this.change((changed) => Object.assign(changed, brief));
  }

  undo(): boolean {
    const last = this.#before.pop();
    if (last) this.#take(last);
    return last !== undefined;
  }

  #take(brief: WholeBrief): void {
    this.brief = brief;
    clearTimeout(this.#proving);
    clearTimeout(this.#saving);
    this.#proving = setTimeout(() => void this.#prove(), 60);
    this.#saving = setTimeout(() => void this.save(), 500);
  }

  async #prove(): Promise<void> {
    const mine = ++this.#asked;
    const brief = $state.snapshot(this.brief) as WholeBrief;
    try {
      const proof = await ask(
        api.POST('/proof', { body: { brief, key: this.key, name: this.widget?.name, widths: [...WIDTHS] } }),
      );
      if (mine !== this.#asked) return;
      this.proof = proof;
      this.wrong = '';
    } catch (error) {
      if (mine === this.#asked) this.wrong = (error as Error).message;
    }
  }

  /** Keeps the brief as it is now, before leaving too. */
  async save(): Promise<void> {
    clearTimeout(this.#saving);
    this.#saving = undefined;
    try {
      const brief = $state.snapshot(this.brief) as WholeBrief;
      await ask(api.PATCH('/widgets/{key}', { params: { path: { key: this.key } }, body: { brief } }));
    } catch (error) {
      notices.fail(error);
    }
  }

  leave(): void {
    clearTimeout(this.#proving);
    if (this.#saving !== undefined) void this.save();
  }

  async rename(name: string): Promise<void> {
    if (!this.widget || name.trim() === '' || name === this.widget.name) return;
    try {
      const body = { name: name.trim() };
      const widget = await ask(api.PATCH('/widgets/{key}', { params: { path: { key: this.key } }, body }));
      this.widget = { ...this.widget, name: widget.name };
    } catch (error) {
      notices.fail(error);
    }
  }

  async publish(): Promise<void> {
    this.publishing = true;
    try {
      await this.save();
      const before = this.widget?.edition?.number;
      const path = { params: { path: { key: this.key } } };
      let widget = await ask(api.POST('/widgets/{key}/editions', path));
      // Made by a worker, which tells when it has.
      for (let waited = 0; widget.publishing; waited += LOOK) {
        if (waited > PATIENCE) throw new Error('The edition is still being made. Your pages show it once it is ready.');
        await new Promise((resolve) => setTimeout(resolve, LOOK));
        widget = await ask(api.GET('/widgets/{key}', path));
      }
      this.widget = widget as Widget;
      const number = widget.edition?.number;
      notices.say(
        number === before
          ? 'Nothing to publish: pages show this already.'
          : `Edition ${number} is published. Your pages show it within a minute.`,
      );
    } catch (error) {
      notices.fail(error);
    }
    this.publishing = false;
  }

  /** Pins an entry first, or takes the pin back. */
  pin(id: string): void {
    this.change((brief) => {
      const { sift } = brief;
      sift.pins = sift.pins.includes(id) ? sift.pins.filter((one) => one !== id) : [...sift.pins, id];
      sift.hidden = sift.hidden.filter((one) => one !== id);
    });
  }

  /** Hides an entry in this widget, or shows it again. */
  hide(id: string): void {
    this.change((brief) => {
      const { sift } = brief;
      sift.hidden = sift.hidden.includes(id) ? sift.hidden.filter((one) => one !== id) : [...sift.hidden, id];
      sift.pins = sift.pins.filter((one) => one !== id);
    });
  }
}

function countDifferences(one: unknown, two: unknown): number {
  if (one && two && typeof one === 'object' && typeof two === 'object' && !Array.isArray(one) && !Array.isArray(two)) {
    const names = new Set([...Object.keys(one), ...Object.keys(two)]);
    return [...names].reduce(
      (sum, name) =>
        sum + countDifferences((one as Record<string, unknown>)[name], (two as Record<string, unknown>)[name]),
      0,
    );
  }
  return JSON.stringify(one) === JSON.stringify(two) ? 0 : 1;
}
