import { build } from 'esbuild';
import { ensureBrowser, ensureBuilt, ensurePackages, ensureQuickBrowser, run } from './setup.mjs';

ensurePackages();
ensureBrowser();
ensureQuickBrowser();
ensureBuilt();

// Bundled like the app itself: what loads sources one by one makes every use of an import cost.
const bundle = 'node_modules/.cache/bench/main.cjs';
await build({
  entryPoints: ['bench/main.ts'],
  outfile: bundle,
  bundle: true,
  platform: 'node',
  format: 'cjs',
  packages: 'external',
  logLevel: 'error',
});
process.exitCode = run(process.execPath, ['--expose-gc', bundle]);
