/** Light or dark as the page is behind the widget, where it does not say so itself by its color-scheme. */
export default function scheme(root: ShadowRoot, signal: AbortSignal): void {
  const host = root.host as HTMLElement;
  const look = (): void => {
    host.style.removeProperty('color-scheme');
    // A page that speaks of its scheme is taken at its word.
    if (getComputedStyle(host).colorScheme.includes('dark')) return;
    for (
      let at: Element | null = host;
      at;
      at = at.parentElement ?? ((at.getRootNode() as ShadowRoot).host as Element)
    ) {
      const [red, green, blue, alpha = 1] = (getComputedStyle(at).backgroundColor.match(/[\d.]+/g) ?? []).map(Number);
      if (alpha < 0.5) continue;
      const dark = 0.21 * (red ?? 255) + 0.72 * (green ?? 255) + 0.07 * (blue ?? 255) < 110;
      if (dark) host.style.setProperty('color-scheme', 'dark');
      return;
    }
  };
  const watch = new MutationObserver(look);
  for (const at of [document.documentElement, document.body])
    watch.observe(at, {
      attributes: true,
      attributeFilter: ['class', 'data-theme', 'data-scheme', 'data-mode', 'style'],
    });
  signal.addEventListener('abort', () => watch.disconnect());
  look();
}
