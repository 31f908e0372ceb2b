import { isTop, partOn } from '../agenda/parts';
import type { DayNumber, MinuteOfDay } from '../time/units';
import type { Printed, Printing } from './printing';

/** The hours of a page, in minutes of the day, on whole hours. */
export interface Hours {
  from: MinuteOfDay;
  to: MinuteOfDay;
}

/** The hours that a page of some days has: those that the sheet shows, or as far as there are events. */
export function hoursOf(
  events: readonly Printed[],
  days: readonly DayNumber[],
  { setup, fromMinute, toMinute }: Pick<Printing, 'setup' | 'fromMinute' | 'toMinute'>,
): Hours {
  if (setup.hours === 'shown') return { from: fromMinute, to: toMinute };
  let [from, to] = [24 * 60, 0];
  for (const day of days)
    for (const { o } of events) {
      const part = isTop(o) ? null : partOn(o, day);
      if (part) [from, to] = [Math.min(from, part.from), Math.max(to, part.to)];
    }
  if (from >= to) return { from: fromMinute, to: toMinute };
  return { from: Math.floor(from / 60) * 60, to: Math.ceil(to / 60) * 60 };
}

/** What of a day's timed events lies within hours, and what wholly outside of them. */
export function withinHours(
  events: readonly Printed[],
  day: DayNumber,
  { from, to }: Hours,
): { tops: Printed[]; inside: { event: Printed; from: number; to: number }[]; outside: Printed[] } {
  const tops: Printed[] = [];
  const inside: { event: Printed; from: number; to: number }[] = [];
  const outside: Printed[] = [];
  for (const event of events) {
    const part = partOn(event.o, day);
    if (!part) continue;
    if (isTop(event.o)) tops.push(event);
    else if (part.to <= from && part.from < from) outside.push(event);
    else if (part.from >= to) outside.push(event);
    else inside.push({ event, from: Math.max(from, part.from), to: Math.min(to, part.to) });
  }
  return { tops, inside, outside };
}
