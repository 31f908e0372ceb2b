import { ensureBrowser, ensureBuilt, ensurePackages, run } from './setup.mjs';

ensurePackages();
ensureBrowser();
ensureBuilt();
process.exitCode = run(process.execPath, ['--expose-gc', '--import', 'tsx', 'bench/main.ts']);
