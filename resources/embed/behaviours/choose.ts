import { editionIn, parsed } from '../parsed';
import type { GnomicWidget } from '../widget';

/** What a visitor chooses comes into the widget's own place, from what was made ahead; where it cannot be had, its page is opened. */
export default function choose(root: ShadowRoot, signal: AbortSignal, host: string): void {
  const nav = root.querySelector<HTMLElement>('nav.choose');
  const widget = root.host as GnomicWidget;
  if (!nav || !widget.put) return;
  const key = widget.getAttribute('key')!.trim();
  const at = async (address: string): Promise<HTMLTemplateElement | null> => {
    const { ok, content } = await parsed(address, signal);
    const within = content.querySelector<HTMLTemplateElement>('gnomic-widget > template') ?? editionIn(content);
    return ok && within?.content.childElementCount ? within : null;
  };
  const show = async (link: HTMLAnchorElement): Promise<void> => {
    const isUsual = !link.href.endsWith('.html');
    const edition = isUsual
      ? ((await at(`${host}${nav.dataset['usual']}`)) ?? (await at(`${host}/w/${key}.html`)))
      : await at(`${host}${new URL(link.href).pathname}`);
    if (!edition) throw new TypeError('Nothing there');
    widget.put(edition);
    // The focus stays on what was pressed, and how many there are is said.
    const [now, status] = ['.choose [aria-current], .spread [aria-current]', '.choose [role=status]'].map((part) =>
      root.querySelector<HTMLElement>(part),
    );
    now?.focus();
    if (!status) return;
    const said = status.textContent;
    status.textContent = '';
    setTimeout(() => (status.textContent = said), 100);
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
