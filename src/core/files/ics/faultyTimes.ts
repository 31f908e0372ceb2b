import { parseLocal } from '../../time/civil';
import { mendLines } from './mendLines';
import type { RawLine } from './scan';

/** What a line with times is called, and how its value begins where it is none of the standard's. */
const SAYS: Readonly<Record<string, string>> = {
  DTSTART: 'its start',
  DTEND: 'its end',
  DUE: 'its due date',
  'RECURRENCE-ID': 'the date of its series',
  RDATE: 'an added date',
  EXDATE: 'a left-out date',
};
const LINE = /^(DTSTART|DTEND|DUE|RECURRENCE-ID|RDATE|EXDATE)(?:;(?:[^":]|"[^"]*")*)?:(.*)$/is;
const TIME = /^(\d{4})(\d{2})(\d{2})(?:T(\d{2})(\d{2})(\d{2})Z?)?$/;
const MOST_SAID = 40;

function isTime(text: string): boolean {
  const [, year, month, day, hour = '00', minute = '00', second = '00'] = TIME.exec(text) ?? [];
  if (year === undefined) return false;
  try {
    parseLocal(`${year}-${month}-${day}T${hour}:${minute}:${second}`);
    return true;
  } catch (error) {
    if (error instanceof RangeError) return false;
    throw error;
  }
}

/**
 * Which time of an entry is none, in the person's words: "its start “soon” is no date or time". Null
 * where each can be read.
 */
export function faultyTime(lines: readonly RawLine[]): string | null {
  for (const { text } of mendLines(lines)) {
    const [, name, value] = LINE.exec(text) ?? [];
    if (name === undefined) continue;
    const faulty = value!
      .split(',')
      .map((one) => one.split('/')[0]!)
      .find((one) => !isTime(one.trim()));
    if (faulty !== undefined)
      return `${SAYS[name.toUpperCase()]} “${faulty.slice(0, MOST_SAID)}” is no date or time`;
  }
  return null;
}
