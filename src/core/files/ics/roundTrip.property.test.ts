import fc from 'fast-check';
import { EventIndex } from '../../agenda/eventIndex';
import { wallOf, zoneOf } from '../../model/common';
import { dateAsEvent } from '../../editing/series/dates';
import type { Scope } from '../../editing/series/edit';
import { editSeries } from '../../editing/series/edit';
import { RefusedEdit } from '../../editing/series/fit';
import { skipDates } from '../../editing/series/skips';
import { movedTimes } from '../../editing/times';
import type { CalendarEvent } from '../../model/event';
import { isWholeDay } from '../../model/event';
import type { NaiveDate } from '../../testing/naiveSeries';
import { anySeries, HORIZON, naiveDates, naiveRuleStarts } from '../../testing/naiveSeries';
import { DAY, HOUR, parseDate, parseLocal } from '../../time/civil';
import { instantFromWall } from '../../time/zones';
import type { WallMs } from '../../time/units';
import { planImport } from './plan';
import { readCalendarFile } from './readFile';
import { writeCalendarFile } from './writeFile';

/** What goes out says what the sheet says: to this app's reader, and to one that knows only the standard's text. */

const RUNS = Number(process.env['PROPERTY_RUNS'] ?? 150);
const NOW = Date.UTC(2026, 10, 24);

type Change = (date: CalendarEvent) => Partial<CalendarEvent>;
const changes = fc.oneof(
  fc.constantFrom<Change>(
    () => ({ title: 'Quay\r\nround; two, three\\n' }),
    () => ({ notes: 'First line\r\nsecond\rthird\n' }),
    () => ({ reminders: [{ minutes: -5, from: 'start' }] }),
    () => ({ reminders: [] }),
    () => ({ reminders: null }),
    () => ({ reminders: [{ minutes: -1440, from: 'start', how: 'mail' }] }),
    () => ({ travelBefore: 25, reminders: [{ minutes: -5, from: 'leave', how: 'text' }] }),
    () => ({ travelAfter: 10, isQuiet: true, importance: 1 }),
    () => ({ room: 'https://rooms.example/a?b=c;d' }),
    () => ({
      agenda: [
        { id: 'a', text: 'Glass, two; "panes"', minutes: 20, done: true },
        { id: 'b', text: '', minutes: 0, done: false },
      ],
    }),
    () => ({ icon: undefined, inkOverride: undefined }),
    () => ({ icon: 'lamp', inkOverride: '#9A3A2C' }),
  ),
  fc.tuple(fc.integer({ min: -3, max: 3 }), fc.integer({ min: -5, max: 5 })).map(
    ([days, hours]): Change =>
      (date) =>
        movedTimes(
          date,
          wallOf(date.start) + days * DAY + (isWholeDay(date) ? 0 : hours * HOUR),
          zoneOf(date.start) ?? 'UTC',
        ),
  ),
);

const edited = fc
  .record({
    event: anySeries,
    nth: fc.nat({ max: 9 }),
    change: changes,
    scope: fc.constantFrom<Scope | 'skip'>('this', 'later', 'every', 'skip'),
  })
  .map(({ event, nth, change, scope }): CalendarEvent[] => {
    const dates = naiveDates(event, HORIZON);
    if (dates.length < 2) return [event];
    const key = dates[nth % dates.length]!.key!;
    if (scope === 'skip') return [skipDates(event, [key], 5)];
    const before = dateAsEvent(event, key);
    try {
      const names = { id: 'tail', uid: 'tail@orderly-week' };
      const edit = { before, after: { ...before, ...change(before) } };
      const edits = editSeries(event, key, edit, { scope, fate: 'keep', names, now: 5 });
      return edits.map(({ after }) => after);
    } catch (error) {
      if (error instanceof RefusedEdit) return [event];
      throw error;
    }
  });

const write = (events: CalendarEvent[]) =>
  writeCalendarFile({ name: '', events, tasks: [], passthrough: [], now: NOW });

function read(text: string): CalendarEvent[] {
  const reading = readCalendarFile(text, NOW);
  let step = reading.next();
  while (!step.done) step = reading.next();
  expect(step.value.skipped).toEqual([]);
  let n = 0;
  const nothing = { eventsOf: () => [], taskOf: () => undefined };
  const plan = planImport(step.value, 'workshop', nothing, () => `id-${++n}`);
  return plan.events.map(({ after }) => after);
}

/** What a person sees of events over the years that are compared, without names of records. */
function seen(events: CalendarEvent[], zone: string) {
  const index = new EventIndex();
  for (const event of events) index.put(event);
  const window = { fromDay: parseDate('2025-11-01'), toDay: HORIZON, zone };
  const { occurrences } = index.query(window, null);
  const asWritten = (text: string) => text.replaceAll(/\r\n?/g, '\n');
  return occurrences
    .map(({ id: _id, eventId: _event, changed: _changed, ...rest }) => ({
      ...rest,
      title: asWritten(rest.title),
    }))
    .sort((a, b) => (JSON.stringify(a) < JSON.stringify(b) ? -1 : 1));
}

type Line = { name: string; parameters: string; value: string };

/** The lines of an iCalendar text, unfolded, by component (RFC 5545 §3.1). */
function eventsOfText(text: string): Line[][] {
  const components: Line[][] = [];
  let open: Line[] | null = null;
  for (const line of text.replaceAll('\r\n ', '').split('\r\n')) {
    const [, name, parameters, value] = /^([\w-]+)((?:;[^:]*)?):(.*)$/.exec(line) ?? [];
    if (line === 'BEGIN:VEVENT') open = [];
    else if (line === 'END:VEVENT') {
      components.push(open!);
      open = null;
    } else if (open && name) open.push({ name, parameters: parameters!, value: value! });
  }
  return components;
}

const wallOfText = (text: string) => {
  const [, y, m, d, h = '00', min = '00', s = '00'] =
    /^(\d{4})(\d\d)(\d\d)(?:T(\d\d)(\d\d)(\d\d))?/.exec(text)!;
  return parseLocal(`${y}-${m}-${d}T${h}:${min}:${s}`);
};
const zoneOfLine = ({ parameters, value }: Line) =>
  value.endsWith('Z') ? 'UTC' : (/TZID=([^;:]+)/.exec(parameters)?.[1] ?? null);
const instantOfText = (line: Line, value = line.value) => {
  const zone = value.endsWith('Z') ? 'UTC' : zoneOfLine(line);
  return zone === null ? wallOfText(value) : instantFromWall(wallOfText(value), zone);
};

/** The dates of the entries of a text, by the text alone: title, from and to in epoch ms. */
function datesOfText(text: string): Pick<NaiveDate, 'from' | 'to' | 'title' | 'reminders'>[] {
  const byUid = new Map<string, Line[][]>();
  for (const lines of eventsOfText(text)) {
    const uid = lines.find(({ name }) => name === 'UID')!.value;
    byUid.set(uid, [...(byUid.get(uid) ?? []), lines]);
  }
  return [...byUid.values()].flatMap((components) => {
    const one = (lines: Line[], name: string) => lines.find((line) => line.name === name);
    const what = (lines: Line[]) => ({
      title: (one(lines, 'SUMMARY')?.value ?? '').replaceAll(/\\([\\;,n])/g, (_all, c: string) =>
        c === 'n' ? '\n' : c,
      ),
      reminders: lines
        .filter(({ name }) => name === 'X-ORDERLY-REMINDER')
        .map(({ value }) => Number(value.split(' ')[0])),
    });
    const master = components.find((lines) => !one(lines, 'RECURRENCE-ID'))!;
    const start = one(master, 'DTSTART')!;
    const zone = zoneOfLine(start);
    const from = instantOfText(start);
    const length = instantOfText(one(master, 'DTEND')!) - from;
    const rule = one(master, 'RRULE')?.value;
    const at = (wall: WallMs) => (zone === null ? wall : instantFromWall(wall, zone));
    const spans = new Map<number, { from: number; to: number; lines: Line[] }>();
    const walls = rule
      ? naiveRuleStarts(rule, wallOfText(start.value), zone, HORIZON * DAY)
      : [wallOfText(start.value)];
    for (const wall of walls)
      spans.set(at(wall), { from: at(wall), to: at(wall) + length, lines: master });
    for (const line of master.filter(({ name }) => name === 'RDATE')) {
      const [first, second] = line.value.split('/');
      const begin = instantOfText(line, first);
      const to = second ? instantOfText(line, second) : begin + length;
      spans.set(begin, { from: begin, to, lines: master });
    }
    for (const line of master.filter(({ name }) => name === 'EXDATE'))
      spans.delete(instantOfText(line));
    for (const lines of components) {
      const id = one(lines, 'RECURRENCE-ID');
      if (!id) continue;
      const own = {
        from: instantOfText(one(lines, 'DTSTART')!),
        to: instantOfText(one(lines, 'DTEND')!),
      };
      spans.set(instantOfText(id), { ...own, lines });
    }
    return [...spans.values()].map(({ lines, ...span }) => ({ ...span, ...what(lines) }));
  });
}

const inOrder = <T>(dates: T[]) => dates.map((date) => JSON.stringify(date)).sort();

test('what an edit made goes out and comes in again as the same dates with the same fields', () => {
  fc.assert(
    fc.property(edited, (events) => {
      const zone = 'Europe/London';
      expect(seen(read(write(events)), zone)).toEqual(seen(events, zone));
    }),
    { numRuns: RUNS },
  );
});

test('the text alone says the dates that the sheet shows', () => {
  fc.assert(
    fc.property(edited, (events) => {
      const shown = events
        .flatMap((event) => naiveDates(event, HORIZON))
        .map(({ from, to, title, reminders }) => ({
          from,
          to,
          title: title.replaceAll(/\r\n?/g, '\n'),
          reminders,
        }));
      expect(
        inOrder(
          datesOfText(write(events)).map(({ from, to, title, reminders }) => ({
            from,
            to,
            title,
            reminders,
          })),
        ),
      ).toEqual(inOrder(shown));
    }),
    { numRuns: RUNS },
  );
});

test('what came in and goes out again says the same text', () => {
  fc.assert(
    fc.property(edited, (events) => {
      const once = write(events);
      expect(write(read(once))).toBe(once);
    }),
    { numRuns: RUNS },
  );
});
