import { parsed } from '../parsed';
import { adoptStyles } from '../sheets';

/** Pixels that a finger moves to turn to another entry. */
const SWIPE = 48;

interface View {
  dialog: HTMLDialogElement;
  items: HTMLElement[];
  at: number;
}

/** By the page that they were fetched from: what was opened once opens at once. */
const views = new Map<string, Promise<View>>();

/** Several pictures of an entry. */
const ROW = '.pictures:not(.n1)';

/** Opens an entry enlarged, in a dialog over the page; the keys, a swipe and its buttons turn to the others. */
export default function enlarge(box: HTMLElement, key: string, ref: string, host: string): void {
  const page = host + (box.dataset['large'] ?? '');
  const view = views.get(page) ?? made(page, key);
  views.set(page, view);
  view
    .then((one) => {
      one.at = one.items.findIndex((item) => item.dataset['e'] === ref);
      // What was shared once may be shown no more.
      if (one.at < 0) return;
      show(one);
      if (!one.dialog.open) one.dialog.showModal();
    })
    .catch(() => {
      views.delete(page);
      const link = box.querySelector<HTMLAnchorElement>(`[data-e="${ref}"] a.open`);
      if (link) window.open(link.href);
    });
}

async function made(page: string, key: string): Promise<View> {
  const { content } = await parsed(page);
  const dialog = content?.querySelector('dialog');
  if (!content || !dialog) throw new TypeError('No enlarged view');
  const host = document.createElement('div');
  const root = host.attachShadow({ mode: 'open' });
  adoptStyles(root, content);
  const view: View = {
    dialog: document.importNode(dialog, true),
    items: [...content.querySelectorAll<HTMLElement>('body > .item')],
    at: 0,
  };
  root.append(view.dialog);
  document.body.append(host);
  listen(view, key);
  return view;
}

function show({ dialog, items, at }: View): void {
  const item = items[at];
  const stage = dialog.querySelector('.stage');
  const place = dialog.querySelector('.at');
  if (!item || !stage || !place) return;
  stage.replaceChildren(...[...document.importNode(item, true).children]);
  stage.scrollTop = 0;
  place.textContent = `${at + 1}/${items.length}`;
  for (const name of ['.back', '.next']) dialog.querySelector<HTMLElement>(name)!.hidden = items.length < 2;
}

function listen(view: View, key: string): void {
  const { dialog } = view;
  const turn = (by: number): void => {
    view.at = (view.at + by + view.items.length) % view.items.length;
    show(view);
  };
  const press = (name: string, act: () => void): void => dialog.querySelector(name)?.addEventListener('click', act);
  press('.close', () => dialog.close());
  press('.back', () => turn(-1));
  press('.next', () => turn(1));
  press('.share', () => void share(view, key));
  dialog.addEventListener('close', () => {
    dialog.querySelector('.stage')?.replaceChildren(); // a video ends with it
    if (location.hash.startsWith(`#gnomic=${key}.`))
      history.replaceState(history.state, '', location.pathname + location.search);
  });
  dialog.addEventListener('click', (event) => {
    if (event.target === dialog) dialog.close();
    const link = (event.target as Element).closest<HTMLAnchorElement>('a.play');
    if (link) {
      event.preventDefault();
      play(link);
    } else if ((event.target as Element).closest('a[href]')) {
      // For whoever counts what leads to the source.
      const ref = view.items[view.at]?.dataset['e'];
      document.dispatchEvent(new CustomEvent('gnomic-followed', { detail: { key, ref } }));
    }
  });
  dialog.addEventListener('keydown', (event) => {
    const forward = getComputedStyle(dialog).direction === 'rtl' ? 'ArrowLeft' : 'ArrowRight';
    // A row of pictures has keys of its own, and is swiped by itself.
    if ((event.target as Element).matches(`video, ${ROW}`)) return;
    if (event.key === 'ArrowLeft' || event.key === 'ArrowRight') turn(event.key === forward ? 1 : -1);
  });
  let from: number | null = null;
  dialog.addEventListener(
    'pointerdown',
    (event) => (from = event.pointerType === 'mouse' || (event.target as Element).closest(ROW) ? null : event.clientX),
  );
  dialog.addEventListener('pointerup', (event) => {
    if (from !== null && Math.abs(event.clientX - from) > SWIPE) turn(event.clientX < from ? 1 : -1);
    from = null;
  });
}

/** The poster becomes the video. */
function play(link: HTMLAnchorElement): void {
  const video = document.createElement('video');
  video.controls = video.autoplay = true;
  video.src = link.href;
  link.parentElement?.replaceChildren(video);
  video.focus();
}

async function share({ dialog, items, at }: View, key: string): Promise<void> {
  const url = `${location.href.split('#')[0]}#gnomic=${key}.${items[at]?.dataset['e']}`;
  try {
    if (navigator.share) return await navigator.share({ url });
    // Pages without TLS have no such clipboard, and frames may not use it.
    await (navigator.clipboard?.writeText(url) ?? Promise.reject(new Error())).catch(() => byHand(dialog, url));
    dialog.querySelector('.at')!.textContent = dialog.dataset['said'] ?? '';
  } catch {
    // Whoever turned away from the sheet wanted no more.
  }
}

function byHand(dialog: HTMLElement, text: string): void {
  const field = document.createElement('input');
  field.value = text;
  dialog.append(field);
  field.select();
  document.execCommand('copy');
  field.remove();
  dialog.querySelector<HTMLElement>('.share')?.focus();
}
