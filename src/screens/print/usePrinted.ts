import { useMemo } from 'react';
import type { Calendar } from '@/core/model/calendar';
import type { PrintForm, PrintSetup } from '@/core/model/print';
import { DEFAULT_TABLE } from '@/core/model/view';
import { EMPTY_FILTER } from '@/core/model/filter';
import { readFilter } from '@/core/query/filterAddress';
import type { AskedCalendars } from '@/core/query/eventQuery';
import { ALL_SHOWN, EVERYTHING } from '@/core/query/eventQuery';
import { sayFilter } from '@/core/query/sayFilter';
import { dayOfWall, parseDate, startOfWeek, civilDate } from '@/core/time/civil';
import type { DayNumber } from '@/core/time/units';
import { sayDays } from '@/core/time/words';
import { useCurrentFilter } from '@/features/query/useCurrentFilter';
import { withoutWeekends } from '@/core/view/spans';
import { useNow, useWallNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';
import { useCalendars } from '@/data/queries';
import { lastSheetShown } from '@/data/sheetShown';
import { useFilterWording } from '@/features/query/useFilterWording';
import type { PrintedThing } from '@/engine/printing/printer';

interface Address {
  kind?: string | undefined;
  event?: string | undefined;
  q?: string | undefined;
}

interface Printed {
  /** What it is called. */
  name: string;
  isOfDays: boolean;
  /** The days that are seen, the last excluded. */
  range: { from: DayNumber; to: DayNumber };
  /** The calendars and the filter of what is seen. */
  seen: NonNullable<PrintSetup['only']>;
  clock: string;
  /** The lens under which its options are kept. */
  lens: string;
  /** Options that it begins with. */
  first: Partial<PrintSetup>;
  thing(setup: PrintSetup): PrintedThing;
}

/** Days on either side of today that what was found is printed of, where nobody says which. */
const FOUND = { back: 183, ahead: 366 };
const WEEK = 7;

const allDays = (from: DayNumber, to: DayNumber): DayNumber[] =>
  Array.from({ length: Math.max(0, to - from) }, (_, i) => from + i);

/** The calendars that a question is about, each by its id. */
function idsOf(asked: AskedCalendars, calendars: readonly Calendar[]): string[] {
  if (typeof asked !== 'string') return [...asked];
  return calendars.filter(({ shown }) => asked === 'all' || shown).map(({ id }) => id);
}

/** How a stretch of days begins: on pages that suit its length and form. */
function firstOf(form: PrintForm, length: number): Partial<PrintSetup> {
  return {
    form,
    by:
      form === 'grid'
        ? 'month'
        : form === 'table' || form === 'year' || form === 'agenda'
          ? 'all'
          : 'week',
    isUpright: form === 'agenda' || form === 'table' || (form === 'grid' && length > 62),
  };
}

/** What the address asks to print: the sheet as it was last, what was found, tasks, or an event's page. */
export function usePrinted({ kind, event, q }: Address): Printed {
  const { clock, firstWeekday, wording, settings } = usePreferences();
  const said = useFilterWording();
  const now = useNow();
  const calendars = useCalendars();
  const today = dayOfWall(useWallNow(clock));
  const filter = useCurrentFilter(useMemo(() => readFilter(q), [q]));
  const shown = lastSheetShown();
  const monday = startOfWeek(today, firstWeekday);
  const seen = shown ?? {
    ...{ fromDay: monday, toDay: monday + WEEK, query: ALL_SHOWN, clock },
    ...{ form: 'rows' as const, table: DEFAULT_TABLE, lensId: null },
  };
  const plain = {
    ...{ isOfDays: false, clock, range: { from: today, to: today + 1 } },
    seen: { calendarIds: [], filter: EMPTY_FILTER },
  };
  if (kind === 'tasks')
    return {
      ...plain,
      ...{ name: 'Tasks', lens: 'tasks', first: { isUpright: true } },
      thing: () => ({ kind: 'tasks', filter: EMPTY_FILTER }),
    };
  if (kind === 'event' && event)
    return {
      ...plain,
      ...{ name: 'An event’s page', lens: 'event', first: { isUpright: true } },
      thing: () => ({ kind: 'event', id: event }),
    };
  const isFound = kind === 'found';
  const range = isFound
    ? { from: today - FOUND.back, to: today + FOUND.ahead }
    : { from: seen.fromDay, to: seen.toDay };
  const query = isFound ? { ...EVERYTHING, filter, now } : seen.query;
  return {
    isOfDays: true,
    name: isFound
      ? `Found: ${sayFilter(filter, said)}`
      : sayDays(range.from, range.to, wording, civilDate(today).year),
    range,
    seen: { calendarIds: idsOf(query.calendars, calendars), filter: query.filter },
    clock: isFound ? clock : seen.clock,
    lens: isFound ? 'found' : (seen.lensId ?? ''),
    first: isFound
      ? { form: 'table', by: 'all', isUpright: true }
      : firstOf(seen.form, range.to - range.from),
    thing: ({ days, only }) => {
      const chosen = days ? { from: parseDate(days.from), to: parseDate(days.to) + 1 } : range;
      const whole = { ...chosen, days: allDays(chosen.from, chosen.to) };
      const hasWeekends = settings.hasWeekends || isFound;
      return {
        kind: 'days',
        days: (hasWeekends ? whole : withoutWeekends(whole)).days,
        query: only
          ? { ...EVERYTHING, calendars: only.calendarIds, filter: only.filter, now }
          : query,
        ...(!isFound && { table: seen.table }),
      };
    },
  };
}
