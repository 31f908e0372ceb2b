import { useMemo } from 'react';
import type { DayContext } from '@/core/find/daysIn';
import { currentFilter } from '@/core/find/daysIn';
import type { Filter } from '@/core/model/filter';
import { dayOfWall } from '@/core/time/civil';
import { isMonthFirst } from '@/core/time/words';
import { useWallNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';

/** By what typed days are understood. */
export function useDayContext(): DayContext {
  const { clock, wording, firstWeekday } = usePreferences();
  const today = dayOfWall(useWallNow(clock));
  const monthFirst = isMonthFirst(wording);
  return useMemo(
    () => ({ today, firstWeekday, isMonthFirst: monthFirst }),
    [today, firstWeekday, monthFirst],
  );
}

/** A filter with the days that its period means today. */
export function useCurrentFilter(filter: Filter): Filter {
  const context = useDayContext();
  return useMemo(() => currentFilter(filter, context), [filter, context]);
}
