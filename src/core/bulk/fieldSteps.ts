import type { BulkStep } from '../model/bulkSteps';
import type { CalendarEvent } from '../model/event';
import { withImportance } from '../model/importance';
import type { CalendarReminders } from '../reminders/following';
import { remindersFor } from '../reminders/following';

/** What a step is done by. */
export interface StepContext {
  /** The person's clock. */
  viewZone: string;
  /** Which of all events it is, in order of time, from 0. */
  nth: number;
  /** The calendar of the event as it was, whose reminders it may have. */
  calendar: CalendarReminders | undefined;
}

/** A step made ready, for as many events as one likes. @throws Refusal for those that it can't be done to. */
export type ReadyStep = (event: CalendarEvent, context: StepContext) => CalendarEvent;

/** Steps that say what an event has, not when it is or what it is called. */
export const FIELD_STEPS = {
  calendar: 'calendarId',
  categories: 'categoryIds',
  ink: 'inkOverride',
  icon: 'icon',
  availability: 'availability',
  visibility: 'visibility',
  importance: 'importance',
  reminders: 'reminders',
} as const satisfies Partial<Record<BulkStep['kind'], keyof CalendarEvent>>;

export type FieldStep = Extract<BulkStep, { kind: keyof typeof FIELD_STEPS }>;

export const isFieldStep = (step: BulkStep): step is FieldStep =>
  Object.hasOwn(FIELD_STEPS, step.kind);

const without = <T>(list: readonly T[], gone: readonly T[]) =>
  list.filter((value) => !gone.includes(value));

function stepReminders(
  event: CalendarEvent,
  { how, reminders }: Extract<BulkStep, { kind: 'reminders' }>,
  calendar: CalendarReminders | undefined,
): CalendarEvent['reminders'] {
  if (how === 'follow') return null;
  if (how === 'clear') return [];
  if (how === 'set') return reminders;
  const own = remindersFor(event, calendar);
  const known = new Set(own.map((reminder) => JSON.stringify(reminder)));
  return [...own, ...reminders.filter((reminder) => !known.has(JSON.stringify(reminder)))];
}

/** An event with a field, or without it where it is null. */
function withOptional(
  event: CalendarEvent,
  field: 'icon' | 'inkOverride',
  value: string | null,
): CalendarEvent {
  const { [field]: _old, ...rest } = event;
  return value === null ? rest : { ...rest, [field]: value };
}

/** Makes a step ready that sets a field. */
export function readyFieldStep(step: FieldStep): ReadyStep {
  switch (step.kind) {
    case 'calendar':
      return (event) => ({ ...event, calendarId: step.calendarId });
    case 'categories':
      return (event) => {
        const kept = step.isReplaced ? [] : without(event.categoryIds, step.remove);
        return { ...event, categoryIds: [...kept, ...without(step.add, kept)] };
      };
    case 'ink':
      return (event) => withOptional(event, 'inkOverride', step.ink);
    case 'icon':
      return (event) => withOptional(event, 'icon', step.icon);
    case 'availability':
      return (event) => ({ ...event, availability: step.availability });
    case 'visibility':
      return (event) => ({ ...event, visibility: step.visibility });
    case 'importance':
      return (event) => ({
        ...event,
        importance: withImportance(step.importance, event.importance),
      });
    case 'reminders':
      return (event, { calendar }) => ({
        ...event,
        reminders: stepReminders(event, step, calendar),
      });
  }
}
