import { load } from '../load';

/** What enlarges an entry: opens it, of those of a widget. */
export type Enlarge = (box: HTMLElement, key: string, ref: string, host: string) => void;

/** A press on an entry enlarges it; the enlarged view is fetched when it is wanted for the first time. */
export default function open(root: ShadowRoot, signal: AbortSignal, host: string): void {
  const box = root.querySelector<HTMLElement>('.box')!;
  const key = root.host.getAttribute('key')!.trim();
  const show = (ref: string, href: string): void => {
    load<Enlarge>(`${host}/b/${box.dataset['enlarge']}`)
      .then((enlarge) => enlarge(box, key, ref, host))
      .catch(() => href && window.open(href));
  };
  root.addEventListener(
    'click',
    (event) => {
      const link = (event.target as Element).closest<HTMLAnchorElement>('a.open');
      const click = event as MouseEvent;
      if (!link || click.ctrlKey || click.metaKey || click.shiftKey) return;
      event.preventDefault();
      show(link.closest<HTMLElement>('.item')?.dataset['e'] ?? '', link.href);
    },
    { signal },
  );
  // A link that was shared opens the page with its entry enlarged, once, however often the widget is on it.
  const [, shared] = new RegExp(`^#gnomic=${key}\\.([0-9a-f]+)$`).exec(location.hash) ?? [];
  if (shared && root.host === document.querySelector(`gnomic-widget[key="${key}"]`)) show(shared, '');
}
