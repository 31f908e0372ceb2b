import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo } from 'react';
import type { Filter } from '@/core/model/filter';
import { readFilter, writeFilter } from '@/core/query/filterAddress';
import type { TaskGrouping, TaskOrder } from '@/core/tasks/groups';
import { TASK_GROUPINGS, TASK_ORDERS } from '@/core/tasks/groups';
import { useCurrentFilter } from '@/features/query/useCurrentFilter';

/** How tasks are listed; it stands in the address. */
export interface TasksView {
  grouping: TaskGrouping;
  order: TaskOrder;
  /** Whether what is done is listed too. */
  hasDone: boolean;
  filter: Filter;
}

const named = <T extends string>(names: readonly T[], name: string | undefined): T =>
  names.find((one) => one === name) ?? names[0]!;

export function useTasksView(): [TasksView, (fields: Partial<TasksView>) => void] {
  const { by, order, done, q } =
    useLocalSearchParams<Record<'by' | 'order' | 'done' | 'q', string>>();
  const router = useRouter();
  const view: TasksView = {
    grouping: named(TASK_GROUPINGS, by),
    order: named(TASK_ORDERS, order),
    hasDone: done === 'shown',
    filter: useCurrentFilter(useMemo(() => readFilter(q), [q])),
  };
  function change(fields: Partial<TasksView>) {
    const next = { ...view, ...fields };
    router.setParams({
      by: next.grouping === TASK_GROUPINGS[0] ? undefined : next.grouping,
      order: next.order === TASK_ORDERS[0] ? undefined : next.order,
      done: next.hasDone ? 'shown' : undefined,
      q: writeFilter(next.filter) || undefined,
    });
  }
  return [view, change];
}
