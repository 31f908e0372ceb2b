import { parseClock } from '../../jot/clock';
import { DAY, dayOfWall, MINUTE, parseLocal } from '../../time/civil';
import type { DayNumber, MinuteOfDay } from '../../time/units';
import { parseUtcOffset } from '../../time/utcOffset';
import { wallFromInstant } from '../../time/zones';
import type { DateOrder } from './dates';
import { readDate } from './dates';

/** What a cell says of when: a day, a time of the day, or both. */
export interface Moment {
  day: DayNumber | null;
  minute: MinuteOfDay | null;
}

/** From a moment, and to another where the cell says one. */
export interface Stretch {
  from: Moment;
  to: Moment | null;
}

const NAMED: Readonly<Record<string, MinuteOfDay>> = { noon: 720, midday: 720, midnight: 0 };
const CLOCK = /^\d{1,2}(?:[:.h]\d{2})?(?:[:.]\d{2}(?:[.,]\d+)?)?\s*(?:h|[ap]\.?\s?m\.?)?$/i;

/** The minute of the day of a time by itself: "9:15", "9:15:00 AM", "9.15", "0915", "2 pm", "noon". */
export function readTime(text: string): MinuteOfDay | null {
  const wanted = text.trim().toLowerCase();
  if (Object.hasOwn(NAMED, wanted)) return NAMED[wanted]!;
  if (/^\d{3,4}$/.test(wanted)) return parseClock(wanted);
  // A bare number may be anything.
  if (/^\d+$/.test(wanted) || !CLOCK.test(wanted)) return null;
  return parseClock(
    wanted
      .replace(/^(\d{1,2})[:.h](\d{2})(?:[:.]\d{2}(?:[.,]\d+)?)?/, '$1:$2')
      .replace(/\s*([ap])\.?\s?m\.?$/, '$1m'),
  );
}

/** An instant as devices write it; two groups: its wall time, and its zone's offset. */
const STAMP = /^(\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}(?::\d{2})?)(?:[.,]\d+)?\s*(Z|[+-]\d{2}:?\d{2})$/i;

function readStamp(text: string, zone: string): Moment | null {
  const [, local, offset] = STAMP.exec(text) ?? [];
  if (local === undefined) return null;
  try {
    const wall = wallFromInstant(
      parseLocal(local.replace(' ', 'T')) - parseUtcOffset(offset!),
      zone,
    );
    const day = dayOfWall(wall);
    return { day, minute: Math.floor((wall - day * DAY) / MINUTE) };
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

/** Places at which a time may begin behind a date. */
const BEHIND = /(?:,\s*|\s+|T)(?=\d|noon|mid)/gi;

function readMoment(text: string, order: DateOrder, zone: string): Moment | null {
  const stamp = readStamp(text, zone);
  if (stamp) return stamp;
  const minute = readTime(text);
  if (minute !== null) return { day: null, minute };
  for (const { index, 0: gap } of text.matchAll(BEHIND)) {
    const time = readTime(text.slice(index + gap.length));
    const day = time === null ? null : readDate(text.slice(0, index), order);
    if (day !== null) return { day, minute: time };
  }
  const day = readDate(text, order);
  return day === null ? null : { day, minute: null };
}

const JOINS = /\s*(?:[-–—]|\bto\b|\buntil\b)\s*/gi;

/** A cell as a stretch, or a moment alone; null when it says neither. Times are on the clock of `zone`. */
export function readStretch(cell: string, order: DateOrder, zone: string): Stretch | null {
  const text = cell.trim();
  const stamp = readStamp(text, zone);
  if (stamp) return { from: stamp, to: null };
  for (const { index, 0: join } of text.matchAll(JOINS)) {
    const from = readWhole(text.slice(0, index), order, zone);
    const to = from && readWhole(text.slice(index + join.length), order, zone);
    if (from && to) return { from, to };
  }
  const from = readMoment(text, order, zone);
  return from && { from, to: null };
}

/** A date in full, and nothing behind it. */
const FULL_DATE =
  /^(?:\p{L}+\.?,?\s+)?(?:\d{1,4}[./-]\d{1,2}[./-]\d{1,4}|\d{1,2}\S*\s+\p{L}+\.?,?\s+\d{4}|\p{L}+\s+\d{1,2}\S*\s+\d{4})$/u;

/** A moment that is all of a text: of "24" and "11-2026" neither is one. */
function readWhole(text: string, order: DateOrder, zone: string): Moment | null {
  const moment = readMoment(text, order, zone);
  if (!moment || moment.minute !== null) return moment;
  return FULL_DATE.test(text) ? moment : null;
}
