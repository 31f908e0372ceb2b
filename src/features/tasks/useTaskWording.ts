import { useMemo } from 'react';
import type { TaskWording } from '@/core/tasks/formatTask';
import { dayOfWall } from '@/core/time/civil';
import { useWallNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';

/** By what the times of tasks are said. */
export function useTaskWording(): TaskWording {
  const { clock, wording } = usePreferences();
  const today = dayOfWall(useWallNow(clock));
  return useMemo(() => ({ ...wording, clock, today }), [wording, clock, today]);
}
