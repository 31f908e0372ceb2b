import path from 'node:path';
import { createApp } from '../server/app';
import { openStore } from '../server/store/store';
import { benchBrowser } from './browser';
import { busyStore } from './data';
import { benchEngine, fileOf } from './engine';
import { benchImport } from './importing';
import { benchOpenings } from './people';
import { benchReminders } from './reminders';
import { benchMessages } from './tasks';
import { benchWire } from './wire';
import { benchFirstWeek, benchHardRules, benchSeries } from './series';

/** The bench is run from the project's folder. */
const DIST = path.resolve('dist');

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
  const url = `http://localhost:${address.port}`;
  await benchWire(url);
  await benchBrowser(url, fileOf(events));
  server.close();
}

void main();
