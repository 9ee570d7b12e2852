import { ON } from '../turned';
import { mover } from '../mover';

/** Cards in a track that move by themselves. */
export default function move(root: ShadowRoot, signal: AbortSignal): void {
  root.querySelectorAll<HTMLElement>('.turn[data-seconds]').forEach((bar) =>
    mover(root, signal, {
      button: bar.querySelector<HTMLButtonElement>('.pause'),
      seconds: Number(bar.dataset['seconds']),
      waits: () => !bar.offsetWidth || root.querySelector('.cards .more[open]') !== null,
      on: () => bar.dispatchEvent(new Event(ON)),
    }),
  );
}
