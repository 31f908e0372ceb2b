import { cpSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { ROOT } from './setup.mjs';

/** Where the server is built to. */
export const SERVER = path.join('dist-server', 'main.cjs');

/** Bundles code that has the server in it into one file, with the steps of its store beside it. */
export async function bundle(entry, outfile) {
  // Only there once the packages are installed.
  const { build } = await import('esbuild');
  await build({
    absWorkingDir: ROOT,
    entryPoints: [entry],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'cjs',
    packages: 'external',
    logLevel: 'error',
  });
  const migrations = path.join(ROOT, 'server', 'store', 'migrations');
  cpSync(migrations, path.join(ROOT, path.dirname(outfile), 'migrations'), { recursive: true });
}

/** Builds the server; a fraction of a second, so that it is always that of these sources. */
export const buildServer = () => bundle('server/main.ts', SERVER);

if (process.argv[1] === fileURLToPath(import.meta.url)) await buildServer();
