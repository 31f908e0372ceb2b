import ICAL from 'ical.js';
import { readCalendarFile } from '@/core/files/ics/readFile';
import { Engine } from '@/engine/engine';
import { firstSeed } from '@/engine/firstSeed';
import { MemoryStore } from '@/engine/testing/memoryStore';
import { outside } from '@/engine/testing/outside';
import { report } from './report';

const RUNS = 3;
const NOW = Date.parse('2026-11-24T10:00:00Z');

/** The least time of some runs: other programs only ever add. */
async function least(work: () => unknown): Promise<number> {
  let best = Infinity;
  for (let run = 0; run < RUNS; run++) {
    const before = performance.now();
    await work();
    best = Math.min(best, performance.now() - before);
  }
  return best;
}

function readAll(text: string): void {
  const reader = readCalendarFile(text, NOW);
  while (!reader.next().done);
}

/** MB in use once what nobody holds is cleared; bench.mjs starts Node so that it can be. */
function heapInUse(): number {
  globalThis.gc?.();
  return process.memoryUsage().heapUsed / 1e6;
}

async function emptyEngine(): Promise<Engine> {
  const surroundings = {
    name: 'bench',
    alone: <T>(work: () => Promise<T>) => work(),
    announce: () => undefined,
  };
  const engine = new Engine(new MemoryStore(), surroundings, outside());
  await new Promise<void>((resolve) => {
    void engine.open(firstSeed, (status) => status.ready && resolve());
  });
  return engine;
}

/** Reading a calendar file as the app does, beside the bare parse of the library under it. */
export async function benchImport(text: string): Promise<void> {
  const bare = await least(() => ICAL.parse(text));
  const own = await least(() => readAll(text));
  report('import: bare parse by ical.js', bare, 'ms');
  report('import: read, checked and grouped', own, 'ms');
  report('import: times as long as the bare parse', own / bare, '×', 2);
  const before = heapInUse();
  const engine = await emptyEngine();
  const file = Object.assign(new Blob([text]), { name: 'busy.ics' });
  const started = performance.now();
  await engine.files.previewImport([file], NOW, () => undefined);
  report('import: the whole way to the preview', performance.now() - started, 'ms');
  const keeping = performance.now();
  await engine.files.applyImport({ calendarId: 'first' }, NOW);
  report('import: kept, with an undo', performance.now() - keeping, 'ms');
  report('import: heap that it added', heapInUse() - before, 'MB');
}
