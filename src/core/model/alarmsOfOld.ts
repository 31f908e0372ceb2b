import { readAlarms } from '../reminders/alarms';
import type { JcalComponent } from './common';

interface WithAlarms {
  reminders?: unknown[];
  passthrough?: { properties: unknown[]; components: JcalComponent[] };
}

/** Alarms that were only kept for export become reminders, of an event or of one of its dates. */
function withReminders<T extends WithAlarms>(of: T): T {
  const { passthrough } = of;
  if (!passthrough?.components.length) return of;
  const { reminders, others } = readAlarms(passthrough.components, 0);
  if (!reminders.length) return of;
  return {
    ...of,
    reminders: [...(of.reminders ?? []), ...reminders],
    passthrough: { ...passthrough, components: others },
  };
}

/** An event of version 1, in which the alarms of other programs were no reminders, and nothing was quiet. */
export function remindersOfAlarms(data: Record<string, unknown>): Record<string, unknown> {
  const changes = (data['changedDates'] ?? {}) as Record<string, WithAlarms>;
  return {
    ...withReminders(data as WithAlarms),
    isQuiet: false,
    changedDates: Object.fromEntries(
      Object.entries(changes).map(([key, change]) => [key, withReminders(change)]),
    ),
  };
}
