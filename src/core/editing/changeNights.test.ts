import fc from 'fast-check';
import { spanOnClock } from '../agenda/onClock';
import type { JotContext } from '../jot/rule';
import { readJot } from '../jot/jot';
import { newCalendar } from '../model/calendar';
import { timeOfInstant, wallOf, zoneOf } from '../model/common';
import type { CalendarEvent } from '../model/event';
import { durationOf } from '../model/event';
import { NO_REPEAT } from '../recurrence/repeat';
import { HOUR, MINUTE, parseDate, parseLocal } from '../time/civil';
import { instantFromWall, wallFromInstant } from '../time/zones';
import { sayTimes } from './bothTimes';
import { draftOf, onClock } from './drafting';
import { eventFromForm, formOf, spanOn, timesProblem } from './form';

/** London's clocks leave out 01:00 to 02:00 on 29 March 2026, and show it twice on 25 October. */
const LONDON = 'Europe/London';
const NOW = parseLocal('2026-01-05T09:00:00');

const WORKSHOP = newCalendar({
  id: 'c',
  name: 'Workshop',
  ink: '#1F6F94',
  mark: 'circle',
  order: 0,
});

const CONTEXT: JotContext = {
  now: NOW,
  day: parseDate('2026-01-05'),
  calendars: [WORKSHOP],
  categories: [],
  people: [],
  defaultCalendarId: 'c',
  defaultLength: 30,
  workdays: [0, 1, 2, 3, 4],
  workHours: { from: 510, to: 1020 },
  isMonthFirst: false,
  namedDays: [],
};

type Draft = Parameters<typeof draftOf>[0];

const drafted = (span: Draft['span'], more: Partial<Draft> = {}) =>
  draftOf({
    span,
    fields: { id: 'e', calendarId: 'c' },
    calendar: WORKSHOP,
    repeat: NO_REPEAT,
    clock: LONDON,
    workdays: [0, 1, 2, 3, 4],
    now: 0,
    ...more,
  });

/** The event of a typed line. */
function typed(line: string): CalendarEvent {
  const { start, end, wholeDay, lasts, zone } = readJot(line, CONTEXT);
  const span = { start, end, wholeDay, ...(lasts && { lasts }) };
  return drafted(onClock(span, zone ?? LONDON, LONDON), { zone });
}

const instantOf = (time: CalendarEvent['start']) => instantFromWall(wallOf(time), zoneOf(time)!);
const inUtc = ({ start, end }: Pick<CalendarEvent, 'start' | 'end'>) =>
  [start, end].map((time) => new Date(instantOf(time)).toISOString().slice(5, 16)).join(' – ');

test.each([
  ['Watch 29 March 2026 01:30 for 30 min', '03-29T01:30 – 03-29T02:00'],
  ['Watch 29 March 2026 01:30', '03-29T01:30 – 03-29T02:00'],
  ['Watch 29 March 2026 01:30-02:00', '03-29T01:30 – 03-29T02:00'],
  ['Watch 29 March 2026 01:30-06:00', '03-29T01:30 – 03-29T05:00'],
  ['Watch 29 March 2026 00:30 for 90 min', '03-29T00:30 – 03-29T02:00'],
  ['Watch 29 March 2026 00:30-02:00', '03-29T00:30 – 03-29T01:00'],
  ['Watch 25 October 2026 01:30 for 30 min', '10-25T00:30 – 10-25T01:00'],
  ['Watch 25 October 2026 01:30 for 2 h', '10-25T00:30 – 10-25T02:30'],
  ['Watch 25 October 2026 01:30-02:30', '10-25T00:30 – 10-25T02:30'],
  ['Watch 24 October 2026 22:00 for 8 h', '10-24T21:00 – 10-25T05:00'],
  ['Watch 25 October 2026 09:30 for 30 min Tokyo time', '10-25T00:30 – 10-25T01:00'],
])('“%s” lies at %s in UTC', (line, expected) => {
  expect(inUtc(typed(line))).toBe(expected);
});

test.each([
  [
    'Watch 29 March 2026 01:30 for 30 min',
    'Sun, 29 Mar, 02:30 – 03:00 · 30 min · clocks leave 01:30 out that day',
  ],
  ['Watch 25 October 2026 01:30 for 30 min', 'Sun, 25 Oct, 01:30 – 02:00 · 30 min'],
  ['Watch 25 October 2026 01:30-02:30', 'Sun, 25 Oct, 01:30 – 02:30 · 2 h'],
  ['Watch 29 March 2026 00:30-06:00', 'Sun, 29 Mar, 00:30 – 06:00 · 4 h 30 min'],
  ['Watch 29 March 2026', 'Sun, 29 Mar'],
])('“%s” is said as “%s”', (line, expected) => {
  const wording = { locale: 'en-GB', hourCycle: '24' } as const;
  const said = sayTimes(typed(line), NOW, LONDON, wording);
  expect(said.replace('Sun 2', 'Sun, 2')).toBe(expected);
});

/** Nights on which clocks change, by an hour, by half of one, and at midnight. */
const NIGHTS = [
  ['Europe/London', '2026-03-29T01:00:00'],
  ['Europe/London', '2026-10-25T01:00:00'],
  ['Australia/Lord_Howe', '2026-04-05T02:00:00'],
  ['Australia/Lord_Howe', '2026-10-04T02:00:00'],
  ['America/Halifax', '2026-03-08T02:00:00'],
  ['America/Halifax', '2026-11-01T01:00:00'],
  ['Africa/Cairo', '2026-04-24T00:00:00'],
  ['Africa/Cairo', '2026-10-29T23:00:00'],
] as const;

const anySpan = fc
  .record({
    night: fc.constantFrom(...NIGHTS),
    at: fc.integer({ min: -20, max: 20 }),
    steps: fc.integer({ min: 1, max: 40 }),
  })
  .map(({ night: [zone, change], at, steps }) => {
    const start = parseLocal(change) + at * 10 * MINUTE;
    return { zone, span: { start, end: start + steps * 10 * MINUTE, wholeDay: false } };
  });

const RUNS = { numRuns: Number(process.env['PROPERTY_RUNS'] ?? 500) };
const anyZone = fc.constantFrom('Europe/London', 'Asia/Tokyo', 'America/Halifax', undefined);

test('what is to last so long does, on any night, whatever the zone of its calendar', () => {
  fc.assert(
    fc.property(anySpan, anyZone, ({ zone, span }, its) => {
      const calendar = its ? { ...WORKSHOP, zone: its } : WORKSHOP;
      const event = drafted({ ...span, lasts: true }, { clock: zone, calendar });
      expect(instantOf(event.start)).toBe(instantFromWall(span.start, zone));
      expect(durationOf(event)).toBe(span.end - span.start);
      const shown = spanOnClock(event, zone);
      expect(shown.start).toBe(wallFromInstant(instantFromWall(span.start, zone), zone));
      expect(shown.end).toBeGreaterThan(shown.start);
    }),
    RUNS,
  );
});

test('what is to end when a clock says so does, and never before it starts', () => {
  fc.assert(
    fc.property(anySpan, anyZone, ({ zone, span }, its) => {
      const calendar = its ? { ...WORKSHOP, zone: its } : WORKSHOP;
      const event = drafted(span, { clock: zone, calendar });
      const [start, end] = [span.start, span.end].map((wall) => instantFromWall(wall, zone));
      const length = end! >= start! ? end! - start! : span.end - span.start;
      expect([instantOf(event.start), durationOf(event)]).toEqual([start, length]);
    }),
    RUNS,
  );
});

test('an editor that is kept without a change leaves it where it was', () => {
  fc.assert(
    fc.property(anySpan, fc.boolean(), ({ zone, span }, lasts) => {
      const event = drafted({ ...span, ...(lasts && { lasts }) }, { clock: zone });
      const form = formOf(event, { startMinute: 540, length: 30, zone });
      expect(timesProblem(form)).toBeNull();
      expect(spanOn(form, 'Asia/Tokyo')).toEqual(spanOnClock(event, 'Asia/Tokyo'));
      const kept = eventFromForm(form, event);
      expect([kept.start, kept.end]).toEqual([event.start, event.end]);
    }),
    RUNS,
  );
});

test('an editor’s start in an hour that is left out lasts as long as the fields say', () => {
  const event = drafted({
    start: parseLocal('2026-03-29T09:00:00'),
    end: parseLocal('2026-03-29T09:30:00'),
    wholeDay: false,
  });
  const form = formOf(event, { startMinute: 540, length: 30, zone: LONDON });
  const moved = eventFromForm({ ...form, startMinute: 90, endMinute: 120 }, event);
  expect(inUtc(moved)).toBe('03-29T01:30 – 03-29T02:00');
});

test('an event whose start is in the second pass of an hour does not repeat in UTC for its calendar’s zone', () => {
  const repeat = { pattern: { kind: 'daily', interval: 1 }, end: { kind: 'never' } } as const;
  // 10:30 in Tokyo is 01:30 in London, for the second time.
  const start = wallFromInstant(Date.parse('2026-10-25T01:30:00Z'), 'Asia/Tokyo');
  const event = drafted(
    { start, end: start + HOUR, wholeDay: false },
    { clock: 'Asia/Tokyo', repeat, calendar: { ...WORKSHOP, zone: LONDON } },
  );
  expect(event.start).toEqual({ kind: 'zoned', local: '2026-10-25T10:30:00', zone: 'Asia/Tokyo' });
  expect(timeOfInstant(instantOf(event.start), LONDON)).toMatchObject({ zone: 'UTC' });
});
