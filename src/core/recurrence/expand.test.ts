import fc from 'fast-check';
import { RRuleTemporal } from 'rrule-temporal';
import { Temporal } from 'temporal-polyfill';
import { DAY, formatLocal, HOUR, parseLocal } from '../time/civil';
import type { EpochMs } from '../time/units';
import { expandRecurrence, expandSeries, MAX_DATES } from './expand';
import { parseRule, RuleError } from './rule';
import { countDates, lastRuleStart, nextStarts } from './walk';
import cases from './testdata/recurrence.json';

const iso = (epochMs: EpochMs) => new Date(epochMs).toISOString().replace('.000Z', 'Z');

describe('conformance', () => {
  test.each(cases.map((c) => [c.id, c] as const))('%s', (_id, c) => {
    const result = expandRecurrence(c);
    expect(result.locals).toEqual(c.expectedLocal);
    if (c.expectedUtc) expect(result.instants?.map(iso)).toEqual(c.expectedUtc);
  });
});

const ruleText = fc.oneof(
  fc.tuple(fc.constant('DAILY'), fc.constantFrom('', ';BYDAY=MO,WE,FR', ';BYMONTH=1,6')),
  fc.tuple(fc.constant('WEEKLY'), fc.constantFrom('', ';BYDAY=TU,TH', ';BYDAY=SU;WKST=SU')),
  fc.tuple(
    fc.constant('MONTHLY'),
    fc.constantFrom('', ';BYMONTHDAY=31', ';BYMONTHDAY=-1', ';BYDAY=2TU', ';BYDAY=-1FR,1MO'),
  ),
  fc.tuple(
    fc.constant('YEARLY'),
    fc.constantFrom('', ';BYMONTH=2;BYMONTHDAY=29', ';BYWEEKNO=1,53', ';BYYEARDAY=-1,100'),
  ),
);
const series = fc
  .record({
    rule: ruleText,
    interval: fc.integer({ min: 1, max: 4 }),
    count: fc.option(fc.integer({ min: 1, max: 60 }), { nil: undefined }),
    startDay: fc.integer({ min: 18_000, max: 20_000 }),
  })
  .map(({ rule: [frequency, parts], interval, count, startDay }) => ({
    start: startDay * DAY + 9 * 3_600_000,
    zone: null,
    extra: [],
    skipped: new Set<number>(),
    rule: parseRule(
      `FREQ=${frequency};INTERVAL=${interval}${parts}${count ? `;COUNT=${count}` : ''}`,
    ),
  }));

test('any window gives what the full expansion gives between its ends', () => {
  fc.assert(
    fc.property(
      series,
      fc.integer({ min: 0, max: 3000 }),
      fc.integer({ min: 1, max: 900 }),
      (s, after, length) => {
        const from = s.start + after * DAY;
        const to = from + length * DAY;
        const full = expandSeries(s, s.start, to).starts.filter((wall) => wall >= from);
        expect(expandSeries(s, from, to).starts.map(formatLocal)).toEqual(full.map(formatLocal));
      },
    ),
    { numRuns: 300 },
  );
});

/** Rules of every FREQ from DAILY up, with parts that choose among days in any mixture. */
const anyRule = fc
  .record({
    frequency: fc.constantFrom('DAILY', 'WEEKLY', 'MONTHLY', 'YEARLY'),
    interval: fc.integer({ min: 1, max: 5 }),
    months: fc.option(
      fc.uniqueArray(fc.integer({ min: 1, max: 12 }), { minLength: 1, maxLength: 3 }),
    ),
    monthDays: fc.option(
      fc.uniqueArray(fc.oneof(fc.integer({ min: 1, max: 31 }), fc.integer({ min: -5, max: -1 })), {
        minLength: 1,
        maxLength: 3,
      }),
    ),
    weekdays: fc.option(
      fc.uniqueArray(fc.constantFrom('MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'), {
        minLength: 1,
        maxLength: 4,
      }),
    ),
    nth: fc.constantFrom('', '1', '2', '-1'),
    setPos: fc.option(fc.constantFrom('1', '-1', '2')),
    weekStart: fc.constantFrom('MO', 'SU'),
    startDay: fc.integer({ min: 19_000, max: 20_500 }),
    end: fc.oneof(
      fc.constant(''),
      fc.integer({ min: 1, max: 30 }).map((n) => `;COUNT=${n}`),
    ),
  })
  .map(
    ({
      frequency,
      interval,
      months,
      monthDays,
      weekdays,
      nth,
      setPos,
      weekStart,
      startDay,
      end,
    }) => {
      const takesNth = frequency === 'MONTHLY' || (frequency === 'YEARLY' && months !== null);
      const parts = [
        `FREQ=${frequency}`,
        `INTERVAL=${interval}`,
        months && `BYMONTH=${months.join()}`,
        frequency !== 'WEEKLY' && monthDays && `BYMONTHDAY=${monthDays.join()}`,
        weekdays &&
          `BYDAY=${weekdays.map((day) => (takesNth && !monthDays ? nth : '') + day).join()}`,
        setPos && weekdays && takesNth && `BYSETPOS=${setPos}`,
        frequency === 'WEEKLY' && `WKST=${weekStart}`,
      ];
      return { rule: parts.filter(Boolean).join(';') + end, start: startDay * DAY + 9 * HOUR };
    },
  );

test('random rules give what rrule-temporal gives', () => {
  fc.assert(
    fc.property(anyRule, ({ rule, start }) => {
      const series = {
        start,
        zone: null,
        rule: parseRule(rule),
        extra: [],
        skipped: new Set<number>(),
      };
      // Both begin on a date that the rule itself gives: what others do before that differs.
      const [first] = nextStarts(
        { ...series, rule: parseRule(rule.replace(/;COUNT=.*/, '')) },
        start,
        1,
      );
      fc.pre(first !== undefined);
      const begun = { ...series, start: first! };
      const to = first! + 1500 * DAY;
      const dtstart = Temporal.PlainDateTime.from(formatLocal(first!)).toZonedDateTime('UTC');
      const other = new RRuleTemporal({ rruleString: `RRULE:${rule}`, dtstart } as never);
      const expected = other
        .between(new Date(first!), new Date(to - 1), true)
        .map((date) => formatLocal(date.epochMilliseconds));
      expect(expandSeries(begun, first!, to).starts.map(formatLocal)).toEqual(expected);
    }),
    { numRuns: 150 },
  );
});

test('a COUNT is counted from the first date, however far the window is', () => {
  const daily = {
    start: parseLocal('1990-01-01T09:00'),
    zone: null,
    extra: [],
    skipped: new Set<number>(),
  };
  const in2026 = (rule: string) =>
    expandSeries(
      { ...daily, rule: parseRule(rule) },
      parseLocal('2026-01-01'),
      parseLocal('2026-01-11'),
    ).starts.length;
  expect(in2026('FREQ=DAILY;COUNT=13155')).toBe(6);
  expect(in2026('FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR;COUNT=9395')).toBe(2);
  expect(in2026('FREQ=SECONDLY;COUNT=1000000000')).toBe(0);
  expect(in2026('FREQ=SECONDLY;INTERVAL=7200;COUNT=1000000000')).toBe(120);
  expect(in2026('FREQ=MINUTELY;BYHOUR=9;COUNT=900000000')).toBe(600);
});

test('the next dates and the last before are found, over skipped ones and gaps of years', () => {
  const leap = {
    start: parseLocal('2024-02-29T09:00'),
    zone: null,
    rule: parseRule('FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29'),
    extra: [parseLocal('2030-05-05T09:00')],
    skipped: new Set([parseLocal('2028-02-29T09:00')]),
  };
  const said = (walls: number[]) => walls.map((wall) => formatLocal(wall).slice(0, 10));
  expect(said(nextStarts(leap, parseLocal('2025-01-01'), 3))).toEqual([
    '2030-05-05',
    '2032-02-29',
    '2036-02-29',
  ]);
  expect(said([lastRuleStart(leap, parseLocal('2040-01-01'))!])).toEqual(['2036-02-29']);
  expect(lastRuleStart(leap, leap.start)).toBeNull();
  expect(countDates(leap, 0)).toEqual({ count: 0, isEndless: true, isCut: false });
  const daily = { ...leap, skipped: new Set<number>(), rule: parseRule('FREQ=DAILY;COUNT=20000') };
  expect(countDates(daily, 0)).toMatchObject({ count: MAX_DATES, isCut: true });
});

test('a rule that never matches ends with nothing', () => {
  for (const rrule of [
    'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30;COUNT=3',
    'FREQ=DAILY;BYMONTH=2;BYMONTHDAY=31;COUNT=1',
    'FREQ=MINUTELY;INTERVAL=2;BYMINUTE=1;COUNT=1',
    'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30',
    'FREQ=SECONDLY;INTERVAL=2;BYSECOND=1',
  ]) {
    const query = { tzid: null, rrule, rdate: [], exdate: [] };
    const { locals } = expandRecurrence({
      ...query,
      dtstart: '2026-01-01T10:00:00',
      windowStart: '2026-01-01T00:00:00',
      windowEnd: '2030-01-01T00:00:00',
    });
    expect(locals).toEqual([]);
  }
});

test('a window with too many dates is cut and says so', () => {
  const result = expandSeries(
    {
      start: parseLocal('2026-01-01T00:00'),
      zone: null,
      rule: parseRule('FREQ=MINUTELY'),
      extra: [],
      skipped: new Set(),
    },
    parseLocal('2026-01-01'),
    parseLocal('2026-02-01'),
  );
  expect(result).toMatchObject({ cut: true });
  expect(result.starts).toHaveLength(MAX_DATES);
});

test.each([
  ['FREQ=WEEKLY;BYDAY=XX', 'XX'],
  ['FREQ=SOMETIMES', 'SOMETIMES'],
  ['FREQ=DAILY;INTERVAL=0', 'INTERVAL'],
  ['FREQ=DAILY;UNTIL=20260231', 'UNTIL'],
  ['COUNT=3', 'FREQ'],
])('%s is refused, naming what is wrong', (text, named) => {
  expect(() => parseRule(text)).toThrow(RuleError);
  expect(() => parseRule(text)).toThrow(named);
});
