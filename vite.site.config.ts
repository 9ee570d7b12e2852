import { defineConfig } from 'vite';

// The script of a whole site: the rules are set around it for each site when they are published.
export default defineConfig({
  publicDir: false,
  build: {
    outDir: 'public',
    emptyOutDir: false,
    target: 'es2022',
    minify: 'oxc',
    lib: { entry: 'resources/embed/site.ts', formats: ['iife'], name: 'GnomicSite', fileName: () => 'site.js' },
  },
});
