import { existsSync } from 'node:fs';

// Debian's Chromium: the build without windows where it is installed, as it takes a quarter less time; else the whole browser.

const SHELL = '/usr/bin/chromium-headless-shell';

/** @type {string} */
export const CHROMIUM = existsSync(SHELL) ? SHELL : '/usr/bin/chromium';
