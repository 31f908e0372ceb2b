import { parseClock } from '../jot/clock';
import { sentencesOf } from './clauses';

/** Lists of times in a text: offers of which one is to be chosen, and the points of one event. */

const BULLET = /^\s*(?:[-*•–+]|\(?\d{1,2}[.)]|\(?[a-c]\))\s+(?=\S)/;
const NAMES_DAY =
  /\b(?:(?:mon|tues?|wed(?:nes)?|thu(?:rs?)?|fri|sat(?:ur)?|sun)(?:day)?|today|tomorrow|\d{1,2}(?:st|nd|rd|th)?\s+\p{L}{3,}|\d{1,2}[/.]\d{1,2})\b/iu;
const CHOICE =
  /\b(?:offer|options?|slots?|propos\w+|suggest\w*|following|which|suits?|works?|prefer|choose|choice|either|alternatives?|any\s+of|could\s+do|available|availability|pick|possible)\b/i;
const LEAST_OFFERED = 2;

/** The sentences of a text that are lines of a list from which a time is to be chosen. */
export function offersIn(text: string): ReadonlySet<string> {
  if (!CHOICE.test(text)) return new Set();
  const lines = text.split('\n').filter((line) => BULLET.test(line) && NAMES_DAY.test(line));
  return lines.length < LEAST_OFFERED
    ? new Set()
    : new Set(lines.flatMap((line) => sentencesOf(line)));
}

const POINT = /^\s*(?:[-*•–]\s*)?(\d{1,2}[:.]\d{2}(?:\s*[ap]m)?)\s*(?:[-–:]\s*)?(\p{L}.*?)\s*$/iu;
const LEAST_POINTS = 3;
/** The last line of a programme may only say that it is over. */
const IS_END = /^(?:the\s+)?(?:end|ends|close|finish|finished|over|departure)\b\W*$/i;

/** A point of a programme, and the minutes from it to the next; 0 for the last. */
export interface Point {
  text: string;
  minutes: number;
}

/** A text with a programme in it, line by line, as one line, and the points of that. */
export interface Programme {
  text: string;
  /** The line that the programme has become; null where there is none. */
  line: string | null;
  points: Point[];
}

/** Minutes from one time to the next, on a clock of twelve hours or of twenty-four. */
function minutesBetween(from: string, to: string): number {
  const minutes = (parseClock(to) ?? 0) - (parseClock(from) ?? 0);
  return minutes < 0 ? minutes + 12 * 60 : minutes;
}

/** Reads the points of one event ("9:00 Welcome", line by line) as its first and last time. */
export function programmeIn(text: string): Programme {
  const none = { text, line: null, points: [] };
  const lines = text.split('\n');
  const first = lines.findIndex((line) => POINT.test(line));
  if (first < 1) return none;
  let next = first;
  while (next < lines.length && POINT.test(lines[next]!)) next++;
  if (next - first < LEAST_POINTS) return none;
  const timed = lines.slice(first, next).map((line) => POINT.exec(line)!);
  const points = timed.map(([, at, said], i) => ({
    text: said!,
    minutes: timed[i + 1] ? minutesBetween(at!, timed[i + 1]![1]!) : 0,
  }));
  if (IS_END.test(points.at(-1)!.text)) points.pop();
  const head = lines[first - 1]!.replace(/[\s:,]+$/, '');
  const line = `${head}, ${timed[0]![1]} - ${timed.at(-1)![1]}`;
  return {
    text: [...lines.slice(0, first - 1), line, ...lines.slice(next)].join('\n'),
    line,
    points,
  };
}
