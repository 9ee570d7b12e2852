import type { Component } from 'svelte';

/** A screen of the studio: its own script and style, fetched when it is opened. */
export interface Screen {
  name: string;
  title: string;
  isBench: boolean;
  /** Which widget or page it is about; null where it is about none. */
  of: string | null;
  load: () => Promise<Loaded>;
}

/** Those of one widget or page are given its key. */
interface Loaded {
  default: Component<Record<string, unknown>>;
}

const SCREENS: [pattern: RegExp, title: string, load: () => Promise<unknown>][] = [
  [/^\/$/, 'Today', () => import('./today/Today.svelte')],
  [/^\/sources$/, 'Sources', () => import('./sources/Sources.svelte')],
  [/^\/sources\/subjects$/, 'Subjects', () => import('./sources/subjects/Subjects.svelte')],
  [/^\/sources\/add/, 'Add a source', () => import('./sources/add/AddSource.svelte')],
  [/^\/entries$/, 'Entries', () => import('./entries/Entries.svelte')],
  [/^\/widgets$/, 'Widgets', () => import('./widgets/Widgets.svelte')],
  [/^\/widgets\/([a-z0-9]+)$/, 'The bench', () => import('./bench/Bench.svelte')],
  [/^\/widgets\/([a-z0-9]+)\/counts$/, 'Who sees it', () => import('./widgets/counts/Counts.svelte')],
  [/^\/pages$/, 'Pages', () => import('./pages/Pages.svelte')],
  [/^\/pages\/(\d+)$/, 'A page', () => import('./pages/PageDetail.svelte')],
];

const loads = new Map<string, Promise<Loaded>>();

/** Asked for once: a screen stays as it is while one goes about in it. */
function once(name: string, load: () => Promise<unknown>): Promise<Loaded> {
  const asked = loads.get(name) ?? (load() as Promise<Loaded>);
  loads.set(name, asked);
  return asked;
}

export function screenAt(path: string): Screen | null {
  for (const [pattern, title, load] of SCREENS) {
    const found = pattern.exec(path);
    if (found)
      return {
        name: pattern.source,
        title,
        isBench: title === 'The bench',
        of: found[1] ?? null,
        load: () => once(pattern.source, load),
      };
  }
  return null;
}
