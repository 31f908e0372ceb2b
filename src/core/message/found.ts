import type { ReadJot } from '../jot/jot';
import { readJot } from '../jot/jot';
import type { JotContext } from '../jot/rule';
import { asEventLine } from '../tasks/jotTask';
import { DAY, dayOfWall } from '../time/civil';
import type { DayNumber, WallMs } from '../time/units';
import type { Clause } from './clauses';
import type { Point } from './lists';
import { offersIn, programmeIn } from './lists';
import { clausesOf, masked, sentencesOf } from './clauses';
import {
  CALLED_OFF,
  COME_BY,
  COMING,
  DEADLINE,
  DEADLINE_AT,
  EXPLICIT,
  HOURS_UNTIL,
  OR,
  PAST,
  TURNED_DOWN,
  USUAL_HOURS,
  WEEKDAY_SAID,
  WITH_YEAR,
} from './words';

/** When a passage was written, on the reader's clock; the times in it count from then. */
export interface Base {
  written: WallMs;
  isKnown: boolean;
  isQuoted: boolean;
}

/** A time that a sentence names, as what it asks for. */
export interface Found {
  clause: Clause;
  sentence: string;
  base: Base;
  isTask: boolean;
  /** What of it is not sure by how it was said. */
  doubts: string[];
  /** The points of a programme that it is. */
  points?: readonly Point[];
}

const ONE_OF = 'It is one of several times.';
export const OTHER_DAY = 'The day may be another one.';
/** A day so far ahead that was said without its year is more likely over. */
const FAR = 300;

/** Whether a sentence only tells of what was, or of every week's hours. */
function isBesides(sentence: string, { read }: Clause, base: Base): boolean {
  if (USUAL_HOURS.test(sentence)) return true;
  const isOver = read.saysDay && read.end <= dayOfWall(base.written) * DAY;
  if (isOver) return true;
  const isFar =
    read.saysDay &&
    dayOfWall(read.start) - dayOfWall(base.written) > FAR &&
    !WITH_YEAR.test(sentence);
  return isFar || (PAST.test(sentence) && !COMING.test(sentence));
}

/** Gives a clause that names only a time the day of another. */
function onDay(read: ReadJot, day: DayNumber): ReadJot {
  const shift = day * DAY - dayOfWall(read.start) * DAY;
  return { ...read, start: read.start + shift, end: read.end + shift };
}

/** Joins the day of one clause with the time of another. */
export function joined(day: Found, time: Found): Found {
  const read = onDay(time.clause.read, dayOfWall(day.clause.read.start));
  const text = `${day.clause.text} ${time.clause.text}`;
  const points = time.points ?? day.points;
  return {
    ...time,
    ...(points && { points }),
    isTask: day.isTask || time.isTask,
    doubts: [...new Set([...day.doubts, ...time.doubts])],
    sentence: day.sentence === time.sentence ? time.sentence : `${day.sentence} ${time.sentence}`,
    clause: { text, read: { ...read, saysDay: true, other: day.clause.read.other } },
  };
}

/** Times before the only day of their sentence are on it, too: "doors 19:00, talk 19:30 on Friday". */
function shared(clauses: readonly Clause[]): Clause[] {
  const [only, another] = clauses.filter(({ read }) => read.saysDay);
  if (!only || another || clauses.at(-1) !== only || !only.read.saysTime) return [...clauses];
  const day = dayOfWall(only.read.start);
  return clauses.map((clause) =>
    clause === only
      ? clause
      : {
          ...clause,
          text: `${clause.text} ${only.text}`,
          read: { ...onDay(clause.read, day), saysDay: true },
        },
  );
}

/** A day in figures that is over, read in one order of them, may be one to come in the other. */
function toCome(one: Found): Found {
  const { clause, base } = one;
  const { read } = clause;
  const today = dayOfWall(base.written) * DAY;
  if (!read.saysDay || read.end > today || !read.other || read.other.end <= today) return one;
  return {
    ...one,
    clause: { ...clause, read: { ...read, ...read.other, other: read.other } },
    doubts: [...one.doubts, OTHER_DAY],
  };
}

/** Nobody calls today by its weekday: "Tuesday", written on a Tuesday, is most likely the next one. */
function thatWeekday(one: Found): Found {
  const { clause, base } = one;
  const { read, text } = clause;
  const today = dayOfWall(base.written);
  const isToday = read.saysDay && dayOfWall(read.start) === today;
  const isBare =
    WEEKDAY_SAID.test(text) && !EXPLICIT.test(text) && !/\b(?:today|this)\b/i.test(text);
  const isAWeekOn = /\bweek\b/i.test(text) && isBare && (dayOfWall(read.start) - today) % 7 === 0;
  if (isAWeekOn) return { ...one, doubts: [...one.doubts, OTHER_DAY] };
  if (!isToday || !isBare) return one;
  return {
    ...one,
    clause: { ...clause, read: onDay(read, today + 7) },
    doubts: [...one.doubts, OTHER_DAY],
  };
}

/** A new time without a day is on the day of the old one. */
function moveDay(one: Found, context: JotContext): Found {
  const { clause } = one;
  if (clause.movedFrom === undefined || clause.read.saysDay) return one;
  const was = readJot(clause.movedFrom, context);
  if (!was.saysDay) return one;
  const read = { ...onDay(clause.read, dayOfWall(was.start)), saysDay: true };
  return { ...one, clause: { ...clause, read } };
}

/** "from Monday until Wednesday", "postponed until Monday": no deadline, but an end, or another time. */
const untilAsTo = (sentence: string): string =>
  sentence
    .replaceAll(/\b(from\s+[^.;]{1,60}?)\s+(?:until|till)\s+/gi, '$1 to ')
    .replaceAll(
      /\b((?:postpon|mov|push|delay|reschedul|put\s+off)\w*[^.;]{0,60}?)\s+(?:until|till)\s+/gi,
      '$1 to ',
    );

const BY_FOR =
  /^(.*?\b(?:by|before)\s+.{2,40}?)\s+((?:(?:for|to\s+(?:attend|join))\s+(?:the|our|your)|whether|if|that)\b.*)$/i;

/** "Answer by Monday for the supper on Friday" in what is asked by then and what it is for. */
function parted(sentence: string): string[] {
  const [, asked, what] = BY_FOR.exec(sentence) ?? [];
  return asked && what && /\d|day\b/i.test(what) ? [asked, what] : [sentence];
}

/** A sentence as its clauses are read: of a task without the words that say by when. */
const asLine = (sentence: string, isTask: boolean) =>
  isTask
    ? asEventLine(
        sentence.replaceAll(
          /\b(before|no later than|not later than|latest|deadline(?: is)?:?)\b/gi,
          'by',
        ),
      )
    : sentence;

/** Whether a sentence calls off what it names, and gives no other time for it. */
const isCalledOff = (sentence: string, clauses: readonly Clause[]) =>
  CALLED_OFF.test(sentence) &&
  !clauses.some(({ movedFrom }) => movedFrom) &&
  !/\b(?:instead|but|moved|new\s+time|new\s+date)\b/i.test(sentence);

/** Puts what is found next to what was: a day and a time that stand apart belong together. */
function put(found: Found[], one: Found): void {
  const last = found.at(-1);
  const { saysDay, saysTime } = one.clause.read;
  const before = last?.clause.read;
  if (!last || !before || saysDay === saysTime) {
    found.push(one);
  } else if (saysTime && before.saysDay) {
    if (before.saysTime) found.push(joined(last, one));
    else found[found.length - 1] = joined(last, one);
  } else if (saysDay && before.saysTime && !before.saysDay) {
    const sentence = last.sentence === one.sentence ? '' : `${last.sentence} ${one.sentence}`;
    found[found.length - 1] = joined(one, sentence ? { ...last, sentence } : last);
  } else found.push(one);
}

/** The times that a text names and asks for something at. What it calls off goes to `remarks`. */
export function foundIn(text: string, base: Base, context: JotContext, remarks: string[]): Found[] {
  const found: Found[] = [];
  const offered = offersIn(text);
  const programme = programmeIn(text);
  const said = sentencesOf(programme.text);
  const isProgramme = (sentence: string) =>
    programme.line !== null && programme.line.trim().endsWith(sentence);
  for (const sentence of said.flatMap(parted)) {
    const bare = masked(untilAsTo(sentence))
      .replaceAll(COME_BY, 'come')
      .replaceAll(HOURS_UNTIL, '');
    const isTask = DEADLINE.test(bare) && DEADLINE_AT.test(bare);
    const clauses = clausesOf(asLine(untilAsTo(sentence), isTask), context);
    if (clauses.length && isCalledOff(sentence, clauses)) {
      remarks.push(`It says that something does not take place: “${sentence}”`);
      continue;
    }
    const isOffer = offered.has(sentence) || (clauses.length > 1 && OR.test(bare));
    const doubts = isOffer ? [ONE_OF] : [];
    for (const clause of shared(clauses)) {
      if (TURNED_DOWN.test(clauses.length > 1 ? clause.text : sentence)) continue;
      if (clauses.length > 1 && CALLED_OFF.test(clause.text)) continue;
      const points = isProgramme(sentence) ? { points: programme.points } : {};
      const named = { clause, sentence, base, isTask, doubts, ...points };
      const one = toCome(thatWeekday(moveDay(named, context)));
      if (!isBesides(sentence, one.clause, base)) put(found, one);
    }
  }
  return found;
}
