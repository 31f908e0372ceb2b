import { formatDate, parseDate } from '../time/civil';
import { typedDay } from '../view/typedDate';
import { EMPTY_FILTER } from '../model/filter';
import { currentFilter, daysIn, filterDates } from './daysIn';

/** Tuesday 24 November 2026 */
const context = { today: parseDate('2026-11-24'), firstWeekday: 0 as const, isMonthFirst: false };

const written = (day: number | null) => (day === null ? '*' : formatDate(day));
const said = (text: string, more = {}) =>
  daysIn(text, { ...context, ...more }).map(({ from, to }) => `${written(from)} ${written(to)}`);

test.each([
  ['today', ['2026-11-24 2026-11-24']],
  ['last week', ['2026-11-16 2026-11-22']],
  ['This  Week', ['2026-11-23 2026-11-29']],
  ['next month', ['2026-12-01 2026-12-31']],
  ['last quarter', ['2026-07-01 2026-09-30']],
  ['next year', ['2027-01-01 2027-12-31']],
  ['march', ['2027-03-01 2027-03-31', '2026-03-01 2026-03-31']],
  ['october', ['2026-10-01 2026-10-31', '2027-10-01 2027-10-31']],
  ['feb 2028', ['2028-02-01 2028-02-29']],
  ['last march', ['2026-03-01 2026-03-31']],
  ['next november', ['2027-11-01 2027-11-30']],
  ['q3', ['2026-07-01 2026-09-30', '2027-07-01 2027-09-30']],
  ['Q1 2027', ['2027-01-01 2027-03-31']],
  ['week 1 2027', ['2027-01-04 2027-01-10']],
  ['2025', ['2025-01-01 2025-12-31']],
  ['12 march 2027', ['2027-03-12 2027-03-12']],
  ['3/4/2027', ['2027-04-03 2027-04-03']],
  ['3 to 14 may', ['2027-05-03 2027-05-14']],
  ['3-14 may 2028', ['2028-05-03 2028-05-14']],
  ['2026-11-24', ['2026-11-24 2026-11-24']],
  ['march to may 2027', ['2027-03-01 2027-05-31']],
  ['24 nov - 2 dec', ['2026-11-24 2026-12-02']],
  ['2 dec - 24 nov 2026', []],
  ['nowhere to 3 may', []],
  ['3 may to nowhere', []],
  ['24 nov 2026 to 2 dec 2027', ['2026-11-24 2027-12-02']],
  ['from 1 to 12 december', ['2026-12-01 2026-12-12']],
  ['between 3 and 5 May 2027', ['2027-05-03 2027-05-05']],
  ['since october', ['2026-10-01 *']],
  ['before christmas', ['* 2026-12-24']],
  ['after this week', ['2026-11-30 *']],
  ['by 12 december', ['* 2026-12-12']],
  ['from january onwards', ['2027-01-01 *']],
  ['last 7 days', ['2026-11-18 2026-11-24']],
  ['next two weeks', ['2026-11-24 2026-12-07']],
  ['past 3 months', ['2026-08-25 2026-11-24']],
  ['weekend', ['2026-11-28 2026-11-29']],
  ['last weekend', ['2026-11-21 2026-11-22']],
  ['the week before last', ['2026-11-09 2026-11-15']],
  ['rest of the month', ['2026-11-24 2026-11-30']],
  ['this week and next', ['2026-11-23 2026-12-06']],
  ['today and tomorrow', ['2026-11-24 2026-11-25']],
  ['lenses and lamps', []],
  ['w/c 7 Dec', ['2026-12-07 2026-12-13']],
  ['second half of 2026', ['2026-07-01 2026-12-31']],
  ['late november', ['2026-11-21 2026-11-30', '2027-11-21 2027-11-30']],
  ['2nd quarter 2027', ['2027-04-01 2027-06-30']],
  ['2027-02', ['2027-02-01 2027-02-28']],
  ['2027-13', []],
  ['20270229', []],
])('“%s” means %j', (text, days) => {
  expect(said(text)).toEqual(days);
});

test('weeks begin and figures read as the settings say', () => {
  expect(said('this week', { firstWeekday: 6 })).toEqual(['2026-11-22 2026-11-28']);
  expect(said('3/4/2027', { isMonthFirst: true })).toEqual(['2027-03-04 2027-03-04']);
});

test.each(['', 'lamp', 'week 54', 'q5', '14 to 3 may 2027', 'march lamp'])(
  '“%s” names no days',
  (text) => {
    expect(said(text)).toEqual([]);
  },
);

test('a filter for this month asks for the month that it is by then; picked days stay', () => {
  const [days] = daysIn('this month', context);
  const kept = { ...EMPTY_FILTER, dates: filterDates(days!) };
  expect(kept.dates).toEqual({ from: '2026-11-01', to: '2026-11-30', period: 'this month' });
  const later = { ...context, today: parseDate('2027-02-03') };
  expect(currentFilter(kept, later).dates).toEqual({
    from: '2027-02-01',
    to: '2027-02-28',
    period: 'this month',
  });
  const picked = { ...EMPTY_FILTER, dates: { from: '2026-11-01', to: '2026-11-30' } };
  expect(currentFilter(picked, later)).toBe(picked);
});

test.each([
  ['3 days ago', '2026-11-21'],
  ['a week ago', '2026-11-17'],
  ['a year ago', '2025-11-24'],
  ['9 months ago', '2026-02-24'],
  ['-10', '2026-11-14'],
  ['+2w', '2026-12-08'],
  ['+3 months', '2027-02-24'],
  ['friday last week', '2026-11-20'],
  ['next week wednesday', '2026-12-02'],
  ['next quarter', '2027-01-01'],
  ['Xmas', '2026-12-25'],
  ['last weekend', '2026-11-21'],
])('“%s” is gone to on %s', (text, date) => {
  expect(written(typedDay(text, context))).toBe(date);
});
