import type { JcalProperty } from '../../model/common';
import type { Task } from '../../model/task';
import { canonical } from './canonical';
import { EVENT_DATE_PROPERTY } from './readTask';
import type { TaskDraft } from './readTask';

export interface PlannedTask {
  before?: Task | undefined;
  after: Task;
}

/** What a task is related to as a part of it (RELATED-TO, RFC 5545 §3.8.4.5), where that is an event. */
function eventOf(
  { passthrough }: TaskDraft,
  idOf: (uid: string) => string | undefined,
): { property: JcalProperty; eventId: string } | null {
  for (const property of passthrough?.properties ?? []) {
    const [name, parameters, , uid] = property;
    const related = String(parameters['reltype'] ?? 'PARENT').toUpperCase();
    if (name !== 'related-to' || related !== 'PARENT') continue;
    const eventId = idOf(String(uid));
    if (eventId !== undefined) return { property, eventId };
  }
  return null;
}

/** A task of a file with the event that it belongs to, where that is here or comes with it. */
function withEvent(draft: TaskDraft, idOf: (uid: string) => string | undefined): TaskDraft {
  const related = eventOf(draft, idOf);
  const { passthrough, ...task } = draft;
  if (!related || !passthrough) return draft;
  const dated = passthrough.properties.find(([name]) => name === EVENT_DATE_PROPERTY);
  const properties = passthrough.properties.filter(
    (property) => property !== related.property && property !== dated,
  );
  const isEmpty = !properties.length && !passthrough.components.length && !passthrough.parameters;
  return {
    ...task,
    eventId: related.eventId,
    ...(dated && { eventDate: String(dated[3]) }),
    ...(!isEmpty && { passthrough: { ...passthrough, properties } }),
  };
}

/** Whether two say the same, whenever that was written. */
const isSame = (a: Task, b: Task) =>
  canonical({ ...a, updated: 0, created: 0 }) === canonical({ ...b, updated: 0, created: 0 });

/**
 * What becomes of the tasks of a file: each is new or brings the task with its UID up to date; what
 * says nothing new, or is older than what is here, is not among them.
 */
export function planTasks(
  drafts: readonly TaskDraft[],
  calendarId: string,
  present: { taskOf(uid: string): Task | undefined; eventIdOf(uid: string): string | undefined },
  makeId: () => string,
): PlannedTask[] {
  return drafts.flatMap((draft): PlannedTask[] => {
    const before = present.taskOf(draft.uid);
    const whole = withEvent(draft, (uid) => present.eventIdOf(uid));
    if (!before) return [{ after: { ...whole, id: makeId(), calendarId } }];
    const { eventId, eventDate } = before;
    const kept = whole.eventId === undefined && eventId !== undefined ? { eventId, eventDate } : {};
    const { id, calendarId: on = calendarId } = before;
    const after: Task = { ...whole, ...kept, id, calendarId: on };
    const isGone = before.removedAt !== undefined;
    if (!isGone && (after.revision < before.revision || isSame(before, after))) return [];
    return [{ before, after }];
  });
}
