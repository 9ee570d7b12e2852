import type { Component } from 'svelte';
import { isNullable, kindOf, type Schema } from '../bench/shape/settings';
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

/** Controls made by hand: a file of the topic's name in topics/. */
interface Made {
  default: Component<ControlProps>;
  /** Members of a brief that it changes, by JSON Pointer. Those of its topic that are missing here are derived from their schemas. */
  members?: string[];
}

export const made: Record<string, Made> = Object.fromEntries(
  Object.entries(import.meta.glob<Made>('./topics/*.svelte', { eager: true })).map(([path, control]) => [
    path.replace(/^.*\/(.*)\.svelte$/, '$1'),
    control,
  ]),
);

/** What of a topic has no control made by hand. */
export function withoutControl(key: string, topics: Offered['topics']): [pointer: string, schema: Schema][] {
  const own = made[key]?.members ?? [];
  const members = topics.find((topic) => topic.key === key)?.members ?? {};
  return Object.entries(members as Record<string, Schema>).filter(([pointer]) => !own.includes(pointer));
}

const partOf = (brief: WholeBrief, pointer: string): [part: Record<string, unknown>, member: string] => {
  const [, part = '', member = ''] = pointer.split('/');
  return [brief[part as 'gather' | 'sift'] as unknown as Record<string, unknown>, member];
};

export function valueAt(brief: WholeBrief, pointer: string): unknown {
  const [part, member] = partOf(brief, pointer);
  return part[member];
}

/** An object that says nothing but what is usual asks for nothing. */
export function setAt(brief: WholeBrief, pointer: string, schema: Schema, value: unknown): void {
  const [part, member] = partOf(brief, pointer);
  const isUsual = ([name, one]: [string, unknown]): boolean =>
    JSON.stringify(one) === JSON.stringify(schema.properties?.[name]?.default ?? null);
  const saysNothing =
    isNullable(schema) && kindOf(schema) === 'group' && Object.entries(value as object).every(isUsual);
  part[member] = saysNothing ? null : value;
}
