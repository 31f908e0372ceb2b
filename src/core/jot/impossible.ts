import { daysInMonth } from '../time/civil';
import { LETTER, MONTH, NO_LETTER, monthNamed } from './vocabulary';

const MONTHS =
  'January February March April May June July August September October November December'.split(
    ' ',
  );
const CLOCK = /(?<![\d.:/-])(\d{1,2}):(\d{2})(?![\d:])/g;
const DAY_MONTH = new RegExp(
  `(?<![\\d/.])(\\d{1,2})(?:st|nd|rd|th)?\\s+(?:of\\s+)?(${MONTH})${NO_LETTER}`,
  'gu',
);
const MONTH_DAY = new RegExp(
  `(?<![${LETTER}])(${MONTH})\\s+(\\d{1,2})(?:st|nd|rd|th)?(?![\\d:.])`,
  'gu',
);
const FIGURES = /(?<![\d/])(\d{1,2})\/(\d{1,2})(?![\d/])/g;
/** February has 29 days in some years. */
const LEAP_YEAR = 2024;

const hasDay = (month: number, day: number) =>
  month >= 1 && month <= 12 && day >= 1 && day <= daysInMonth(LEAP_YEAR, month);

interface Found {
  from: number;
  to: number;
  says: string;
}

function* impossibleIn(text: string): Generator<Found> {
  const found = (match: RegExpMatchArray, says: string): Found => ({
    from: match.index!,
    to: match.index! + match[0].length,
    says,
  });
  for (const match of text.matchAll(CLOCK))
    if (Number(match[1]) > 24 || Number(match[2]) > 59)
      yield found(match, `${match[0]} is no time of the day.`);
  const day = (match: RegExpMatchArray, number: string, name: string) => {
    const month = monthNamed(name);
    return Number(number) > 0 && !hasDay(month, Number(number))
      ? found(match, `${MONTHS[month - 1]} has no day ${number}.`)
      : null;
  };
  for (const match of text.matchAll(DAY_MONTH)) {
    const problem = day(match, match[1]!, match[2]!);
    if (problem) yield problem;
  }
  for (const match of text.matchAll(MONTH_DAY)) {
    const problem = day(match, match[2]!, match[1]!);
    if (problem) yield problem;
  }
  for (const match of text.matchAll(FIGURES)) {
    const [a, b] = [Number(match[1]), Number(match[2])];
    const isDateLike = (a <= 12 && a > 0 && b <= 31) || (b <= 12 && b > 0 && a <= 31);
    if (isDateLike && !hasDay(b, a) && !hasDay(a, b))
      yield found(match, `There is no day ${match[0]}.`);
  }
}

/** Times and days in a read text that there are not, in words, of those that nothing was made of. */
export function impossible(text: string, taken: readonly { from: number; to: number }[]): string[] {
  const isTaken = ({ from, to }: Found) => taken.some((one) => one.from < to && one.to > from);
  return [...impossibleIn(text)].filter((one) => !isTaken(one)).map(({ says }) => says);
}
