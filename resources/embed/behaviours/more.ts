import { CAME } from '../came';
import { inDigits } from '../digits';
import { parsed } from '../parsed';
import { adoptStyles } from '../sheets';

/** Pages that come on scrolling before a button has to be pressed again. */
const BY_SCROLLING = 3;

/** More entries, by a button, by numbered pages, or on scrolling, from pages that were made ahead. */
export default function more(root: ShadowRoot, signal: AbortSignal, host: string): void {
  const part = root.querySelector<HTMLElement>('.further');
  const cards = root.querySelector<HTMLElement>('.cards');
  const view = cards?.parentElement;
  if (!part || !cards || !view) return;
  const [link, button, nav, status] = ['a', 'button', 'nav', '[role=status]'].map((name) =>
    part.querySelector<HTMLElement>(name),
  );
  if (!link || !button || !nav || !status) return;
  const { from = '', how } = part.dataset;
  const last = 1 + Number(part.dataset['pages']);
  let at = 1;
  /** How many came with the last page, in words. */
  let said = '';

  /** Cards, alone where they follow those that are there, else in a place of their own. */
  const fetched = async (page: number): Promise<HTMLElement[]> => {
    const { content } = await parsed(`${host}${from}${page}.html`, signal);
    if (!content) throw new TypeError('No page');
    adoptStyles(root, content);
    said = content.querySelector('body')?.dataset['said'] ?? '';
    return [...content.querySelectorAll<HTMLElement>('body > .cards, body > .item')].map((one) =>
      document.importNode(one, true),
    );
  };
  const within = (nodes: HTMLElement[]): HTMLElement[] =>
    nodes.flatMap((node) => (node.matches('.item') ? [node] : ([...node.children] as HTMLElement[])));
  /** The first new card has the focus, and how many came is said. */
  const arrive = (items: HTMLElement[], focus: boolean): void => {
    // Once asked for, all are shown, however little room there is.
    cards.classList.add('all');
    status.textContent = said;
    if (items[0] && focus) {
      items[0].tabIndex = -1;
      items[0].focus({ preventScroll: true });
      items[0].scrollIntoView({ block: 'nearest', inline: 'start' });
    }
    root.dispatchEvent(new Event(CAME));
  };
  /** Without what was made ahead, everything has pages of its own. */
  const lost = (): void => {
    button.hidden = nav.hidden = true;
    link.hidden = false;
  };
  const add = async (focus: boolean): Promise<void> => {
    button.setAttribute('aria-disabled', 'true');
    try {
      const nodes = await fetched(++at);
      const items = within(nodes);
      if (nodes[0]?.matches('.cards')) view.append(...nodes);
      else {
        cards.classList.add('followed');
        cards.append(...items);
      }
      arrive(items, focus);
      button.hidden = at >= last;
      link.hidden = at < last;
    } catch {
      lost();
    }
    button.removeAttribute('aria-disabled');
  };

  link.hidden = true;
  if (how === 'pages') {
    const firsts = [...cards.children] as HTMLElement[];
    const numbers = Array.from({ length: last }, (_, index) => {
      const number = document.createElement('button');
      number.type = 'button';
      number.className = 'act';
      number.textContent = inDigits(part, `${index + 1}`);
      number.setAttribute('aria-label', (part.dataset['page'] ?? '').replace('{page}', number.textContent));
      number.addEventListener('click', () => void turnTo(index + 1), { signal });
      return number;
    });
    /** The first, the last, and those beside the one that is shown; dots stand for the others. */
    const mark = (): void => {
      const shown: (Node | string)[] = [];
      numbers.forEach((number, index) => {
        if (index + 1 === at) number.setAttribute('aria-current', 'page');
        else number.removeAttribute('aria-current');
        const isNear = Math.abs(index + 1 - at) < 2 || index === 0 || index === last - 1 || last < 8;
        if (isNear) shown.push(number);
        else if (shown.at(-1) !== '…') shown.push('…');
      });
      nav.replaceChildren(...shown);
    };
    const turnTo = async (page: number): Promise<void> => {
      try {
        const items = page === 1 ? firsts : within(await fetched(page));
        cards.classList.replace(`p${at}`, `p${page}`);
        cards.replaceChildren(...items);
        at = page;
        mark();
        arrive(items, true);
      } catch {
        lost();
      }
    };
    nav.hidden = false;
    mark();
    return;
  }
  button.hidden = false;
  button.addEventListener('click', () => button.getAttribute('aria-disabled') || void add(true), { signal });
  if (how === 'scroll') {
    const end = new IntersectionObserver(
      ([entry]) => {
        if (!entry?.isIntersecting || button.hidden || button.getAttribute('aria-disabled')) return;
        if (at > BY_SCROLLING) return end.disconnect();
        void add(false).then(() => {
          end.unobserve(part);
          end.observe(part);
        });
      },
      { rootMargin: '200px' },
    );
    end.observe(part);
    signal.addEventListener('abort', () => end.disconnect());
  }
}
