import { defineConfig } from '@playwright/test';
import { BROWSER, serverAt } from '../browser/setting';

export default defineConfig({
  testDir: '.',
  testMatch: 'take.ts',
  outputDir: '../../var/playwright-pictures',
  workers: 1,
  reporter: [['list']],
  use: BROWSER,
  webServer: serverAt('var/pictures', { GNOMIC_CADENCE: '21600' }),
});
