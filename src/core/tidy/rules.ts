import type { FieldStep } from '../bulk/fieldSteps';
import { FIELD_STEPS, isFieldStep, readyFieldStep } from '../bulk/fieldSteps';
import type { BulkStep } from '../model/bulkSteps';
import type { CalendarEvent } from '../model/event';
import type { TidyRule } from '../model/tidyRule';
import { fold } from '../query/fold';
import { wordsOf } from '../query/words';
import type { CalendarReminders } from '../reminders/following';

/** Those of some steps that can become a rule: what an event has, not when it is or what it is called. */
export const ruledSteps = (steps: readonly BulkStep[]): FieldStep[] => steps.filter(isFieldStep);

/** The rules that a title calls for, in their order. */
export function rulesFor(title: string, rules: readonly TidyRule[]): TidyRule[] {
  const said = fold(title);
  if (!said.trim()) return [];
  return rules.filter(
    ({ isOn, words }) => isOn && wordsOf(words).every((word) => said.includes(word)),
  );
}

/**
 * A new event as rules have it. Fields in `said` were said by the person, and stay. Rules that name a
 * calendar that is not there any more (see `calendarOf`) leave it where it is.
 */
export function ruled(
  event: CalendarEvent,
  rules: readonly TidyRule[],
  {
    viewZone,
    said,
    calendarOf,
  }: {
    viewZone: string;
    said: ReadonlySet<keyof CalendarEvent>;
    calendarOf(id: string): (CalendarReminders & { kind: 'own' | 'followed' }) | undefined;
  },
): { event: CalendarEvent; by: TidyRule[] } {
  const by = rulesFor(event.title, rules);
  const isMeant = (step: FieldStep) =>
    !said.has(FIELD_STEPS[step.kind]) &&
    (step.kind !== 'calendar' || calendarOf(step.calendarId)?.kind === 'own');
  const context = { viewZone, nth: 0, calendar: calendarOf(event.calendarId) };
  const after = by
    .flatMap(({ steps }) => ruledSteps(steps).filter(isMeant))
    .reduce((made, step) => readyFieldStep(step)(made, context), event);
  return { event: after, by };
}
