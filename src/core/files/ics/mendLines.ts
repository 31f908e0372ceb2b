import { DAY, dayOfWall, formatDate, formatLocal, MINUTE, parseDate } from '../../time/civil';
import type { DayNumber } from '../../time/units';
import { parseUtcOffset } from '../../time/utcOffset';
import type { RawLine } from './scan';

/**
 * Lines that say plainly what they mean, though not as the standard writes it, put into its form:
 * dates with hyphens and colons, the 24th hour, times with an offset, and texts in which every odd
 * character is a number (QUOTED-PRINTABLE, as vCalendar 1.0 has them).
 */

const TIMES = /^(DTSTART|DTEND|DUE|RECURRENCE-ID|RDATE|EXDATE)([;:].*)$/is;
const RULE_UNTIL = /^(RRULE[;:].*?UNTIL=)([^;]*)(.*)$/is;
/** A date, with a time or without, in the basic form of ISO 8601 or the one with signs. */
const TIME =
  /^(\d{4})(-?)(\d{2})\2(\d{2})(?:[T ](\d{2}):?(\d{2})(?::?(\d{2})(?:[.,]\d+)?)?\s*(Z|[+-]\d{2}:?\d{2})?)?$/i;

/** The day number of a date that there is; null for one that no month has. */
function dayOf(date: string): DayNumber | null {
  try {
    return parseDate(date);
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

const basic = (day: DayNumber) => formatDate(day).replaceAll('-', '');

/** A date or a time as the standard writes it; what is none stays, and is told of where it is read. */
function mendedTime(text: string): string {
  const [, year, , month, dayOfMonth, hour, minute, second = '00', zone] =
    TIME.exec(text.trim()) ?? [];
  const day = year === undefined ? null : dayOf(`${year}-${month}-${dayOfMonth}`);
  if (day === null) return text;
  if (hour === undefined) return basic(day);
  const isOffset = zone !== undefined && zone.toUpperCase() !== 'Z';
  const z = zone === undefined ? '' : 'Z';
  if (hour !== '24' && !isOffset) return `${basic(day)}T${hour}${minute}${second}${z}`;
  if (hour === '24' && minute !== '00') return text;
  const wall =
    day * DAY +
    (Number(hour) * 60 + Number(minute)) * MINUTE -
    (isOffset ? parseUtcOffset(zone) : 0);
  const time = formatLocal(wall).slice(11, 16).replace(':', '');
  return `${basic(dayOfWall(wall))}T${time}${second}${z}`;
}

/** Where the value of a content line begins: behind the first colon outside of quotes. */
const VALUE = /^((?:[^":]|"[^"]*")*:)(.*)$/s;

function mendedTimes(text: string): string {
  const [, head, value] = VALUE.exec(text) ?? [];
  if (head === undefined) return text;
  const mended = value!
    .split(',')
    .map((one) => one.split('/').map(mendedTime).join('/'))
    .join(',');
  return head + mended;
}

const IN_NUMBERS =
  /^((?:[^":]|"[^"]*")*?);ENCODING="?QUOTED-PRINTABLE"?((?:[^":]|"[^"]*")*):(.*)$/is;
const CHARSET = /;CHARSET="?([\w-]+)"?/i;
/** RFC 2045 §6.7: a line that ends in "=" goes on. */
const GOES_ON = /=\s*$/;

/** The text of bytes in a charset that a file names; Western European where nobody knows it. */
function decoded(bytes: Uint8Array, charset: string): string {
  try {
    return new TextDecoder(charset).decode(bytes);
  } catch (error) {
    if (error instanceof RangeError) return new TextDecoder('windows-1252').decode(bytes);
    throw error;
  }
}

/** The text of a QUOTED-PRINTABLE value, as iCalendar writes a text. */
function fromNumbers(value: string, charset: string): string {
  const bytes: number[] = [];
  const utf8 = new TextEncoder();
  for (const [piece, number] of value.matchAll(/=([0-9a-f]{2})|[^=]+|=/gi))
    bytes.push(...(number === undefined ? utf8.encode(piece) : [Number.parseInt(number, 16)]));
  return decoded(Uint8Array.from(bytes), charset).replaceAll(/\r\n|\r|\n/g, '\\n');
}

/** What nearly all lines with times end in: nothing is to be mended there. */
const PLAIN_TIME = /:\d{8}(?:T(?!24)\d{6}Z?)?$/;

/** A line by itself, its times in the standard's form. */
function mendedLine(text: string): string {
  if (TIMES.test(text)) return PLAIN_TIME.test(text) ? text : mendedTimes(text);
  const until = RULE_UNTIL.exec(text);
  return until ? until[1]! + mendedTime(until[2]!) + until[3]! : text;
}

/** The line of a text in numbers, with the lines that it goes on in. */
function mendedText(text: string): string {
  const [, head, rest, value] = IN_NUMBERS.exec(text)!;
  const parameters = head! + rest!;
  const charset = CHARSET.exec(parameters)?.[1] ?? 'utf-8';
  return `${parameters.replace(CHARSET, '')}:${fromNumbers(value!, charset)}`;
}
/** Parameters stand at the head of a line. */
const HEAD = 120;
const isInNumbers = (text: string) =>
  /;ENCODING="?QUOTED/i.test(text.slice(0, HEAD)) && IN_NUMBERS.test(text);

/** Content lines of a component with those mended that can be. */
export function mendLines(lines: readonly RawLine[]): RawLine[] {
  const mended: RawLine[] = [];
  for (let i = 0; i < lines.length; i++) {
    const line = lines[i]!;
    let { text } = line;
    if (isInNumbers(text)) {
      while (GOES_ON.test(text) && i + 1 < lines.length)
        text = text.replace(GOES_ON, '') + lines[++i]!.text;
      text = mendedText(text);
    } else text = mendedLine(text);
    mended.push(text === line.text ? line : { ...line, text });
  }
  return mended;
}
