import { readFileSync } from 'node:fs';
import { defineConfig } from 'vite';

const { failed } = JSON.parse(readFileSync('public/b/manifest.json', 'utf8')) as { failed: string };

// The script that runs on owners' pages: one small file, nothing of the studio in it.
export default defineConfig({
  publicDir: false,
  define: { GNOMIC_FAILED: JSON.stringify(failed) },
  build: {
    outDir: 'public',
    emptyOutDir: false,
    target: 'es2022',
    minify: 'oxc',
    lib: { entry: 'resources/embed/main.ts', formats: ['iife'], name: 'Gnomic', fileName: () => 'gnomic.js' },
  },
});
