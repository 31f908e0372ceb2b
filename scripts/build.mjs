import { ensureBuilt, ensurePackages } from './setup.mjs';

ensurePackages();
ensureBuilt({ force: process.argv.includes('--force') });
