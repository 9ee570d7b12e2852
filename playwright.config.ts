import { defineConfig } from '@playwright/test';
import { BROWSER, serverAt } from './tests/browser/setting';

export default defineConfig({
  testDir: 'tests/browser',
  outputDir: 'var/playwright',
  timeout: 120_000,
  expect: { timeout: 20_000 },
  // One demo for all, changed by some: they come one after another.
  workers: 1,
  fullyParallel: false,
  reporter: [['list']],
  use: BROWSER,
  webServer: serverAt('var/browser', { GNOMIC_CADENCE: '5' }),
});
