import { useMemo } from 'react';
import { currentFilter } from '@/core/find/daysIn';
import type { Filter } from '@/core/model/filter';
import { dayOfWall } from '@/core/time/civil';
import { isMonthFirst } from '@/core/time/words';
import { useWallNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';

/** A filter with the days that its period means today. */
export function useCurrentFilter(filter: Filter): Filter {
  const { clock, wording, firstWeekday } = usePreferences();
  const today = dayOfWall(useWallNow(clock));
  const monthFirst = isMonthFirst(wording);
  return useMemo(
    () => currentFilter(filter, { today, firstWeekday, isMonthFirst: monthFirst }),
    [filter, today, firstWeekday, monthFirst],
  );
}
