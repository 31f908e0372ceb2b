import { RRuleTemporal } from 'rrule-temporal';
import { Temporal } from 'temporal-polyfill';
import { writeCalendarFile } from '../src/core/files/ics/writeFile';
import { wallOf } from '../src/core/model/common';
import type { CalendarEvent } from '../src/core/model/event';
import { writeRecord } from '../src/core/model/records';
import { EVERYTHING } from '../src/core/query/eventQuery';
import { DAY } from '../src/core/time/civil';
import { Engine } from '../src/engine/engine';
import { firstSeed } from '../src/engine/firstSeed';
import { MemoryStore } from '../src/engine/testing/memoryStore';
import { outside } from '@/engine/testing/outside';
import { WEEK_FROM } from './data';
import { benchFinding } from './finding';
import { benchPrinting } from './printing';
import { median, report, worst } from './report';
import { benchTasks } from './tasks';
import { benchTyping } from './typing';

const WEEK = { fromDay: WEEK_FROM / DAY, toDay: WEEK_FROM / DAY + 7, zone: 'Europe/London' };

async function load(events: readonly CalendarEvent[]): Promise<Engine> {
  const store = new MemoryStore();
  for (const { type, record } of firstSeed())
    if (type === 'calendar') store.texts.set(`calendar/${record.id}`, writeRecord(type, record));
  for (const event of events) store.texts.set(`event/${event.id}`, writeRecord('event', event));
  const engine = new Engine(
    store,
    { name: 'bench', alone: (work) => work(), announce: () => undefined },
    outside(),
  );
  const before = performance.now();
  await new Promise<void>((resolve) => {
    void engine.open(firstSeed, (status) => status.ready && resolve());
  });
  report('load and check every record', performance.now() - before, 'ms');
  return engine;
}

/** The same series over the same week by a named library, in UTC and without placing them on a clock. */
function libraryWeek(events: readonly CalendarEvent[]): number {
  const rules = events.flatMap(({ rule, start }) => {
    if (rule === undefined) return [];
    const at = new Date(wallOf(start)).toISOString().slice(0, 19);
    const dtstart = Temporal.PlainDateTime.from(at).toZonedDateTime('UTC');
    return [new RRuleTemporal({ rruleString: `RRULE:${rule}`, dtstart } as never)];
  });
  const from = new Date(WEEK_FROM);
  const to = new Date(WEEK_FROM + 7 * DAY);
  const before = performance.now();
  for (const rule of rules) rule.between(from, to, true);
  return performance.now() - before;
}

/** What the engine takes, without a browser around it. */
export async function benchEngine(events: readonly CalendarEvent[]): Promise<void> {
  const engine = await load(events);
  engine.queries.occurrences(WEEK);
  const times: number[] = [];
  let found = 0;
  for (let week = 0; week < 60; week++) {
    const shift = (week - 30) * 7;
    const window = { ...WEEK, fromDay: WEEK.fromDay + shift, toDay: WEEK.toDay + shift };
    const before = performance.now();
    found += engine.queries.occurrences(window).occurrences.length;
    times.push(performance.now() - before);
  }
  report('a week’s query, median of 60 weeks', median(times), 'ms', 5);
  report('a week’s query, slowest', worst(times), 'ms');
  report('dates found in a week, on average', found / 60, '');
  const before = performance.now();
  engine.queries.weeklyLoad(WEEK.fromDay - 70, 30, WEEK.zone);
  report('the ruler’s 30 weeks', performance.now() - before, 'ms');
  const library = libraryWeek(events);
  report('the same series over a week by rrule-temporal', library, 'ms');
  report('rrule-temporal takes, times as long', library / median(times), '×');
  const writing = performance.now();
  const { text } = await engine.files.exportCalendars({ query: EVERYTHING });
  report(`export of ${(text.length / 1e6).toFixed(1)} MB`, performance.now() - writing, 'ms');
  await benchPrinting(engine);
  await benchFinding(engine, events);
  await benchTasks(engine, events);
  benchTyping();
}

export const fileOf = (events: readonly CalendarEvent[]) =>
  writeCalendarFile({ name: 'Busy', events, tasks: [], passthrough: [], now: Date.now() });
