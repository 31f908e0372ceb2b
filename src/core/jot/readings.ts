import {
  LENGTH_RULES,
  lengthReadings,
  linkReadings,
  namedRules,
  placeReadings,
  zoneReadings,
} from './around';
import { bestReadings } from './best';
import { bareParts, PART_RULES } from './dayParts';
import { daySpans } from './dayRanges';
import { DAY_RULES } from './days';
import { namedDayRules } from './feasts';
import { guestRules } from './guests';
import type { Reading } from './meanings';
import { EXTRA_RULES } from './extras';
import { REMINDER_RULES } from './reminders';
import { END_RULES, EXCEPT_RULES, REPEAT_RULES } from './repeats';
import type { JotContext, Rule } from './rule';
import { readingsOf, rule } from './rule';
import type { JotText } from './text';
import { textOf } from './text';
import { BARE_RULES, bareTimes, stretches, TIME_RULES } from './times';
import { civilDate, dayNumber, dayOfWall } from '../time/civil';
import { MONTH, monthNamed } from './vocabulary';

const UNTIL =
  /(?:until|till|til|up\s+to|through|thru|ending(?:\s+on)?|ends)\s+(?:the\s+)?(?:and\s+including\s+)?/y;

/** A month alone ends a repeat before it begins: "until March"; its end, on its last day. */
const UNTIL_MONTH: readonly Rule[] = [
  rule(
    `(?:until|till|til)\\s+(?:(the\\s+end\\s+of|end\\s+of)\\s+)?(${MONTH})(?:\\s+(\\d{4}))?`,
    12,
    ([isEnd, month, year], { now }) => {
      const today = dayOfWall(now);
      const nth = monthNamed(month!) + (isEnd ? 1 : 0);
      const first = (y: number) =>
        dayNumber(y + Math.floor((nth - 1) / 12), ((nth - 1) % 12) + 1, 1);
      const { year: thisYear } = civilDate(today);
      const said =
        year === undefined ? (first(thisYear) > today ? thisYear : thisYear + 1) : Number(year);
      return { kind: 'end', end: { kind: 'on', day: first(said) - 1 } };
    },
  ),
];

/** "until" with the day that follows it. */
function untilReadings({ text, starts }: JotText, days: readonly Reading[]): Reading[] {
  return starts.flatMap((from) => {
    UNTIL.lastIndex = from;
    const until = UNTIL.exec(text);
    if (!until) return [];
    return days.flatMap(({ from: at, to, weight, meaning }): Reading[] =>
      at === from + until[0].length && meaning.kind === 'day'
        ? [
            {
              from,
              to,
              weight: weight + 4,
              meaning: {
                kind: 'end',
                end: { kind: 'on', day: meaning.day.lastDay ?? meaning.day.day },
              },
            },
          ]
        : [],
    );
  });
}

const REPEATS: readonly Rule[] = [...REPEAT_RULES, ...EXCEPT_RULES];
const BESIDES: readonly Rule[] = [...END_RULES, ...UNTIL_MONTH, ...REMINDER_RULES, ...EXTRA_RULES];

/** The rules that no setting changes. */
export const FIXED_RULES: readonly Rule[] = [
  ...[...DAY_RULES, ...REPEATS, ...TIME_RULES, ...PART_RULES],
  ...[...BESIDES, ...LENGTH_RULES, ...BARE_RULES],
];

/**
 * Makes the expressions of the grammar, one at each step. They are made when they are first asked
 * for in any case, all by the first letter of a first line: done before, that letter need not wait.
 */
export function* expressionsMade(): Generator<void> {
  for (const { pattern } of FIXED_RULES) {
    pattern.lastIndex = 0;
    pattern.exec('');
    yield;
  }
}

/** Everything that the words of a line may mean. */
function allReadings(text: JotText, context: JotContext): Reading[] {
  const find = (rules: readonly Rule[]) => readingsOf(text, rules, context);
  const days = [...find(DAY_RULES), ...find(namedDayRules(context))];
  const repeats = find(REPEATS);
  const times = find(TIME_RULES);
  const parts = [...find(PART_RULES), ...bareParts(text, [...days, ...repeats], context)];
  const bare = bareTimes(text, [...days, ...repeats, ...parts], context);
  return [
    ...days,
    ...daySpans(text, days),
    ...repeats,
    ...times,
    ...parts,
    ...bare,
    ...stretches(text, [...days, ...times], context),
    ...untilReadings(text, days),
    ...find(BESIDES),
    ...find([...namedRules(context), ...guestRules(context)]),
    ...lengthReadings(text, context),
    ...zoneReadings(text, [...times, ...bare, ...days], context),
    ...placeReadings(text),
    ...linkReadings(text),
  ];
}

/** The best reading of a whole line, in order. Places are those of `text`. */
export function understood(
  line: string,
  context: JotContext,
): { text: JotText; readings: Reading[] } {
  const text = textOf(line);
  return { text, readings: bestReadings(text.starts, allReadings(text, context)) };
}
