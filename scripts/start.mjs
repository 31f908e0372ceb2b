import { buildServer, SERVER } from './server.mjs';
import { ensureBuilt, ensurePackages, run } from './setup.mjs';

const [major] = process.versions.node.split('.').map(Number);
if (major < 20) {
  console.error(`Orderly Week needs Node.js 20 or newer; this is ${process.version}.`);
  process.exit(1);
}
ensurePackages();
ensureBuilt();
await buildServer();
process.exitCode = run(process.execPath, [SERVER, ...process.argv.slice(2)]);
