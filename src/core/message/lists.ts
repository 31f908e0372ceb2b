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

const POINT = /^\s*(?:[-*•–]\s*)?(\d{1,2}[:.]\d{2}(?:\s*[ap]m)?)\s*(?:[-–:]\s*)?(?=\p{L})/iu;
const LEAST_POINTS = 3;

/** A text in which the points of one event ("9:00 Welcome", line by line) are its first and last time. */
export function programmeAsOne(text: string): string {
  const lines = text.split('\n');
  const first = lines.findIndex((line) => POINT.test(line));
  if (first < 1) return text;
  let next = first;
  while (next < lines.length && POINT.test(lines[next]!)) next++;
  if (next - first < LEAST_POINTS) return text;
  const [from, to] = [lines[first]!, lines[next - 1]!].map((line) => POINT.exec(line)![1]!);
  const head = lines[first - 1]!.replace(/[\s:,]+$/, '');
  return [...lines.slice(0, first - 1), `${head}, ${from} - ${to}`, ...lines.slice(next)].join(
    '\n',
  );
}
