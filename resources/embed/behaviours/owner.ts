// For the owner alone, who came from the studio with a signed fragment: a small link beside each widget, to its bench, with today's
// views. It is for this page and this once: nothing is kept, and no other page gets it.

interface Told {
  widgets: Record<string, { name: string; bench: string; views: number }>;
}

const MARK = '#gnomic-owner=';

export default async function owner(host: string): Promise<void> {
  const token = location.hash.slice(MARK.length);
  if (!location.hash.startsWith(MARK) || document.querySelector('[data-gnomic-owner]')) return;
  const bar = document.createElement('div');
  bar.dataset['gnomicOwner'] = '';
  document.body.append(bar);
  const page = location.pathname;
  // Nobody else is to find it in the bar, or to copy it from there.
  history.replaceState(history.state, '', page + location.search);
  const keys = (await there()).join();
  const answer = await fetch(`${host}/owner/views?${new URLSearchParams({ token, page, keys })}`, {
    credentials: 'omit',
  });
  if (!answer.ok) return bar.remove();
  const { widgets } = (await answer.json()) as Told;
  const marked = new WeakSet<Element>();
  const mark = (): void => {
    for (const element of document.querySelectorAll('gnomic-widget')) {
      const key =
        element.shadowRoot?.querySelector<HTMLElement>('.box')?.dataset['key'] ?? element.getAttribute('key') ?? '';
      const about = widgets[key] ?? widgets[element.getAttribute('key') ?? ''];
      if (!about || marked.has(element) || !element.shadowRoot) continue;
      marked.add(element);
      element.before(link(about));
    }
  };
  mark();
  new MutationObserver(mark).observe(document.body, { childList: true, subtree: true });
  setInterval(mark, 1000);
}

/** Keys of the widgets on the page, once they have come: some seconds are waited for them. */
async function there(): Promise<string[]> {
  const all = (): HTMLElement[] => [...document.querySelectorAll<HTMLElement>('gnomic-widget')];
  for (let turn = 0; turn < 30 && (document.readyState !== 'complete' || all().some((one) => !one.shadowRoot)); turn++)
    await new Promise((resolve) => setTimeout(resolve, 100));
  const keys = all().flatMap((one) => [
    one.getAttribute('key') ?? '',
    one.shadowRoot?.querySelector<HTMLElement>('.box')?.dataset['key'] ?? '',
  ]);
  return [...new Set(keys)].filter(Boolean);
}

function link({ name, bench, views }: Told['widgets'][string]): HTMLElement {
  const holder = document.createElement('div');
  // Closed off, so that the page's styles do not make it part of the page.
  const root = holder.attachShadow({ mode: 'open' });
  const style = new CSSStyleSheet();
  style.replaceSync(
    ':host{all:initial;display:block;height:0;position:relative;z-index:9}a{position:absolute;bottom:2px;left:0;padding:4px 10px;border-radius:3px;background:#18211e;color:#f3f5f1;font:13px/1.4 system-ui;text-decoration:none;white-space:nowrap}a:focus-visible,a:hover{text-decoration:underline;outline:2px solid #6cc3ae}',
  );
  root.adoptedStyleSheets = [style];
  const a = document.createElement('a');
  a.href = bench;
  a.target = '_blank';
  a.rel = 'noopener';
  a.textContent = `Edit “${name}” · ${views.toLocaleString('en-GB')} ${views === 1 ? 'view' : 'views'} today`;
  root.append(a);
  return holder;
}
