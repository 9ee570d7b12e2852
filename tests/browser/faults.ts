import type { Page } from '@playwright/test';
import { picture } from './rendered';

const STYLE = 'body{margin:0;font-family:Georgia,serif}';

/** A page with a box of any width, which what is fixed in the window keeps to as well. */
export async function show(page: Page, html: string, style = ''): Promise<void> {
  await page.route('https://pictures.example/**', picture);
  await page.setContent(
    `<!doctype html><html lang="en"><title>x</title><style>${STYLE}${style}</style><main><h1>Visit</h1><div id="w">${html}</div></main>`,
  );
}

/** Many widgets under each other, each in a box of its own: what is wrong with any is found in one visit. */
export const showAll = (page: Page, widgets: Record<string, string>): Promise<void> =>
  show(
    page,
    Object.entries(widgets)
      .map(([name, html]) => `<div class="w" data-name="${name}">${html}</div>`)
      .join(''),
  );

/** What is wrong with a widget in a box of a width, in words. */
export async function faults(page: Page, width: number): Promise<string[]> {
  return Object.values(await faultsOfAll(page, width, '#w')).flat();
}

/** The same of each that is shown, by name; none that has none. */
export function faultsOfAll(page: Page, width: number, boxes = '.w'): Promise<Record<string, string[]>> {
  return page.evaluate(
    ([width, boxes]) => {
      const found: Record<string, string[]> = {};
      const all = [...document.querySelectorAll<HTMLElement>(boxes)];
      // All of them first: the page is laid out once, not once for each.
      for (const box of all)
        box.style.cssText = `display: block !important; transform: translateZ(0) !important; width: ${width}px !important`;
      for (const box of all) {
        const wrong = wrongIn(box, width);
        if (wrong.length > 0) found[box.dataset['name'] ?? ''] = wrong;
      }
      return found;

      function wrongIn(box: HTMLElement, width: number): string[] {
        const from = box.getBoundingClientRect().left;
        const host = box.firstElementChild as HTMLElement;
        const root = host.shadowRoot;
        const wrong: string[] = [];
        if (!root) return ['no shadow root'];
        if (!root.querySelector('.g')) return []; // it has nothing to show, and takes no room
        const isOver = getComputedStyle(host).display === 'contents';
        if (!isOver && Math.abs(host.getBoundingClientRect().width - width) > 1)
          wrong.push(`the host is ${host.offsetWidth} wide`);
        const scrolls = (element: Element): boolean => {
          for (let node = element.parentElement; node; node = node.parentElement)
            if (
              /auto|scroll|hidden|clip/.test(getComputedStyle(node).overflowX) &&
              node.matches('.cards, .view, .panel, .item')
            )
              return true;
          return false;
        };
        const goesBy = (element: Element): boolean => {
          for (let node = element.parentElement; node && !node.matches('.view'); node = node.parentElement) {
            const { overflowX, animationName } = getComputedStyle(node);
            if (/auto|scroll/.test(overflowX) || animationName !== 'none') return true;
          }
          return false;
        };
        // Words that a view cuts off at its sides, where nothing is scrolled to and nothing goes by.
        const view = root.querySelector<HTMLElement>('.view');
        const cuts = view !== null && getComputedStyle(view).overflowX === 'clip' ? view.getBoundingClientRect() : null;
        for (const one of root.querySelectorAll('.g *')) {
          const style = getComputedStyle(one);
          const rect = one.getBoundingClientRect();
          if (!rect.width || !rect.height || one.closest('[popover], .unseen, .notices, .opener')) continue;
          // Room for marks that hang outside: nothing of it is painted.
          const hang = one.matches('.view') ? parseFloat(style.paddingLeft) + parseFloat(style.paddingRight) : 0;
          if ((rect.right > from + width + 1 + hang || rect.left < from - 1 - hang) && !scrolls(one))
            wrong.push(`${one.getAttribute('class')} goes from ${rect.left - from} to ${rect.right - from}`);
          if (
            cuts &&
            one.matches('.words p, .title, .line') &&
            (rect.right > cuts.right + 1 || rect.left < cuts.left - 1) &&
            !goesBy(one)
          )
            wrong.push(`${one.getAttribute('class') ?? 'words'} is cut off by its view`);
          if (
            one.matches('p, bdi') &&
            style.display !== 'inline' &&
            style.webkitLineClamp === 'none' && // what is cut off is as wide as it likes
            one.scrollWidth > one.clientWidth + 2 &&
            !one.closest('.item.pic')
          )
            wrong.push(`${one.className} is ${one.scrollWidth} in ${one.clientWidth}`);
          const words = one.matches('.words p, .title, .line')
            ? one.getBoundingClientRect().width / parseFloat(style.fontSize)
            : 0;
          if (words > 45) wrong.push(`a line of ${Math.round(words)} em`); // 80 characters of any usual font
        }
        const items = [...root.querySelectorAll<HTMLElement>('.item')].filter(
          (item) => item.offsetWidth > 0 && !item.closest('[popover]'),
        );
        items.forEach((item, index) => {
          const rect = item.getBoundingClientRect();
          for (const other of items.slice(index + 1)) {
            const next = other.getBoundingClientRect();
            const across = Math.min(rect.right, next.right) - Math.max(rect.left, next.left);
            const down = Math.min(rect.bottom, next.bottom) - Math.max(rect.top, next.top);
            if (across > 2 && down > 2) wrong.push(`cards overlap by ${Math.round(across)} × ${Math.round(down)}`);
          }
          const card = item.querySelector('.card')!.getBoundingClientRect();
          if (card.bottom > rect.bottom + 1.5) wrong.push(`a card is lower than its place`);
        });
        return [...new Set(wrong)];
      }
    },
    [width, boxes] as const,
  );
}

/** Words that are cut off with no way to read on: below, aside, or under what lies over them. */
export function cut(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const wrong: string[] = [];
    const all = [...document.querySelectorAll('gnomic-widget')].flatMap((host) => [
      ...(host.shadowRoot?.querySelectorAll<HTMLElement>('.g *') ?? []),
    ]);
    for (const one of all) {
      const hides = /hidden|clip/.test(getComputedStyle(one).overflowY);
      if (!hides || !one.checkVisibility() || !one.textContent?.trim() || one.matches('.unseen, .view, .cards'))
        continue;
      const isCut = one.scrollHeight > one.clientHeight + 3 || one.scrollWidth > one.clientWidth + 3;
      const card = one.closest('.item');
      const goesOn = [...(card?.querySelectorAll<HTMLElement>('.more') ?? [])].some((more) => more.offsetHeight > 0);
      if (isCut && !goesOn && !card?.querySelector('a.open'))
        wrong.push(`${one.className || one.localName}: ${one.textContent.trim().slice(0, 40)}`);
    }
    return wrong;
  });
}
