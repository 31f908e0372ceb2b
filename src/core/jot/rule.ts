import type { Weekday } from '../time/civil';
import type { DayNumber, WallMs } from '../time/units';
import type { Meaning, Reading } from './meanings';
import type { JotText } from './text';

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
  /** Days that have a name, as day numbers: closures and the like. */
  namedDays: readonly { name: string; day: DayNumber }[];
}

export type Groups = readonly (string | undefined)[];

/** A way to say something: an expression, and what its groups mean; null when they mean nothing. */
export interface Rule {
  pattern: RegExp;
  weight: number;
  read(groups: Groups, context: JotContext): Meaning | null;
}

/** Not inside a longer word or number: "sun-hats" has no Sunday in it, nor has "10:155" a time. */
const END = "(?![\\p{L}\\p{N}]|[-'][\\p{L}]|[.:/,]\\d)";

export function rule(
  source: string,
  weight: number,
  read: (groups: Groups, context: JotContext) => Meaning | null,
): Rule {
  let made: RegExp | null = null;
  return {
    // Reading the expressions takes longer than all else of a start, where often nothing is typed.
    get pattern() {
      return (made ??= new RegExp(`${source}${END}`, 'yu'));
    },
    weight,
    read,
  };
}

/** Whether something can begin here: after a blank, a bracket or a sign that parts, but not in "1:30". */
const canBegin = (text: string, at: number) =>
  at === 0 ||
  (/[\s(,;:!?]/.test(text[at - 1]!) && !/\d:$/.test(text.slice(Math.max(0, at - 2), at)));

/** Everything that the rules find in a text. */
export function readingsOf(
  { text, starts }: Pick<JotText, 'text' | 'starts'>,
  rules: readonly Rule[],
  context: JotContext,
): Reading[] {
  const readings: Reading[] = [];
  for (const from of starts.slice(0, -1)) {
    if (!canBegin(text, from)) continue;
    for (const { pattern, weight, read } of rules) {
      pattern.lastIndex = from;
      const found = pattern.exec(text);
      const meaning = found && read(found.slice(1), context);
      if (meaning) readings.push({ from, to: from + found[0].length, weight, meaning });
    }
  }
  return readings;
}
