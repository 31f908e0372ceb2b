import { useEffect } from 'react';
import type { EpochMs } from '@/core/time/units';
import type { ShownReminder } from '@/engine/reminders/reminders';
import { useEngine } from './engineContext';
import { useEngineQuery } from './engineQuery';
import { useMessages } from './messages';
import { useNow } from './now';

const NONE: ShownReminder[] = [];

/** What is to be reminded of by now, and what can be done with it. */
export function useReminders(zone: string) {
  const { engine, status } = useEngine();
  const { complain } = useMessages();
  const now = useNow();
  const { data } = useEngineQuery(
    ['reminders', now, zone],
    (e) => e.reminders.check(Date.now(), zone),
    { enabled: status.ready },
  );
  const shown = data?.shown ?? NONE;
  const { length } = shown;
  useEffect(() => {
    // Only installed apps have a badge, and not all of them.
    navigator.setAppBadge?.(length).catch(() => undefined);
  }, [length]);

  async function guarded(work: Promise<void> | undefined): Promise<void> {
    try {
      await work;
    } catch (error) {
      complain(`That reminder could not be changed: ${(error as Error).message}`);
    }
  }
  return {
    now,
    shown,
    done: (ids: readonly string[]) => guarded(engine?.reminders.done(ids)),
    again: (id: string, at: EpochMs) => guarded(engine?.reminders.again(id, at)),
  };
}
