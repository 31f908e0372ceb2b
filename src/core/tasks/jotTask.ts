import type { CalendarEvent } from '../model/event';
import type { EventTime, Reminder } from '../model/common';
import { dayOf } from '../model/common';
import type { Task } from '../model/task';
import type { Jot } from '../jot/jot';
import { formatDate } from '../time/civil';

/** How a day or a time begins that may stand after "by". */
const TIMELY =
  '(?:(?:the\\s+)?\\d|(?:mon|tues?|wed(?:nes)?|thu(?:rs)?|fri|sat(?:ur)?|sun)(?:day)?\\b|' +
  '(?:today|tonight|tomorrow|next|this|end|noon|midnight)\\b|' +
  '(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)' +
  '(?:uary|ruary|ch|il|e|y|ust|t|tember|ober|ember)?\\b|in\\s+(?:\\d|an?\\b))';
/** Words before a day that say no more than that something is to be done by then. */
const DUE = new RegExp(`(^|[\\s,;(])(?:due|by|until)(?:\\s+on)?[\\s:]+(?=${TIMELY})`, 'gi');
/** A colon that parts what was said from what follows; those of times stand between figures. */
const COLON = /:(?=\s)/g;

/** A typed task as a typed event says it, letter by letter in the same place: "due Friday: order" as "    Friday  order". */
export const asEventLine = (line: string): string =>
  line
    .replaceAll(COLON, ' ')
    .replaceAll(DUE, (all: string, before: string, at: number, whole: string) => {
      const room = all.length - before.length;
      // A day of the month alone is one only after such a word.
      const needsOn = /^(?:the\s+)?\d{1,2}(?:st|nd|rd|th)/i.test(whole.slice(at + all.length));
      return before + (needsOn ? 'on' : '').padEnd(room);
    });

/** "Start Monday", "starting on 3 Dec": up to what parts it from the rest, or to when it is due. */
const START = new RegExp(
  `(^|[\\s,;(:])((?:start(?:s|ing)?|begin(?:s|ning)?)(?:\\s+on)?[\\s:]+(?=${TIMELY})(.*?)(?:\\s+and)?)(?=[,;:](?:\\s|$)|\\s+(?:due|by|until)\\s|$)`,
  'i',
);

/**
 * Parts a typed task in when it can be begun and the rest, which is blank there: "start Monday, due Friday:
 * plan". Null where it says no start.
 */
export function startIn(line: string): { start: string; rest: string } | null {
  const found = START.exec(line);
  if (!found) return null;
  const [, before, said, start] = found;
  const from = found.index + before!.length;
  const rest = line.slice(0, from) + ' '.repeat(said!.length) + line.slice(from + said!.length);
  // What parted the two is no sign of the title.
  return {
    start: start!,
    rest: rest.replace(/^(\s*)[,;:]|^(\s*)and\s/i, (all) => ' '.repeat(all.length)),
  };
}

/** Whether a line says by when something is due, so that a start in it is that of a task. */
export const saysDue = (line: string): boolean => /\bdue\b/i.test(line);

/** The start of a task as it was read by itself; null where that says no day. */
export const startOfJot = (jot: Pick<Jot, 'saysDay' | 'saysTime'>, event: CalendarEvent) =>
  jot.saysDay ? (jot.saysTime ? event.start : dateOf(event.start)) : null;

/** Reminders that count from the start of an event, as those of a task count from when it is due. */
const fromDue = (reminder: Reminder): Reminder =>
  'at' in reminder || reminder.from !== 'start' ? reminder : { ...reminder, from: 'end' };

/** The day of a time; a length that was said alone makes no hour of it. */
const dateOf = (time: EventTime): EventTime => ({ kind: 'date', date: formatDate(dayOf(time)) });

/**
 * What a typed line says of a task. `event` is what the line would be as an event, in its zone and
 * with its rule; a length is what the task is thought to take, and a day that was not said is none.
 */
export function taskOfJot(
  jot: Jot,
  event: CalendarEvent,
): Pick<
  Task,
  'title' | 'due' | 'estimate' | 'calendarId' | 'categoryIds' | 'link' | 'importance' | 'reminders'
> &
  Pick<Partial<Task>, 'rule'> {
  const hasDay = jot.saysDay || jot.saysTime || event.rule !== undefined;
  return {
    title: jot.place ? `${jot.title} at ${jot.place}` : jot.title,
    due: hasDay ? (jot.saysTime ? event.start : dateOf(event.start)) : null,
    estimate: jot.length,
    calendarId: jot.calendarId,
    categoryIds: jot.categoryIds,
    link: jot.link,
    importance: jot.extras.importance ?? 0,
    reminders: (jot.reminders ?? []).map(fromDue),
    ...(event.rule !== undefined && { rule: event.rule }),
  };
}
