import type { CDPSession, Page } from '@playwright/test';

/** What lies over something: words, a glyph, a control, or the ring of the focus. */
interface Over {
  what: string;
  colour: [number, number, number, number];
  least: number;
  /** Where what is behind it is looked at. */
  spots: [number, number][];
}

export type State = 'rest' | 'hover' | 'focus';

/** Puts everything that can be pressed into a state at once, as no pointer could. */
export async function force(page: Page, session: CDPSession, state: State): Promise<void> {
  await session.send('DOM.enable');
  await session.send('CSS.enable');
  const { nodes } = await session.send('DOM.getFlattenedDocument', { depth: -1, pierce: true });
  const forcedPseudoClasses = { rest: [], hover: ['hover'], focus: ['focus', 'focus-visible'] }[state];
  for (const { nodeId, nodeName } of nodes)
    if (['A', 'BUTTON', 'INPUT'].includes(nodeName))
      await session.send('CSS.forcePseudoState', { nodeId, forcedPseudoClasses });
  await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
}

/**
 * Contrast of what is seen of widgets with the pixels that are painted behind it: WCAG 2.2, 1.4.3 and 1.4.11. All of it has to stand in
 * the window. Words are made transparent and glyphs hidden, and what is then painted is what they stand on.
 */
export async function unread(page: Page, state: State): Promise<string[]> {
  const over = await page.evaluate(found, state);
  await page.evaluate(hide, true);
  const shot = (await page.screenshot()).toString('base64');
  await page.evaluate(hide, false);
  return page.evaluate(compared, { over, shot });
}

/** Runs in the page. */
function found(state: State): Over[] {
  const canvas = document.createElement('canvas').getContext('2d', { willReadFrequently: true })!;
  const bytes = (colour: string): [number, number, number, number] => {
    canvas.clearRect(0, 0, 1, 1);
    canvas.fillStyle = colour;
    canvas.fillRect(0, 0, 1, 1);
    return [...canvas.getImageData(0, 0, 1, 1).data] as [number, number, number, number];
  };
  const all: Over[] = [];
  const grid = (rect: DOMRect): [number, number][] => {
    const spots: [number, number][] = [];
    for (const y of [0.1, 0.5, 0.9])
      for (const x of [0.02, 0.25, 0.5, 0.75, 0.98])
        spots.push([rect.left + rect.width * x, rect.top + rect.height * y]);
    return spots;
  };
  const isOf = (root: ShadowRoot, element: Element, [x, y]: [number, number]): boolean => {
    const at = root.elementFromPoint(x, y);
    return (
      at !== null &&
      (at === element ||
        element.contains(at) ||
        (at.matches('.open') && at.closest('.card') === element.closest('.card')))
    );
  };
  const clips = new Map<Element, DOMRect[]>();
  const clipsOf = (element: Element | null): DOMRect[] => {
    if (!element) return [];
    const known = clips.get(element);
    if (known) return known;
    const own = getComputedStyle(element).overflowY !== 'visible' ? [element.getBoundingClientRect()] : [];
    const all = [...own, ...clipsOf(element.parentElement)];
    clips.set(element, all);
    return all;
  };
  // What is cut off or lies under something else is not seen.
  const seen = (root: ShadowRoot, element: Element, rect: DOMRect): [number, number][] => {
    if (rect.width < 3 || rect.height < 3 || getComputedStyle(element).visibility !== 'visible') return [];
    const within = clipsOf(element);
    const isWithin = ([x, y]: [number, number]): boolean =>
      within.every((clip) => x > clip.left && x < clip.right && y > clip.top && y < clip.bottom);
    return grid(rect).filter((spot) => isWithin(spot) && isOf(root, element, spot));
  };
  for (const host of document.querySelectorAll('gnomic-widget')) {
    const name = (host.parentElement as HTMLElement).dataset['name'] ?? '';
    const root = host.shadowRoot!;
    const walker = document.createTreeWalker(root, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const element = node.parentElement!;
      if (!node.nodeValue?.trim() || element.closest('style, script, svg, .unseen, .pictures, .many')) continue;
      // What is at an end is out of use, and says so.
      if (element.closest('[aria-disabled=true], [disabled], [aria-hidden=true]')) continue;
      const style = getComputedStyle(element);
      const size = parseFloat(style.fontSize);
      const isLarge = size >= 24 || (size >= 18.66 && Number(style.fontWeight) >= 700);
      const range = document.createRange();
      range.selectNodeContents(node);
      const spots = [...range.getClientRects()].flatMap((rect) => seen(root, element, rect));
      const what = `${name}, ${state}: "${node.nodeValue.trim().slice(0, 30)}" in .${element.className}`;
      if (spots.length > 0) all.push({ what, colour: bytes(style.color), least: isLarge ? 3 : 4.5, spots });
    }
    for (const glyph of root.querySelectorAll('.glyphs, .tool:not([aria-disabled=true]) svg')) {
      const style = getComputedStyle(glyph);
      const rect = glyph.getBoundingClientRect();
      const colour = bytes(glyph.matches('.glyphs') ? style.fill : style.stroke);
      const spots = seen(root, glyph.parentElement!, rect);
      if (spots.length > 0) all.push({ what: `${name}, ${state}: a sign`, colour, least: 3, spots });
    }
    for (const one of state === 'focus' ? root.querySelectorAll('a, button, input') : []) {
      const style = getComputedStyle(one);
      const rect = one.getBoundingClientRect();
      if (style.outlineStyle === 'none' || one.matches('.open') || seen(root, one, rect).length === 0) continue;
      const offset = parseFloat(style.outlineOffset);
      const off = offset < 0 ? offset - 2 : offset + parseFloat(style.outlineWidth) + 2;
      const spots: [number, number][] = [0.1, 0.3, 0.5, 0.7, 0.9].flatMap((share) => [
        [rect.left + share * rect.width, rect.top - off],
        [rect.left + share * rect.width, rect.bottom + off],
      ]);
      all.push({ what: `${name}: the ring of .${one.className}`, colour: bytes(style.outlineColor), least: 3, spots });
    }
  }
  return all;
}

/** Runs in the page. */
function hide(isHidden: boolean): void {
  for (const host of document.querySelectorAll('gnomic-widget')) {
    const root = host.shadowRoot!;
    root.querySelector('#hides')?.remove();
    if (!isHidden) continue;
    const style = document.createElement('style');
    style.id = 'hides';
    style.textContent =
      '*,*::before,*::after{-webkit-text-fill-color:transparent!important;text-decoration-color:transparent!important;outline:0!important;transition:none!important}' +
      'svg{opacity:0!important}';
    root.append(style);
  }
}

/** Runs in the page. */
async function compared({ over, shot }: { over: Over[]; shot: string }): Promise<string[]> {
  const image = await createImageBitmap(await (await fetch(`data:image/png;base64,${shot}`)).blob());
  const canvas = new OffscreenCanvas(image.width, image.height).getContext('2d', { willReadFrequently: true })!;
  canvas.drawImage(image, 0, 0);
  const { data, width, height } = canvas.getImageData(0, 0, image.width, image.height);
  const light = (one: number): number => (one <= 10.0146 ? one / 255 / 12.92 : ((one / 255 + 0.055) / 1.055) ** 2.4);
  const luminance = ([r, g, b]: number[]): number =>
    0.2126 * light(r!) + 0.7152 * light(g!) + 0.0722 * light(b!) + 0.05;
  const wrong: string[] = [];
  for (const { what, colour, least, spots } of over) {
    let worst = 21;
    for (const [x, y] of spots) {
      const at = 4 * (Math.round(y) * width + Math.round(x));
      if (x < 0 || y < 0 || x >= width || y >= height || at + 2 >= data.length) continue;
      const behind = [data[at]!, data[at + 1]!, data[at + 2]!];
      const seen = behind.map((one, channel) => one + ((colour[channel]! - one) * colour[3]!) / 255);
      const [one, two] = [luminance(seen), luminance(behind)];
      worst = Math.min(worst, Math.max(one, two) / Math.min(one, two));
    }
    if (worst < least - 0.01) wrong.push(`${what} has ${worst.toFixed(2)} of ${least}`);
  }
  return wrong;
}
