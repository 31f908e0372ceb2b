import type { CalendarEvent } from '../model/event';
import { withImportance } from '../model/importance';
import type { CalendarReminders } from '../reminders/following';
import { remindersFor } from '../reminders/following';
import type { BulkStep, Rewritten } from '../model/bulkSteps';
import type { Replacer } from './texts';
import { replacer, trimmed } from './texts';
import { Refusal, stepTimes } from './times';

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

/** Some fields of an event, each rewritten. */
function rewritten(
  event: CalendarEvent,
  fields: readonly Rewritten[],
  rewrite: Replacer,
): CalendarEvent {
  const texts = fields.map((field) => [field, rewrite(event[field])] as const);
  return { ...event, ...Object.fromEntries(texts) };
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

/**
 * Makes a step ready.
 * @throws RangeError, in words for the person, for a pattern that can't be used.
 */
export function readyStep(step: BulkStep): ReadyStep {
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
    case 'text':
      return (event) => ({ ...event, [step.field]: step.text });
    case 'replace': {
      const rewrite = replacer(step.find, step.with, step.matching);
      return (event) => rewritten(event, step.fields, rewrite);
    }
    case 'prefix':
      return (event) => rewritten(event, ['title'], (title) => step.text + title);
    case 'suffix':
      return (event) => rewritten(event, ['title'], (title) => title + step.text);
    case 'trim':
      return (event) => rewritten(event, ['title', 'place'], trimmed);
    case 'number':
      return (event, { nth }) =>
        rewritten(event, ['title'], (title) => `${title} ${step.from + nth}`.trim());
    case 'removeFiles':
      return (event) => (event.attachments.length ? { ...event, attachments: [] } : event);
    default:
      return (event, { viewZone }) => {
        const { keptHours, ...times } = stepTimes(event, step, viewZone);
        const { keptHours: _old, ...rest } = event;
        return { ...rest, ...times, ...(keptHours && { keptHours }) };
      };
  }
}

/** An event after several steps, one after the other, and why some could not be done to it. */
export function applied(
  event: CalendarEvent,
  steps: readonly ReadyStep[],
  context: StepContext,
): { after: CalendarEvent; refusals: string[] } {
  let after = event;
  const refusals: string[] = [];
  for (const step of steps) {
    try {
      after = step(after, context);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      if (!refusals.includes(error.message)) refusals.push(error.message);
    }
  }
  return { after, refusals };
}
