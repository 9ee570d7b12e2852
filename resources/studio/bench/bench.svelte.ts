import { api, ask, type Offered, type Proof, type Source, type Widget, type WholeBrief } from '../api/client';
import type { Holder } from '../clauses/holder';
import { notices } from '../parts/notices.svelte';
import type { components } from '../api/schema';
import { usualSettings, type LayoutSettings, type Schema } from './shape/settings';

/** Widths at which a widget is proved: phone, tablet, desktop, in CSS pixels. */
export const WIDTHS = [360, 768, 1120] as const;

/** A page of the owner's, and what on it the widget stands in; null: where its code stands, or at the end. */
export type Ground = { address: string; at: string | null };

/** A widget as the interface answers. */
type Answered = components['schemas']['Widget'];

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
  wrong = $state.raw<Error | null>(null);
  publishing = $state(false);
  /** The page that the widget is proofed on; null: a neutral one. */
  ground = $state<Ground | null>(null);
  /** Whether the owner is pointing at where on the page the widget stands. */
  picking = $state(false);
  /** A width that is looked at beside WIDTHS, in CSS pixels. */
  width = $state<number | null>(null);

  /** Settings of layouts that were left, so that they are found again; for as long as the tab is open. */
  #left: Record<string, LayoutSettings> = {};
  #before: WholeBrief[] = [];
  #asked = 0;
  #proving: ReturnType<typeof setTimeout> | undefined;
  #saving: ReturnType<typeof setTimeout> | undefined;

  constructor(readonly key: string) {
    const kept = localStorage.getItem(`gnomic-ground-${key}`);
    if (kept) this.ground = JSON.parse(kept) as Ground;
  }

  /** Another page to proof on, or another place on it. */
  standOn(ground: Ground | null): void {
    this.ground = ground;
    this.picking = false;
    if (ground) localStorage.setItem(`gnomic-ground-${this.key}`, JSON.stringify(ground));
    else localStorage.removeItem(`gnomic-ground-${this.key}`);
  }

  /** What differs from what is out, each in a sentence, as the last proof told. */
  readonly changes = $derived(this.proof?.changes ?? []);

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

  /** What there is to choose from, asked anew. */
  async loadOffered(): Promise<void> {
    try {
      this.offered = await ask(api.GET('/choices'));
    } catch (error) {
      notices.fail(error);
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

  /** Another layout, with the settings that it had when it was left. */
  layOut(name: string): void {
    if (!this.brief || this.brief.shape.layout.name === name) return;
    const { layout } = $state.snapshot(this.brief).shape as WholeBrief['shape'];
    this.#left = { ...this.#remembered(), [layout.name]: layout };
    sessionStorage.setItem(`gnomic-layouts-${this.key}`, JSON.stringify(this.#left));
    const settings = this.offered?.layouts.find((one) => one.name === name)?.settings as Record<string, Schema>;
    const next = this.#left[name] ?? ({ name, ...usualSettings(settings ?? {}) } as LayoutSettings);
    this.change((changed) => (changed.shape.layout = next));
  }

  #remembered(): Record<string, LayoutSettings> {
    const kept = sessionStorage.getItem(`gnomic-layouts-${this.key}`);
    return kept ? (JSON.parse(kept) as Record<string, LayoutSettings>) : this.#left;
  }

  /** Looks at another width; what stands there is told by the proof. */
  look(width: number | null): void {
    this.width = width;
    clearTimeout(this.#proving);
    this.#proving = setTimeout(() => void this.#prove(), 60);
  }

  /** What the bench tells of the brief, asked anew. */
  prove(): void {
    void this.#prove();
  }

  undo(): boolean {
    const last = this.#before.pop();
    if (last) this.#take(last);
    return last !== undefined;
  }

  /** Proves and keeps the brief as it is: the last time, Gnomic did not answer. */
  again(): void {
    if (this.brief) this.#take(this.brief);
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
        api.POST('/proof', {
          body: {
            brief,
            key: this.key,
            widths: [...WIDTHS, ...(this.width ? [this.width] : [])],
          },
        }),
      );
      if (mine !== this.#asked) return;
      this.proof = proof;
      this.wrong = null;
    } catch (error) {
      if (mine === this.#asked) this.wrong = error as Error;
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
      await this.#await(await ask(api.POST('/widgets/{key}/editions', { params: { path: { key: this.key } } })));
    } catch (error) {
      notices.fail(error);
    }
    this.publishing = false;
  }

  /** An edition comes back: its brief to the bench, and out. */
  async restore(number: number): Promise<void> {
    this.publishing = true;
    try {
      const path = { params: { path: { key: this.key, number } } };
      const widget = await ask(api.POST('/widgets/{key}/editions/{number}', path));
      this.#before = [...this.#before.slice(-99), $state.snapshot(this.brief) as WholeBrief];
      this.brief = (widget as Widget).brief;
      await this.#prove();
      await this.#await(widget);
    } catch (error) {
      notices.fail(error);
    }
    this.publishing = false;
  }

  /** An edition is made by a worker, which tells when it has. */
  async #await(widget: Answered): Promise<void> {
    const before = this.widget?.edition?.number;
    let latest = widget;
    for (let waited = 0; latest.publishing; waited += LOOK) {
      if (waited > PATIENCE) throw new Error('The edition is still being made. Your pages show it once it is ready.');
      await new Promise((resolve) => setTimeout(resolve, LOOK));
      latest = await ask(api.GET('/widgets/{key}', { params: { path: { key: this.key } } }));
    }
    this.widget = latest as Widget;
    const number = latest.edition?.number;
    notices.say(
      number === before
        ? 'Nothing to publish: pages show this already.'
        : `Edition ${number} is published. Your pages show it within a minute.`,
    );
    if (this.proof) this.proof = { ...this.proof, moreRoom: 0, changes: [] };
  }

  /** Pins an entry first, or takes the pin back. */
  pin(id: string): void {
    this.change((brief) => {
      const { sift } = brief;
      sift.pins = sift.pins.includes(id) ? sift.pins.filter((one) => one !== id) : [...sift.pins, id];
      sift.hidden = sift.hidden.filter((one) => one !== id);
    });
  }

  /** Where a click on an entry leads; none: where all lead. */
  lead(id: string, url: string): void {
    this.change(({ shape }) => {
      const others = shape.addresses.filter((one) => one.id !== id);
      shape.addresses = url === '' ? others : [...others, { id, url }];
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
