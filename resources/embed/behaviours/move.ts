import { ASKED, type Go, GO, type Turned, TURNED } from '../turned';
import { mover } from '../mover';

/** Cards in a track that move by themselves, round and round, or to any other. */
export default function move(root: ShadowRoot, signal: AbortSignal): void {
  root.querySelectorAll<HTMLElement>('.turn[data-seconds]').forEach((bar) => {
    let stands: Turned = { now: 0, last: 1 };
    bar.addEventListener(TURNED, (event) => (stands = (event as CustomEvent<Turned>).detail), { signal });
    bar.dispatchEvent(new Event(ASKED));
    mover(root, signal, {
      button: bar.querySelector<HTMLButtonElement>('.pause'),
      seconds: Number(bar.dataset['seconds']),
      waits: () => !bar.offsetWidth || stands.last < 2 || root.querySelector('.cards .more[open]') !== null,
      on: () => {
        const { now, last } = stands;
        const by = bar.dataset['chance'] === undefined ? 1 : 1 + Math.floor(Math.random() * (last - 1));
        bar.dispatchEvent(new CustomEvent<Go>(GO, { detail: [(now + by) % last, false] }));
      },
    });
  });
}
