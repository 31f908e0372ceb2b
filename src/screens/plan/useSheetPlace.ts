import { useMemo, useState } from 'react';
import type { View } from '@/core/model/view';
import type { Address } from '@/core/view/address';
import { showsSingleDays, suits, withSpan } from '@/core/view/forms';
import type { SpanSetting } from '@/core/view/spans';
import { rangeOf, turned, wholeWeeks, withoutWeekends } from '@/core/view/spans';
import type { Preferences } from '@/data/preferences';
import type { WindowView } from '@/data/view';
import { useView } from '@/data/view';
import type { DayNumber } from '@/core/time/units';
import { useShownDay } from './useShownDay';

const DAYS_A_WEEK = 7;

const isIn = ({ from, to }: { from: number; to: number }, day: DayNumber) =>
  day >= from && day < to;

export type SheetPlace = ReturnType<typeof useSheetPlace>;

/** Where in time the sheet stands and how it is seen, with the ways to go elsewhere. */
export function useSheetPlace(
  { firstWeekday, workdays, settings }: Pick<Preferences, 'firstWeekday' | 'workdays' | 'settings'>,
  today: DayNumber,
) {
  const { shown, isNew, show: keep } = useView();
  const { view, lensId } = shown;
  const [day, setDay] = useShownDay(today);
  // The first day in sight of a form that runs on; the others show what the range says.
  const [seenDay, setSeenDay] = useState<number | null>(null);
  const { periods, periodRuns, hasWeekends } = settings;
  const setting = useMemo(
    (): SpanSetting => ({ firstWeekday, workdays, periods, periodRuns }),
    [firstWeekday, workdays, periods, periodRuns],
  );
  const { span } = view;
  const range = useMemo(() => rangeOf({ span, day }, setting), [span, day, setting]);
  const isGrid = view.form === 'grid';
  /** What is drawn: the grid fills its weeks up, and weekends may be left out. */
  const drawn = useMemo(() => {
    const whole = isGrid ? wholeWeeks(range, firstWeekday) : range;
    return hasWeekends ? whole : withoutWeekends(whole);
  }, [isGrid, range, firstWeekday, hasWeekends]);
  const setView = (next: View) => keep({ view: next, lensId });

  function turn(direction: -1 | 1): boolean {
    const next = turned({ span, day }, direction, setting);
    if (!next) return false;
    if (next.span !== span) setView({ ...view, span: next.span });
    setDay(next.day);
    return true;
  }

  /** Another view; what is selected (`near`), or else today, stays in sight where it was. */
  function show(next: View, near?: number) {
    const inSight = isIn(range, day) ? day : range.from;
    const kept = [near, today].find((each) => each !== undefined && isIn(drawn, each)) ?? inSight;
    const isKept = isIn(rangeOf({ span: next.span, day: inSight }, setting), kept);
    setDay(isKept ? inSight : kept);
    setView(next);
  }

  /** Shows a span around a day, with other `fields` of the view. */
  function showSpan(next: View['span'], nextDay: number, fields: Partial<View> = {}) {
    const { from, to } = rangeOf({ span: next, day: nextDay }, setting);
    setView(withSpan({ ...view, ...fields }, next, to - from));
    setDay(nextDay);
  }

  return {
    view,
    lensId,
    isNew,
    day,
    setDay,
    setting,
    range,
    drawn,
    seenDay,
    setSeenDay,
    turn,
    show,
    showSpan,
    /** Shows what a lens says, around a day; a form that no longer suits its days gives way. */
    showLens: (next: View, id: string | null, nextDay: number) => {
      const { from, to } = rangeOf({ span: next.span, day: nextDay }, setting);
      const isFit = suits(next.form, to - from);
      keep({ view: isFit ? next : withSpan(next, next.span, to - from), lensId: id });
      setDay(nextDay);
    },
    /** Back to where it stood. */
    restore: ({ day: next, ...window }: WindowView & { day: DayNumber }) => {
      keep(window);
      setDay(next);
    },
    /**
     * Brings a day into sight, with other `fields` of the view: a period that does not hold it gives
     * way to its week, a week without weekends to the day.
     */
    goTo: (next: number, fields: Partial<View> = {}) => {
      setDay(next);
      const base = { ...view, ...fields };
      const there = rangeOf({ span, day: next }, setting);
      const isLeftOut =
        showsSingleDays(view.form) && !hasWeekends && !withoutWeekends(there).days.includes(next);
      if (!isIn(there, next)) setView(withSpan(base, { kind: 'week' }, DAYS_A_WEEK));
      else if (isLeftOut) setView(withSpan(base, { kind: 'day' }, 1));
      else if (Object.keys(fields).length) setView(base);
    },
    /** Shows what an address says; a form that does not suit its days gives way. */
    showAddress: ({ day: said, span: asked = span, form = view.form }: Address) => {
      const next = said ?? day;
      const { from, to } = rangeOf({ span: asked, day: next }, setting);
      const isFit = suits(form, to - from);
      setView(isFit ? { ...view, span: asked, form } : withSpan(view, asked, to - from));
      setDay(next);
    },
    /** Shows a period that was just made, whose days are not here yet. */
    showMade: (id: string) => setView({ ...view, span: { kind: 'period', id }, form: 'table' }),
  };
}
