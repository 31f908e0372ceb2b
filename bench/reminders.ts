import type { Calendar } from '../src/core/model/calendar';
import { newCalendar } from '../src/core/model/calendar';
import type { CalendarEvent } from '../src/core/model/event';
import { INKS } from '../src/core/model/inks';
import type { Reminder } from '../src/core/model/common';
import { Schedule } from '../src/core/reminders/schedule';
import { DAY, MINUTE } from '../src/core/time/civil';
import { median, report, worst } from './report';

const NOW = Date.parse('2026-11-24T10:00:00Z');
const EDITS = 60;

const calendarOf = (...reminders: Reminder[]): Calendar =>
  newCalendar({
    id: 'first',
    name: 'First',
    ink: INKS.Kelp,
    mark: 'square',
    order: 0,
    defaultReminders: reminders,
  });

const before = (minutes: number): Reminder => ({ minutes: -minutes, from: 'start' });
const asked = { zone: 'Europe/London', calendarIds: new Set(['first']) };

/** MB in use once what nobody holds is cleared; bench.mjs starts Node so that it can be. */
function heapInUse(): number {
  globalThis.gc?.();
  return process.memoryUsage().heapUsed / 1e6;
}

function benchSchedule(events: readonly CalendarEvent[], what: string, calendar: Calendar): void {
  const heap = heapInUse();
  const schedule = new Schedule(() => calendar);
  const putting = performance.now();
  for (const event of events) schedule.put(event);
  report(`${what}: taken up`, performance.now() - putting, 'ms');
  report(`${what}: memory that it holds`, heapInUse() - heap, 'MB');
  const first = performance.now();
  schedule.next(NOW, asked);
  report(`${what}: the next one, the first time`, performance.now() - first, 'ms');
  const times: number[] = [];
  for (let i = 0; i < EDITS; i++) {
    const event = events[(i * 331) % events.length]!;
    const start = performance.now();
    schedule.put({ ...event, title: 'Edited' });
    schedule.next(NOW + i * MINUTE, asked);
    times.push(performance.now() - start);
  }
  report(`${what}: the next one after an edit, median`, median(times), 'ms', 10);
  report(`${what}: the same, slowest`, worst(times), 'ms');
  const day = performance.now();
  const found = schedule.between(NOW, NOW + DAY, asked).length;
  report(`${what}: all ${found} of a day`, performance.now() - day, 'ms');
}

/** All events remind, by their calendar: the most that there can be to look through. */
export function benchReminders(events: readonly CalendarEvent[]): void {
  benchSchedule(events, 'reminders 10 min before', calendarOf(before(10)));
  benchSchedule(events, 'with one a week before', calendarOf(before(10), before(7 * 24 * 60)));
}
