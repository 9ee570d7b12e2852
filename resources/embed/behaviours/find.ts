import { inDigits } from '../digits';
import { parsed } from '../parsed';
import { adoptStyles } from '../sheets';

/** Pages of everything that are searched; each has a hundred entries or fewer. */
const MOST = 40;

/** Small letters, without accents: so that words are found however they are written. */
const folded = (text: string): string => text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase();

/** A search in everything, on its own pages: all of the words, in any order, in whatever stands on a card. */
export default function find(root: ShadowRoot, signal: AbortSignal): void {
  const [form, cards] = [root.querySelector('form'), root.querySelector<HTMLElement>('.cards')];
  const [input, status] = [form?.querySelector('input'), form?.querySelector('[role=status]')];
  if (!form || !input || !status || !cards) return;
  const usual = [...cards.children];
  const nav = document.querySelector<HTMLElement>('nav.pages');
  let searched = '';
  const search = async (): Promise<void> => {
    const asked = (searched = input.value.trim());
    const words = folded(asked).split(/\s+/).filter(Boolean);
    if (nav) nav.hidden = words.length > 0;
    history.replaceState(null, '', words.length ? `?q=${encodeURIComponent(asked)}` : location.pathname);
    status.textContent = '';
    if (!words.length) return cards.replaceChildren(...usual);
    const found: HTMLElement[] = [];
    let [seen, page] = [0, new URL('all.html', location.href).href];
    for (let at = 0; page && at < MOST; at++) {
      const { content } = await parsed(page, signal);
      if (!content || searched !== asked) break;
      const within = content.querySelector<HTMLTemplateElement>('gnomic-widget > template')?.content;
      const items = [...(within?.querySelectorAll<HTMLElement>('.item') ?? [])];
      const fitting = items.filter((item) => {
        const text = folded(item.textContent ?? '');
        return words.every((word) => text.includes(word));
      });
      if (within && fitting.length) adoptStyles(root, within);
      found.push(...fitting.map((item) => document.importNode(item, true)));
      seen += items.length;
      cards.replaceChildren(...found);
      status.textContent = inDigits(
        form,
        (form.dataset['place'] ?? '').replace('{at}', `${found.length}`).replace('{count}', `${seen}`),
      );
      page = content.querySelector<HTMLAnchorElement>('nav.pages a[rel=next]')?.href ?? '';
    }
  };
  form.addEventListener(
    'submit',
    (event) => {
      event.preventDefault();
      search().catch(() => undefined);
    },
    { signal },
  );
  input.value = new URLSearchParams(location.search).get('q') ?? '';
  if (input.value) search().catch(() => undefined);
}
