import fc from 'fast-check';
import type { BulkStep } from '../model/bulkSteps';
import { newEvent } from '../model/event';
import { DAY, formatDate, formatLocal, MINUTE, parseLocal } from '../time/civil';

export const LONDON = 'Europe/London';
const START = parseLocal('2027-03-20T00:00:00');

/** An event on one of three calendars, single or in a short series. */
export const someEvent = fc.record({
  minute: fc.integer({ min: 0, max: 14 * 1440 }),
  length: fc.integer({ min: 0, max: 300 }),
  isWhole: fc.boolean(),
  rule: fc.constantFrom(undefined, undefined, 'FREQ=DAILY;COUNT=6', 'FREQ=WEEKLY;COUNT=4'),
  title: fc.constantFrom('Lamp', ' Lens  round', ''),
  calendarId: fc.constantFrom('work', 'clients', 'followed'),
  categoryIds: fc.subarray(['x', 'y']),
});

export const someStep: fc.Arbitrary<BulkStep> = fc.oneof(
  fc.record({ kind: fc.constant('shiftDays' as const), days: fc.integer({ min: -20, max: 20 }) }),
  fc.record({
    kind: fc.constant('shiftMinutes' as const),
    minutes: fc.integer({ min: -90, max: 90 }),
  }),
  fc.record({ kind: fc.constant('setLength' as const), minutes: fc.integer({ min: 1, max: 99 }) }),
  fc.record({ kind: fc.constant('round' as const), slot: fc.constantFrom(5, 15, 60) }),
  fc.constantFrom<BulkStep>(
    { kind: 'calendar', calendarId: 'clients' },
    { kind: 'categories', add: ['x'], remove: ['y'], isReplaced: false },
    { kind: 'trim' },
    { kind: 'prefix', text: 'New ' },
    { kind: 'availability', availability: 'free' },
    { kind: 'reminders', how: 'add', reminders: [{ minutes: -5, from: 'start' }] },
    { kind: 'replace', fields: ['title'], find: 'l', with: 'L', matching: 'any' },
    { kind: 'zone', zone: 'Asia/Tokyo', keeps: 'instant' },
  ),
);

export function eventOf(
  draft: typeof someEvent extends fc.Arbitrary<infer D> ? D : never,
  i: number,
) {
  const { minute, length, isWhole, ...fields } = draft;
  const start = START + minute * MINUTE;
  const date = (wall: number) => ({
    kind: 'date' as const,
    date: formatDate(Math.floor(wall / DAY)),
  });
  const zoned = (wall: number) =>
    ({ kind: 'zoned', local: formatLocal(wall), zone: LONDON }) as const;
  const times = isWhole
    ? { start: date(start), end: date(start + DAY) }
    : { start: zoned(start), end: zoned(start + length * MINUTE) };
  return newEvent({ id: `e${i}`, ...times, ...fields }, 0);
}
