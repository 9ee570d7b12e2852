import { defineConfig } from '@playwright/test';
import { BROWSER, serverAt } from '../browser/setting';

export default defineConfig({
  testDir: '.',
  testMatch: ['measure.ts', 'shape.ts'],
  outputDir: '../../var/playwright-measure',
  timeout: 480_000, // of each part
  globalTimeout: 3_000_000,
  workers: 1,
  reporter: [['line']],
  use: BROWSER,
  // Nothing moves by itself while it is measured.
  webServer: serverAt('var/measure', { GNOMIC_CADENCE: '86400' }),
});
