import type { ViewSpan } from '../model/view';
import { civilDate, officeWeek } from '../time/civil';
import type { Wording } from '../time/words';
import { count, sayDay, sayDays } from '../time/words';
import type { DayNumber } from '../time/units';
import { runPeriodAt, runYearName } from './fiscal';
import type { DayRange, Place, SpanSetting } from './spans';

/** What a span is called: "Week", "3 days". */
export function spanName(span: ViewSpan, { periods, periodRuns }: SpanSetting): string {
  switch (span.kind) {
    case 'day':
      return 'Day';
    case 'days':
      return count(span.count, 'day');
    case 'workweek':
      return 'Work week';
    case 'week':
      return 'Week';
    case 'weeks':
      return count(span.count, 'week');
    case 'month':
      return 'Month';
    case 'year':
      return 'Year';
    case 'period':
      return [...periods, ...periodRuns].find(({ id }) => id === span.id)?.name ?? 'Period';
  }
}

/** What the ways on and back turn over: "Week after", "3 days after", "Period after". */
export const turnName = (span: ViewSpan, setting: SpanSetting) =>
  span.kind === 'period' ? 'Period' : spanName(span, setting);

/** "Period 8 of 2026/27" of a run's period; null for any other span. */
function runWords({ span, day }: Place, { periodRuns }: SpanSetting): string | null {
  const run = span.kind === 'period' && periodRuns.find(({ id }) => id === span.id);
  if (!run) return null;
  const { nth, year } = runPeriodAt(run, day);
  return `${run.name} ${nth} of ${runYearName(run, year)}`;
}

/** The title of what is shown: "23 – 29 November", "November 2026", "Refit season". */
export function sayPlace(
  place: Place,
  range: DayRange,
  setting: SpanSetting,
  {
    wording,
    today,
    isShort,
  }: { wording: Pick<Wording, 'locale'>; today: DayNumber; isShort: boolean },
): string {
  const thisYear = civilDate(today).year;
  const { year } = civilDate(range.from);
  switch (place.span.kind) {
    case 'day':
      return sayDay(range.from, wording, {
        weekday: isShort ? 'short' : 'long',
        day: 'numeric',
        month: isShort ? 'short' : 'long',
        ...(year !== thisYear && { year: 'numeric' }),
      });
    case 'month':
      return sayDay(range.from, wording, { month: isShort ? 'short' : 'long', year: 'numeric' });
    case 'year':
      return String(year);
    case 'period':
      return runWords(place, setting) ?? spanName(place.span, setting);
    default:
      return sayDays(range.from, range.to, wording, thisYear, isShort);
  }
}

/** What stands under the title: the week where weeks have numbers, or the days of a period. Empty when there is nothing to say. */
export function sayUnder(
  { span }: Place,
  range: DayRange,
  { firstWeekday }: SpanSetting,
  {
    wording,
    today,
    hasWeekNumbers,
  }: { wording: Pick<Wording, 'locale'>; today: DayNumber; hasWeekNumbers: boolean },
): string {
  if (span.kind === 'period')
    return sayDays(range.from, range.to, wording, civilDate(today).year, true);
  if (span.kind === 'year') return count(range.to - range.from, 'day');
  if (!hasWeekNumbers) return '';
  const first = officeWeek(range.from, firstWeekday).week;
  const last = officeWeek(range.to - 1, firstWeekday).week;
  return first === last ? `Week ${first}` : `Weeks ${first} – ${last}`;
}
