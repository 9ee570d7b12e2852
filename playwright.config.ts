import { defineConfig } from '@playwright/test';
import { BROWSER, LONG, PORTS, serverAt } from './tests/browser/setting';

// Stories of the whole: each project has a demo of its own, and its stories come one after another. The projects run side by side.
const of = (...names: string[]): string[] => names.map((name) => `${name}.spec.ts`);

export default defineConfig({
  testDir: 'tests/browser',
  outputDir: `var/playwright-${PORTS.gnomic}`,
  timeout: 300_000, // on machines that are busy with something else, too
  expect: { timeout: 60_000 }, // as long as the studio itself waits for an edition
  workers: 1,
  fullyParallel: false,
  reporter: [['list'], ['./tests/browser/slowest.ts']],
  use: { ...BROWSER, actionTimeout: 60_000 }, // what stands still is told where it stands, not by the story's end
  // What takes over a minute is for `./gnomic test long`.
  ...(LONG ? {} : { grepInvert: /@long/ }),
  projects: [
    { name: 'making', testMatch: of('story', 'dressing', 'element', 'placing') },
    { name: 'keeping', testMatch: of('ways', 'weeding', 'widget', 'sift', 'studio') },
  ],
  webServer: serverAt(`var/browser-${PORTS.gnomic}`, { GNOMIC_CADENCE: '5', GNOMIC_WORK_EVERY: '1000' }),
});
