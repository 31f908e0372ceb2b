import type { ReadJot } from '../jot/jot';
import type { Weekday } from '../time/civil';
import { DAY, dayOfWall, MINUTE, weekdayOf } from '../time/civil';
import { wallFromInstant } from '../time/zones';
import type { Found } from './found';
import { OTHER_DAY } from './found';
import type { Message } from './message';
import { ALL_DAY, CLOCK_SAID, DAY_END, EXPLICIT, REQUEST, UNCERTAIN, WEEKDAY_SAID } from './words';

const NAMES_OF_DAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];
const FULL_DAYS = 'Monday Tuesday Wednesday Thursday Friday Saturday Sunday'.split(' ');

const NO_DAY = 'No day was named.';
export const NO_TIME = 'No time was named.';

/** Not of a date in figures: "03.12.26", "27.11.". */
const CLOCK_TIMES = /(?<!\d[./])\b\d{1,2}(?:[:.]\d{2}\b(?![./]\d|\.\s)(?:\s*[ap]m)?|\s*[ap]m\b)/gi;
const RANGE = /\d\s*(?:am|pm)?\s*(?:-|to|until|till|and)\s*\d|\d\s+to\s+\w/i;

/** Whether a clause names more times than the one, or the two ends, that were taken from it. */
const hasMoreTimes = (clause: string): boolean =>
  (clause.match(CLOCK_TIMES)?.length ?? 0) > (RANGE.test(clause) ? 2 : 1);

const DATES =
  /\d{1,2}(?:st|nd|rd|th)?\s+(?:of\s+)?(?:jan|feb|mar|apr|may|june?|july?|aug|sep|oct|nov|dec)|\d{1,2}[/.]\d{1,2}[/.]\d{2,4}/gi;
/** Whether a clause names more dates than the two ends of what it says. */
const hasMoreDays = (clause: string): boolean =>
  (clause.match(DATES)?.length ?? 0) >
  (/\d\s*(?:-|to)\s|\bto\s+(?:\w+\s+)?\d/i.test(clause) ? 2 : 1);

/** Whether only a part of the day was said, of which a time was made. */
const isPartOnly = ({ clause: { read, text }, isTask }: Found) =>
  read.saysTime && !CLOCK_SAID.test(text) && !(isTask && DAY_END.test(text));

const isRange = (read: ReadJot) => read.wholeDay && read.end - read.start > DAY;

/** A weekday that is not that of its date; null where they go together. */
function clashOfDays({ clause: { text, read } }: Found): string | null {
  const said = WEEKDAY_SAID.exec(text)?.[1]?.toLowerCase();
  if (!said || !EXPLICIT.test(text) || !read.saysDay) return null;
  const [meant, weekday] = [
    NAMES_OF_DAYS.indexOf(said) as Weekday,
    weekdayOf(dayOfWall(read.start)),
  ];
  return meant === weekday
    ? null
    : `That day is a ${FULL_DAYS[weekday]}, not a ${FULL_DAYS[meant]}.`;
}

/** A time that was said without its zone, by somebody whose clock is another. */
function clockElsewhere(message: Message, read: ReadJot, zone: string): string | null {
  const { offset, sent } = message;
  if (read.zone !== null || read.wholeDay || offset === null || sent === null) return null;
  const own = Math.round((wallFromInstant(sent, zone) - sent) / MINUTE);
  return own === offset
    ? null
    : 'It was written where clocks show another time: it may be meant by that one.';
}

/** What is not sure of what was found, in words for the person. `zone` is the reader's. */
export function doubtsOf(found: Found, message: Message, zone: string): string[] {
  const { clause, sentence, base, isTask } = found;
  const { read, text } = clause;
  const isTimeless = read.saysDay && !read.saysTime && !ALL_DAY.test(sentence) && !isRange(read);
  const isOther = read.other && dayOfWall(read.other.start) !== dayOfWall(read.start);
  const isRelative = read.saysDay && !EXPLICIT.test(text) && !base.isKnown;
  const doubts = [
    ...found.doubts,
    !read.saysDay && read.repeat.pattern.kind === 'none' && NO_DAY,
    isRelative && 'Nothing says when it was written: the day counts from today.',
    base.isQuoted && 'It stands in what was answered.',
    clashOfDays(found),
    isOther && OTHER_DAY,
    ...read.problems,
    !isTask && isTimeless && NO_TIME,
    hasMoreDays(text) && 'More than one day was named.',
    hasMoreTimes(text) && 'More than one time was named.',
    isPartOnly(found) && 'Only a part of the day was named.',
    UNCERTAIN.test(sentence) && 'It was not said for certain.',
    clockElsewhere(message, read, zone),
    isTask && !REQUEST.test(sentence) && 'It may be no task.',
  ].filter((doubt) => typeof doubt === 'string');
  return [...new Set(doubts)];
}
