import { defineConfig } from 'vite';

// The script that runs on owners' pages: one small file, nothing of the studio in it.
export default defineConfig({
  publicDir: false,
  build: {
    outDir: 'public',
    emptyOutDir: false,
    target: 'es2022',
    minify: 'oxc',
    lib: { entry: 'resources/embed/main.ts', formats: ['iife'], name: 'Gnomic', fileName: () => 'gnomic.js' },
  },
});
