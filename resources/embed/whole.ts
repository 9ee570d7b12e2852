/**
 * Resolves once the parser has passed the element's end. A script that was there before the element sees it open, when
 * the edition that the page includes in it has not come yet, or only half of it.
 */
export async function whole(element: Element, signal: AbortSignal): Promise<void> {
  while (!isWhole(element) && !signal.aborted) await new Promise((resolve) => setTimeout(resolve, 20));
}

function isWhole(element: Element): boolean {
  if (document.readyState !== 'loading') return true;
  for (let node: Node | null = element; node; node = node.parentNode) if (node.nextSibling) return true;
  return false;
}
