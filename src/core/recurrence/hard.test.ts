import fc from 'fast-check';
import type { Weekday } from '../time/civil';
import { DAY, dayOfWall, formatLocal, HOUR, parseLocal } from '../time/civil';
import { expandRecurrence, ruleStarts } from './expand';
import { passesDayLimits } from './periods';
import type { Rule } from './rule';
import { parseRule, plainRule } from './rule';

/** Rules around days that a zone left out, and rules whose dates have to be counted one by one. */

const window = { rdate: [], exdate: [] };

test.each([
  // Samoa went from 29 to 31 December 2011: 30 December stands for the same hours of the 31st.
  ['FREQ=DAILY;UNTIL=20111230T190000Z', ['29', '30', '31']],
  ['FREQ=DAILY;UNTIL=20111229T190000Z', ['29']],
  ['FREQ=DAILY;UNTIL=20111230T185959Z', ['29']],
  ['FREQ=DAILY;BYHOUR=9;UNTIL=20111230T190000Z', ['29', '30', '31']],
])('%s in Apia', (rrule, days) => {
  const { locals } = expandRecurrence({
    ...window,
    dtstart: '2011-12-29T09:00:00',
    tzid: 'Pacific/Apia',
    rrule,
    windowStart: '2011-12-01T00:00:00',
    windowEnd: '2012-02-01T00:00:00',
  });
  expect(locals).toEqual(days.map((day) => `2011-12-${day}T09:00:00`));
});

test('a start after a gap stands though one in the gap lies beyond UNTIL', () => {
  const { locals } = expandRecurrence({
    ...window,
    dtstart: '2026-03-29T00:30:00',
    tzid: 'Europe/London',
    // 02:10 in London: 01:30 is moved to 02:30.
    rrule: 'FREQ=MINUTELY;INTERVAL=30;UNTIL=20260329T011000Z',
    windowStart: '2026-03-29T00:00:00',
    windowEnd: '2026-03-30T00:00:00',
  });
  expect(locals).toEqual(['2026-03-29T00:30:00', '2026-03-29T01:00:00', '2026-03-29T02:00:00']);
});

/** Rules that a calendar holds by mistake or malice; each has an answer, or says that it was cut. */
const HARD = [
  'FREQ=SECONDLY;BYHOUR=9;COUNT=20000',
  'FREQ=SECONDLY;BYHOUR=9;BYMINUTE=0;BYSECOND=0;COUNT=3000',
  'FREQ=SECONDLY;BYMONTH=2;BYMONTHDAY=30;COUNT=3',
  'FREQ=SECONDLY;COUNT=1000000000;BYSECOND=0,30',
  'FREQ=SECONDLY;BYHOUR=1;BYMONTH=6;COUNT=1000000',
  'FREQ=MINUTELY;BYHOUR=9;COUNT=100000',
  'FREQ=MINUTELY;INTERVAL=7;BYHOUR=9;BYDAY=MO;COUNT=5000',
  'FREQ=HOURLY;BYHOUR=9;BYMONTHDAY=31;COUNT=100000',
  'FREQ=YEARLY;BYYEARDAY=366;COUNT=400',
  'FREQ=YEARLY;BYYEARDAY=1,100,200,-1;COUNT=5000',
  'FREQ=YEARLY;BYYEARDAY=59;BYMONTH=3;COUNT=10',
  'FREQ=DAILY;BYMONTH=2;BYMONTHDAY=29;BYDAY=SU;COUNT=900',
  'FREQ=MONTHLY;BYMONTH=2;BYMONTHDAY=30',
  'FREQ=WEEKLY;BYMONTH=2;BYMONTHDAY=30;COUNT=4',
  `FREQ=YEARLY;BYMONTH=${upTo(12, 1)};BYMONTHDAY=${upTo(31, 1)};BYHOUR=${upTo(23)};BYMINUTE=${upTo(59)};BYSECOND=${upTo(59)};BYSETPOS=-1,1,366`,
  `FREQ=DAILY;BYHOUR=${upTo(23)};BYMINUTE=${upTo(59)};BYSECOND=${upTo(59)};COUNT=3000000`,
  `FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR,SA,SU;BYHOUR=${upTo(23)};BYMINUTE=${upTo(59)};BYSECOND=${upTo(59)};BYSETPOS=-1;COUNT=400`,
];

function upTo(last: number, first = 0): string {
  return Array.from({ length: last - first + 1 }, (_, i) => first + i).join(',');
}

const START = parseLocal('2026-01-01T09:00:00');

// How long each takes is measured by the bench; here each is shown to end, and never to go past its COUNT.
test.each(HARD)('%s ends', (text) => {
  const rule = parseRule(text);
  const series = { start: START, zone: null, rule };
  const { starts, cut } = ruleStarts(series, START, Infinity, 50);
  expect(starts.length).toBeLessThanOrEqual(Math.min(rule.count ?? Infinity, 50));
  expect(starts).toEqual([...new Set(starts)].sort((a, b) => a - b));
  const far = ruleStarts(series, parseLocal('2090-01-01'), parseLocal('2090-05-09'));
  if (rule.count !== undefined && rule.count < 50 && !cut) expect(far.starts).toEqual([]);
});

test.each([
  [
    `FREQ=YEARLY;BYMONTH=${upTo(12, 1)};BYHOUR=${upTo(23)};BYMINUTE=${upTo(59)};BYSECOND=${upTo(59)};BYMONTHDAY=${upTo(31, 1)};BYSETPOS=-1,1,366`,
    ['2026-12-31T23:59:59', '2027-01-01T00:00:00', '2027-01-01T00:06:05', '2027-12-31T23:59:59'],
  ],
  [
    'FREQ=SECONDLY;BYHOUR=9;BYMINUTE=30;BYSECOND=0',
    ['2026-01-01T09:30:00', '2026-01-02T09:30:00', '2026-01-03T09:30:00', '2026-01-04T09:30:00'],
  ],
  [
    'FREQ=MINUTELY;INTERVAL=7;BYHOUR=10',
    ['2026-01-01T10:03:00', '2026-01-01T10:10:00', '2026-01-01T10:17:00', '2026-01-01T10:24:00'],
  ],
  [
    'FREQ=YEARLY;BYYEARDAY=-1,60',
    ['2026-03-01T09:00:00', '2026-12-31T09:00:00', '2027-03-01T09:00:00', '2027-12-31T09:00:00'],
  ],
])('%s begins rightly', (text, expected) => {
  const series = { start: START, zone: null, rule: parseRule(text) };
  const { starts } = ruleStarts(series, START + 1, Infinity, 4);
  expect(starts.map(formatLocal)).toEqual(expected);
});

const some = <T>(values: T[]) =>
  fc.oneof(fc.constant([] as T[]), fc.subarray(values, { minLength: 1 }));

test('daily and hourly rules with limits give the days that pass them, one by one', () => {
  const limits = fc.record({
    byMonth: some([1, 2, 3, 12]),
    byMonthDay: some([1, 15, 29, 31, -1]),
    byYearDay: some([1, 60, 366, -1, 100]),
    byWeekNo: some([1, 9, 53, -1]),
    weekdays: some([0, 2, 6] as Weekday[]),
  });
  fc.assert(
    fc.property(limits, fc.boolean(), ({ weekdays, ...parts }, isHourly) => {
      const byDay = weekdays.map((weekday) => ({ weekday, nth: 0 }));
      const rule: Rule = { ...plainRule(isHourly ? 'HOURLY' : 'DAILY'), ...parts, byDay };
      const to = START + 800 * DAY;
      const expected: number[] = [];
      for (let wall = START; wall < to; wall += isHourly ? HOUR : DAY)
        if (passesDayLimits(rule, dayOfWall(wall))) expected.push(wall);
      const { starts } = ruleStarts({ start: START, zone: null, rule }, START, to, Infinity);
      expect(starts).toEqual(expected);
    }),
    { numRuns: 200 },
  );
});
