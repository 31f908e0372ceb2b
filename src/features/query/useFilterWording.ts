import { useMemo } from 'react';
import type { FilterWording } from '@/core/query/sayFilter';
import { usePreferences } from '@/data/preferences';
import { useCalendars, useCategories } from '@/data/queries';

/** By what the parts of a question are said. */
export function useFilterWording(): FilterWording {
  const { wording, clock } = usePreferences();
  const calendars = useCalendars();
  const categories = useCategories();
  return useMemo(() => {
    const nameIn = (named: readonly { id: string; name: string }[], id: string) =>
      named.find((one) => one.id === id)?.name ?? 'something removed';
    return {
      wording,
      clock,
      calendarName: (id: string) => nameIn(calendars, id),
      categoryName: (id: string) => nameIn(categories, id),
    };
  }, [wording, clock, calendars, categories]);
}
