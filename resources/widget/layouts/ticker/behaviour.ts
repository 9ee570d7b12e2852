import { CAME } from '../../../embed/came';

/**
 * Round and round without a seam: behind the cards stand copies of them, which nobody hears and no key reaches. Whoever comes in by the keys
 * sees what they are on; when they leave, it goes on from where it was.
 */
export default function ticker(root: ShadowRoot, signal: AbortSignal): void {
  const track = root.querySelector<HTMLElement>('.cards');
  const view = track?.closest<HTMLElement>('.view');
  if (!track || !view) return;
  let copies = -1;
  const mine = (): HTMLElement[] => ([...track.children] as HTMLElement[]).filter((item) => !item.matches('.copy'));
  const fill = (): void => {
    // Where another layout holds, cards stand still.
    const isOn = getComputedStyle(track).animationName !== 'none';
    const long = mine().reduce((sum, item) => sum + item.getBoundingClientRect().width, 0);
    const wanted = isOn && long ? Math.ceil(view.clientWidth / long) : 0;
    if (wanted === copies) return;
    copies = wanted;
    track.querySelectorAll(':scope > .copy').forEach((item) => item.remove());
    for (let copy = 0; copy < copies; copy++)
      for (const item of mine()) {
        const other = item.cloneNode(true) as HTMLElement;
        other.inert = true;
        other.classList.add('copy');
        other.removeAttribute('data-e');
        other.setAttribute('aria-hidden', 'true');
        other.querySelectorAll('[id]').forEach((named) => named.removeAttribute('id'));
        track.append(other);
      }
    track.classList.toggle('round', copies > 0);
    track.style.setProperty('--rounds', `${copies + 1}`);
  };
  const sizes = new ResizeObserver(fill);
  sizes.observe(view);
  signal.addEventListener('abort', () => sizes.disconnect());
  root.addEventListener('change', fill, { signal });
  root.addEventListener(CAME, () => ((copies = -1), fill()), { signal });
  // While somebody is in it with the keys, it is a track that scrolls, from where it stood.
  view.addEventListener(
    'focusin',
    ({ target }) => {
      if (!track.classList.contains('held')) {
        const shift = new DOMMatrix(getComputedStyle(track).transform).m41;
        track.classList.add('held');
        view.scrollLeft = -shift;
      }
      (target as Element).closest('.item')?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
    },
    { signal },
  );
  view.addEventListener(
    'focusout',
    ({ relatedTarget }) => {
      if (view.contains(relatedTarget as Node | null)) return;
      const [from, round] = [Math.abs(view.scrollLeft), track.getBoundingClientRect().width / (copies + 1)];
      track.classList.remove('held');
      view.scrollLeft = 0;
      for (const animation of track.getAnimations())
        animation.currentTime = (Number(animation.effect?.getComputedTiming().duration) * (from % round)) / round;
    },
    { signal },
  );
}
