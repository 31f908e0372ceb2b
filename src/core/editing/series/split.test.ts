import fc from 'fast-check';
import { EventIndex } from '../../agenda/eventIndex';
import type { CalendarEvent } from '../../model/event';
import { event as eventSchema, newEvent } from '../../model/event';
import { expandSeries } from '../../recurrence/expand';
import { DAY, formatLocal, HOUR, parseDate, parseLocal } from '../../time/civil';
import type { WallMs } from '../../time/units';
import { utcWall } from '../../time/zones';
import { keyOfWall, seriesOf } from './dates';
import { isFirstDate, splitSeries } from './split';

const NAMES = { id: 'tail', uid: 'tail@orderly-week' };
const HORIZON = parseLocal('2032-01-01T00:00:00');

function series(rule: string, more: Partial<CalendarEvent> = {}): CalendarEvent {
  return newEvent(
    {
      id: 'head',
      calendarId: 'c',
      title: 'Bench round',
      start: { kind: 'zoned', local: '2026-01-05T09:00:00', zone: 'Europe/London' },
      end: { kind: 'zoned', local: '2026-01-05T10:00:00', zone: 'Europe/London' },
      rule,
      ...more,
    },
    1,
  );
}

const datesOf = (event: CalendarEvent, to = HORIZON) =>
  expandSeries(seriesOf(event), -1e15, to).starts.map((wall) => keyOfWall(event, wall));

const PATTERNS = [
  'FREQ=DAILY',
  'FREQ=DAILY;INTERVAL=3',
  'FREQ=WEEKLY;BYDAY=MO,WE,FR',
  'FREQ=WEEKLY;INTERVAL=2',
  'FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,SU;WKST=SU',
  'FREQ=MONTHLY',
  'FREQ=MONTHLY;BYMONTHDAY=-1,31',
  'FREQ=MONTHLY;BYDAY=2TU,-1FR',
  'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=1,-1',
  'RSCALE=GREGORIAN;FREQ=MONTHLY;BYMONTHDAY=31;SKIP=BACKWARD',
  'FREQ=YEARLY',
  'FREQ=YEARLY;BYMONTH=3,9;BYDAY=1SU',
  'FREQ=YEARLY;BYWEEKNO=1,30',
  'FREQ=DAILY;INTERVAL=5;BYHOUR=9,15',
  'FREQ=HOURLY;INTERVAL=36',
];

const anySeries = fc
  .record({
    pattern: fc.constantFrom(...PATTERNS),
    end: fc.oneof(
      fc.constant(''),
      fc.integer({ min: 2, max: 40 }).map((n) => `;COUNT=${n}`),
      fc.integer({ min: 30, max: 1500 }).map((days) => {
        const last = parseLocal('2026-01-05T09:00:00') + days * DAY;
        return `;UNTIL=${formatLocal(last).replaceAll(/[-:]/g, '')}Z`;
      }),
    ),
    startDay: fc.integer({ min: 0, max: 400 }),
    skips: fc.array(fc.nat(30), { maxLength: 4 }),
    changes: fc.array(fc.nat(30), { maxLength: 4 }),
    extras: fc.array(fc.integer({ min: 1, max: 600 }), { maxLength: 2 }),
  })
  .map(({ pattern, end, startDay, skips, changes, extras }) => {
    const rule = pattern + end;
    const start = parseLocal('2026-01-05T09:00:00') + startDay * DAY;
    const at = (wall: WallMs) =>
      ({ kind: 'zoned', local: formatLocal(wall), zone: 'Europe/London' }) as const;
    const bare = series(rule, { start: at(start), end: at(start + HOUR) });
    const [first = start] = expandSeries(seriesOf(bare), start, HORIZON).starts;
    const event = series(rule, {
      start: at(first),
      end: at(first + HOUR),
      extraDates: extras.map((days) => ({ start: at(first + days * DAY + 7 * HOUR) })),
    });
    const keys = datesOf(event);
    const pick = (indices: number[]) => [
      ...new Set(indices.map((i) => keys[i]).filter((key) => key !== undefined)),
    ];
    return {
      ...event,
      skippedDates: pick(skips),
      changedDates: Object.fromEntries(pick(changes).map((key) => [key, { title: `At ${key}` }])),
    };
  });

/** What can be seen of events: when, and under which title. */
function seen(events: CalendarEvent[]): string[] {
  const index = new EventIndex();
  for (const event of events) index.put(event);
  const window = { fromDay: parseDate('2025-12-01'), toDay: parseDate('2029-06-01'), zone: 'UTC' };
  return index
    .query(window, null)
    .occurrences.map((o) => `${formatLocal(utcWall(o.startMs))} ${o.endMs - o.startMs} ${o.title}`);
}

test('splitting at any date keeps every date, and everything about each', () => {
  fc.assert(
    fc.property(anySeries, fc.nat(40), (event, nth) => {
      const keys = datesOf(event);
      fc.pre(keys.length > 1);
      const key = keys[1 + (nth % (keys.length - 1))]!;
      const { head, tail } = splitSeries(event, key, NAMES);
      expect([...datesOf(head), ...datesOf(tail)]).toEqual(keys);
      expect(datesOf(tail)[0]).toBe(key);
      expect(seen([head, tail])).toEqual(seen([event]));
      for (const half of [head, tail]) expect(eventSchema.safeParse(half).error).toBeUndefined();
    }),
    { numRuns: 300 },
  );
});

test('COUNT and UNTIL end both halves where they ended the whole', () => {
  const counted = splitSeries(series('FREQ=WEEKLY;COUNT=10'), '2026-01-26T09:00:00', NAMES);
  expect([counted.head.rule, counted.tail.rule]).toEqual([
    'FREQ=WEEKLY;BYDAY=MO;COUNT=3',
    'FREQ=WEEKLY;BYDAY=MO;COUNT=7',
  ]);
  const until = splitSeries(
    series('FREQ=WEEKLY;UNTIL=20260831T235959Z'),
    '2026-07-06T09:00:00',
    NAMES,
  );
  // The last date of the head is 29 June, at 09:00 British summer time.
  expect(until.head.rule).toBe('FREQ=WEEKLY;BYDAY=MO;UNTIL=20260629T080000Z');
  expect(until.tail.rule).toBe('FREQ=WEEKLY;BYDAY=MO;UNTIL=20260831T235959Z');
});

test('the tail is a new event that names the one it came from', () => {
  const { head, tail } = splitSeries(
    series('FREQ=DAILY', { revision: 3 }),
    '2026-01-08T09:00:00',
    NAMES,
  );
  expect([head.uid, tail.uid, tail.revision]).toEqual([
    'head@orderly-week',
    'tail@orderly-week',
    0,
  ]);
  expect(tail.passthrough?.properties).toContainEqual([
    'related-to',
    { reltype: 'SIBLING' },
    'text',
    'head@orderly-week',
  ]);
});

test('a change that reaches later dates goes on in the tail', () => {
  const event = series('FREQ=DAILY;COUNT=8', {
    changedDates: {
      '2026-01-07T09:00:00': {
        title: 'Later round',
        start: { kind: 'zoned', local: '2026-01-07T11:00:00', zone: 'Europe/London' },
        end: { kind: 'zoned', local: '2026-01-07T11:30:00', zone: 'Europe/London' },
        andLater: true,
      },
      '2026-01-10T09:00:00': { title: 'Its own' },
    },
  });
  for (const day of ['09', '10', '11']) {
    const { head, tail } = splitSeries(event, `2026-01-${day}T09:00:00`, NAMES);
    expect(seen([head, tail])).toEqual(seen([event]));
  }
});

test('whole days are split by dates', () => {
  const event = series('FREQ=MONTHLY;BYMONTHDAY=31;UNTIL=20261231', {
    start: { kind: 'date', date: '2026-01-31' },
    end: { kind: 'date', date: '2026-02-01' },
    skippedDates: ['2026-08-31'],
  });
  const { head, tail } = splitSeries(event, '2026-07-31', NAMES);
  expect(head.rule).toBe('FREQ=MONTHLY;BYMONTHDAY=31;UNTIL=20260531');
  expect(datesOf(tail)).toEqual(['2026-07-31', '2026-10-31', '2026-12-31']);
  expect(tail.skippedDates).toEqual(['2026-08-31']);
});

test('an extra date before the rule’s first stays in sight, years before it', () => {
  const event = series('FREQ=YEARLY', {
    extraDates: [{ start: { kind: 'zoned', local: '2028-09-04T16:00:00', zone: 'Europe/London' } }],
  });
  const { tail } = splitSeries(event, '2028-09-04T16:00:00', NAMES);
  const index = new EventIndex();
  index.put(tail);
  const day = parseDate('2028-09-04');
  const found = index.query({ fromDay: day, toDay: day + 1, zone: 'UTC' }, null).occurrences;
  expect(found.map(({ dateKey }) => dateKey)).toEqual(['2028-09-04T16:00:00']);
});

test('which date is the first leaves skipped ones out', () => {
  const event = series('FREQ=DAILY', { skippedDates: ['2026-01-05T09:00:00'] });
  expect(isFirstDate(event, '2026-01-06T09:00:00')).toBe(true);
  expect(isFirstDate(event, '2026-01-07T09:00:00')).toBe(false);
});
