/** Sheets by their text: however many widgets of a page have the same, it is read once. */
const sheets = new Map<string, CSSStyleSheet>();

/**
 * Styles of a part that was fetched, as sheets that no policy of the page forbids: they are taken out of the markup. Where a browser
 * cannot make sheets, they stay there.
 */
export function adoptStyles(root: ShadowRoot, from: ParentNode): void {
  for (const style of from.querySelectorAll('style')) {
    // What stands in the page already, and works, stays.
    if (style.isConnected && style.ownerDocument === document && style.sheet) continue;
    try {
      const text = style.textContent ?? '';
      let sheet = sheets.get(text);
      if (!sheet) {
        sheet = new CSSStyleSheet();
        sheet.replaceSync(text);
        sheets.set(text, sheet);
      }
      root.adoptedStyleSheets = [...new Set([...root.adoptedStyleSheets, sheet])];
      style.remove();
    } catch {
      return;
    }
  }
}
