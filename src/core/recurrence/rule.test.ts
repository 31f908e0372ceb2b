import fc from 'fast-check';
import { RRuleTemporal } from 'rrule-temporal';
import { Temporal } from 'temporal-polyfill';
import { DAY, formatLocal, parseLocal } from '../time/civil';
import { expandRecurrence, expandSeries, MAX_DATES } from './expand';
import { parseRule, RuleError } from './rule';

test('a rule is read into its parts', () => {
  expect(
    parseRule('FREQ=MONTHLY;INTERVAL=2;BYDAY=-1FR,2MO;BYSETPOS=1;COUNT=5;WKST=SU'),
  ).toMatchObject({
    frequency: 'MONTHLY',
    interval: 2,
    count: 5,
    bySetPos: [1],
    byDay: [
      { weekday: 4, nth: -1 },
      { weekday: 0, nth: 2 },
    ],
  });
});

test('small letters, spaces around and a trailing semicolon are forgiven', () => {
  expect(parseRule('freq=weekly;byday=mo;')).toMatchObject({ frequency: 'WEEKLY' });
});

test.each([
  ['FREQ=WEEKLY;UNTIL=20261231', 'date'],
  ['FREQ=WEEKLY;UNTIL=20261231T120000', 'wall'],
  ['FREQ=WEEKLY;UNTIL=20261231T120000Z', 'instant'],
])('%s ends by %s', (text, kind) => {
  expect(parseRule(text).until?.kind).toBe(kind);
});

test('the largest and least numbers of each part are read', () => {
  const rule = parseRule(
    'FREQ=YEARLY;BYMONTH=1,12;BYWEEKNO=-53,53;BYYEARDAY=-366,366;BYMONTHDAY=-31,31;BYHOUR=0,23;BYMINUTE=0,59;BYSECOND=0,60;BYSETPOS=-366,366',
  );
  expect(rule).toMatchObject({
    byMonth: [1, 12],
    byWeekNo: [-53, 53],
    byYearDay: [-366, 366],
    byMonthDay: [-31, 31],
    byHour: [0, 23],
    byMinute: [0, 59],
    // A leap second is read as the one before it: clocks here have none.
    bySecond: [0, 59],
    bySetPos: [-366, 366],
  });
});

test.each([
  '',
  'BYDAY=MO',
  'FREQ=NEVER',
  'FREQ=DAILY;INTERVAL=0',
  'FREQ=DAILY;COUNT=x',
  'FREQ=DAILY;BYDAY=XX',
  'FREQ=YEARLY;BYMONTH=13',
  'FREQ=MONTHLY;BYMONTHDAY=32',
  'FREQ=MONTHLY;BYMONTHDAY=0',
  'FREQ=YEARLY;BYMONTH=0',
  'FREQ=YEARLY;BYYEARDAY=367',
  'FREQ=YEARLY;BYWEEKNO=54',
  'FREQ=MONTHLY;BYDAY=MO;BYSETPOS=367',
  'FREQ=DAILY;BYHOUR=24',
  'FREQ=DAILY;BYHOUR=-1',
  'FREQ=DAILY;BYMINUTE=60',
  'FREQ=DAILY;BYSECOND=61',
  'FREQ=DAILY;UNTIL=soon',
])('“%s” is refused', (text) => {
  expect(() => parseRule(text)).toThrow(RuleError);
});

const anyRule = fc
  .record({
    frequency: fc.constantFrom('DAILY', 'WEEKLY', 'MONTHLY', 'YEARLY'),
    interval: fc.integer({ min: 1, max: 4 }),
    byDay: fc.subarray(['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU']),
    byMonthDay: fc.subarray([1, 5, 15, 28, 31, -1, -3], { maxLength: 3 }),
    byMonth: fc.subarray([1, 2, 6, 11, 12], { maxLength: 3 }),
    count: fc.option(fc.integer({ min: 1, max: 30 })),
  })
  .map(({ frequency, interval, byDay, byMonthDay, byMonth, count }) =>
    [
      `FREQ=${frequency}`,
      `INTERVAL=${interval}`,
      ...(byDay.length ? [`BYDAY=${byDay.join(',')}`] : []),
      ...(byMonthDay.length && frequency !== 'WEEKLY'
        ? [`BYMONTHDAY=${byMonthDay.join(',')}`]
        : []),
      ...(byMonth.length ? [`BYMONTH=${byMonth.join(',')}`] : []),
      ...(count === null ? [] : [`COUNT=${count}`]),
    ].join(';'),
  );

const START = parseLocal('2026-01-05T09:00:00');

/** What another implementation makes of a rule, in UTC. */
function oracle(rule: string, from: number, to: number): string[] {
  const dtstart = Temporal.PlainDateTime.from(formatLocal(START)).toZonedDateTime('UTC');
  const other = new RRuleTemporal({ rruleString: `RRULE:${rule}`, dtstart } as never);
  return other
    .between(new Date(from), new Date(to - 1), true)
    .map((date) => date.toPlainDateTime().toString({ smallestUnit: 'second' }));
}

test('ordinary rules give what another implementation gives', () => {
  fc.assert(
    fc.property(anyRule, fc.integer({ min: 0, max: 900 }), (rule, after) => {
      const from = START + after * DAY;
      const to = from + 120 * DAY;
      const series = {
        start: START,
        zone: 'UTC',
        rule: parseRule(rule),
        extra: [],
        skipped: new Set<number>(),
      };
      expect(expandSeries(series, from, to).starts.map(formatLocal)).toEqual(
        oracle(rule, from, to),
      );
    }),
    { numRuns: 60 },
  );
});

test('a window answers what a wider one holds of it', () => {
  fc.assert(
    fc.property(
      anyRule,
      fc.integer({ min: 0, max: 700 }),
      fc.integer({ min: 1, max: 60 }),
      (rule, after, days) => {
        const series = {
          start: START,
          zone: null,
          rule: parseRule(rule),
          extra: [],
          skipped: new Set<number>(),
        };
        const from = START + after * DAY;
        const to = from + days * DAY;
        const wide = expandSeries(series, START, START + 800 * DAY).starts;
        expect(expandSeries(series, from, to).starts).toEqual(
          wide.filter((wall) => wall >= from && wall < to),
        );
      },
    ),
    { numRuns: 60 },
  );
});

test('more dates than anyone can look at are cut, and that is said', () => {
  const series = {
    start: START,
    zone: null,
    rule: parseRule('FREQ=SECONDLY'),
    extra: [],
    skipped: new Set<number>(),
  };
  const { starts, cut } = expandSeries(series, START, START + DAY);
  expect(starts).toHaveLength(MAX_DATES);
  expect(cut).toBe(true);
});

test('a rule that never matches ends at once', () => {
  const query = {
    dtstart: '2026-01-05T09:00:00',
    tzid: null,
    rrule: 'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30',
    rdate: [],
    exdate: [],
    windowStart: '2026-01-01T00:00:00',
    windowEnd: '9999-12-31T00:00:00',
  };
  expect(expandRecurrence(query)).toMatchObject({ locals: [] });
});
