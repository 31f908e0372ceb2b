import { bundle } from './server.mjs';
import { ensureBrowser, ensureBuilt, ensurePackages, ensureQuickBrowser, run } from './setup.mjs';

ensurePackages();
ensureBrowser();
ensureQuickBrowser();
ensureBuilt();

// Bundled like the app itself: what loads sources one by one makes every use of an import cost.
const file = 'node_modules/.cache/bench/main.cjs';
await bundle('bench/main.ts', file);
process.exitCode = run(process.execPath, ['--expose-gc', file]);
