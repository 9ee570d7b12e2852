import { test, type Page } from '@playwright/test';
import { signIn } from '../browser/people';
import { SITE } from '../browser/setting';

// One current picture of each main view, from demo data.

const take = async (page: Page, name: string): Promise<void> => {
  await page.waitForTimeout(900);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
};

test('take', async ({ page }) => {
  await signIn(page);
  await take(page, 'today');
  await page.goto('/entries');
  await take(page, 'entries');
  await page.goto('/widgets');
  await take(page, 'widgets');
  await page.goto('/sources');
  await page.getByRole('button', { name: 'Add a source' }).click();
  await page.getByLabel('Name, and town').fill('observatory');
  await page.keyboard.press('Enter');
  await page.getByRole('radio', { name: /Observatory Tea Rooms/ }).check();
  await take(page, 'add-source');
  await page.keyboard.press('Escape');
  await take(page, 'sources');

  await page.goto('/widgets/dome4visit');
  await page.locator('[data-phrase=stars]').click();
  await take(page, 'bench');
  await page.getByRole('button', { name: /kept out: four stars/ }).click();
  await take(page, 'sieve');
  await page.emulateMedia({ colorScheme: 'dark' });
  await page.goto('/widgets/harrow7talk');
  await page.locator('[data-phrase=dress]').click();
  await take(page, 'bench-dark');
  await page.emulateMedia({ colorScheme: 'light' });
  await page.goto(`${SITE}/visit`);
  await page.evaluate(() => scrollTo(0, 330));
  await take(page, 'observatory');
});
