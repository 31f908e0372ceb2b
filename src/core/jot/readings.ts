import {
  LENGTH_RULES,
  lengthReadings,
  linkReadings,
  namedReadings,
  namedRules,
  placeReadings,
  zoneReadings,
} from './around';
import { canBeginWith, hasNeeds, pairsIn } from './beginnings';
import { bestReadings } from './best';
import { bareParts, PART_RULES } from './dayParts';
import { daySpans } from './dayRanges';
import { DAY_RULES } from './days';
import { FEAST_NAMES, namedDayRules } from './feasts';
import { guestRules } from './guests';
import type { Reading } from './meanings';
import { EXTRA_RULES, notesReadings } from './extras';
import { REMINDER_RULES } from './reminders';
import { BOUND_RULES, exceptReadings, untilReadings } from './bounds';
import { REPEAT_RULES } from './repeats';
import type { JotContext, Rule } from './rule';
import { readingsOf } from './rule';
import type { JotText } from './text';
import { textOf } from './text';
import { settled } from './settle';
import { BARE_RULES, bareTimes, stretches, TIME_RULES } from './times';

const BESIDES: readonly Rule[] = [...BOUND_RULES, ...REMINDER_RULES, ...EXTRA_RULES];

/** The rules that no setting changes. */
export const FIXED_RULES: readonly Rule[] = [
  ...[...DAY_RULES, ...REPEAT_RULES, ...TIME_RULES, ...PART_RULES],
  ...[...BESIDES, ...LENGTH_RULES, ...BARE_RULES],
];

const NO_PAIRS = pairsIn('');

/**
 * Makes the expressions of the grammar, one at each step. They are made when they are first asked
 * for in any case, all by the first letter of a first line: done before, that letter need not wait.
 */
export function* expressionsMade(): Generator<void> {
  for (const { pattern, begins, needs } of FIXED_RULES) {
    pattern.lastIndex = 0;
    pattern.exec('');
    canBeginWith(begins, 0);
    hasNeeds(NO_PAIRS, needs);
    yield;
  }
}

interface ContextRules {
  days: readonly Rule[];
  names: readonly Rule[];
}
const rulesOfContexts = new WeakMap<JotContext, ContextRules>();

/** The rules that a context adds; kept, since one context reads a whole message, or each letter of a line. */
function contextRules(context: JotContext): ContextRules {
  const known = rulesOfContexts.get(context);
  if (known) return known;
  const rules = {
    days: namedDayRules(context),
    names: [...namedRules(context), ...guestRules(context)],
  };
  rulesOfContexts.set(context, rules);
  return rules;
}

/** Everything that the words of a line may mean, and what they hardly mean. */
function allReadings(text: JotText, context: JotContext): { all: Reading[]; loose: Reading[] } {
  const find = (rules: readonly Rule[]) => readingsOf(text, rules, context);
  const added = contextRules(context);
  const days = [...find(DAY_RULES), ...find(added.days)];
  // “Christmas party” is no day, “until Christmas” is.
  const feasts = find(FEAST_NAMES);
  const repeats = find(REPEAT_RULES);
  const times = find(TIME_RULES);
  const parts = [...find(PART_RULES), ...bareParts(text, [...days, ...repeats], context)];
  const bare = bareTimes(text, [...days, ...repeats, ...parts], context);
  const { named, loose } = namedReadings(text, added.names, context);
  const all = [
    ...days,
    ...daySpans(text, days),
    ...repeats,
    ...times,
    ...parts,
    ...bare,
    ...stretches(text, [...days, ...times, ...parts], context),
    ...untilReadings(text, [...days, ...feasts]),
    ...exceptReadings(text, [...days, ...feasts]),
    ...find(BESIDES),
    ...named,
    ...lengthReadings(text, context),
    ...zoneReadings(text, [...times, ...bare, ...days], context),
    ...placeReadings(text),
    ...linkReadings(text),
    ...notesReadings(text),
  ];
  return { all, loose };
}

/** The best reading of a whole line, in order, and what it hardly means. Places are those of `text`. */
export function understood(
  line: string,
  context: JotContext,
): { text: JotText; readings: Reading[]; loose: Reading[] } {
  const text = textOf(line);
  const { all, loose } = allReadings(text, context);
  const best = bestReadings(text.starts, all);
  return { text, readings: settled(text.text, best, all, context), loose };
}
