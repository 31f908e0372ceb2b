import fc from 'fast-check';
import type { Weekday } from '../time/civil';
import { formatLocal, parseDate, parseLocal } from '../time/civil';
import type { Repeat, RepeatPattern } from './repeat';
import {
  firstStart,
  missingDays,
  nthWeekday,
  onLastDay,
  patternOnDay,
  readRepeat,
  writeRepeat,
} from './repeat';
import { isSameRule, ordinal, sayRule } from './sayRule';

const workdays: Weekday[] = [0, 1, 2, 3, 4];
const context = {
  start: parseLocal('2026-11-25T09:00:00'),
  zone: 'Europe/London',
  wholeDay: false,
  workdays,
};

const weekday = fc.integer({ min: 0, max: 6 }) as fc.Arbitrary<Weekday>;
const interval = fc.integer({ min: 1, max: 9 });
const anyPattern: fc.Arbitrary<RepeatPattern> = fc.oneof(
  fc.record({ kind: fc.constant('daily' as const), interval }),
  fc.constant({ kind: 'workdays' as const }),
  fc.record({
    kind: fc.constant('weekly' as const),
    interval: fc.integer({ min: 2, max: 9 }),
    weekdays: fc.uniqueArray(weekday, { minLength: 1 }).map((days) => days.sort()),
    weekStart: weekday,
  }),
  fc.record({
    kind: fc.constant('monthDay' as const),
    interval,
    day: fc.integer({ min: 1, max: 31 }),
  }),
  fc.record({
    kind: fc.constant('monthWeekday' as const),
    interval,
    nth: fc.constantFrom(1, 2, 3, 4, -1),
    weekday,
  }),
  fc.record({ kind: fc.constant('monthEnd' as const), interval }),
  fc.record({
    kind: fc.constant('yearly' as const),
    interval,
    month: fc.integer({ min: 1, max: 12 }),
    day: fc.integer({ min: 1, max: 28 }),
  }),
);
const anyEnd = fc.oneof(
  fc.constant({ kind: 'never' as const }),
  fc.integer({ min: 20_800, max: 25_000 }).map((day) => ({ kind: 'on' as const, day })),
  fc.integer({ min: 1, max: 99 }).map((count) => ({ kind: 'after' as const, count })),
);

test('every repeat that the editor can make comes back as it was made', () => {
  const kinds = [
    context,
    { ...context, zone: 'America/Halifax' },
    { ...context, zone: null },
    { ...context, zone: null, wholeDay: true },
  ];
  fc.assert(
    fc.property(anyPattern, anyEnd, fc.constantFrom(...kinds), (pattern, end, kind) => {
      const repeat: Repeat = { pattern, end };
      expect(readRepeat(writeRepeat(repeat, kind), kind)).toEqual(repeat);
    }),
  );
});

test.each([
  ['FREQ=WEEKLY', { kind: 'weekly', weekdays: [2] }],
  ['FREQ=MONTHLY', { kind: 'monthDay', day: 25 }],
  ['FREQ=YEARLY', { kind: 'yearly', month: 11, day: 25 }],
  ['FREQ=DAILY;BYDAY=MO,TU,WE,TH,FR', { kind: 'workdays' }],
  ['FREQ=MONTHLY;BYDAY=TH;BYSETPOS=2', { kind: 'monthWeekday', nth: 2, weekday: 3 }],
  ['FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1', { kind: 'custom' }],
  ['FREQ=MONTHLY;BYMONTHDAY=4,18', { kind: 'custom' }],
  ['RSCALE=GREGORIAN;FREQ=MONTHLY;BYMONTHDAY=31;SKIP=BACKWARD', { kind: 'custom' }],
  ['FREQ=HOURLY;INTERVAL=6', { kind: 'custom' }],
])('%s of a file is read', (rule, pattern) => {
  const repeat = readRepeat(rule, context);
  expect(repeat.pattern).toMatchObject(pattern);
  // Whatever it is, it is never simplified: written again it says the same.
  if (repeat.pattern.kind === 'custom')
    expect(isSameRule(writeRepeat(repeat, context), rule)).toBe(true);
});

const WORDING = { locale: 'en-GB', hourCycle: '24' } as const;

test('an end on a day holds that whole day, by the clock of the event', () => {
  const end = { kind: 'on' as const, day: parseDate('2027-04-30') };
  const daily = { kind: 'daily' as const, interval: 1 };
  const rule = (kind: object) => writeRepeat({ pattern: daily, end }, { ...context, ...kind });
  expect(rule({})).toBe('FREQ=DAILY;UNTIL=20270430T225959Z');
  expect(rule({ zone: null })).toBe('FREQ=DAILY;UNTIL=20270430T235959');
  expect(rule({ zone: null, wholeDay: true })).toBe('FREQ=DAILY;UNTIL=20270430');
});

test.each([
  ['FREQ=DAILY', 'Every day'],
  ['FREQ=DAILY;INTERVAL=2', 'Every other day'],
  ['FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR', 'Every weekday'],
  [
    'FREQ=WEEKLY;INTERVAL=2;BYDAY=WE,MO;UNTIL=20270430T225959Z',
    'Every other Monday and Wednesday until 30 April 2027',
  ],
  ['FREQ=WEEKLY;INTERVAL=3', 'Every 3 weeks on Wednesday'],
  ['FREQ=MONTHLY', 'On the 25th of each month'],
  ['FREQ=MONTHLY;INTERVAL=2;BYMONTHDAY=31', 'On the 31st of every other month that has one'],
  ['FREQ=MONTHLY;BYMONTHDAY=4,18;COUNT=6', 'On the 4th and 18th of each month, 6 times'],
  ['FREQ=MONTHLY;BYDAY=2TH', 'On the second Thursday of each month'],
  ['FREQ=MONTHLY;BYDAY=-1FR;COUNT=1', 'On the last Friday of each month, once'],
  ['FREQ=MONTHLY;BYDAY=-2MO', 'On the second-to-last Monday of each month'],
  ['FREQ=MONTHLY;BYMONTHDAY=-1', 'On the last day of each month'],
  ['FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1', 'On the last weekday of each month'],
  ['FREQ=MONTHLY;INTERVAL=6', 'Every 6 months on the 25th'],
  ['FREQ=MONTHLY;BYDAY=1TU;BYHOUR=9,14', 'On the first Tuesday of each month at 09:00 and 14:00'],
  ['FREQ=WEEKLY;BYHOUR=8;BYMINUTE=30,0', 'Every Wednesday at 08:00 and 08:30'],
  ['FREQ=DAILY;BYDAY=WE,MO', 'Every Monday and Wednesday'],
  ['FREQ=DAILY;BYMONTHDAY=13', 'On the 13th of each month'],
  ['FREQ=DAILY;INTERVAL=6;BYMONTH=2,1', 'Every 6 days in January and February'],
  ['FREQ=YEARLY;BYMONTHDAY=2', 'On the 2nd of each month'],
  ['FREQ=YEARLY;BYMONTH=5,1,5', 'On 25 January and 25 May each year'],
  ['FREQ=YEARLY;BYMONTH=6;BYMONTHDAY=31', 'Never: no year has 31 June'],
  ['FREQ=MONTHLY;BYDAY=TH', 'Every Thursday'],
  ['FREQ=MONTHLY;INTERVAL=3;BYDAY=TH', 'Every 3 months, on every Thursday'],
  ['FREQ=MONTHLY;BYDAY=5SU', 'On the fifth Sunday of each month that has one'],
  ['FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR,SA,SU;BYSETPOS=-1', 'On the last day of each month'],
  ['FREQ=MONTHLY;BYMONTH=9,3;BYMONTHDAY=1', 'On 1 March and 1 September each year'],
  ['FREQ=YEARLY;BYMONTH=6;BYDAY=SA,SU', 'Every Saturday and Sunday in June'],
  ['FREQ=YEARLY;BYDAY=MO', 'Every Monday'],
  ['FREQ=YEARLY;BYYEARDAY=1,100', 'Every year, on day 1 and 100 of the year'],
  ['FREQ=YEARLY', 'On 25 November each year'],
  ['FREQ=YEARLY;INTERVAL=4;BYMONTH=2;BYMONTHDAY=29', 'Every 4 years on 29 February'],
  ['FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU', 'On the last Sunday of March each year'],
  ['FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=-1', 'On the last day of February each year'],
  [
    'FREQ=MONTHLY;BYMONTH=3,6,9,12;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1',
    'On the last weekday of March, June, September and December each year',
  ],
  ['FREQ=MONTHLY;BYMONTH=1,4;BYDAY=1MO', 'On the first Monday of January and April each year'],
  ['FREQ=MONTHLY;BYMONTH=5;BYDAY=SA;BYSETPOS=-1', 'On the last Saturday of May each year'],
  ['FREQ=MONTHLY;BYMONTH=6;BYDAY=SA,SU', 'Every Saturday and Sunday in June'],
  [
    'FREQ=MONTHLY;INTERVAL=2;BYMONTH=6;BYDAY=1SA',
    'Every other month, in June, on the first Saturday',
  ],
  ['FREQ=YEARLY;BYMONTH=9;BYDAY=SU;BYSETPOS=-1', 'On the last Sunday of September each year'],
  [
    'FREQ=YEARLY;BYMONTH=3,9;BYDAY=SU;BYSETPOS=-1',
    'Every year, in March and September, on Sunday, only the last of these',
  ],
  ['FREQ=MONTHLY;BYMONTHDAY=-2,-1', 'On the second-to-last day and last day of each month'],
  ['FREQ=YEARLY;BYWEEKNO=1,53;BYDAY=MO', 'Every year, in week 1 and 53 of the year, on Monday'],
  ['FREQ=YEARLY;BYYEARDAY=-1', 'Every year, on the last day of the year'],
  ['FREQ=MONTHLY;BYDAY=FR;BYMONTHDAY=13', 'Every month, on the 13th of the month, on Friday'],
  ['FREQ=HOURLY;INTERVAL=6;UNTIL=20261201', 'Every 6 hours until 1 December'],
  ['FREQ=DAILY;BYHOUR=9,15', 'Every day at 09:00 and 15:00'],
  [
    'FREQ=MONTHLY;BYDAY=SA,SU;BYSETPOS=1',
    'Every month, on Saturday and Sunday, only the first of these',
  ],
  [
    'RSCALE=GREGORIAN;FREQ=MONTHLY;BYMONTHDAY=31;SKIP=BACKWARD',
    'Every month, on the 31st of the month, days that don’t exist move to the day before',
  ],
  ['FREQ=YEARLY;BYMONTH=1,2,3,4;BYMONTHDAY=31', 'On 31 January and 31 March each year'],
  ['FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30', 'Never: no year has 30 February'],
  ['FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29', 'On 29 February in leap years'],
  ['FREQ=WEEKLY;BYMONTH=8', 'Every Wednesday in August'],
  [
    'FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,WE;BYMONTH=7,8',
    'Every other Monday and Wednesday in July and August',
  ],
  ['FREQ=MONTHLY;BYMONTH=1,2', 'On 25 January and 25 February each year'],
  ['FREQ=YEARLY;BYWEEKNO=20', 'Every year, in week 20 of the year, on Wednesday'],
  ['FREQ=YEARLY;BYDAY=-1FR;UNTIL=20270630', 'On the last Friday of each year until 30 June 2027'],
  ['FREQ=YEARLY;BYMONTHDAY=1', 'On the 1st of each month'],
  ['FREQ=MONTHLY;BYMONTHDAY=29', 'On the 29th of each month that has one'],
  ['FREQ=MONTHLY;BYMONTHDAY=30,31', 'On the 30th and 31st of each month that has them'],
  ['FREQ=MONTHLY;BYMONTHDAY=1,31', 'On the 1st and 31st of each month, where a month has it'],
  ['FREQ=MONTHLY;INTERVAL=3;BYMONTHDAY=31', 'Every 3 months on the 31st, where a month has it'],
  ['FREQ=MONTHLY;BYDAY=5FR', 'On the fifth Friday of each month that has one'],
  ['FREQ=WEEKLY;BYDAY=MO;BYMONTH=1,2,3,4,5,6,7,9,10,11,12', 'Every Monday except in August'],
  [
    'FREQ=MONTHLY;BYMONTHDAY=1;BYMONTH=1,2,3,4,5,6,7,9,10,11,12',
    'On the 1st of each month except in August',
  ],
])('%s: %s', (rule, said) => {
  const setting = { ...context, wording: WORDING, thisYear: 2026, left: null };
  expect(sayRule(rule, setting)).toBe(said);
});

test('how many dates are left is said last', () => {
  const setting = { ...context, wording: WORDING, thisYear: 2027, left: 14 };
  expect(sayRule('FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,WE;UNTIL=20270430T225959Z', setting)).toBe(
    'Every other Monday and Wednesday until 30 April, 14 dates left',
  );
  // What has not begun says its number once.
  const say = (left: number) => sayRule('FREQ=DAILY;COUNT=5', { ...setting, left });
  expect([say(5), say(3)]).toEqual(['Every day, 5 times', 'Every day, 5 times, 3 dates left']);
  expect([1, 2, 3, 4, 11, 12, 13, 21, 22, 31].map(ordinal).join(' ')).toBe(
    '1st 2nd 3rd 4th 11th 12th 13th 21st 22nd 31st',
  );
});

test('a pattern follows its first date to another day', () => {
  const [wed, fri] = [parseDate('2026-11-25'), parseDate('2026-11-27')];
  expect(
    patternOnDay({ kind: 'weekly', interval: 1, weekdays: [0, 2], weekStart: 0 }, wed, fri),
  ).toMatchObject({ weekdays: [0, 4] });
  expect(patternOnDay({ kind: 'monthDay', interval: 1, day: 25 }, wed, fri)).toMatchObject({
    day: 27,
  });
  expect(patternOnDay({ kind: 'monthDay', interval: 1, day: 8 }, wed, fri)).toMatchObject({
    day: 8,
  });
  expect(
    patternOnDay({ kind: 'monthWeekday', interval: 1, nth: 4, weekday: 2 }, wed, fri),
  ).toMatchObject({ nth: 4, weekday: 4 });
  expect(patternOnDay({ kind: 'monthEnd', interval: 1 }, wed, fri)).toMatchObject({
    kind: 'monthDay',
    day: 27,
  });
  expect(nthWeekday(parseDate('2026-11-30'))).toEqual({ nth: -1, weekday: 0 });
  expect(nthWeekday(fri, true)).toEqual({ nth: -1, weekday: 4 });
});

test('days that some months or years lack are told, with the last day in their place', () => {
  const monthDay = (day: number): RepeatPattern => ({ kind: 'monthDay', interval: 1, day });
  expect([28, 29, 30, 31].map((day) => missingDays(monthDay(day)) !== null)).toEqual([
    false,
    true,
    true,
    true,
  ]);
  expect(onLastDay(monthDay(31))).toEqual({ kind: 'monthEnd', interval: 1 });
  const leap: RepeatPattern = { kind: 'yearly', interval: 1, month: 2, day: 29 };
  expect(missingDays(leap)).toMatch('leap years');
  expect(onLastDay(leap)).toEqual({ kind: 'custom', rule: 'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=-1' });
});

test('the first start is the first day that fits', () => {
  const start = (pattern: RepeatPattern) =>
    formatLocal(firstStart(pattern, context.start, workdays));
  expect(start({ kind: 'weekly', interval: 2, weekdays: [0], weekStart: 0 })).toBe(
    '2026-11-30T09:00:00',
  );
  expect(start({ kind: 'yearly', interval: 4, month: 2, day: 29 })).toBe('2028-02-29T09:00:00');
  // Of a rule of one's own its interval holds from the day on that it is asked for.
  expect(start({ kind: 'custom', rule: 'FREQ=MONTHLY;INTERVAL=3;BYMONTHDAY=24' })).toBe(
    '2027-02-24T09:00:00',
  );
  expect(start({ kind: 'none' })).toBe('2026-11-25T09:00:00');
});
