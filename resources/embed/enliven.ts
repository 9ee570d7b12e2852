import { load } from './load';

/** What brings a part of a widget to life. Ends with the signal. */
export type Behaviour = (root: ShadowRoot, signal: AbortSignal, host: string) => void;

/** Fetches what a widget needs to live, and nothing for one that only wants to be read. What cannot be had is done without. */
export function enliven(element: Element, root: ShadowRoot, host: string, signal: AbortSignal): void {
  const box = root.querySelector<HTMLElement>('.box');
  if (!box) return;
  // A page may be turned around by its style sheet alone.
  box.dir = getComputedStyle(element).direction;
  for (const file of box.dataset['with']?.split(' ') ?? [])
    load<Behaviour>(`${host}/b/${file}`)
      .then((live) => signal.aborted || live(root, signal, host))
      .catch(() => undefined);
}
