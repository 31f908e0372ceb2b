import { DAY, dayOfWall, MINUTE } from '../time/civil';
import type { DayNumber } from '../time/units';

/** Pure arithmetic of dragging on a sheet: days are day numbers, minutes are of the day, times wall ms. */

export interface Span {
  start: number;
  end: number;
  wholeDay: boolean;
  /** It is to last as long as that, whatever clocks do meanwhile ("for 30 min"); else it ends when a clock says so. */
  lasts?: true;
}

/** A place on the sheet. */
export interface Spot {
  day: DayNumber;
  minute: number;
}

/** A minute on the nearest step of the slot. */
function snap(minute: number, slot: number): number {
  return Math.round(minute / slot) * slot;
}

/** The slot's step at or before a minute: where a press begins something. */
export function snapDown(minute: number, slot: number): number {
  return Math.floor(minute / slot) * slot;
}

/** A span moved by what the pointer went from where it took hold. Whole days move by days only. */
export function moveSpan(span: Span, grabbed: Spot, at: Spot, slot: number): Span {
  const days = at.day - grabbed.day;
  const length = span.end - span.start;
  if (span.wholeDay) {
    const start = span.start + days * DAY;
    return { ...span, start, end: start + length };
  }
  const startDay = dayOfWall(span.start);
  const startMinute = (span.start - startDay * DAY) / MINUTE;
  const went = at.minute - grabbed.minute;
  // A pointer that only wavered leaves the minutes as they were, even off the slot.
  const minute = Math.abs(went) < slot / 2 ? startMinute : snap(startMinute + went, slot);
  const start = (startDay + days) * DAY + minute * MINUTE;
  return { ...span, start, end: start + length };
}

/** A span with one end put to a spot; it keeps at least one slot, or one day. */
export function stretchSpan(span: Span, edge: 'start' | 'end', at: Spot, slot: number): Span {
  if (span.wholeDay) {
    return edge === 'start'
      ? { ...span, start: Math.min(at.day * DAY, span.end - DAY) }
      : { ...span, end: Math.max((at.day + 1) * DAY, span.start + DAY) };
  }
  const wall = at.day * DAY + snap(at.minute, slot) * MINUTE;
  return edge === 'start'
    ? { ...span, start: Math.min(wall, span.end - slot * MINUTE) }
    : { ...span, end: Math.max(wall, span.start + slot * MINUTE) };
}

/** The span between two spots of a day, in either direction; at least one slot. */
export function spanBetween(from: Spot, to: Spot, slot: number): Span {
  const [low, high] = [from.minute, to.minute].sort((a, b) => a - b) as [number, number];
  const start = snapDown(low, slot);
  const end = Math.max(snap(high, slot), start + slot);
  return {
    start: from.day * DAY + start * MINUTE,
    end: from.day * DAY + Math.min(end, 1440) * MINUTE,
    wholeDay: false,
  };
}

/** The whole days from one day (day number) to another, in either direction. */
export function daysBetween(from: number, to: number): Span {
  return { start: Math.min(from, to) * DAY, end: (Math.max(from, to) + 1) * DAY, wholeDay: true };
}
