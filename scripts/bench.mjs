import { ensureBrowser, ensureBuilt, ensurePackages, run } from './setup.mjs';

ensurePackages();
ensureBrowser();
ensureBuilt();
process.exitCode = run(process.execPath, ['--import', 'tsx', 'bench/main.ts']);
