/** What was opened over the page, a panel or a menu, gives the focus back: across a shadow, browsers lose it. */
export default function popovers(root: ShadowRoot, signal: AbortSignal): void {
  root.addEventListener(
    'toggle',
    (event) => {
      const closed = event.target as HTMLElement;
      const now = root.activeElement;
      if (closed.popover && !closed.matches(':popover-open') && (!now || closed.contains(now)))
        root.querySelector<HTMLElement>(`[popovertarget=${closed.id}]`)?.focus();
    },
    { signal, capture: true },
  );
}
