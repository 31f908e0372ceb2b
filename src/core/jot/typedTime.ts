import type { Meaning, TimeMeant } from './meanings';
import { NO_LETTER } from './vocabulary';

/** Times in figures as they are typed, and what they mean of the day. Minutes are those of the day. */

export const HOUR = 60;
export const DAY = 24 * HOUR;
export const NOON = 12 * HOUR;

/** A time as it stands in a line; `minute` of the day as typed. */
export interface Typed {
  minute: number;
  /** "am" or "pm"; undefined where neither was said. */
  half: string | undefined;
  /** Said so that it can only be that hour: "09:30", "14:00". */
  isSure: boolean;
}

/** Hours, minutes and half of a time in figures: "9", "9:30", "9.30", "14h30", "1430", "2pm", "09:00:00". */
export const CLOCK = `(\\d{1,2})(?:([:.h])(\\d{2})(?::\\d{2})?|h|(?<=\\b\\d{2})(\\d{2}))?(?:\\s*([ap])\\.?m\\b\\.?|\\s*([ap])${NO_LETTER})?(?:\\s*o'?clock)?`;
export const GROUPS = 6;

/** What makes a number before it one that counts: "by 2 weeks", "at 50%". */
export const NOT_COUNTED = `(?!\\s*(?:%|percent|weeks?|days?|months?|years?|people|persons|pages|points?|pieces|copies|euros?|pounds?|dollars?|eur|gbp|usd|km|kg|miles?)${NO_LETTER})`;

/** An hour with its minutes right behind it, or alone: "930", "1030", "11", "230pm"; three groups. */
export const GLUED = '(\\d{1,2}?)([0-5]\\d)?(?:\\s*([ap])\\.?m?\\b\\.?)?';
export const gluedTime = (hour: string, minute: string | undefined, half: string | undefined) =>
  typed([hour, minute && ':', minute, undefined, half]);

export function typed([hours, , minutes, glued, half, short]: readonly (
  string | undefined
)[]): Typed | null {
  const hour = Number(hours);
  const minute = Number(minutes ?? glued ?? 0);
  const said = (half ?? short)?.[0];
  if (minute > 59 || hour > 24 || (said && (hour < 1 || hour > 12))) return null;
  if (hour === 24 && minute > 0) return null;
  const isSure = said !== undefined || hour >= 13 || hours!.startsWith('0');
  const base = said === 'p' ? (hour % 12) + 12 : said === 'a' ? hour % 12 : hour;
  return { minute: base * HOUR + minute, half: said, isSure };
}

/** A bare small hour is one of the working day: "at 3" is 15:00, "at 9" is 9:00. */
const likely = ({ minute, isSure }: Typed): number =>
  !isSure && minute < 7 * HOUR && minute >= HOUR ? minute + NOON : minute;

export function single(time: Typed | null): Meaning | null {
  if (!time || time.minute === DAY) return null;
  const isOpen = !time.isSure && time.minute >= HOUR && time.minute < 13 * HOUR;
  return { kind: 'time', time: { from: likely(time), to: null, isOpen } };
}

/** From a time to another, which may lie on the next day. */
function between(from: Typed | null, to: Typed | null): TimeMeant | null {
  if (!from || !to) return null;
  let [start, end] = [from.minute, to.minute];
  // "3-4pm": the half is of both, where that is in order.
  if (
    to.half === 'p' &&
    !from.isSure &&
    start < NOON &&
    start + NOON < end + (end <= NOON ? DAY : 0)
  )
    start += NOON;
  else if (!from.isSure && !to.half) start = likely(from);
  if (!to.isSure && end <= start && end < NOON && start < end + NOON) end += NOON;
  if (end <= start) end += DAY;
  const isOpen = !from.isSure && !to.isSure && start >= HOUR && start < 13 * HOUR;
  return { from: start, to: end, isOpen };
}

export function fromTo(from: Typed | null, to: Typed | null): Meaning | null {
  const time = between(from, to);
  return time && { kind: 'time', time };
}
export const span = (groups: readonly (string | undefined)[]): Meaning | null =>
  fromTo(typed(groups.slice(0, GROUPS)), typed(groups.slice(GROUPS)));

/** What joins the ends of a stretch of time. */
export const TO = '\\s*(?:-|to|until|till|til)\\s*';
