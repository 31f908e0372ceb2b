import fc from 'fast-check';
import { DAY, formatLocal, parseLocal } from '../time/civil';
import { expandRecurrence, expandSeries, MAX_DATES } from './expand';
import { parseRule, RuleError } from './rule';
import cases from './testdata/recurrence.json';

const iso = (epochMs: number) => new Date(epochMs).toISOString().replace('.000Z', 'Z');

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

test('a rule that never matches ends with nothing', () => {
  for (const rrule of [
    'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30;COUNT=3',
    'FREQ=DAILY;BYMONTH=2;BYMONTHDAY=31;COUNT=1',
    'FREQ=MINUTELY;INTERVAL=2;BYMINUTE=1;COUNT=1',
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
