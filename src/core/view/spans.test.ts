import fc from 'fast-check';
import type { PeriodRun, ViewSpan } from '../model/view';
import { periodRun, DEFAULT_VIEW } from '../model/view';
import type { Weekday } from '../time/civil';
import { formatDate, parseDate, weekdayOf } from '../time/civil';
import { runPeriodAt, runYearName } from './fiscal';
import { formsFor, suits, withSpan } from './forms';
import type { SpanSetting } from './spans';
import { rangeOf, turned, wholeWeeks } from './spans';
import { sayPlace, sayUnder, spanName } from './spanWords';

const day = parseDate('2026-11-24');
const setting: SpanSetting = {
  firstWeekday: 0,
  workdays: [0, 1, 2, 3, 4],
  periods: [
    { id: 'refit', name: 'Refit season', from: '2026-03-01', to: '2026-05-31' },
    { id: 'winter', name: 'Winter', from: '2026-12-01', to: '2027-02-28' },
  ],
  periodRuns: [{ id: 'ledger', name: 'Period', pattern: 'fourWeeks', start: '2026-04-06' }],
};
const said = (span: ViewSpan, around = day) => {
  const { from, to } = rangeOf({ span, day: around }, setting);
  return [formatDate(from), formatDate(to - 1)];
};

test.each<[ViewSpan, string, string]>([
  [{ kind: 'day' }, '2026-11-24', '2026-11-24'],
  [{ kind: 'days', count: 3 }, '2026-11-24', '2026-11-26'],
  [{ kind: 'workweek' }, '2026-11-23', '2026-11-27'],
  [{ kind: 'week' }, '2026-11-23', '2026-11-29'],
  [{ kind: 'weeks', count: 4 }, '2026-11-23', '2026-12-20'],
  [{ kind: 'month' }, '2026-11-01', '2026-11-30'],
  [{ kind: 'year' }, '2026-01-01', '2026-12-31'],
  [{ kind: 'period', id: 'refit' }, '2026-03-01', '2026-05-31'],
  [{ kind: 'period', id: 'ledger' }, '2026-11-16', '2026-12-13'],
  [{ kind: 'period', id: 'gone' }, '2026-11-24', '2026-11-24'],
])('%j holds its days', (span, from, to) => {
  expect(said(span)).toEqual([from, to]);
});

test('a working week leaves days off out, also in the middle; without any it is the week', () => {
  const broken = { ...setting, workdays: [0, 1, 3] as Weekday[] };
  const { days } = rangeOf({ span: { kind: 'workweek' }, day }, broken);
  expect(days.map(weekdayOf)).toEqual([0, 1, 3]);
  const none = rangeOf({ span: { kind: 'workweek' }, day }, { ...setting, workdays: [] });
  expect(none.days).toHaveLength(7);
});

test('a month turns to the same day of the next, held to its length', () => {
  const next = turned({ span: { kind: 'month' }, day: parseDate('2027-01-31') }, 1, setting);
  expect(formatDate(next!.day)).toBe('2027-02-28');
  const year = turned({ span: { kind: 'year' }, day: parseDate('2028-02-29') }, -1, setting);
  expect(formatDate(year!.day)).toBe('2027-02-28');
});

test('named periods follow each other by their days, and end', () => {
  const refit = { span: { kind: 'period', id: 'refit' } as const, day };
  expect(turned(refit, 1, setting)).toEqual({
    span: { kind: 'period', id: 'winter' },
    day: parseDate('2026-12-01'),
  });
  expect(turned(refit, -1, setting)).toBeNull();
});

const spans = fc.constantFrom<ViewSpan>(
  { kind: 'day' },
  { kind: 'days', count: 5 },
  { kind: 'week' },
  { kind: 'weeks', count: 6 },
  { kind: 'month' },
  { kind: 'year' },
  { kind: 'period', id: 'ledger' },
);

test('any span holds its day, and the one turned to begins where it ends', () => {
  fc.assert(
    fc.property(spans, fc.integer({ min: 0, max: 60_000 }), (span, around) => {
      const range = rangeOf({ span, day: around }, setting);
      expect(range.from <= around && around < range.to).toBe(true);
      expect(range.days).toHaveLength(range.to - range.from);
      const next = rangeOf(turned({ span, day: around }, 1, setting)!, setting);
      expect(next.from).toBe(range.to);
      const before = rangeOf(turned({ span, day: around }, -1, setting)!, setting);
      expect(before.to).toBe(range.from);
    }),
  );
});

test('a grid is filled up to whole weeks', () => {
  const { from, to } = wholeWeeks(rangeOf({ span: { kind: 'month' }, day }, setting), 0);
  expect([formatDate(from), formatDate(to - 1)]).toEqual(['2026-10-26', '2026-12-06']);
});

const patterns = fc.constantFrom<PeriodRun['pattern']>('months', 'weeks445', 'fourWeeks');

test('the periods of a run leave no day out, and none is in two', () => {
  fc.assert(
    fc.property(
      patterns,
      fc.integer({ min: 18_000, max: 22_000 }),
      fc.integer({ min: 15_000, max: 30_000 }),
      (pattern, first, around) => {
        const start = formatDate(first);
        fc.pre(pattern !== 'months' || Number(start.slice(8)) <= 28);
        const run = { id: 'r', name: 'R', pattern, start };
        const period = runPeriodAt(run, around);
        expect(period.from <= around && around < period.to).toBe(true);
        const next = runPeriodAt(run, period.to);
        expect(next.from).toBe(period.to);
        expect(next.nth).toBe(period.nth === period.of ? 1 : period.nth + 1);
      },
    ),
  );
});

test('a year of weeks begins on the same weekday, and takes an odd week into its last period', () => {
  const run = periodRun.parse({ id: 'r', name: 'R', pattern: 'weeks445', start: '2026-04-06' });
  const lengths: number[] = [];
  for (let from = parseDate('2026-04-06'); from < parseDate('2033-04-01');) {
    const period = runPeriodAt(run, from);
    expect(weekdayOf(period.from)).toBe(0);
    if (period.nth === 12) lengths.push((period.to - period.from) / 7);
    from = period.to;
  }
  expect(new Set(lengths)).toEqual(new Set([5, 6]));
  expect(runYearName(run, 2026)).toBe('2026/27');
  expect(runYearName({ ...run, start: '2026-01-01' }, 2027)).toBe('2027');
});

test('months that begin on a day which some lack are refused', () => {
  const made = { id: 'r', name: 'R', pattern: 'months', start: '2026-01-31' };
  expect(periodRun.safeParse(made).success).toBe(false);
  expect(periodRun.safeParse({ ...made, pattern: 'fourWeeks' }).success).toBe(true);
});

test('a span is called what it is', () => {
  const say = (span: ViewSpan, isShort = false) => {
    const place = { span, day };
    const range = rangeOf(place, setting);
    const words = { wording: { locale: 'en-GB' }, today: day, isShort, hasWeekNumbers: true };
    return [
      sayPlace(place, range, setting, words),
      sayUnder(place, range, setting, words),
      spanName(span, setting),
    ];
  };
  expect(say({ kind: 'month' })).toEqual(['November 2026', 'Weeks 44 – 49', 'Month']);
  expect(say({ kind: 'month' }, true)[0]).toBe('Nov 2026');
  expect(say({ kind: 'week' })).toEqual(['23 – 29 November', 'Week 48', 'Week']);
  expect(say({ kind: 'period', id: 'refit' })).toEqual([
    'Refit season',
    '1 Mar – 31 May',
    'Refit season',
  ]);
  expect(say({ kind: 'period', id: 'ledger' })[0]).toBe('Period 9 of 2026/27');
  expect(say({ kind: 'year' })).toEqual(['2026', '365 days', 'Year']);
});

test('a form gives way where it can’t show a span, and comes to suit a long one', () => {
  expect(suits('columns', 8)).toBe(false);
  expect(formsFor(365)[0]).toBe('year');
  expect(formsFor(92)[0]).toBe('table');
  const rows = DEFAULT_VIEW;
  expect(withSpan(rows, { kind: 'month' }, 30).form).toBe('grid');
  expect(withSpan({ ...rows, form: 'agenda' }, { kind: 'month' }, 30).form).toBe('agenda');
  expect(withSpan({ ...rows, form: 'grid' }, { kind: 'week' }, 7).form).toBe('rows');
  expect(withSpan({ ...rows, form: 'columns' }, { kind: 'year' }, 365).form).toBe('year');
});

test('where weeks have no numbers a week says nothing more, and a period still its days', () => {
  const words = { wording: { locale: 'en-GB' }, today: day, hasWeekNumbers: false };
  const week = { span: { kind: 'week' }, day } as const;
  expect(sayUnder(week, rangeOf(week, setting), setting, words)).toBe('');
  const year = { span: { kind: 'year' }, day } as const;
  expect(sayUnder(year, rangeOf(year, setting), setting, words)).toBe('365 days');
});
