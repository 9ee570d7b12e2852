import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, signIn } from './people';
import { GNOMIC, SITE } from './setting';

// An owner dresses a widget: as a section of the observatory's own page, by moves and single tokens, until it can be read, and out.

async function openDress(page: Page, key: string): Promise<void> {
  await signIn(page, `/widgets/${key}`);
  await page.locator('[data-phrase=dress]').click();
  await expect(page.getByRole('radiogroup', { name: 'Look' })).toBeVisible();
}
const part = (page: Page, name: string | RegExp): Promise<void> => page.getByRole('button', { name }).click();
const inProof = (page: Page, selector: string) => page.frameLocator('iframe[title*="1120"]').locator(selector);
const styleOf = (page: Page, selector: string, property: string): Promise<string> =>
  inProof(page, selector)
    .first()
    .evaluate((one, property) => getComputedStyle(one).getPropertyValue(property), property);

test('a widget is dressed as the dark band of a page, stands on it in the proof, and goes out so', async ({ page }) => {
  await openDress(page, 'shop2short');
  await part(page, 'As your page');
  await page.getByLabel('Page where the widget will stand').fill(`${SITE}/planetarium`);
  await part(page, 'Read the page');
  const sections = page.getByRole('radiogroup', { name: 'Section of the page' });
  await expect(sections.getByRole('radio')).toHaveCount(3);
  // Each is shown by its picture, cropped from the page.
  await expect(sections.locator('.picture:not(.waits)')).toHaveCount(3);
  // The proof is the owner's page, scripts taken out, in the page's own font.
  await expect(inProof(page, 'h1')).toHaveText('Harrow Lane Planetarium');
  await sections.getByRole('radio', { name: /Heard in the foyer/ }).click();
  await expect(page.locator('.sentence')).toContainText('Window, dark');
  await expect(page.getByRole('cell', { name: /#eceef5/ }).first()).toBeVisible();
  await expect(page.getByRole('table')).toContainText(/color: #eceef5 in site\.css, line \d+/);
  await expect.poll(() => styleOf(page, 'gnomic-widget .g', 'color')).toBe('rgb(236, 238, 245)');
  await expect.poll(() => styleOf(page, 'gnomic-widget .g', 'font-family')).toContain('Charter');
  await expect(inProof(page, '.night gnomic-widget')).toHaveCount(1);
  await expectAccessible(page, { except: ['landmark-unique'], part: '.work > :not(.proofs)' });
  await part(page, /^Can it be read/);
  await expect(page.getByText('Everything can be told from what is behind it')).toBeVisible();
  await part(page, /^Publish edition/);
  await expect(page.getByText(/Edition \d+ is published/)).toBeVisible();
  await page.goto(`${SITE}/visit`);
  const html = await (await page.request.get(`${GNOMIC}/w/shop2short.html`)).text();
  expect(html).toContain('--ink:#eceef5');
});

test('what cannot be read is mended, shown before and after, and left where the owner wants it so', async ({
  page,
}) => {
  await openDress(page, 'dome4visit');
  await page.getByRole('radio', { name: 'Paper' }).click();
  await part(page, 'Single tokens');
  await page.getByLabel('Background', { exact: true }).fill('#000000');
  await page.getByLabel('Background', { exact: true }).press('Enter');
  await part(page, /^Can it be read/);
  const arrows = page.getByRole('listitem').filter({ hasText: 'Controls' });
  await expect(arrows).toContainText('Arrows, dots and edges of buttons');
  await expect(arrows).toContainText('#1b1f27 became');
  await expect(arrows.locator('.sample span')).toHaveCount(2);
  const stroke = (): Promise<string> => styleOf(page, '.tool svg', 'stroke');
  await expect.poll(stroke).not.toBe('rgb(27, 31, 39)');
  await expectAccessible(page, { except: ['landmark-unique', 'color-contrast'], part: '.work > :not(.proofs)' });
  await arrows.getByRole('button', { name: 'Leave it as it was' }).click();
  await expect.poll(stroke).toBe('rgb(27, 31, 39)');
  await expect(arrows).toContainText('left as it is');
  await arrows.getByRole('button', { name: 'Fix it' }).click();
  await expect.poll(stroke).not.toBe('rgb(27, 31, 39)');
});

test('single tokens wait until they are those of the chosen look and scheme', async ({ page }) => {
  await openDress(page, 'about1line');
  await page.getByRole('radio', { name: 'Paper' }).click();
  await part(page, 'Single tokens');
  const onLight = page.getByRole('group', { name: 'Colours on light' }).getByLabel('Background', { exact: true });
  const onDark = page.getByRole('group', { name: 'Colours on dark' }).getByLabel('Background', { exact: true });
  await expect(onLight).toBeEnabled();
  // The proof is slow, and then it fails: what is typed meanwhile would go to the scheme before.
  let answer = (): void => undefined;
  const asked = new Promise<void>((resolve) => (answer = resolve));
  await page.route('**/api/proof', async (route) => {
    await asked;
    await route.abort();
  });
  await part(page, /^Ready and kept looks/);
  await page.getByLabel('Light or dark').selectOption('dark');
  await part(page, 'Single tokens');
  await expect(onLight).toBeDisabled();
  answer();
  await expect(page.getByRole('alert').first()).toBeVisible();
  await expect(onLight).toBeDisabled();
  await page.unroute('**/api/proof');
  await part(page, 'Try again');
  await expect(onDark).toBeEnabled();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await onDark.fill('#102030');
  await onDark.blur();
  await expect.poll(() => styleOf(page, 'gnomic-widget .g', 'background-color')).toBe('rgb(16, 32, 48)');
});

test('moves, a kept look, words and rules of their own @long', async ({ page }) => {
  await openDress(page, 'about1line');
  await page.getByRole('radio', { name: 'Linen' }).click();
  await expect.poll(() => styleOf(page, '.card', 'border-top-left-radius')).toBe('14px');
  await page.getByRole('button', { name: 'rounder' }).click();
  await expect.poll(() => styleOf(page, '.card', 'border-top-left-radius')).toBe('18px');
  await expectAccessible(page, { except: ['landmark-unique'], part: '.work > :not(.proofs)' });
  await page.getByLabel('Keep what is on the bench').fill('Quillmoor linen');
  await part(page, 'Keep this look');
  await expect(page.getByRole('radio', { name: 'Quillmoor linen' })).toHaveAttribute('aria-checked', 'true');
  await expect(page.getByText('used by About, one voice')).toBeVisible();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Export as design tokens' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('own-quillmoor-linen.tokens.json');
  // Tokens of anybody's: their names propose, the owner says once which is which.
  await page.getByLabel('Import design tokens').setInputFiles({
    name: 'moor.tokens.json',
    mimeType: 'application/json',
    buffer: Buffer.from(
      JSON.stringify({
        semantic: {
          $type: 'color',
          text: { body: { $value: '#1d2333' } },
          background: { page: { $value: '#f4f7f5' } },
          brandPrimary: { $value: '#2b4a3a' },
          pebble: { $value: '#7a4a10' },
        },
        radius: { $type: 'dimension', card: { $value: '12px' } },
        motion: { $type: 'duration', fast: { $value: '120ms' } },
      }),
    ),
  });
  const which = page.getByRole('form', { name: 'Which token is which' });
  await expect(which.getByLabel('Text', { exact: true }).first()).toHaveValue('semantic.text.body');
  await expect(which.getByLabel('Corners, px')).toHaveValue('radius.card');
  await expect(which).toContainText('One token of the file is left out');
  await expectAccessible(page, { except: ['landmark-unique'], part: '.work > :not(.proofs)' });
  await which.getByLabel('Links', { exact: true }).first().selectOption('semantic.pebble');
  await which.getByLabel('Name').fill('Moor');
  await part(page, 'Keep as a look');
  await expect(page.getByRole('radio', { name: 'Moor' })).toBeVisible();
  await part(page, 'Words');
  await page.getByLabel('Search words').fill('next');
  await page.getByLabel(/^Beside/).selectOption({ label: 'português (Brasil)' });
  await expect(page.getByText('Próximo')).toBeVisible();
  await page.getByLabel(/^Beside/).selectOption({ label: 'no other language' });
  await page.getByRole('button', { name: 'Change “Next”' }).click();
  await page.getByLabel('Visitors read instead of Next').fill('Another voice');
  await part(page, 'Use these words');
  await expect(inProof(page, 'button.next')).toHaveAttribute('aria-label', 'Another voice');
  await expectAccessible(page, { except: ['landmark-unique'], part: '.work > :not(.proofs)' });
  await part(page, /^Rules of your own/);
  await page
    .getByLabel('CSS for the parts of this widget')
    .fill('.name { letter-spacing: 2px }\nbody { display: none }');
  await page.getByLabel('CSS for the parts of this widget').blur();
  await expect(page.getByText(/Line 2: "body" is left out/)).toBeVisible();
  await expect.poll(() => styleOf(page, '.name', 'letter-spacing')).toBe('2px');
  await expectAccessible(page, { except: ['landmark-unique'], part: '.work > :not(.proofs)' });
  await part(page, 'Single tokens');
  // White cards are hidden by one press.
  const cards = page.getByRole('button', { name: 'No cards', exact: true }).first();
  await expect.poll(() => styleOf(page, '.card', 'background-color')).not.toBe('rgba(0, 0, 0, 0)');
  await cards.click();
  await expect.poll(() => styleOf(page, '.card', 'background-color')).toBe('rgba(0, 0, 0, 0)');
  await expect(cards).toHaveAttribute('aria-pressed', 'true');
  await page.getByLabel('Rating glyphs').selectOption({ label: 'hearts' });
  await expect(page.locator('.sentence')).toContainText('Quillmoor linen with changes of its own');
  await expectAccessible(page, { except: ['landmark-unique'], part: '.work > :not(.proofs)' });
});

test('a page that is not there is said so, and the owner points at another place', async ({ page }) => {
  await openDress(page, 'about1line');
  await part(page, 'As your page');
  await page.getByLabel('Page where the widget will stand').fill(`${SITE}/nowhere`);
  await part(page, 'Read the page');
  await expect(page.getByText('there is no page at this address')).toBeVisible();
  await page.getByLabel('Page where the widget will stand').fill(`${SITE}/about`);
  await part(page, 'Read the page');
  await expect(inProof(page, 'h1')).toHaveText('About');
  await part(page, 'Point at another place');
  await inProof(page, 'h2').first().dispatchEvent('click');
  await expect(inProof(page, 'h2 + gnomic-widget')).toHaveCount(1);
  await part(page, 'Proof on a neutral page');
  await expect(inProof(page, 'h1')).toHaveCount(0);
  await expect(inProof(page, 'article').first()).toBeVisible();
});
