import type { EventTime, JcalComponent } from '../../model/common';
import { wallOf } from '../../model/common';
import type { Task, TaskStatus } from '../../model/task';
import { newTask } from '../../model/task';
import { parseRule } from '../../recurrence/rule';
import { readAlarms } from '../../reminders/alarms';
import { MINUTE } from '../../time/civil';
import { parseDuration } from '../../time/durations';
import type { EpochMs } from '../../time/units';
import type { ParsedComponent } from './jcal';
import { IN_CALENDAR_PROPERTY } from './carried';
import { property, textValue } from './jcal';
import { epochOf, passthroughOf } from './readEvent';
import { addDuration, readTimes } from './readTimes';
import type { FileZones } from './zoneOfFile';

/** A task of a file; its id is made up, to be written over when it is kept. */
export type TaskDraft = Task;

/** What a task is thought to take: ESTIMATED-DURATION of the coming task extensions to iCalendar. */
export const ESTIMATE_PROPERTY = 'estimated-duration';
/** The date of a series that a task belongs to, for which iCalendar has no word. */
export const EVENT_DATE_PROPERTY = 'x-orderly-event-date';

/** Properties whose values become fields, where they can be read. */
const OWN = [
  IN_CALENDAR_PROPERTY,
  'uid',
  'dtstamp',
  'created',
  'last-modified',
  'sequence',
  'summary',
  'description',
  'url',
  'dtstart',
  'due',
  'duration',
  'priority',
  'status',
  'percent-complete',
  'completed',
  ESTIMATE_PROPERTY,
];

const STATUSES: Readonly<Record<string, TaskStatus>> = {
  'NEEDS-ACTION': 'open',
  'IN-PROCESS': 'started',
  COMPLETED: 'done',
  CANCELLED: 'dropped',
};

/** A time that a property says; null where there is none that can be read. */
function timeOf(component: JcalComponent, name: string, zones: FileZones): EventTime | null {
  if (!property(component, name)) return null;
  try {
    const [time] = readTimes(component, name, zones);
    if (time) wallOf(time.start);
    return time?.start ?? null;
  } catch (error) {
    if (error instanceof RangeError) return null; // It stays as it is written.
    throw error;
  }
}

/** Whole minutes of what it is thought to take; null where that is not said, or nothing. */
function estimateOf(component: JcalComponent): number | null {
  const duration = parseDuration(textValue(component, ESTIMATE_PROPERTY));
  const minutes = duration ? duration.days * 24 * 60 + Math.round(duration.ms / MINUTE) : 0;
  return minutes > 0 ? minutes : null;
}

const wholeNumber = (component: JcalComponent, name: string, most: number): number =>
  Math.min(most, Math.max(0, Math.trunc(Number(textValue(component, name))) || 0));

/**
 * Reads one VTODO (RFC 5545 §3.6.2). What can't be read of it, or has no field, passes through.
 * @throws RuleError when its repeat can't be read.
 */
export function readTask(
  { jcal, rules }: ParsedComponent,
  zones: FileZones,
  uid: string,
  now: EpochMs,
): TaskDraft {
  if (rules[0] !== undefined) parseRule(rules[0]);
  const start = timeOf(jcal, 'dtstart', zones);
  const length = textValue(jcal, 'duration');
  const due = timeOf(jcal, 'due', zones) ?? (start && length ? addDuration(start, length) : null);
  const status = STATUSES[textValue(jcal, 'status').toUpperCase()];
  const estimate = estimateOf(jcal);
  const updated = epochOf(jcal, 'last-modified') ?? epochOf(jcal, 'dtstamp') ?? now;
  const { reminders, others } = readAlarms(jcal[2], 0);
  // What could not be read stays as it is written.
  const read = { dtstart: start, due, status, [ESTIMATE_PROPERTY]: estimate };
  const own = new Set(OWN.filter((name) => !(name in read) || read[name as keyof typeof read]));
  return newTask(
    {
      id: 'draft',
      uid,
      title: textValue(jcal, 'summary'),
      notes: textValue(jcal, 'description'),
      link: textValue(jcal, 'url'),
      start,
      due,
      estimate,
      importance: wholeNumber(jcal, 'priority', 9),
      reminders,
      ...(rules[0] !== undefined && { rule: rules[0] }),
      status: status ?? 'open',
      percent: wholeNumber(jcal, 'percent-complete', 100),
      doneAt: epochOf(jcal, 'completed'),
      created: epochOf(jcal, 'created') ?? updated,
      updated,
      revision: wholeNumber(jcal, 'sequence', Number.MAX_SAFE_INTEGER),
      passthrough: passthroughOf(jcal, rules.slice(1), others, own),
    },
    now,
  );
}
