import { IN_CALENDAR_PROPERTY } from './carried';
import type { JcalProperty } from '../../model/common';
import type { Task, TaskStatus } from '../../model/task';
import { writeAlarm } from '../../reminders/alarms';
import { formatMinutes } from '../../time/durations';
import { componentLines, foldLine, propertyLine } from './jcal';
import { ESTIMATE_PROPERTY, EVENT_DATE_PROPERTY } from './readTask';
import { cleanText, stamp, timeProperty } from './writeEvent';

/** What the lines of a task say besides its own fields. */
interface Around {
  /** Names of categories by their ids. */
  categories: ReadonlyMap<string, string>;
  /** What its calendar is called in the file; nothing where that does not go along. */
  calendarName?: string | undefined;
  /** The UID of an event by its id. */
  uidOf?: ((eventId: string) => string | undefined) | undefined;
}

const STATUSES: Readonly<Record<TaskStatus, string>> = {
  open: 'NEEDS-ACTION',
  started: 'IN-PROCESS',
  done: 'COMPLETED',
  dropped: 'CANCELLED',
};

/** Whether it stands as its file said, in a word that the app does not know. */
const keepsStatus = ({ status, passthrough }: Task): boolean =>
  status === 'open' && (passthrough?.properties.some(([name]) => name === 'status') ?? false);

function fieldProperties(task: Task, { categories, calendarName, uidOf }: Around): JcalProperty[] {
  const kept = task.passthrough?.parameters ?? {};
  const given = (name: string, type: string, value: string | number): JcalProperty[] =>
    value ? [[name, kept[name] ?? {}, type, value]] : [];
  const names = task.categoryIds.flatMap((id) => categories.get(id) ?? []).map(cleanText);
  const eventUid = task.eventId === undefined ? undefined : uidOf?.(task.eventId);
  return [
    ['uid', kept['uid'] ?? {}, 'text', task.uid],
    stamp('dtstamp', task.updated),
    stamp('created', task.created),
    stamp('last-modified', task.updated),
    ['sequence', kept['sequence'] ?? {}, 'integer', task.revision],
    ...(task.start ? [timeProperty('dtstart', task.start, kept['dtstart'])] : []),
    ...(task.due ? [timeProperty('due', task.due, kept['due'])] : []),
    ...given('summary', 'text', cleanText(task.title)),
    ...given('description', 'text', cleanText(task.notes)),
    ...given('url', 'uri', cleanText(task.link)),
    ...given('priority', 'integer', task.importance),
    ...(keepsStatus(task) ? [] : given('status', 'text', STATUSES[task.status])),
    ...given('percent-complete', 'integer', task.percent),
    ...(task.doneAt === null ? [] : [stamp('completed', task.doneAt)]),
    ...(names.length ? [['categories', {}, 'text', ...names] satisfies JcalProperty] : []),
    ...given(
      ESTIMATE_PROPERTY,
      'unknown',
      task.estimate === null ? '' : formatMinutes(task.estimate),
    ),
    ...(eventUid === undefined
      ? []
      : [['related-to', {}, 'text', eventUid] satisfies JcalProperty]),
    ...given(EVENT_DATE_PROPERTY, 'text', task.eventDate ?? ''),
    ...given(IN_CALENDAR_PROPERTY, 'text', cleanText(calendarName ?? '')),
  ];
}

/** The content lines of a task: its VTODO (RFC 5545 §3.6.2). */
export function taskLines(task: Task, around: Around): string[] {
  const { rule, passthrough, reminders } = task;
  const alarm = {
    title: cleanText(task.title) || 'Reminder',
    travelBefore: 0,
    isOfCalendar: false,
  };
  return [
    'BEGIN:VTODO',
    ...fieldProperties(task, around).map(propertyLine),
    ...(rule === undefined ? [] : [foldLine(`RRULE:${rule}`)]),
    ...(passthrough?.properties ?? [])
      .filter(([name]) => name !== 'status' || keepsStatus(task))
      .map(propertyLine),
    ...(passthrough?.components ?? []).flatMap(componentLines),
    ...reminders.flatMap((one) => componentLines(writeAlarm(one, alarm))),
    'END:VTODO',
  ];
}
