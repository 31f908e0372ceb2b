import type { Weekday } from '../time/civil';
import type { DayNumber, WallMs } from '../time/units';
import type { Beginnings, Pairs } from './beginnings';
import { beginningsOf, canBeginWith, hasNeeds, needsOf, pairAt } from './beginnings';
import type { Meaning, Reading } from './meanings';
import type { JotText } from './text';
import { LETTER } from './vocabulary';

export interface JotContext {
  /** Wall ms: what the clock shows. */
  now: WallMs;
  /** Day number that a line means which names none. */
  day: DayNumber;
  calendars: readonly { id: string; name: string; defaultLength?: number }[];
  categories: readonly { id: string; name: string }[];
  /** People who are known; a line may be with them. */
  people?: readonly { id: string; name: string }[];
  defaultCalendarId: string;
  /** Minutes, where the calendar has no length of its own. */
  defaultLength: number;
  /** Weekdays that the person works on, and from when to when (minutes of the day). */
  workdays: readonly Weekday[];
  workHours: { from: number; to: number };
  /** Whether 3/12 is 12 March. */
  isMonthFirst: boolean;
  /** Which half of the day a bare hour was meant in last, by its minute of the half: 8 as 480. */
  chosenHalves?: Readonly<Record<number, 'am' | 'pm'>>;
  /** Times of today that are over stay today's: of what was written, and not typed to be put down. */
  keepsPast?: boolean;
  /** Days that have a name, as day numbers: closures and the like. */
  namedDays: readonly { name: string; day: DayNumber }[];
}

export type Groups = readonly (string | undefined)[];

/** A way to say something: an expression, and what its groups mean; null when they mean nothing. */
export interface Rule {
  pattern: RegExp;
  /** With which two signs it can begin. */
  begins: Beginnings;
  /** What a text must have for it to be found there. */
  needs: readonly Pairs[];
  /** How much it says; more, where it says more by each word of a list. */
  weight: number | ((groups: Groups) => number);
  read(groups: Groups, context: JotContext): Meaning | null;
}

/** Not inside a longer word or number: "sun-hats" has no Sunday in it, nor has "10:155" a time. */
const END = `(?![${LETTER}0-9]|[-'][${LETTER}]|[.:/,]\\d)`;

/** Makes a rule of the source of an expression and of what may not follow it. */
export function rule(
  source: string,
  weight: Rule['weight'],
  read: (groups: Groups, context: JotContext) => Meaning | null,
  end = END,
): Rule {
  let made: RegExp | null = null;
  let begins: Beginnings | null = null;
  let needs: Pairs[] | null = null;
  return {
    get needs() {
      return (needs ??= needsOf(source));
    },
    get begins() {
      return (begins ??= beginningsOf(source));
    },
    // Reading the expressions takes longer than all else of a start, where often nothing is typed.
    get pattern() {
      return (made ??= new RegExp(`${source}${end}`, 'yu'));
    },
    weight,
    read,
  };
}

/** Some rules, made quick to look through: a whole message is read by all of them. */
interface RuleIndex {
  needs: readonly (readonly Pairs[])[];
  /** The places among the rules of those that can begin with a pair of signs, by its number. */
  byPair: (readonly number[])[];
}
const indexes = new WeakMap<readonly Rule[], RuleIndex>();

function indexOf(rules: readonly Rule[]): RuleIndex {
  const known = indexes.get(rules);
  if (known) return known;
  const index = { needs: rules.map(({ needs }) => needs), byPair: [] };
  indexes.set(rules, index);
  return index;
}

const beginningWith = (rules: readonly Rule[], pair: number): readonly number[] =>
  rules.flatMap(({ begins }, i) => (canBeginWith(begins, pair) ? [i] : []));

/** Everything that the rules find in a text. */
export function readingsOf(
  { text, heads, pairs }: Pick<JotText, 'text' | 'heads' | 'pairs'>,
  rules: readonly Rule[],
  context: JotContext,
): Reading[] {
  const readings: Reading[] = [];
  const { needs, byPair } = indexOf(rules);
  const isPossible = needs.map((all) => hasNeeds(pairs, all));
  for (const from of heads) {
    const pair = pairAt(text, from);
    for (const i of (byPair[pair] ??= beginningWith(rules, pair))) {
      if (!isPossible[i]) continue;
      const { pattern, weight, read } = rules[i]!;
      pattern.lastIndex = from;
      const found = pattern.exec(text);
      if (!found) continue;
      const groups = found.slice(1);
      const meaning = read(groups, context);
      if (!meaning) continue;
      const says = typeof weight === 'number' ? weight : weight(groups);
      readings.push({ from, to: from + found[0].length, weight: says, meaning });
    }
  }
  return readings;
}
