import fc from 'fast-check';
import type { CalendarEvent } from '../model/event';
import { newEvent } from '../model/event';
import { DAY, dayOfWall, formatLocal, HOUR, parseDate } from '../time/civil';
import { EventIndex } from './eventIndex';

const DAY0 = parseDate('2026-01-01');
const ZONES = ['Europe/London', 'Pacific/Kiritimati', 'Pacific/Pago_Pago', 'UTC'];

const at = (hours: number) => formatLocal(DAY0 * DAY + hours * HOUR);

const anyEvent = fc
  .record({
    zone: fc.constantFrom(...ZONES, null),
    start: fc.integer({ min: 0, max: 60 * 24 }),
    length: fc.integer({ min: 0, max: 5 * 24 }),
    rule: fc.constantFrom(
      undefined,
      'FREQ=WEEKLY',
      'FREQ=DAILY;COUNT=4',
      'FREQ=DAILY;INTERVAL=3;UNTIL=20260220T000000Z',
      'FREQ=MONTHLY;UNTIL=20260310',
    ),
    extra: fc.option(fc.integer({ min: -20 * 24, max: 90 * 24 }), { nil: undefined }),
    movedBy: fc.option(fc.integer({ min: -30 * 24, max: 30 * 24 }), { nil: undefined }),
    andLater: fc.boolean(),
  })
  .map(({ zone, start, length, rule, extra, movedBy, andLater }): CalendarEvent => {
    const time = (hours: number) =>
      zone === null
        ? ({ kind: 'floating', local: at(hours) } as const)
        : ({ kind: 'zoned', local: at(hours), zone } as const);
    const moved = movedBy !== undefined && rule !== undefined;
    return newEvent(
      {
        id: 'e',
        calendarId: 'work',
        title: 'e',
        start: time(start),
        end: time(start + length),
        ...(rule && { rule }),
        ...(extra !== undefined && { extraDates: [{ start: time(extra) }] }),
        ...(moved && {
          changedDates: {
            [at(start)]: {
              start: time(start + movedBy),
              end: time(start + movedBy + length),
              ...(andLater && { andLater: true }),
            },
          },
        }),
      },
      0,
    );
  });

const covers = (extents: readonly { from: number; to: number }[], from: number, to: number) =>
  extents.some((extent) => extent.from <= from && extent.to >= to);

test('the days that putting an event tells of hold all its dates, wherever they are seen', () => {
  fc.assert(
    fc.property(anyEvent, fc.constantFrom(...ZONES), (event, zone) => {
      const index = new EventIndex();
      const extents = index.put(event);
      const window = { fromDay: DAY0 - 60, toDay: DAY0 + 200, zone };
      for (const { start, end } of index.query(window, null).occurrences)
        expect(covers(extents, dayOfWall(start), dayOfWall(end))).toBe(true);
      // Taken out, it tells of the same days.
      expect(index.remove('e')).toEqual(extents);
    }),
    { numRuns: 1000 },
  );
});

test('a series that ends leaves the years after it alone', () => {
  const time = { kind: 'zoned', local: '2026-01-05T09:00:00', zone: 'UTC' } as const;
  const event = (rule: string) =>
    newEvent({ id: 'e', calendarId: 'work', title: 'e', start: time, end: time, rule }, 0);
  const [ending] = new EventIndex().put(event('FREQ=DAILY;UNTIL=20260110T090000Z'));
  expect(ending!.to).toBeLessThan(parseDate('2026-01-16'));
  const [endless] = new EventIndex().put(event('FREQ=DAILY'));
  expect(endless!.to).toBe(Infinity);
});

test('what replaces an event tells of the old days and of the new', () => {
  const index = new EventIndex();
  const on = (date: string) =>
    newEvent(
      { id: 'e', calendarId: 'work', start: { kind: 'date', date }, end: { kind: 'date', date } },
      0,
    );
  index.put(on('2026-03-02'));
  const extents = index.put(on('2026-09-07'));
  for (const date of ['2026-03-02', '2026-09-07'])
    expect(covers(extents, parseDate(date), parseDate(date) + 1)).toBe(true);
  expect(covers(extents, parseDate('2026-06-01'), parseDate('2026-06-02'))).toBe(false);
});
