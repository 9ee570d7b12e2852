/**
 * What was opened over the page. A panel covers it, and is modal; without scripts, it is a popover. A menu gives the focus back: across a
 * shadow, browsers lose it.
 */
export default function popovers(root: ShadowRoot, signal: AbortSignal): void {
  const panel = root.querySelector<HTMLDialogElement>('dialog.panel');
  root.addEventListener(
    'click',
    (event) => {
      const pressed = event.target as HTMLElement;
      const button = pressed.closest<HTMLElement>('[popovertarget=panel]');
      if (!panel || !(button || pressed === panel)) return;
      event.preventDefault();
      if (button?.hasAttribute('popovertargetaction') || (pressed === panel && isBeside(panel, event as MouseEvent)))
        panel.close();
      else if (button) panel.showModal();
    },
    { signal },
  );
  root.addEventListener(
    'toggle',
    (event) => {
      const closed = event.target as HTMLElement;
      const now = root.activeElement;
      if (closed !== panel && closed.popover && !closed.matches(':popover-open') && (!now || closed.contains(now)))
        root.querySelector<HTMLElement>(`[popovertarget=${closed.id}]`)?.focus();
    },
    { signal, capture: true },
  );
}

/** On what is behind it. */
function isBeside(panel: HTMLElement, { clientX, clientY }: MouseEvent): boolean {
  const { left, right, top, bottom } = panel.getBoundingClientRect();
  return clientX < left || clientX > right || clientY < top || clientY > bottom;
}
