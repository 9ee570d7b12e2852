import { editionIn, parsed } from '../parsed';
import type { GnomicWidget } from '../widget';

/** What a visitor chooses comes into the widget's own place, from what was made ahead; where it cannot be had, its page is opened. */
export default function choose(root: ShadowRoot, signal: AbortSignal, host: string): void {
  const widget = root.host as GnomicWidget;
  let wanted: HTMLAnchorElement | undefined;
  const at = async (path: string): Promise<HTMLTemplateElement | null> => {
    const { content } = await parsed(host + path, signal);
    const within = content?.querySelector<HTMLTemplateElement>('gnomic-widget > template') ?? editionIn(content);
    return within?.content.childElementCount ? within : null;
  };
  const show = async (link: HTMLAnchorElement): Promise<void> => {
    wanted = link;
    const { pathname } = new URL(link.href);
    // What everybody sees first is what the element would ask for; where paths or visits have a say in that, the usual one.
    const { open } = link.dataset;
    const edition = open ? ((await at(open)) ?? (await at(`${pathname}.html`))) : await at(pathname);
    // Who has pressed something else meanwhile wants that.
    if (wanted !== link) return;
    if (!edition) throw new TypeError('Nothing there');
    widget.put(edition);
    // The focus stays on what was pressed, and how many there are is said.
    const now =
      root.querySelector<HTMLElement>(':is(.choose, .spread) [aria-current]') ??
      root.querySelector<HTMLElement>('.bar');
    // Whether bars are shown depends on the width: what has not been laid out takes no focus.
    now?.getBoundingClientRect();
    now?.focus();
    const status = root.querySelector(':is(.choose [role], .shown)');
    const said = status?.textContent ?? '';
    status?.replaceChildren();
    setTimeout(() => status?.append(said), 100);
  };
  root.addEventListener(
    'click',
    (event) => {
      const link = (event.target as Element).closest<HTMLAnchorElement>('a.way, a.bar');
      const { ctrlKey, metaKey, shiftKey } = event as MouseEvent;
      if (!link || ctrlKey || metaKey || shiftKey) return;
      event.preventDefault();
      show(link).catch(() => signal.aborted || window.open(link.href));
    },
    { signal },
  );
}
