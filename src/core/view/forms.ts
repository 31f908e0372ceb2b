import type { Form, View, ViewSpan } from '../model/view';
import { FORMS } from '../model/view';

/** The most days that a form can show and still be read. */
const MOST: Record<Form, number> = {
  rows: 62,
  columns: 7,
  grid: 62,
  year: 366,
  agenda: Infinity,
  table: Infinity,
};

/** The fewest: a grid of one day says less than its row, and a year is a year. */
const LEAST: Record<Form, number> = {
  rows: 1,
  columns: 1,
  grid: 7,
  year: 365,
  agenda: 1,
  table: 1,
};

/** Whether a form draws each day for itself, so that days can be left out of it. */
export const showsSingleDays = (form: Form) =>
  form === 'rows' || form === 'columns' || form === 'grid';

/** Whether a span of so many days can be drawn in a form. */
export const suits = (form: Form, days: number) => days >= LEAST[form] && days <= MOST[form];

/** The forms that suit a number of days, the usual one first. */
export function formsFor(days: number): Form[] {
  const usual = usualForm(days);
  return [usual, ...FORMS.filter((form) => form !== usual && suits(form, days))];
}

function usualForm(days: number): Form {
  if (suits('year', days)) return 'year';
  if (days > MOST.grid) return 'table';
  return days > MOST_ROWS ? 'grid' : 'rows';
}

/** Where rows give way to the grid by themselves, and the grid to rows. */
const MOST_ROWS = 14;

/** A view with another span: its form stays where it is good for that too. */
export function withSpan(view: View, span: ViewSpan, days: number): View {
  const isGood =
    suits(view.form, days) &&
    !(view.form === 'rows' && days > MOST_ROWS) &&
    !(view.form === 'grid' && days <= MOST_ROWS);
  return { ...view, span, form: isGood ? view.form : formsFor(days)[0]! };
}

/** How many days a span holds, or for months and periods about how many. */
export function roughDays(span: ViewSpan): number | null {
  switch (span.kind) {
    case 'day':
      return 1;
    case 'days':
      return span.count;
    case 'workweek':
      return 5;
    case 'week':
      return 7;
    case 'weeks':
      return span.count * 7;
    case 'month':
      return 30;
    case 'year':
      return 365;
    case 'period':
      return null;
  }
}
