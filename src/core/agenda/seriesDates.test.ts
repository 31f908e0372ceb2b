import { MAX_DATES } from '../recurrence/expand';
import fc from 'fast-check';
import type { CalendarEvent } from '../model/event';
import { newEvent } from '../model/event';
import { DAY, formatLocal, HOUR, MINUTE, parseDate, parseLocal } from '../time/civil';
import { EventIndex } from './eventIndex';
import { compileSeries } from './series';
import { SeriesDates } from './seriesDates';

const START = parseLocal('2026-01-05T09:00:00');

function series(fields: Partial<CalendarEvent>): CalendarEvent {
  return newEvent(
    {
      id: 'round',
      calendarId: 'workshop',
      title: 'Round',
      start: { kind: 'zoned', local: formatLocal(START), zone: 'Europe/London' },
      end: { kind: 'zoned', local: formatLocal(START + HOUR), zone: 'Europe/London' },
      ...fields,
    },
    0,
  );
}

function indexOf(event: CalendarEvent): EventIndex {
  const index = new EventIndex();
  index.put(event);
  return index;
}

const RULES = [
  'FREQ=DAILY',
  'FREQ=WEEKLY;BYDAY=MO,WE,FR',
  'FREQ=WEEKLY;INTERVAL=2',
  'FREQ=MONTHLY;BYDAY=2TH',
  'FREQ=MONTHLY;BYMONTHDAY=-1',
  'FREQ=YEARLY',
  'FREQ=WEEKLY;COUNT=30',
  'FREQ=DAILY;UNTIL=20261001T000000Z',
  'FREQ=HOURLY;INTERVAL=7',
];

test('weeks asked for one by one hold what one long window holds, in whatever order they come', () => {
  const week = fc.integer({ min: 0, max: 80 });
  fc.assert(
    fc.property(
      fc.constantFrom(...RULES),
      fc.array(week, { minLength: 1, maxLength: 12 }),
      (rule, weeks) => {
        const index = indexOf(series({ rule, skippedDates: [formatLocal(START + 7 * DAY)] }));
        const first = parseDate('2026-01-05');
        for (const n of weeks) {
          const fromDay = first + n * 7;
          const window = { fromDay, toDay: fromDay + 7, zone: 'Europe/London' };
          const fresh = indexOf(series({ rule, skippedDates: [formatLocal(START + 7 * DAY)] }));
          const all = fresh.query(
            { fromDay: first, toDay: first + 90 * 7, zone: 'Europe/London' },
            null,
          ).occurrences;
          const expected = all.filter(
            (o) => o.start < window.toDay * DAY && o.end > window.fromDay * DAY,
          );
          expect(index.query(window, null).occurrences.map(({ id }) => id)).toEqual(
            expected.map(({ id }) => id),
          );
        }
      },
    ),
    { numRuns: 40 },
  );
});

test('a date that begins before the window and reaches into it is found', () => {
  const long = series({
    rule: 'FREQ=MONTHLY',
    end: { kind: 'zoned', local: formatLocal(START + 9 * DAY), zone: 'Europe/London' },
  });
  const fromDay = parseDate('2026-06-11');
  const found = indexOf(long).query({ fromDay, toDay: fromDay + 1, zone: 'Europe/London' }, null);
  expect(found.occurrences.map(({ dateKey }) => dateKey)).toEqual(['2026-06-05T09:00:00']);
});

const around = (from: number, to: number) => ({
  from,
  to,
  near: { from, to },
  limit: MAX_DATES,
  isKept: true,
});

test('dates too many to be kept are worked out for the window alone', () => {
  const dates = new SeriesDates(compileSeries(series({ rule: 'FREQ=MINUTELY' }))!);
  const from = START + 400 * DAY;
  const seen: number[] = [];
  const cut = dates.visitAround(around(from, from + HOUR), ({ from: at }) => seen.push(at));
  expect(cut).toBe(false);
  expect(Math.min(...seen)).toBeLessThanOrEqual(from);
  expect(Math.max(...seen)).toBeGreaterThanOrEqual(from + 59 * MINUTE);
});

test('a series that begins later gives nothing', () => {
  const dates = new SeriesDates(compileSeries(series({ rule: 'FREQ=DAILY' }))!);
  const seen: number[] = [];
  dates.visitAround(around(START - 90 * DAY, START - 80 * DAY), ({ from }) => seen.push(from));
  expect(seen).toEqual([]);
});

test('extra dates bring their own length, and skipped ones stay out', () => {
  const event = series({
    rule: 'FREQ=WEEKLY;COUNT=3',
    skippedDates: [formatLocal(START + 7 * DAY)],
    extraDates: [
      {
        start: { kind: 'zoned', local: formatLocal(START + DAY), zone: 'Europe/London' },
        end: { kind: 'zoned', local: formatLocal(START + DAY + 3 * HOUR), zone: 'Europe/London' },
      },
    ],
  });
  const fromDay = parseDate('2026-01-05');
  const { occurrences } = indexOf(event).query(
    { fromDay, toDay: fromDay + 30, zone: 'Europe/London' },
    null,
  );
  expect(
    occurrences.map((o) => [formatLocal(o.start).slice(0, 10), (o.end - o.start) / HOUR]),
  ).toEqual([
    ['2026-01-05', 1],
    ['2026-01-06', 3],
    ['2026-01-19', 1],
  ]);
});

describe('whatever a series is like, others are not kept waiting', () => {
  const WEEK = {
    fromDay: parseDate('2026-11-23'),
    toDay: parseDate('2026-11-30'),
    zone: 'Europe/London',
  };
  const ask = (...events: CalendarEvent[]) => {
    const index = new EventIndex();
    for (const event of events) index.put(event);
    const { occurrences, cut } = index.query(WEEK, null);
    const counts = new Map<string, number>();
    for (const { eventId } of occurrences) counts.set(eventId, (counts.get(eventId) ?? 0) + 1);
    return { counts, cut };
  };
  const named = (id: string, more: Partial<CalendarEvent>) => ({ ...series(more), id });
  const second = {
    kind: 'zoned',
    local: formatLocal(START + 1000),
    zone: 'Europe/London',
  } as const;

  test('series of very many dates share what can be shown, and leave the others alone', () => {
    const secondly = ['a', 'b', 'c', 'd'].map((id) =>
      named(id, { rule: 'FREQ=SECONDLY', end: second }),
    );
    const { counts, cut } = ask(...secondly, named('daily', { rule: 'FREQ=DAILY' }));
    expect(counts.get('daily')).toBe(7);
    expect(cut).toEqual(['a', 'b', 'c', 'd']);
    // Those that can be shown are of this week, and not of the hours before it.
    const shown = ['a', 'b', 'c', 'd'].map((id) => counts.get(id)!);
    expect(new Set(shown).size).toBe(1);
    expect(shown[0]).toBeGreaterThan(200);
    expect(shown[0]).toBeLessThanOrEqual(250);
  });

  test('a length of centuries is looked at as a whole, not in each stretch that it reaches over', () => {
    const since = { kind: 'date', date: '0031-01-01' } as const;
    const long = named('long', {
      rule: 'FREQ=DAILY',
      start: since,
      end: { kind: 'date', date: '2026-01-01' },
    });
    const expand = jest.spyOn(SeriesDates.prototype as never, 'expand');
    const { counts, cut } = ask(long);
    expect(expand).toHaveBeenCalledTimes(2);
    expect(cut).toEqual(['long']);
    expect(counts.get('long')).toBeGreaterThan(0);
    expand.mockRestore();
  });

  test('times of day make a daily series one of very many dates', () => {
    const often = 'FREQ=DAILY;BYHOUR=8,9,10,11,12,13;BYMINUTE=0,10,20,30,40';
    const ids = Array.from({ length: 50 }, (_, i) => `often ${i}`);
    const { counts, cut } = ask(...ids.map((id) => named(id, { rule: often })));
    expect(cut).toEqual(ids);
    expect([...new Set(counts.values())]).toEqual([20]);
    // By itself it has room for all of them.
    expect(ask(named('often', { rule: often }))).toEqual({
      counts: new Map([['often', 7 * 30]]),
      cut: [],
    });
  });

  test.each([
    ['FREQ=WEEKLY;BYDAY=MO,WE;BYHOUR=8,10', 1, false],
    ['FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR;BYHOUR=8,9,10;BYMINUTE=0,20,40', 1, true],
    ['FREQ=YEARLY', 200, false],
    ['FREQ=DAILY', 9, true],
    ['FREQ=MONTHLY', 60, false],
    ['FREQ=HOURLY', 0, true],
  ])('%s of %i days is of very many dates: %s', (rule, days, isMany) => {
    const end = {
      kind: 'zoned' as const,
      local: formatLocal(START + days * DAY - HOUR),
      zone: 'Europe/London',
    };
    const more = days ? { rule, end } : { rule };
    expect(new SeriesDates(compileSeries(series(more))!).isMany).toBe(isMany);
  });

  test('past what a window can show in all, series are seen by one date, and then only told', () => {
    const ids = Array.from({ length: 3000 }, (_, i) => `daily ${i}`);
    const { counts, cut } = ask(...ids.map((id) => named(id, { rule: 'FREQ=DAILY' })));
    const full = Math.ceil(3000 / 7);
    expect(ids.slice(0, full).map((id) => counts.get(id))).toEqual(Array(full).fill(7));
    expect(cut).toEqual(ids.slice(full));
    expect(counts.get(ids[full]!)).toBe(1);
    expect(counts.get(ids.at(-1)!)).toBeUndefined();
  });

  test('added dates may be more than a call can take', () => {
    const extraDates = Array.from({ length: 150_000 }, (_, i) => ({
      start: {
        kind: 'zoned' as const,
        local: formatLocal(START + i * 60_000),
        zone: 'Europe/London',
      },
    }));
    expect(new SeriesDates(compileSeries(series({ extraDates }))!)).toBeDefined();
  });
});
