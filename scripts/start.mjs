import { ensureBuilt, ensurePackages, run } from './setup.mjs';

const [major] = process.versions.node.split('.').map(Number);
if (major < 20) {
  console.error(`Orderly Week needs Node.js 20 or newer; this is ${process.version}.`);
  process.exit(1);
}
ensurePackages();
ensureBuilt();
process.exitCode = run(process.execPath, [
  '--import',
  'tsx',
  'server/main.ts',
  ...process.argv.slice(2),
]);
