import path from 'node:path';
import { parseDate } from '../src/core/time/civil';
import { createApp } from './app';
import { listen } from './listen';
import { openStore, storeUrl } from './store/store';

const first = process.argv.includes('--demo') ? 'demo' : 'own';
/** `--today=2026-11-24` holds the stand-ins' clock, for tests and pictures. */
const fixed = process.argv.find((argument) => argument.startsWith('--today='))?.slice(8);
const today = fixed === undefined ? undefined : () => parseDate(fixed);
const folder = path.join(__dirname, '..', 'dist');

/** Names that the server is reached by besides localhost, with commas between; see HOST. */
const names = (process.env['HOST_NAMES'] ?? '').split(',').filter(Boolean);

const env: Readonly<Record<string, string | undefined>> = process.env;
const host = env['HOST'];
const isLoopback = (name: string) => /^(localhost|127(\.\d+){3}|\[?::1\]?)$/.test(name);

async function start() {
  const store = await openStore(storeUrl(env));
  const isOpen = host !== undefined && !isLoopback(host);
  const app = createApp(folder, first, { today, names, store, isOpen });
  return listen(app, process.env['PORT'], host);
}

start().then(
  ({ port, note }) => {
    if (note) console.log(note);
    const what = first === 'demo' ? 'the demo, Lantern Quay Instruments' : 'your own calendars';
    console.log(`Orderly Week shows ${what} at http://localhost:${port}`);
  },
  (error: Error) => {
    console.error(error.message);
    process.exitCode = 1;
  },
);
