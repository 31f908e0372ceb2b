import MiniSearch from 'minisearch';
import { EMPTY_FILTER } from '@/core/model/filter';
import type { CalendarEvent } from '@/core/model/event';
import { TextIndex } from '@/core/find/textIndex';
import { fold } from '@/core/query/fold';
import { EVERYTHING } from '@/core/query/eventQuery';
import { CHECK_NAMES } from '@/core/model/checks';
import type { Engine } from '@/engine/engine';
import { median, report, worst } from './report';

const ZONE = 'Europe/London';
const NOW = Date.parse('2026-11-24T10:00:00Z');
const WORDING = { locale: 'en-GB', hourCycle: '24' } as const;
const LOOKING = { now: NOW, zone: ZONE, wording: WORDING };
/** What is typed, letter by letter. */
const TYPED = ['lamp check', 'osaka', 'brass wire', 'workshop', 'quay'];
const MANY = 5_000;

const sum = (values: readonly number[]) => values.reduce((total, ms) => total + ms, 0);

function timed<T>(work: () => T): { ms: number; result: T } {
  const before = performance.now();
  const result = work();
  return { ms: performance.now() - before, result };
}

/** The texts of events by a plain look at each. */
function scan(events: readonly CalendarEvent[], word: string): number {
  return events.filter(({ title, place, notes }) =>
    fold(`${title}\n${place}\n${notes}`).includes(word),
  ).length;
}

/** What finding takes, letter by letter, beside a plain scan and the search library under it. */
function benchSearch(events: readonly CalendarEvent[]): void {
  const index = new TextIndex();
  report('finding: texts indexed', timed(() => events.forEach((one) => index.put(one))).ms, 'ms');
  const bare = new MiniSearch({ fields: ['title', 'place', 'notes'] });
  report('finding: the same events by minisearch bare', timed(() => bare.addAll(events)).ms, 'ms');
  const letters = TYPED.flatMap((text) =>
    Array.from({ length: text.length }, (_, i) => text.slice(0, i + 1)),
  );
  const own = letters.map((text) => timed(() => index.find(text)).ms);
  const library = letters.map(
    (text) => timed(() => bare.search(text, { prefix: true, fuzzy: 0.2, combineWith: 'AND' })).ms,
  );
  const scanned = letters.map((text) => timed(() => scan(events, text)).ms);
  report('finding: a letter, median', median(own), 'ms', 30);
  report('finding: a letter, slowest', worst(own), 'ms', 30);
  report('finding: all letters, times as fast as a plain scan', sum(scanned) / sum(own), '×');
  report('finding: all letters, times as fast as minisearch bare', sum(library) / sum(own), '×');
}

/** What finding, checks and changing many take with an engine that holds so many events. */
export async function benchFinding(
  engine: Engine,
  events: readonly CalendarEvent[],
): Promise<void> {
  benchSearch(events);
  const filter = { ...EMPTY_FILTER, text: 'lamp' };
  const asking = { zone: ZONE, now: NOW, most: 200 };
  const results = timed(() => engine.finding.find({ ...EVERYTHING, filter }, asking));
  report('finding: results of a word, with next and last dates', results.ms, 'ms');
  const checks: number[] = [];
  for (const check of CHECK_NAMES) {
    const before = performance.now();
    await engine.tidying.everyFinding(check, LOOKING);
    checks.push(performance.now() - before);
  }
  report('tidy: all checks', sum(checks), 'ms', 2000);
  report('tidy: the longest of them, nothing is served meanwhile', worst(checks), 'ms');
  const own = events.filter(({ rule }) => rule === undefined).slice(0, MANY);
  const request = {
    ids: own.map(({ id }) => id),
    steps: [
      { kind: 'shiftDays' as const, days: 7 },
      { kind: 'suffix' as const, text: ' (moved)' },
    ],
    scope: 'this' as const,
    scopes: {},
    fate: 'keep' as const,
    leftOut: [],
    zone: ZONE,
  };
  const manner = { now: NOW, wording: WORDING, clock: ZONE, home: ZONE };
  const preview = timed(() => engine.bulk.preview(request, manner));
  report(`bulk: ${MANY.toLocaleString('en')} looked at before`, preview.ms, 'ms');
  const before = performance.now();
  const saying = { wording: WORDING, clock: ZONE };
  await engine.commands.do({ kind: 'changeMany', request }, { now: NOW, saying });
  report(`bulk: ${MANY.toLocaleString('en')} changed`, performance.now() - before, 'ms', 3000);
}
