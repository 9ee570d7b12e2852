import type { Component } from 'svelte';
import type { WholeBrief } from './api/client';

/** The layout that a brief names, with its settings. */
export type LayoutSettings = WholeBrief['shape']['layout'];

/** What the controls of a layout's own settings are given. */
export interface SettingsProps {
  layout: LayoutSettings;
  onchange: (layout: LayoutSettings) => void;
}

const byName = <T>(files: Record<string, T>): Record<string, T> =>
  Object.fromEntries(Object.entries(files).map(([path, file]) => [path.replace(/^.*layouts\/(.*)\/.*$/, '$1'), file]));

/** Where the small drawing of each layout is, from its folder; it takes the colour of the words beside it. */
export const pictures = byName(
  import.meta.glob<string>('../widget/layouts/*/picture.svg', {
    eager: true,
    query: '?url&no-inline',
    import: 'default',
  }),
);

/** The controls of a layout's own settings, where it has any. */
export const settings = byName(
  import.meta.glob<Component<SettingsProps>>('../widget/layouts/*/Settings.svelte', { eager: true, import: 'default' }),
);
