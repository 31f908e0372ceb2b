import { useMemo } from 'react';
import type { Totals } from '@/core/agenda/table';
import { groupOccurrences, totalsOf } from '@/core/agenda/table';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { TableSetup } from '@/core/model/view';
import type { TableSetting } from '@/core/agenda/tableColumns';
import { sortOccurrences } from '@/core/agenda/tableColumns';

export type TableLine =
  { kind: 'group'; key: string; totals: Totals } | { kind: 'event'; occurrence: Occurrence };

/** The lines of a table, sorted, with a head for each group, and the totals of all. */
export function useTableLines(
  occurrences: readonly Occurrence[],
  { sortBy, isDescending, groupBy }: TableSetup,
  setting: TableSetting,
): { lines: TableLine[]; totals: Totals } {
  return useMemo(() => {
    const { fromDay, toDay } = setting;
    const sorted = sortOccurrences(occurrences, { sortBy, isDescending }, setting);
    const groups = groupOccurrences(sorted, groupBy, fromDay, toDay);
    const lines = groups.flatMap(({ key, occurrences: found, totals }): TableLine[] => [
      ...(groupBy === 'none' ? [] : [{ kind: 'group' as const, key, totals }]),
      ...found.map((occurrence) => ({ kind: 'event' as const, occurrence })),
    ]);
    return { lines, totals: totalsOf(sorted, fromDay, toDay) };
  }, [occurrences, sortBy, isDescending, groupBy, setting]);
}
