/** What brings a part of a widget to life. Ends with the signal. */
export type Behaviour = (root: ShadowRoot, signal: AbortSignal, host: string) => void;

/** What enlarges an entry: opens it, of those of a widget. */
export type Enlarge = (box: HTMLElement, key: string, ref: string, host: string) => void;

export const load = async <T>(address: string): Promise<T> =>
  ((await import(/* @vite-ignore */ address)) as { default: T }).default;

/** Fetches what a widget needs to live, and nothing for one that only wants to be read. What cannot be had is done without. */
export function enliven(element: Element, root: ShadowRoot, key: string, host: string, signal: AbortSignal): void {
  const box = root.querySelector<HTMLElement>('.box');
  if (!box) return;
  // A page may be turned around by its style sheet alone.
  box.dir = getComputedStyle(element).direction;
  const { with: behaviours, enlarge } = box.dataset;
  for (const file of behaviours?.split(' ') ?? [])
    load<Behaviour>(`${host}/b/${file}`)
      .then((live) => signal.aborted || live(root, signal, host))
      .catch(() => undefined);
  if (!enlarge) return;
  const open = (ref: string, href: string): void => {
    load<Enlarge>(`${host}/b/${enlarge}`)
      .then((show) => show(box, key, ref, host))
      .catch(() => href && window.open(href));
  };
  root.addEventListener(
    'click',
    (event) => {
      const link = (event.target as Element).closest<HTMLAnchorElement>('a.open');
      const click = event as MouseEvent;
      if (!link || click.ctrlKey || click.metaKey || click.shiftKey) return;
      event.preventDefault();
      open(link.closest<HTMLElement>('.item')?.dataset['e'] ?? '', link.href);
    },
    { signal },
  );
  // A link that was shared opens the page with its entry enlarged, once, however often the widget is on it.
  const [, shared] = new RegExp(`^#gnomic=${key}\\.([0-9a-f]+)$`).exec(location.hash) ?? [];
  if (shared && element === document.querySelector(`gnomic-widget[key="${key}"]`)) open(shared, '');
}
