import { wallOf, zoneOf } from '../model/common';
import type { CalendarEvent } from '../model/event';
import { isWholeDay } from '../model/event';
import type { Repeat, RepeatContext } from '../recurrence/repeat';
import { firstStart, readRepeat, writeRepeat } from '../recurrence/repeat';
import type { Weekday } from '../time/civil';
import { timesAt } from './series/dates';

/** What an event's rule is read and written against. */
export function repeatContext(event: CalendarEvent, workdays: readonly Weekday[]): RepeatContext {
  return {
    start: wallOf(event.start),
    zone: zoneOf(event.start),
    wholeDay: isWholeDay(event),
    workdays,
  };
}

/** How an event repeats, as the editor shows it. */
export function repeatOf(event: CalendarEvent, workdays: readonly Weekday[]): Repeat {
  return readRepeat(event.rule, repeatContext(event, workdays));
}

/** An event that repeats as was chosen. It begins on the first day from its start on that the repeat has. */
export function withRepeat(
  event: CalendarEvent,
  repeat: Repeat,
  workdays: readonly Weekday[],
): CalendarEvent {
  const context = repeatContext(event, workdays);
  const rule = writeRepeat(repeat, context);
  const { rule: _rule, ...single } = event;
  if (rule === undefined) return single;
  const start = firstStart(repeat.pattern, context.start, workdays);
  const times = start === context.start ? {} : timesAt(event, start);
  return { ...single, ...times, rule };
}
