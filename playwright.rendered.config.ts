import { defineConfig } from '@playwright/test';
import { BROWSER, LONG } from './tests/browser/setting';

// What needs no demo: widgets as the command line renders them, in pages of the test's own. Each test may stand beside any other.
export default defineConfig({
  testDir: 'tests/browser/rendered',
  outputDir: 'var/playwright-rendered',
  timeout: 300_000, // on machines that are busy with something else, too
  expect: { timeout: 20_000 },
  workers: 3, // some wait for what others do
  fullyParallel: true,
  // What takes over a minute is for `./gnomic test long`.
  ...(LONG ? {} : { grepInvert: /@long/ }),
  reporter: [['list'], ['./tests/browser/slowest.ts']],
  use: BROWSER,
});
