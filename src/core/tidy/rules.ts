import type { ReadyStep } from '../bulk/apply';
import { applied, readyStep } from '../bulk/apply';
import type { BulkStep, StepKind } from '../model/bulkSteps';
import type { CalendarEvent } from '../model/event';
import type { TidyRule } from '../model/tidyRule';
import { fold } from '../query/fold';
import { wordsOf } from '../query/words';
import type { CalendarReminders } from '../reminders/following';

/** The steps that a rule can have: what an event has, not when it is or what it is called. */
const RULED: readonly StepKind[] = [
  'calendar',
  'categories',
  'availability',
  'visibility',
  'importance',
  'reminders',
  'ink',
  'icon',
];

/** Those of some steps that can become a rule. */
export const ruledSteps = (steps: readonly BulkStep[]): BulkStep[] =>
  steps.filter(({ kind }) => RULED.includes(kind));

/** The rules that a title calls for, in their order. */
export function rulesFor(title: string, rules: readonly TidyRule[]): TidyRule[] {
  const said = fold(title);
  if (!said.trim()) return [];
  return rules.filter(
    ({ isOn, words }) => isOn && wordsOf(words).every((word) => said.includes(word)),
  );
}

/** The field that a step sets. */
const FIELDS: Partial<Record<StepKind, keyof CalendarEvent>> = {
  calendar: 'calendarId',
  categories: 'categoryIds',
  availability: 'availability',
  visibility: 'visibility',
  importance: 'importance',
  reminders: 'reminders',
  ink: 'inkOverride',
  icon: 'icon',
};

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
  const isMeant = (step: BulkStep) => {
    const field = FIELDS[step.kind];
    if (!field || said.has(field)) return false;
    return step.kind !== 'calendar' || calendarOf(step.calendarId)?.kind === 'own';
  };
  const steps: ReadyStep[] = by.flatMap((rule) => rule.steps.filter(isMeant).map(readyStep));
  const context = { viewZone, nth: 0, calendar: calendarOf(event.calendarId) };
  return { event: applied(event, steps, context).after, by };
}
