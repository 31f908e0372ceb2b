import fc from 'fast-check';
import { parseDate, weekdayOf } from '../time/civil';
import { monthlyChoices, monthlyKey, patternFor, rhythmOf } from './choices';
import { readRepeat, writeRepeat } from './repeat';

const labels = (date: string) => {
  const day = parseDate(date);
  const current = patternFor('monthly', day, 0);
  if (current.kind !== 'monthDay') throw new Error('Not by the day of the month.');
  return monthlyChoices(day, current).map(({ label }) => label);
};

test('a day offers its number, its nth weekday and the last day of the month', () => {
  expect(labels('2026-11-10')).toEqual(['On the 10th', 'On the second Tuesday', 'On the last day']);
});

test('a day in the last seven of its month may be the last of its weekday too', () => {
  expect(labels('2026-11-24')).toEqual([
    'On the 24th',
    'On the fourth Tuesday',
    'On the last Tuesday',
    'On the last day',
  ]);
});

test('the fifth of a weekday is offered as the last alone: not every month has five', () => {
  expect(labels('2026-11-30')).not.toContain('On the fifth Monday');
  expect(labels('2026-11-30')).toContain('On the last Monday');
});

test('what is in use is offered, also when it does not fit the day', () => {
  const day = parseDate('2026-11-10');
  const current = { kind: 'monthWeekday', interval: 2, nth: 3, weekday: 4 } as const;
  const offered = monthlyChoices(day, current);
  expect(offered.at(-1)).toMatchObject({ label: 'On the third Friday', pattern: current });
  expect(offered.map(({ key }) => key)).toContain(monthlyKey(current));
  for (const { pattern } of offered) expect(pattern.interval).toBe(2);
});

test('each rhythm begins with a pattern of its own, and says so again', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 40_000 }),
      fc.constantFrom('none', 'daily', 'workdays', 'weekly', 'monthly', 'yearly'),
      (day, rhythm) => {
        const pattern = patternFor(rhythm, day, 0);
        expect(rhythmOf(pattern)).toBe(rhythm);
        if (pattern.kind === 'weekly') expect(pattern.weekdays).toEqual([weekdayOf(day)]);
      },
    ),
  );
});

test('what a rhythm begins with is read back from the rule that it writes', () => {
  const day = parseDate('2026-11-24');
  const context = {
    start: day * 864e5,
    workdays: [0, 1, 2, 3, 4] as const,
    zone: null,
    wholeDay: false,
    weekStart: 0 as const,
  };
  for (const rhythm of ['daily', 'workdays', 'weekly', 'monthly', 'yearly'] as const) {
    const repeat = { pattern: patternFor(rhythm, day, 0), end: { kind: 'never' } as const };
    expect(readRepeat(writeRepeat(repeat, context), context)).toEqual(repeat);
  }
});
