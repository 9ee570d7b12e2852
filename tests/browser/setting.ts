import type { PlaywrightTestConfig } from '@playwright/test';
import { resolve } from 'node:path';
import { CHROMIUM } from './chromium.mjs';

/** Whether there is time for all of it: `./gnomic test long`. */
export const LONG = process.env['GNOMIC_LONG'] !== undefined;

/** Ports of their own, so that a demo may run beside the tests, and another of them beside these. */
const FIRST = Number(process.env['GNOMIC_TEST_PORT'] ?? 18_080);
export const PORTS = { gnomic: FIRST, standins: FIRST + 1, site: FIRST + 2 };
export const GNOMIC = `http://127.0.0.1:${PORTS.gnomic}`;
export const STANDINS = `http://127.0.0.1:${PORTS.standins}`;
export const SITE = `http://127.0.0.1:${PORTS.site}`;

export const BROWSER: PlaywrightTestConfig['use'] = {
  baseURL: GNOMIC,
  viewport: { width: 1280, height: 800 },
  launchOptions: {
    executablePath: CHROMIUM,
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--no-first-run',
      '--disable-dev-shm-usage',
    ],
  },
};

/** The demo, fresh, in a folder of its own; ended with the tests. */
export function serverAt(folder: string, environment: Record<string, string>): PlaywrightTestConfig['webServer'] {
  return {
    command: 'exec ./gnomic demo --fresh',
    cwd: process.cwd(),
    url: `${SITE}/visit`,
    timeout: 120_000,
    reuseExistingServer: false,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 10_000 },
    env: {
      GNOMIC_DATA: resolve(folder),
      GNOMIC_PORT: String(PORTS.gnomic),
      GNOMIC_STANDINS_PORT: String(PORTS.standins),
      GNOMIC_SITE_PORT: String(PORTS.site),
      ...environment,
    },
  };
}
