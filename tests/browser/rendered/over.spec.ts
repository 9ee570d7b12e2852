import { expect, test, type Page } from '@playwright/test';
import { alive, entries, one, pageWith, type Widget } from '../rendered';

// What moves by itself and what lies over the page. WAI-ARIA Authoring Practices (modal dialogs, carousels); WCAG 2.2, 2.2.2, 2.4.3, 2.4.11.

const tag = (key: string): string => `<gnomic-widget key="${key}"></gnomic-widget>`;
const show = (page: Page, widget: Widget, before = ''): Promise<void> =>
  alive(page, { over1: widget }, pageWith(`${before}${tag('over1')}<p><a href="#end">After</a></p>`));

test('a ticker goes round without a seam; copies are for eyes alone; who left it by the keys leaves no hole', async ({
  page,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await show(
    page,
    one({ layout: { name: 'ticker', speed: 80, cardWidth: 240 } }, entries('reviews', 5), 5),
    '<a href="#x">Before</a>',
  );
  await expect(page.locator('gnomic-widget .copy')).toHaveCount(5);
  await expect(page.getByRole('article')).toHaveCount(5);
  const filled = (): Promise<boolean> =>
    page.locator('gnomic-widget .view').evaluate((view) => {
      const { left, right, top, height } = view.getBoundingClientRect();
      const items = [...view.querySelectorAll('.item')].map((item) => item.getBoundingClientRect());
      // From one end to the other, in steps of a sixteenth.
      return Array.from({ length: 15 }, (_, step) => left + ((right - left) * (step + 1)) / 16).every((x) =>
        items.some((item) => item.left <= x && x <= item.right && item.top <= top + height / 2),
      );
    });
  for (let times = 0; times < 8; times++) {
    expect(await filled()).toBe(true);
    await page.waitForTimeout(300);
  }
  // Nothing but what is there once gets the focus.
  await page.getByRole('link', { name: 'Before' }).focus();
  const reached = new Set<string>();
  for (let times = 0; times < 12; times++) {
    await page.keyboard.press('Tab');
    const on = await page.evaluate(() => {
      const deep = document.activeElement?.shadowRoot?.activeElement ?? document.activeElement;
      const box = deep?.getBoundingClientRect();
      return {
        name: deep?.textContent ?? '',
        copied: !!deep?.closest('.copy'),
        x: box ? (box.left + box.right) / 2 : -1,
      };
    });
    expect(on.copied).toBe(false);
    expect(on.x).toBeGreaterThanOrEqual(0);
    expect(on.x).toBeLessThanOrEqual(1280);
    reached.add(on.name);
    if (on.name === 'After') break;
  }
  expect(reached).toContain('After');
  for (let times = 0; times < 6; times++) {
    expect(await filled()).toBe(true);
    await page.waitForTimeout(250);
  }
  await page.getByRole('checkbox', { name: 'Stop moving' }).check();
  await expect(page.locator('gnomic-widget .copy')).toHaveCount(0);
});

test('copies in a ticker are as their originals, at every width, and nothing moves when they come', async ({
  page,
}) => {
  const long = entries('reviews', 6).map((entry, index) => ({
    ...entry,
    text: index % 2 ? 'A night to keep.' : 'Two hours went like ten minutes, and nobody minded the cold. '.repeat(9),
  }));
  const shape = { layout: { name: 'ticker', cardWidth: 300 }, shorten: null };
  await show(page, one(shape, long, 6, { phone: 4 }));
  for (const width of [1280, 390]) {
    await page.setViewportSize({ width, height: 900 });
    await expect(page.locator('gnomic-widget .copy').first()).toBeAttached();
    const heights = await page.locator('gnomic-widget .item').evaluateAll((items) =>
      // As their own words make them, not as high as the highest.
      items.map((item) => Math.round(item.querySelector('.words p')?.getBoundingClientRect().height ?? 0)),
    );
    const originals = heights.slice(0, 6);
    expect(originals.filter((height) => height > 0)).toHaveLength(width === 390 ? 4 : 6);
    for (let from = 6; from < heights.length; from += 6) expect(heights.slice(from, from + 6)).toEqual(originals);
  }
});

test('a panel that darkens the page is modal, by keys and by mouse', async ({ page }) => {
  await show(page, one({ layout: { name: 'panel', form: 'badge' } }));
  const opener = page.locator('gnomic-widget .opener');
  const panel = page.getByRole('dialog');
  await opener.press('Enter');
  await expect(panel).toBeVisible();
  expect(await panel.evaluate((dialog) => dialog.matches(':modal'))).toBe(true);
  // The page behind it is out of reach.
  for (let times = 0; times < 40; times++) {
    await page.keyboard.press('Tab');
    expect(await page.evaluate(() => ['BODY', 'GNOMIC-WIDGET'].includes(document.activeElement?.tagName ?? ''))).toBe(
      true,
    );
  }
  await page.keyboard.press('Escape');
  await expect(panel).toBeHidden();
  await expect(opener).toBeFocused();
  await opener.click();
  await page.mouse.click(20, 300);
  await expect(panel).toBeHidden();
  await opener.click();
  await panel.getByRole('button', { name: 'Close' }).click();
  await expect(panel).toBeHidden();
});

test('notices: a button with a name dismisses them, Escape gives the focus back, and nothing lies on the words', async ({
  page,
}) => {
  const widget = {
    ...one({ layout: { name: 'notices', after: 0, every: 30 } }),
    rest: { sift: { limit: 9, stars: { from: 4 } } },
  };
  await show(page, widget, '<a href="#x">Before</a>');
  const notices = page.locator('gnomic-widget .notices');
  const dismiss = notices.getByRole('button', { name: 'Dismiss for good' });
  await expect(dismiss).toBeVisible();
  const pause = notices.locator('.pause');
  await expect(pause).toBeVisible();
  // One sign at a time says what a press does.
  await expect(pause.locator('path').filter({ visible: true })).toHaveCount(1);
  const covered = await notices.evaluate((all) => {
    const boxes = [...all.querySelectorAll('button')].map((button) => button.getBoundingClientRect());
    const words = [...all.querySelectorAll('.now .words p, .now .name, .now .date, .foot')].flatMap((part) => {
      const range = document.createRange();
      range.selectNodeContents(part);
      return [...range.getClientRects()];
    });
    return words.filter((word) =>
      boxes.some(
        (box) => word.left < box.right && word.right > box.left && word.top < box.bottom && word.bottom > box.top,
      ),
    ).length;
  });
  expect(covered).toBe(0);
  await page.getByRole('link', { name: 'Before' }).focus();
  await page.keyboard.press('Tab');
  await page.keyboard.press('Escape');
  await expect(notices).toBeHidden();
  await expect(page.getByRole('link', { name: 'Before' })).toBeFocused();
});

test('what lies over the page never lies on each other, nor on what the owner keeps the corner for', async ({
  page,
}) => {
  const badge = one({ layout: { name: 'panel', form: 'badge', fromBelow: 80, fromSide: 24 } });
  await alive(
    page,
    {
      badge1: badge,
      badge2: one({ layout: { name: 'panel', form: 'badge', text: 'What people say' } }),
      notice1: one({ layout: { name: 'notices', after: 0, corner: 'right' } }),
      tab1: one({ layout: { name: 'panel', form: 'tab' } }),
      tab2: one({ layout: { name: 'panel', form: 'tab', text: 'Reviews' } }),
    },
    pageWith(['badge1', 'badge2', 'notice1', 'tab1', 'tab2'].map(tag).join('')),
  );
  for (const width of [1280, 390]) {
    await page.setViewportSize({ width, height: 800 });
    await expect(page.locator('gnomic-widget .notices')).toBeVisible();
    await page.waitForTimeout(200);
    const boxes = await page.evaluate(() =>
      [...document.querySelectorAll('gnomic-widget')].map((widget) => {
        const { x, y, right, bottom } = widget.shadowRoot!.querySelector('.opener, .notices')!.getBoundingClientRect();
        return { x, y, right, bottom };
      }),
    );
    expect(boxes[0]!.bottom).toBeCloseTo(800 - 80, 0);
    expect(boxes[0]!.right).toBeCloseTo(width - 24, 0);
    boxes.forEach((one, at) => {
      expect(one.y, `${width}: ${at}`).toBeGreaterThanOrEqual(0);
      boxes.slice(at + 1).forEach((other, next) => {
        const lies = one.x < other.right && other.x < one.right && one.y < other.bottom && other.y < one.bottom;
        expect(lies, `${width}: ${at} on ${at + 1 + next}`).toBe(false);
      });
    });
  }
  // What is dismissed leaves its place to the others.
  const top = (): Promise<number> =>
    page
      .locator('gnomic-widget[key=badge2]')
      .evaluate((one) => one.shadowRoot!.querySelector('.opener')!.getBoundingClientRect().top);
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.locator('gnomic-widget[key=notice1] .close').click();
  await expect(page.locator('gnomic-widget .notices')).toBeHidden();
  expect(await top()).toBeGreaterThan(400);
});

for (const arrows of ['beside', 'over'])
  test(`arrows ${arrows} the track stand at its sides where there is room, in the bar where there is none`, async ({
    page,
  }) => {
    for (const [width, isAtSides] of [
      [1280, true],
      [390, false],
    ] as const) {
      await page.setViewportSize({ width, height: 800 });
      await show(page, one({ layout: { name: 'carousel', arrows } }));
      const box = (part: string) =>
        page
          .locator(`gnomic-widget ${part}`)
          .first()
          .evaluate((one) => one.getBoundingClientRect().toJSON() as DOMRect);
      const [previous, next, cards] = [await box('.previous'), await box('.next'), await box('.cards')];
      if (!isAtSides) expect(previous.top).toBeGreaterThanOrEqual(cards.bottom - 1);
      else {
        expect(Math.abs((previous.top + previous.bottom - cards.top - cards.bottom) / 2)).toBeLessThan(8);
        expect(Math.abs(previous.top - next.top)).toBeLessThan(1);
        if (arrows === 'beside') {
          expect(previous.right).toBeLessThanOrEqual(cards.left + 20);
          expect(next.left).toBeGreaterThanOrEqual(cards.right - 20);
        } else expect(next.right).toBeLessThanOrEqual(cards.right + 20);
      }
      await page.locator('gnomic-widget .next').click();
      await expect(page.locator('gnomic-widget .at')).toHaveText(/^2 of/);
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
    }
  });
