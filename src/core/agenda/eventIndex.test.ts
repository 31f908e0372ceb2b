import fc from 'fast-check';
import type { CalendarEvent } from '../model/event';
import { newEvent } from '../model/event';
import { DAY, formatLocal, HOUR, parseDate } from '../time/civil';
import { bookedMinutes } from './booked';
import { findClashes } from './clashes';
import { EventIndex } from './eventIndex';

const LONDON = 'Europe/London';

function timed(
  id: string,
  start: string,
  end: string,
  more: Partial<CalendarEvent> = {},
  zone = LONDON,
): CalendarEvent {
  const fields = {
    id,
    calendarId: 'workshop',
    title: id,
    start: { kind: 'zoned', local: `${start}:00`, zone },
    end: { kind: 'zoned', local: `${end}:00`, zone },
    ...more,
  } as const;
  return newEvent(fields, 0);
}

function wholeDay(id: string, start: string, end: string, more: Partial<CalendarEvent> = {}) {
  const times = { start: { kind: 'date', date: start }, end: { kind: 'date', date: end } } as const;
  return newEvent({ id, calendarId: 'leave', title: id, ...times, ...more }, 0);
}

function indexOf(...events: CalendarEvent[]): EventIndex {
  const index = new EventIndex();
  for (const event of events) index.put(event);
  return index;
}

function week(index: EventIndex, from: string, days = 7, zone = LONDON) {
  const fromDay = parseDate(from);
  return index.query({ fromDay, toDay: fromDay + days, zone }, null).occurrences;
}

const seen = (found: ReturnType<typeof week>) =>
  found.map(
    (o) => `${o.title} ${formatLocal(o.start).slice(0, 16)}–${formatLocal(o.end).slice(11, 16)}`,
  );

test('a weekly series keeps its wall-clock time across a clock change', () => {
  const index = indexOf(
    timed('Bench round', '2026-10-19T09:00', '2026-10-19T10:00', { rule: 'FREQ=WEEKLY' }),
  );
  const found = week(index, '2026-10-19', 14);
  expect(seen(found)).toEqual([
    'Bench round 2026-10-19T09:00–10:00',
    'Bench round 2026-10-26T09:00–10:00',
  ]);
  expect(found[1]!.startMs - found[0]!.startMs).toBe(7 * DAY + HOUR);
});

test('an event of another zone lies where that zone puts it', () => {
  const index = indexOf(
    timed('Osaka call', '2026-11-24T18:30', '2026-11-24T19:30', {}, 'Asia/Tokyo'),
  );
  expect(seen(week(index, '2026-11-23'))).toEqual(['Osaka call 2026-11-24T09:30–10:30']);
});

test('whole days and floating times stay put whoever looks', () => {
  const index = indexOf(
    wholeDay('Leave', '2026-11-26', '2026-11-28'),
    timed('Tea', '2026-11-25T16:00', '2026-11-25T16:15', {
      start: { kind: 'floating', local: '2026-11-25T16:00:00' },
      end: { kind: 'floating', local: '2026-11-25T16:15:00' },
    }),
  );
  const here = seen(week(index, '2026-11-23'));
  expect(here).toEqual(['Tea 2026-11-25T16:00–16:15', 'Leave 2026-11-26T00:00–00:00']);
  expect(seen(week(index, '2026-11-23', 7, 'Pacific/Auckland'))).toEqual(here);
});

test('skipped dates are gone, changed dates lie where they were put, even outside the rule', () => {
  const index = indexOf(
    timed('Stock count', '2026-11-02T15:00', '2026-11-02T15:30', {
      rule: 'FREQ=WEEKLY',
      skippedDates: ['2026-11-09T15:00:00'],
      changedDates: {
        '2026-11-16T15:00:00': {
          title: 'Stock count (late)',
          start: { kind: 'zoned', local: '2026-11-24T08:00:00', zone: LONDON },
          end: { kind: 'zoned', local: '2026-11-24T08:30:00', zone: LONDON },
        },
      },
    }),
  );
  expect(seen(week(index, '2026-11-09', 14))).toEqual([]);
  expect(seen(week(index, '2026-11-23'))).toEqual([
    'Stock count 2026-11-23T15:00–15:30',
    'Stock count (late) 2026-11-24T08:00–08:30',
  ]);
});

test('a change that reaches later dates moves them too', () => {
  const index = indexOf(
    timed('Round', '2026-11-02T09:00', '2026-11-02T10:00', {
      rule: 'FREQ=WEEKLY',
      changedDates: {
        '2026-11-16T09:00:00': {
          andLater: true,
          start: { kind: 'zoned', local: '2026-11-16T11:00:00', zone: LONDON },
          end: { kind: 'zoned', local: '2026-11-16T11:30:00', zone: LONDON },
        },
      },
    }),
  );
  expect(seen(week(index, '2026-11-09', 21))).toEqual([
    'Round 2026-11-09T09:00–10:00',
    'Round 2026-11-16T11:00–11:30',
    'Round 2026-11-23T11:00–11:30',
  ]);
});

test('an event over midnight and one over months show on each window they touch', () => {
  const index = indexOf(
    timed('Kiln', '2026-11-23T22:00', '2026-11-24T06:00'),
    wholeDay('Refit season', '2026-03-01', '2026-12-01'),
  );
  expect(week(index, '2026-11-24', 1).map((o) => o.title)).toEqual(['Refit season', 'Kiln']);
});

test('a replaced or removed event leaves nothing behind', () => {
  const index = indexOf(timed('Call', '2026-11-23T09:00', '2026-11-23T10:00'));
  index.put({ ...timed('Call', '2026-12-23T09:00', '2026-12-23T10:00') });
  expect(week(index, '2026-11-23')).toEqual([]);
  index.put({ ...timed('Call', '2026-12-23T09:00', '2026-12-23T10:00'), removedAt: 1 });
  expect(week(index, '2026-12-21')).toEqual([]);
  expect(index.size).toBe(0);
});

test('a window answers what a plain look at every event would', () => {
  const day0 = parseDate('2026-01-01');
  const anyEvent = fc.record({
    start: fc.integer({ min: 0, max: 400 * 24 }),
    length: fc.integer({ min: 0, max: 100 * 24 }),
  });
  fc.assert(
    fc.property(
      fc.array(anyEvent, { maxLength: 40 }),
      fc.integer({ min: 0, max: 400 }),
      (specs, after) => {
        const from = (day0 + after) * DAY;
        const events = specs.map(({ start, length }, i) => {
          const at = (hours: number) => formatLocal(day0 * DAY + hours * HOUR).slice(0, 16);
          return timed(`e${i}`, at(start), at(start + length), {}, 'UTC');
        });
        const expected = specs.flatMap(({ start, length }, i) => {
          const low = day0 * DAY + start * HOUR;
          const high = low + length * HOUR;
          const inside = low < from + 7 * DAY && (high > from || (length === 0 && low >= from));
          return inside ? [`e${i}`] : [];
        });
        const window = { fromDay: day0 + after, toDay: day0 + after + 7, zone: 'UTC' };
        const found = indexOf(...events).query(window, null).occurrences;
        expect(found.map((o) => o.id).sort()).toEqual(expected.sort());
      },
    ),
  );
});

test('booked time counts overlaps once and leaves out free and whole-day events', () => {
  const found = week(
    indexOf(
      timed('A', '2026-11-24T09:00', '2026-11-24T11:00'),
      timed('B', '2026-11-24T10:00', '2026-11-24T12:00', { availability: 'tentative' }),
      timed('C', '2026-11-24T14:00', '2026-11-24T15:00', { availability: 'free' }),
      timed('Night', '2026-11-25T23:00', '2026-11-26T01:00'),
      wholeDay('Leave', '2026-11-24', '2026-11-25'),
    ),
    '2026-11-23',
  );
  const day = parseDate('2026-11-23');
  expect(bookedMinutes(found, day, day + 7, LONDON)).toEqual([0, 180, 60, 60, 0, 0, 0]);
  expect(findClashes(found).map((c) => [c.first.title, c.second.title])).toEqual([['A', 'B']]);
});

test('an event of no length is of the day that it begins', () => {
  const index = indexOf(timed('Tick', '2026-11-25T00:00', '2026-11-25T00:00'));
  expect(seen(week(index, '2026-11-25', 1))).toEqual(['Tick 2026-11-25T00:00–00:00']);
  expect(week(index, '2026-11-24', 1)).toEqual([]);
});

test('a day far from Greenwich finds what lies in another week there', () => {
  // Noon of Wednesday in Greenwich is Thursday on Christmas Island, and weeks are kept from Thursdays on.
  const index = indexOf(timed('Call', '2026-11-25T12:00', '2026-11-25T13:00', {}, 'UTC'));
  expect(seen(week(index, '2026-11-26', 1, 'Pacific/Kiritimati'))).toEqual([
    'Call 2026-11-26T02:00–03:00',
  ]);
});
