import type { Component } from 'svelte';
import type { Offered, Proof, Source, WholeBrief } from '../api/client';

/** Whoever has a brief that clauses read and change: the bench, and the list of entries. */
export interface Holder {
  readonly brief?: WholeBrief | undefined;
  readonly sources: Source[];
  /** What there is to choose from, where a clause names things. */
  readonly offered?: Offered | undefined;
  /** Figures of what was collected, where the holder knows them. */
  readonly proof?: Proof | undefined;
  /** Whether it is a list to read: no limit, no pages around it, and no order that visitors have another of. */
  readonly isListing: boolean;
  change(how: (brief: WholeBrief) => void): void;
}

/** What the controls of a topic are given. Those that the bench alone has get the bench as their holder. */
export interface ControlProps {
  holder: Holder;
  brief: WholeBrief;
}

/** The controls of each topic: a file of its name in topics/. */
export const controls: Record<string, Component<ControlProps>> = Object.fromEntries(
  Object.entries(
    import.meta.glob<Component<ControlProps>>('./topics/*.svelte', { eager: true, import: 'default' }),
  ).map(([path, control]) => [path.replace(/^.*\/(.*)\.svelte$/, '$1'), control]),
);
