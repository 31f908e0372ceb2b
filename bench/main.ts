import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { createApp } from '../server/app';
import { openStore } from '../server/store/store';
import { benchBrowser } from './browser';
import { busyStore } from './data';
import { benchEngine, fileOf } from './engine';
import { benchImport } from './importing';
import { benchOpenings } from './people';
import { benchReminders } from './reminders';
import { report } from './report';
import { benchMessages } from './tasks';
import { benchFirstWeek, benchHardRules, benchSeries } from './series';

/** The bench is run from the project's folder. */
const DIST = path.resolve('dist');

function bundleSizes(): void {
  const folder = path.join(DIST, '_expo', 'static', 'js', 'web');
  const sizes = readdirSync(folder).map((name) => ({
    name,
    kilobytes: gzipSync(readFileSync(path.join(folder, name))).length / 1000,
  }));
  const sum = (part: typeof sizes) => part.reduce((total, { kilobytes }) => total + kilobytes, 0);
  const worker = sizes.filter(({ name }) => name.startsWith('engine-'));
  const page = readFileSync(path.join(DIST, 'index.html'), 'utf8');
  const first = sizes.filter(({ name }) => page.includes(name));
  report('bundle, gzip: what every page loads', sum(first), 'KB');
  report('bundle, gzip: the worker', sum(worker), 'KB');
  report('bundle, gzip: all', sum(sizes), 'KB');
}

async function main(): Promise<void> {
  console.log('Recurrence and zones; in Node:');
  benchFirstWeek();
  benchSeries();
  benchHardRules();
  const events = busyStore(20_000, 1_000, Date.parse('2026-11-24T10:00:00Z'));
  console.log('20,000 events, 1,000 of them series; in Node:');
  // Before the engine holds them: what it keeps would slow the reading that is measured.
  await benchImport(fileOf(events));
  await benchEngine(events);
  benchReminders(events);
  benchMessages();
  benchOpenings();
  console.log('The same in Chromium:');
  const server = createApp(DIST, 'demo', { store: await openStore(':memory:') }).listen(0);
  const address = server.address();
  if (address === null || typeof address === 'string') throw new Error('The server has no port.');
  await benchBrowser(`http://localhost:${address.port}`, fileOf(events));
  server.close();
  bundleSizes();
}

void main();
