import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';
import axe, { type AxeResults, type Result, type RunOptions } from 'axe-core';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { LONG, STANDINS } from './setting';

/** Of the owner who came in first, for those that are not about coming in. */
let session: Awaited<ReturnType<ReturnType<Page['context']>['cookies']>> | undefined;

/** In at a screen of the studio. */
export async function signIn(page: Page, at = '/'): Promise<void> {
  const sections = page.getByRole('navigation', { name: 'Sections' });
  if (session) await page.context().addCookies(session);
  await page.goto(at);
  await expect(sections.or(page.getByLabel('E-mail', { exact: true }))).toBeVisible();
  if (await sections.isVisible()) return;
  await page.getByLabel('E-mail', { exact: true }).fill('owner@quillmoor.example');
  await page.getByLabel('Password').fill('harrow-lane-1926');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(sections).toBeVisible();
  session = await page.context().cookies();
}

/** Opens the controls of a topic, whether the sentence speaks of it or only leads to it. */
export async function openTopic(page: Page, topic: string): Promise<void> {
  await expect(page.locator('[data-phrase]').first()).toBeVisible();
  const phrase = page.locator(`[data-phrase=${topic}]`);
  if ((await phrase.count()) > 0) return phrase.click();
  await page.locator('[data-phrase=more]').click();
  await page.locator(`#controls [data-topic=${topic}]`).click();
}

/** What axe finds wrong in a part of the page as it is now, frames left out. It is put into a page once: to read it takes long. */
export async function axeIn(page: Page, part: string, options: RunOptions): Promise<Result[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  return page.evaluate(
    async ([part, options]) => {
      const { axe } = window as unknown as { axe: { run(part: object, options: RunOptions): Promise<AxeResults> } };
      const { violations, incomplete } = await axe.run(
        { include: [[part]] },
        { resultTypes: ['violations', 'incomplete'], iframes: false, ...options },
      );
      // It is not sure of text that has the very colour of what is behind it; we are.
      const unseen = incomplete.flatMap((one) => {
        const nodes = one.nodes.filter(({ any }) => any.some(({ data }) => data?.messageKey === 'equalRatio'));
        return nodes.length > 0 ? [{ ...one, nodes }] : [];
      });
      return [...violations, ...unseen];
    },
    [part, options] as const,
  );
}

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];

interface Looked {
  /** Rules that do not hold here. */
  except?: string[];
  /** Whether every word can be read, which takes as long as all else together: once a screen, and in the long run always. */
  contrast?: boolean;
  /** A part of the page without frames, where the rest has been looked at before. */
  part?: string;
}

/**
 * WCAG 2.2 AA, by axe: nothing is wrong on the page as it is now, shadow roots included; frames as well in the long run, as the widgets
 * in them are looked at by themselves.
 */
export async function expectAccessible(page: Page, looked: Looked = {}): Promise<void> {
  const { except: told = [], contrast = LONG, part } = looked;
  const except = contrast ? told : [...told, 'color-contrast'];
  if (part === undefined) await expect(page.locator('h1').first()).toBeAttached(); // it has come
  const hasFrames = LONG && part === undefined && page.frames().length > 1;
  const rules = Object.fromEntries(except.map((rule) => [rule, { enabled: false }]));
  const violations = hasFrames
    ? (await new AxeBuilder({ page }).withTags(TAGS).disableRules(except).analyze()).violations
    : await axeIn(page, part ?? 'html', { runOnly: TAGS, rules });
  expect(
    violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`),
  ).toEqual([]);
}

/** Makes something happen at a stand-in, on its control page. */
export async function atStandins(page: Page, form: Record<string, string>): Promise<void> {
  const answer = await page.request.post(`${STANDINS}/`, { form, maxRedirects: 0 });
  expect(answer.status()).toBe(303);
}

/** Serves a page at an origin that is nobody's: neither Gnomic's nor the observatory's. */
export async function atFourthOrigin(html: string): Promise<{ origin: string; close: () => void }> {
  const server = createServer((_, response) => response.setHeader('Content-Type', 'text/html').end(html));
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.address() as AddressInfo;
  return { origin: `http://localhost:${port}`, close: () => server.close() };
}
