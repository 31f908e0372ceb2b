import type { Jot, JotPartKind } from '@/core/jot/jot';
import type { CalendarEvent } from '@/core/model/event';

/** The fields that parts of a line speak of, among those that rules set. */
const FIELDS: Partial<Record<JotPartKind, keyof CalendarEvent>> = {
  calendar: 'calendarId',
  category: 'categoryIds',
  reminder: 'reminders',
  extra: 'importance',
};

/** The fields of which the person said what they are to be, in the line or by hand: rules leave them alone. */
export function saidFields(
  { parts }: Pick<Jot, 'parts'>,
  corrections: Partial<Record<keyof CalendarEvent, unknown>> = {},
): Set<keyof CalendarEvent> {
  const corrected = Object.entries(corrections).flatMap(([field, value]) =>
    value === undefined ? [] : [field as keyof CalendarEvent],
  );
  return new Set([...corrected, ...parts.flatMap(({ kind }) => FIELDS[kind] ?? [])]);
}
