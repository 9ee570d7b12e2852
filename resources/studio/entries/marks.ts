import { api, ask } from '../api/client';
import { notices } from '../parts/notices.svelte';
import type { Listing } from './listing.svelte';

/** What the owner does to entries, one or many; each says what it did and can be taken back for just those it changed. */

const count = (number: number): string => (number === 1 ? 'One entry' : `${number.toLocaleString('en-GB')} entries`);

type Mark = { hidden: boolean } | { held: boolean } | { label: string; on: boolean };

async function mark(
  listing: Listing,
  ids: string[],
  body: Mark,
  done: (changed: number) => string,
  back: (changed: string[]) => void,
): Promise<void> {
  if (ids.length === 0) return;
  try {
    const { changed } = await ask(api.POST('/entries/marks', { body: { ids, ...body } }));
    listing.patch(changed, (row) => {
      if ('hidden' in body) return { ...row, hidden: body.hidden };
      if ('held' in body) return { ...row, held: body.held };
      const others = row.labels.filter((label) => label.toLowerCase() !== body.label.toLowerCase());
      return { ...row, labels: body.on ? [...others, body.label] : others };
    });
    if (changed.length === 0) notices.say('Nothing to change: that is so already.');
    else notices.say(done(changed.length), () => back(changed));
  } catch (error) {
    notices.fail(error);
  }
}

export function hide(listing: Listing, ids: string[], hidden: boolean): Promise<void> {
  return mark(
    listing,
    ids,
    { hidden },
    (changed) => (hidden ? `${count(changed)} hidden in every widget.` : `${count(changed)} may be shown again.`),
    (changed) => void hide(listing, changed, !hidden),
  );
}

export function hold(listing: Listing, ids: string[], held: boolean): Promise<void> {
  return mark(
    listing,
    ids,
    { held },
    (changed) => (held ? `${count(changed)} held until you decide.` : `${count(changed)} released.`),
    (changed) => void hold(listing, changed, !held),
  );
}

export function label(listing: Listing, ids: string[], name: string, on: boolean): Promise<void> {
  return mark(
    listing,
    ids,
    { label: name, on },
    (changed) => (on ? `${count(changed)} labelled “${name}”.` : `${count(changed)} no longer labelled “${name}”.`),
    (changed) => void label(listing, changed, name, !on),
  );
}

/** Pins an entry first in a widget, or takes the pin back. */
export async function pin(id: string, widget: { key: string; name: string }, on: boolean): Promise<void> {
  try {
    const { out } = await ask(
      api.POST('/widgets/{key}/pins', { params: { path: { key: widget.key } }, body: { id, on } }),
    );
    const where = out ? 'Pages show it within a minute.' : 'It is published with the widget’s other changes.';
    notices.say(
      on ? `Pinned first in “${widget.name}”. ${where}` : `No longer pinned in “${widget.name}”. ${where}`,
      () => void pin(id, widget, !on),
    );
  } catch (error) {
    notices.fail(error);
  }
}

/** The owner says that two are the same, or that one is not. */
export async function join(listing: Listing, ids: [string, string]): Promise<void> {
  try {
    await ask(api.POST('/likeness/joined', { body: { ids } }));
    await listing.load();
    notices.say('They now count as one.', () => void part(listing, ids[1], ids[0]));
  } catch (error) {
    notices.fail(error);
  }
}

export async function part(listing: Listing, id: string, other: string): Promise<void> {
  try {
    await ask(api.POST('/likeness/parted', { body: { id } }));
    await listing.load();
    notices.say('They now count as two, and will stay so.', () => void join(listing, [id, other]));
  } catch (error) {
    notices.fail(error);
  }
}
