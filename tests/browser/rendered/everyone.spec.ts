import { chromium, expect, test, type Page } from '@playwright/test';
import { cut, faults, show } from '../faults';
import { alive, DIFFERENT, element, entries, one, pageWith, render } from '../rendered';
import { BROWSER, LONG } from '../setting';

// Every layout for everyone: by keys alone, with letters set wide or large, from right to left, in the colours that a visitor chose,
// without motion, and on a page whose styles would take everything from it. Without scripts, but where they are what is tested.

const WIDTHS = [320, 768, 1280];
const actions = [{ does: 'all' }, { does: 'link', text: 'Plan your night', url: 'https://quillmoor.example/visit' }];
const arabic = entries('both').map((entry, index) =>
  index % 3 ? entry : { ...entry, text: 'ليلة ساحرة جدا في المرصد مع الأصدقاء والعائلة. '.repeat(6), language: 'ar' },
);

/** Tabs from one link to another; what had the focus on the way, and what did not or could not be seen with it. */
async function tabbed(page: Page): Promise<{ reached: number; wrong: string[] }> {
  await page.getByRole('link', { name: 'Before' }).focus();
  const wrong: string[] = [];
  let reached = 0;
  for (let turn = 0; turn < 150; turn++) {
    await page.keyboard.press('Tab');
    const at = await page.evaluate(() => {
      const root = document.querySelector('gnomic-widget')!.shadowRoot!;
      const one = root.activeElement as HTMLElement | null;
      if (!one) return document.activeElement?.textContent ?? '';
      one.setAttribute('data-reached', '');
      const said = one.getAttribute('aria-label') ?? one.textContent?.trim() ?? '';
      const rect = one.getBoundingClientRect();
      const middle = root.elementFromPoint(
        Math.min(innerWidth - 1, Math.max(0, (rect.left + rect.right) / 2)),
        Math.min(innerHeight - 1, Math.max(0, (rect.top + rect.bottom) / 2)),
      );
      const isSeen = rect.bottom > 0 && rect.top < innerHeight && rect.right > 0 && rect.left < innerWidth;
      const rings = [one, one.parentElement!].flatMap((where) =>
        [null, '::after'].map((part) => getComputedStyle(where, part).outlineStyle),
      );
      return [
        isSeen ? '' : `${said} is out of sight with the focus`,
        middle || one.matches('input') ? '' : `${said} is covered`,
        rings.some((ring) => ring !== 'none') ? '' : `${said} shows no focus`,
      ].filter((fault) => fault !== '');
    });
    if (at === 'After') break;
    if (typeof at === 'string') wrong.push(`the focus is at ${at || 'nothing'}`);
    else {
      reached++;
      wrong.push(...at);
    }
  }
  const missed = await page.evaluate(() => {
    const root = document.querySelector('gnomic-widget')!.shadowRoot!;
    const all = [...root.querySelectorAll<HTMLElement>('a[href], button, summary, input, [tabindex="0"]')];
    return all
      .filter((one) => one.checkVisibility({ visibilityProperty: true }) && !one.closest('[inert], [tabindex="-1"]'))
      .filter((one) => !one.hasAttribute('data-reached'))
      .map((one) => `${one.outerHTML.slice(0, 120)} is not reached`);
  });
  return { reached, wrong: [...new Set([...wrong, ...missed])] };
}

/** What moves in a widget. */
const moving = (page: Page): Promise<string[]> =>
  page.locator('gnomic-widget').evaluate((host) => {
    const root = host.shadowRoot!;
    const cards = root.querySelector('.cards');
    return [
      ...root.getAnimations().map((animation) => (animation as CSSAnimation).animationName),
      ...(cards && getComputedStyle(cards).scrollBehavior !== 'auto' ? ['scrolls smoothly'] : []),
    ];
  });

test('every layout is gone through by keys alone: all that can be pressed is reached, seen, and left again', async ({
  page,
}) => {
  const around = (html: string): string => `<a href="#a">Before</a>${html}<a href="#b">After</a>`;
  for (const [name, layout] of DIFFERENT)
    // As visitors have it; in the long run without scripts, too.
    for (const scripts of LONG ? [true, false] : [true]) {
      const shape = { layout, actions, more: 'button', click: 'enlarge' };
      await page.emulateMedia({ reducedMotion: scripts ? 'reduce' : null });
      if (scripts) {
        const turning = 'autoplay' in layout || name === 'one at a time' ? { ...layout, autoplay: 2 } : layout;
        await alive(
          page,
          { keys1: one({ ...shape, layout: turning }, entries('both', LONG ? 8 : 6), LONG ? 4 : 3) },
          pageWith(around('<gnomic-widget key="keys1"></gnomic-widget>')),
        );
        expect.soft(await moving(page), `${name}, where less motion is wished`).toEqual([]);
      } else await show(page, around(element(render(shape, entries('both', 4)))));
      const { reached, wrong } = await tabbed(page);
      expect.soft(wrong, `${name}, ${scripts ? 'with' : 'without'} scripts`).toEqual([]);
      expect.soft(reached, name).toBeGreaterThan(0);
    }
});

test('letters set wide, as WCAG 1.4.12 has them, cut nothing off that cannot be read on', async ({ page }) => {
  await page.setViewportSize({ width: 1400, height: 900 });
  for (const [name, layout] of DIFFERENT) {
    await show(page, element(render({ layout, actions }, entries('both'))));
    await page.evaluate(() => {
      const root = document.querySelector('gnomic-widget')!.shadowRoot;
      const style = document.createElement('style');
      style.textContent =
        '* { line-height: 1.5 !important; letter-spacing: .12em !important; word-spacing: .16em !important } p { margin-bottom: 2em !important }';
      root?.append(style);
    });
    for (const width of WIDTHS) {
      expect.soft(await faults(page, width), `${name} at ${width}`).toEqual([]);
      expect.soft(await cut(page), `${name} at ${width}`).toEqual([]);
    }
  }
});

test('letters of twice the size, the page at four times its own: everything keeps to its place', async () => {
  const args = [...(BROWSER?.launchOptions?.args ?? []), '--blink-settings=defaultFontSize=32'];
  const browser = await chromium.launch({ ...BROWSER?.launchOptions, args });
  const page = await browser.newPage({ viewport: { width: 1400, height: 900 } });
  for (const [name, layout] of DIFFERENT) {
    await show(page, element(render({ layout, actions }, entries('both'))));
    const letters = page.locator('gnomic-widget .g');
    await expect(letters, name).toHaveCSS('font-size', '32px');
    for (const width of WIDTHS) {
      expect.soft(await faults(page, width), `${name} at ${width}`).toEqual([]);
      expect.soft(await cut(page), `${name} at ${width}`).toEqual([]);
    }
  }
  await browser.close();
});

test('from right to left, both mixed, every layout keeps to its place', async ({ page }) => {
  await page.setViewportSize({ width: 1400, height: 900 });
  for (const [name, layout] of DIFFERENT) {
    await show(page, element(render({ layout, actions }, arabic)));
    await page.evaluate(() => (document.documentElement.dir = 'rtl'));
    for (const width of WIDTHS) expect.soft(await faults(page, width), `${name} at ${width}`).toEqual([]);
  }
});

test('styles that would take everything take nothing, from any layout', async ({ page }) => {
  await page.setViewportSize({ width: 1400, height: 900 });
  const hostile =
    '* { all: unset !important } img { display: none !important } html { font-size: 40px !important } div, article { position: absolute !important; float: left !important }';
  for (const [name, layout] of DIFFERENT) {
    await show(page, element(render({ layout, actions }, entries('both'))), hostile);
    for (const width of WIDTHS) expect.soft(await faults(page, width), `${name} at ${width}`).toEqual([]);
    const heights = await page
      .locator('gnomic-widget .card:visible')
      .evaluateAll((all) => all.map((card) => getComputedStyle(card).display));
    expect.soft(new Set(heights).has('inline'), name).toBe(false);
  }
});

test('in colours that a visitor chose, everything drawn is drawn in them', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active' });
  for (const [name, layout] of DIFFERENT) {
    await show(page, element(render({ layout, actions }, entries('both'))));
    const unseen = await page.evaluate(() => {
      const probe = document.body.appendChild(document.createElement('i'));
      const system = (colour: string): string => {
        probe.style.color = colour;
        return getComputedStyle(probe).color;
      };
      const seen = new Set(['CanvasText', 'LinkText', 'ButtonText', 'Highlight', 'GrayText'].map(system));
      const root = document.querySelector('gnomic-widget')!.shadowRoot!;
      const drawn = [...root.querySelectorAll<SVGElement>('svg, svg *')].filter((one) => one.checkVisibility());
      return [
        ...drawn
          .filter((one) => {
            const { stroke, fill } = getComputedStyle(one);
            return one.childElementCount === 0 && !seen.has(stroke) && !seen.has(fill);
          })
          .map((one) => one.outerHTML),
      ];
    });
    expect.soft(unseen, name).toEqual([]);
  }
});
