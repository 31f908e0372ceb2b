import type { CalendarEvent } from '../model/event';
import { newEvent } from '../model/event';
import { movedTimes } from '../editing/times';
import { DAY, HOUR, MINUTE, parseDate, parseLocal } from '../time/civil';
import { instantFromWall } from '../time/zones';
import type { DayNumber } from '../time/units';
import { bookedMinutes } from './booked';
import { clearStretches, clearMinutes, firstFree } from './clear';
import { EventIndex } from './eventIndex';
import { minutesWithin } from './table';

/** Nights on which London's clocks change: 29 March and 25 October 2026. */

const LONDON = 'Europe/London';
const SPRING = parseDate('2026-03-29');
const AUTUMN = parseDate('2026-10-25');

const zoned = (local: string) => ({ kind: 'zoned', local, zone: LONDON }) as const;

function timed(id: string, start: string, end: string): CalendarEvent {
  return newEvent(
    { id, calendarId: 'workshop', title: id, start: zoned(start), end: zoned(end) },
    1,
  );
}

function shown(events: CalendarEvent[], day: DayNumber) {
  const index = new EventIndex();
  for (const event of events) index.put(event);
  return index.query({ fromDay: day - 1, toDay: day + 2, zone: LONDON }, null).occurrences;
}

/** Half an hour of another day that was moved to 01:30. */
function halfHour(day: DayNumber): CalendarEvent {
  const model = timed('half', '2026-06-01T09:00:00', '2026-06-01T09:30:00');
  const wall = day * DAY + 1.5 * HOUR;
  return { ...model, ...movedTimes(model, wall, LONDON) };
}

test.each([
  ['spring', SPRING],
  ['autumn', AUTUMN],
])('half an hour from 01:30 lasts half an hour in the night in %s', (_season, day) => {
  const [o] = shown([halfHour(day)], day);
  expect(o!.startMs).toBe(instantFromWall(day * DAY + 1.5 * HOUR, LONDON));
  expect(o!.endMs - o!.startMs).toBe(30 * MINUTE);
  expect(o!.end - o!.start).toBe(30 * MINUTE);
  expect(bookedMinutes([o!], day, day + 1, LONDON)).toEqual([30]);
});

test('what lies over a change counts the hours that really pass', () => {
  const autumn = shown([timed('watch', '2026-10-24T22:00:00', '2026-10-25T06:00:00')], AUTUMN);
  expect(bookedMinutes(autumn, AUTUMN - 1, AUTUMN + 1, LONDON)).toEqual([120, 7 * 60]);
  expect(minutesWithin(autumn[0]!, AUTUMN - 1, AUTUMN + 1)).toBe(9 * 60);
  const spring = shown([timed('watch', '2026-03-28T22:00:00', '2026-03-29T06:00:00')], SPRING);
  expect(bookedMinutes(spring, SPRING - 1, SPRING + 1, LONDON)).toEqual([120, 5 * 60]);
});

test('booked and clear make up the day, also where it has 23 or 25 hours', () => {
  for (const [day, hours] of [
    [SPRING, 23],
    [AUTUMN, 25],
    [AUTUMN + 1, 24],
  ] as const) {
    const at = (clock: string) => `${new Date(day * DAY).toISOString().slice(0, 10)}T${clock}:00`;
    const found = shown([timed('night', at('00:30'), at('03:15'))], day);
    const booked = bookedMinutes(found, day, day + 1, LONDON)[0]!;
    const clear = clearStretches(day, found, { from: 0, to: 1440 });
    expect(booked + clearMinutes(clear, LONDON)).toBe(hours * 60);
  }
});

test('an event of no length leaves a clear stretch whole', () => {
  const found = shown(
    [timed('bell', '2026-06-02T11:00:00', '2026-06-02T11:00:00')],
    parseDate('2026-06-02'),
  );
  expect(found).toHaveLength(1);
  const day = parseDate('2026-06-02');
  expect(clearStretches(day, found, { from: 540, to: 1020 })).toEqual([
    { start: day * DAY + 9 * HOUR, end: day * DAY + 17 * HOUR },
  ]);
});

test('an event keeps its length when it is moved out of the repeated hour again', () => {
  const half = halfHour(AUTUMN);
  expect(half.end).toEqual({ kind: 'zoned', local: '2026-10-25T01:00:00', zone: 'UTC' });
  const moved = movedTimes(half, parseLocal('2026-10-26T09:00:00'), LONDON);
  expect(moved).toEqual({ start: zoned('2026-10-26T09:00:00'), end: zoned('2026-10-26T09:30:00') });
});

test('two starts of which one is moved onto the other by a gap are one date', () => {
  const series = newEvent(
    {
      id: 'bell',
      calendarId: 'workshop',
      title: 'Bell',
      start: zoned('2026-03-29T00:30:00'),
      end: zoned('2026-03-29T00:45:00'),
      rule: 'FREQ=HOURLY;COUNT=4',
    },
    1,
  );
  const found = shown([series], SPRING);
  expect(found.map((o) => o.start - SPRING * DAY)).toEqual([0.5 * HOUR, 2.5 * HOUR, 3.5 * HOUR]);
});

test.each([
  [30, 9 * 60, 9 * 60],
  [90, 9 * 60, 11 * 60],
  // On a quarter, and never before now.
  [15, 9 * 60 + 31, 9 * 60 + 45],
  [60, 11 * 60 + 50, 12 * 60],
  [241, 9 * 60, null],
  [15, 16 * 60, null],
])('%i minutes are free first, from minute %i on, at %s', (minutes, now, at) => {
  const stretch = (from: number, to: number) => ({ start: from * MINUTE, end: to * MINUTE });
  const clear = [stretch(9 * 60, 10 * 60), stretch(11 * 60 + 0, 15 * 60)];
  expect(firstFree(minutes, clear, now * MINUTE)).toBe(at === null ? null : at * MINUTE);
});
