import type { Lens } from '../model/view';
import { DEFAULT_VIEW } from '../model/view';
import { TODAY } from '../testing/occurrences';
import { formatDate, parseDate } from '../time/civil';
import { dayOfLens, isChanged, lensOf, movedLens } from './lenses';
import { shadeOf } from './shades';
import { typedDay } from './typedDate';

const context = { today: TODAY, firstWeekday: 0 as const, isMonthFirst: false };
test.each([
  // Of two that are as good, the nearer one is meant.
  ['12 march', '2027-03-12'],
  ['12 october', '2026-10-12'],
  ['12 march 2027', '2027-03-12'],
  ['week 32', '2026-08-03'],
  ['Week 1 2027', '2027-01-04'],
  ['in 3 weeks', '2026-12-15'],
  ['tomorrow', '2026-11-25'],
  ['2027-02-28', '2027-02-28'],
  ['3/4/2027', '2027-04-03'],
])('“%s” means %s', (text, date) => {
  expect(formatDate(typedDay(text, context)!)).toBe(date);
});

test('what names no date gives none', () => {
  for (const text of ['', 'lamp', 'week 54', '2026-02-30'])
    expect(typedDay(text, context)).toBeNull();
  const months = { ...context, isMonthFirst: true };
  expect(typedDay('3/4/2027', months)).toBe(parseDate('2027-03-04'));
});

test('a lens is fixed to its days, or follows the day; and tells when the sheet was changed', () => {
  const fields = { id: 'l', name: 'Refit', icon: '', order: 0 };
  const fixed = lensOf(fields, DEFAULT_VIEW, parseDate('2026-03-01'));
  expect(dayOfLens(fixed, TODAY)).toBe(parseDate('2026-03-01'));
  expect(dayOfLens(lensOf(fields, DEFAULT_VIEW, null), TODAY)).toBe(TODAY);
  const { span, ...rest } = DEFAULT_VIEW;
  expect(isChanged(fixed, { ...rest, span })).toBe(false);
  expect(isChanged(fixed, { ...DEFAULT_VIEW, form: 'columns' })).toBe(true);
});

test('a lens changes places with its neighbour', () => {
  const lenses = ['a', 'b', 'c'].map((id, order): Lens => ({
    id,
    name: id,
    icon: '',
    order,
    view: DEFAULT_VIEW,
    day: null,
  }));
  expect(movedLens(lenses, 'c', -1).map(({ id, order }) => [id, order])).toEqual([
    ['c', 1],
    ['b', 2],
  ]);
  expect(movedLens(lenses, 'a', -1)).toEqual([]);
});

test('shades go from clear to a full day', () => {
  expect([0, 1, 120, 121, 480, 900].map(shadeOf)).toEqual([0, 1, 1, 2, 4, 4]);
});
