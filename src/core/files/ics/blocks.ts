import type { JcalProperty, Passthrough } from '../../model/common';
import type { CalendarEvent } from '../../model/event';

/** Whether a property says that an entry is a part of another (RELATED-TO, RFC 5545 §3.8.4.5). */
const isParent = ([name, parameters]: JcalProperty) =>
  name === 'related-to' && String(parameters['reltype'] ?? 'PARENT').toUpperCase() === 'PARENT';

const NOTHING: Passthrough = { properties: [], components: [] };

/** A block of time for a task as it goes out: related to its task, by that one's UID. */
export function withTask(
  event: CalendarEvent,
  uidOfTask: ((taskId: string) => string | undefined) | undefined,
): CalendarEvent {
  const uid = event.taskId === undefined ? undefined : uidOfTask?.(event.taskId);
  if (uid === undefined) return event;
  const kept = event.passthrough ?? NOTHING;
  return {
    ...event,
    passthrough: { ...kept, properties: [...kept.properties, ['related-to', {}, 'text', uid]] },
  };
}

/** An entry without the task that it is time for, and that one's UID; null where it is for none that is known. */
export function withoutTask<T extends Pick<CalendarEvent, 'passthrough'>>(
  draft: T,
  isTask: (uid: string) => boolean,
): { draft: T; taskUid: string } | null {
  const { passthrough, ...rest } = draft;
  const related = passthrough?.properties.find(
    (property) => isParent(property) && isTask(String(property[3])),
  );
  if (!passthrough || !related) return null;
  const properties = passthrough.properties.filter((property) => property !== related);
  const isEmpty = !properties.length && !passthrough.components.length && !passthrough.parameters;
  const left = isEmpty ? rest : { ...rest, passthrough: { ...passthrough, properties } };
  return { draft: left as T, taskUid: String(related[3]) };
}
