import { mover } from '../../../embed/mover';

/** One entry after another in a corner, after a while; one press, and they are gone for good. */
export default function notices(root: ShadowRoot, signal: AbortSignal): void {
  const all = withButton(root.querySelector<HTMLElement>('.notices'));
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
  // Whoever came in by the keys goes back to where they were.
  let before: HTMLElement | null = null;
  all.addEventListener(
    'focusin',
    ({ relatedTarget: from }) => {
      if (!all.contains(from as Node | null)) before = (from as HTMLElement | null) ?? (document.activeElement as HTMLElement);
    },
    { signal },
  );
  const dismiss = (event: Event): void => {
    event.preventDefault();
    const had = all.contains(root.activeElement);
    all.hidden = true;
    if (had) giveBack(root.host as HTMLElement, before);
    try {
      localStorage.setItem(kept, '1');
    } catch {
      // see above
    }
  };
  all.querySelector('.close')?.addEventListener('click', dismiss, { signal });
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

/** Folded together by a summary where no scripts run; where they do, what dismisses it is a button, and nothing unfolds it. */
function withButton(folded: HTMLElement | null): HTMLElement | null {
  const summary = folded?.querySelector('summary');
  if (!folded || !summary) return folded;
  const [all, button] = [document.createElement('div'), document.createElement('button')];
  for (const { name, value } of folded.attributes) if (name !== 'open') all.setAttribute(name, value);
  button.type = 'button';
  button.className = summary.className;
  button.setAttribute('part', 'control');
  button.append(...summary.childNodes);
  summary.replaceWith(button);
  all.append(...folded.childNodes);
  folded.replaceWith(all);
  return all;
}

/** The focus to where it was; else to where the widget stands, so that the next key goes on from there. */
function giveBack(host: HTMLElement, before: HTMLElement | null): void {
  before?.focus();
  if (before && document.activeElement === before) return;
  host.setAttribute('tabindex', '-1');
  host.focus();
  host.addEventListener('blur', () => host.removeAttribute('tabindex'), { once: true });
}
