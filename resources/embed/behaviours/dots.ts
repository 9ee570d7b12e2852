import { inDigits } from '../digits';
import { ASKED, type Go, GO, type Turned, TURNED } from '../turned';

/** A dot for each page of cards in a track. */
export default function dots(root: ShadowRoot, signal: AbortSignal): void {
  root.querySelectorAll<HTMLElement>('.dots').forEach((dots) => {
    const bar = dots.closest('.turn')!;
    const made = (page: number): HTMLElement => {
      const dot = document.createElement('button');
      dot.type = 'button';
      dot.setAttribute('aria-label', (dots.dataset['said'] ?? '').replace('{page}', inDigits(dots, `${page + 1}`)));
      dot.addEventListener('click', () => bar.dispatchEvent(new CustomEvent<Go>(GO, { detail: [page, true] })), {
        signal,
      });
      return dot;
    };
    bar.addEventListener(
      TURNED,
      (event) => {
        const { now, last } = (event as CustomEvent<Turned>).detail;
        if (dots.childElementCount !== last)
          dots.replaceChildren(...Array.from({ length: last }, (_, page) => made(page)));
        [...dots.children].forEach((dot, page) => {
          if (page === now) dot.setAttribute('aria-current', 'true');
          else dot.removeAttribute('aria-current');
        });
      },
      { signal },
    );
    bar.dispatchEvent(new Event(ASKED));
  });
}
