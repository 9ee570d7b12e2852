/** What brings a part of a widget to life; does nothing where the part is not there. Ends with the signal. */
export type Behaviour = (root: ShadowRoot, signal: AbortSignal) => void;

/** Of all layouts that have one: a file in the layout's folder. */
export const behaviours = Object.values(
  import.meta.glob<Behaviour>('../widget/layouts/*/behaviour.ts', { eager: true, import: 'default' }),
);
