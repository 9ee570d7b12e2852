import { mover } from '../../../embed/behaviours/mover';

/** One entry after another in a corner, after a while; one press, and they are gone for good. */
export default function notices(root: ShadowRoot, signal: AbortSignal): void {
  const all = root.querySelector<HTMLDetailsElement>('.notices');
  const items = [...(all?.querySelectorAll<HTMLElement>('.item') ?? [])];
  if (!all || items.length === 0) return;
  const kept = `gnomic-dismissed-${root.host.getAttribute('key')}`;
  // Nothing is kept of visitors but this, of those who asked for it; a page may forbid even that.
  try {
    if (localStorage.getItem(kept)) return void (all.hidden = true);
  } catch {
    // as long as the page is open, then
  }
  let at = 0;
  const show = (): void => items.forEach((item, index) => item.classList.toggle('now', index === at));
  all.style.visibility = 'hidden';
  const waiting = setTimeout(() => (all.style.visibility = ''), Number(all.dataset['after']) * 1000);
  signal.addEventListener('abort', () => clearTimeout(waiting));
  const dismiss = (event: Event): void => {
    event.preventDefault();
    all.hidden = true;
    try {
      localStorage.setItem(kept, '1');
    } catch {
      // see above
    }
  };
  all.querySelector('summary')?.addEventListener('click', dismiss, { signal });
  all.addEventListener('keydown', (event) => event.key === 'Escape' && dismiss(event), { signal });
  const button = all.querySelector<HTMLButtonElement>('.pause');
  if (button) button.hidden = items.length < 2;
  mover(root, signal, {
    button,
    seconds: Number(all.dataset['every']),
    waits: () => Boolean(all.hidden) || all.style.visibility === 'hidden' || all.querySelector('.more[open]') !== null,
    on: () => {
      at = (at + 1) % items.length;
      show();
    },
  });
  show();
}
