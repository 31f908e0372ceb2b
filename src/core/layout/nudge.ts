import { DAY, dayOfWall, MINUTE } from '../time/civil';
import type { Span } from './drag';
import { stretchSpan } from './drag';
import type { Axis } from './press';

const DAYS_A_WEEK = 7;

/** What an arrow means in time: slots and days to go on. */
export interface KeyStep {
  slots: number;
  days: number;
}

/** The arrow keys, as steps on the screen. */
export const ARROWS: Readonly<Record<string, { x: number; y: number }>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

/** An arrow as a step in time, by where time runs on a form. */
export function stepOf({ x, y }: { x: number; y: number }, axis: Axis): KeyStep {
  if (axis === 'across') return { slots: x, days: y };
  return axis === 'down' ? { slots: y, days: x } : { slots: 0, days: x + y * DAYS_A_WEEK };
}

/** A span after one press of an arrow: moved, or with its end stretched. `slot` is in minutes. */
export function nudge(span: Span, step: KeyStep, slot: number, isStretch: boolean): Span {
  const wholeDays = step.days || step.slots;
  if (isStretch) {
    const day = dayOfWall(span.end - 1) + (span.wholeDay ? wholeDays : step.days);
    const minute = (span.end - dayOfWall(span.end) * DAY) / MINUTE;
    if (span.wholeDay) return stretchSpan(span, 'end', { day, minute }, slot);
    const end = Math.max(
      span.start + slot * MINUTE,
      span.end + step.slots * slot * MINUTE + step.days * DAY,
    );
    return { ...span, end };
  }
  const ms = span.wholeDay ? wholeDays * DAY : step.slots * slot * MINUTE + step.days * DAY;
  return { ...span, start: span.start + ms, end: span.end + ms };
}
