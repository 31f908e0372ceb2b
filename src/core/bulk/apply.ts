import type { CalendarEvent } from '../model/event';
import type { BulkStep, Rewritten } from '../model/bulkSteps';
import type { ReadyStep, StepContext } from './fieldSteps';
import { isFieldStep, readyFieldStep } from './fieldSteps';
import type { Replacer } from './texts';
import { replacer, trimmed } from './texts';
import { Refusal, stepTimes } from './times';

/** Some fields of an event, each rewritten. */
function rewritten(
  event: CalendarEvent,
  fields: readonly Rewritten[],
  rewrite: Replacer,
): CalendarEvent {
  const texts = fields.map((field) => [field, rewrite(event[field])] as const);
  return { ...event, ...Object.fromEntries(texts) };
}

/**
 * Makes a step ready.
 * @throws RangeError, in words for the person, for a pattern that can't be used.
 */
export function readyStep(step: BulkStep): ReadyStep {
  if (isFieldStep(step)) return readyFieldStep(step);
  switch (step.kind) {
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
