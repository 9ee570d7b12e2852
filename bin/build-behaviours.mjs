// Builds each behaviour of the widgets into a file of its own, public/b/HASH.js, and says in manifest.json which there are. Files
// of earlier versions stay: editions that are out name them.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import { build, minifySync } from 'vite';

const SHARED = 'resources/embed/behaviours';
const entries = Object.fromEntries(readdirSync(SHARED).map((file) => [file.replace(/\.ts$/, ''), `${SHARED}/${file}`]));
for (const layout of readdirSync('resources/widget/layouts')) {
  const path = `resources/widget/layouts/${layout}/behaviour.ts`;
  if (existsSync(path)) entries[layout] = path;
}

mkdirSync('public/b', { recursive: true });
const manifest = {};
// One that another loads is built first: that one holds the name of its file.
const { pressed, ...others } = entries;
for (const [name, entry] of [['pressed', pressed], ...Object.entries(others).sort()]) {
  const built = await build({
    configFile: false,
    publicDir: false,
    logLevel: 'error',
    define: { GNOMIC_PRESSED: JSON.stringify(manifest.pressed ?? '') },
    build: { write: false, target: 'es2022', minify: 'oxc', lib: { entry, formats: ['es'], fileName: name } },
  });
  // Vite leaves the blanks in modules, as others may bundle them; nobody bundles these.
  const [{ code: spaced }] = (Array.isArray(built) ? built[0] : built).output;
  const { code } = minifySync(`${name}.js`, spaced, { module: true, compress: true, mangle: true });
  // By its content alone: what two layouts have in common, a page fetches once.
  manifest[name] = `${createHash('sha256').update(code).digest('hex').slice(0, 12)}.js`;
  writeFileSync(`public/b/${manifest[name]}`, code);
}
writeFileSync('public/b/manifest.json', JSON.stringify(manifest, null, 1));
