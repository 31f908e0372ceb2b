import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { buildServer, SERVER } from '../server.mjs';
import { ensureBrowser, ensureBuilt, ensurePackages, ROOT } from '../setup.mjs';
import { adding } from './adding.mjs';
import { adopting } from './adopting.mjs';
import { archive, bulk, invitation, merge, share } from './changing.mjs';
import { attaching } from './attaching.mjs';
import { endAll, PORT } from './browser.mjs';
import { canCutPower, power } from './power.mjs';
import { restoring } from './restoring.mjs';

/**
 * Kills the browser in the middle of what it writes, and takes the power from its disk, again and
 * again; looks each time whether everything that was said to be kept is still there.
 */
const TIMES = Number(process.env.KILLS ?? 20);
const WALKS = {
  adding: ['kills while events were added', adding],
  attaching: ['kills while files were attached', attaching],
  restoring: ['kills while a backup was restored', restoring],
  bulk: ['kills while many events were changed', bulk],
  archive: ['kills while events were archived', archive],
  merge: ['kills while calendars were merged', merge],
  invitation: ['kills while an invitation was answered', invitation],
  share: ['kills while a calendar was shared', share],
  adopting: ['kills while the store of an older version was taken over', adopting],
  ...(canCutPower() && { power: ['power cuts while events were added', power] }),
};
const chosen = process.env.WALKS?.split(',') ?? Object.keys(WALKS);

ensurePackages();
ensureBrowser();
ensureBuilt();

await buildServer();
const server = spawn('node', [SERVER], {
  cwd: ROOT,
  env: { ...process.env, PORT: String(PORT), DATABASE_URL: ':memory:' },
  stdio: ['ignore', 'pipe', 'inherit'],
});
await new Promise((resolve) => server.stdout.once('data', resolve));
const folder = mkdtempSync(path.join(tmpdir(), 'orderly-faults-'));
try {
  for (const name of chosen) {
    const [what, walk] = WALKS[name];
    const { isGood, said } = await walk(path.join(folder, name), TIMES);
    console.log(`${TIMES} ${what}: ${said}.`);
    if (!isGood) process.exitCode = 1;
  }
} finally {
  await endAll();
  server.kill();
  rmSync(folder, { recursive: true, force: true });
}
