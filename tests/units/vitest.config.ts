import { svelte } from '@sveltejs/vite-plugin-svelte';
import { defineConfig } from 'vitest/config';

// Logic of the studio and the element, each part alone; what it looks like and how it works together is for the browser.
export default defineConfig({
  plugins: [svelte()],
  define: { GNOMIC_FAILED: '"failed.js"' },
  resolve: { conditions: ['browser'] },
  test: {
    include: ['tests/units/**/*.test.ts'],
    environment: 'jsdom',
    environmentOptions: { jsdom: { url: 'http://gnomic.test/' } },
    setupFiles: ['tests/units/setup.ts'],
    testTimeout: 60_000, // on machines that are busy with something else, too
    mockReset: true,
    isolate: false, // a window for each file takes longer than all that is tested in it
  },
});
