import { draftOf } from '@/core/editing/drafting';
import type { EventTime } from '@/core/model/common';
import { NO_REPEAT } from '@/core/recurrence/repeat';
import { startOfJot } from '@/core/tasks/jotTask';
import type { EpochMs, WallMs } from '@/core/time/units';
import type { JotSetting } from '@/features/now/useJot';
import { useJot } from '@/features/now/useJot';

/** When a task can be begun by the words of its line that say so: wall ms, and as a task keeps it. */
export function useTaskStart(
  words: string | undefined,
  setting: JotSetting,
): { notBefore: WallMs | undefined; at(now: EpochMs): EventTime | null } {
  const { clock, workdays } = setting.preferences;
  const { jot, span } = useJot(words ?? '', setting);
  return {
    notBefore: jot.saysDay ? span.start : undefined,
    at: (now) =>
      startOfJot(
        jot,
        draftOf({
          ...{ span, clock, workdays, repeat: NO_REPEAT, zone: jot.zone, now },
          fields: { id: 'start', calendarId: jot.calendarId },
          calendar: undefined,
        }),
      ),
  };
}
