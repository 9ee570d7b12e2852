import { defineConfig } from '@playwright/test';
import { BROWSER, PORTS, serverAt } from './tests/browser/setting';

// Stories that change a demo come one after another. Two projects, each with a demo of its own, may run side by side.
export default defineConfig({
  testDir: 'tests/browser',
  outputDir: `var/playwright-${PORTS.gnomic}`,
  timeout: 300_000, // on machines that are busy with something else, too
  expect: { timeout: 20_000 },
  workers: 1,
  fullyParallel: false,
  reporter: [['list']],
  use: BROWSER,
  projects: [
    {
      name: 'bench',
      testMatch: [
        'chance.spec.ts',
        'layouts.spec.ts',
        'placing.spec.ts',
        'pressed.spec.ts',
        'dressing.spec.ts',
        'sift.spec.ts',
        'story.spec.ts',
        'studio.spec.ts',
      ],
    },
    {
      name: 'around',
      testMatch: [
        'element.spec.ts',
        'dress.spec.ts',
        'everyone.spec.ts',
        'further.spec.ts',
        'places.spec.ts',
        'hostile.spec.ts',
        'ways.spec.ts',
        'weeding.spec.ts',
        'widget.spec.ts',
      ],
    },
  ],
  webServer: serverAt(`var/browser-${PORTS.gnomic}`, { GNOMIC_CADENCE: '5' }),
});
