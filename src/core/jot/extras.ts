import type { CalendarEvent } from '../model/event';
import { importanceOf, withImportance } from '../model/importance';
import { sayLength } from '../time/words';
import { AMOUNT, amount } from './around';
import type { Meaning } from './meanings';
import type { Rule } from './rule';
import { rule } from './rule';

/** What a line says of how an event is met: the way there, how much it matters, whether it may be disturbed. */

const WEIGHT = 15;
const THERE = '(?:to\\s+get\\s+there|to\\s+go\\s+there|travel(?:ling)?\\s+before|there)';
const BACK = '(?:to\\s+get\\s+(?:back|home)|travel(?:ling)?\\s+after|back)';

function travel(side: 'before' | 'after', n: string, unit: string) {
  const minutes = Math.round(amount(n, unit));
  const isTold = minutes > 0 && minutes <= 24 * 60;
  return isTold ? { kind: 'travel' as const, side, minutes } : null;
}

/** "25 min to get there", "10 min back", "important", "do not disturb". */
export const EXTRA_RULES: readonly Rule[] = [
  rule(`(?:,\\s*|and\\s+|with\\s+)?${AMOUNT}\\s+${THERE}`, WEIGHT, ([n, unit]) =>
    travel('before', n!, unit!),
  ),
  rule(`(?:,\\s*|and\\s+|with\\s+)?${AMOUNT}\\s+${BACK}`, WEIGHT, ([n, unit]) =>
    travel('after', n!, unit!),
  ),
  rule(`leave\\s+${AMOUNT}\\s+(?:before|early)`, WEIGHT, ([n, unit]) =>
    travel('before', n!, unit!),
  ),
  rule('(?:,\\s*|with\\s+)?(high|low)\\s+importance', WEIGHT, ([importance]) => ({
    kind: 'importance',
    importance: importance as 'high' | 'low',
  })),
  rule('(?:,\\s*)?do\\s+not\\s+disturb(?:\\s+me)?', WEIGHT, () => ({ kind: 'quiet' })),
];

/** The fields of an event that a line's extras set. */
export type Extras = Partial<
  Pick<CalendarEvent, 'travelBefore' | 'travelAfter' | 'importance' | 'isQuiet'>
>;

/** What an event has of which nothing was said. */
export const NO_EXTRAS: Required<Extras> = {
  travelBefore: 0,
  travelAfter: 0,
  importance: 0,
  isQuiet: false,
};

export function extrasOf(meanings: readonly Meaning[]): Extras {
  const extras: Extras = {};
  for (const meaning of meanings) {
    if (meaning.kind === 'travel')
      extras[meaning.side === 'before' ? 'travelBefore' : 'travelAfter'] = meaning.minutes;
    if (meaning.kind === 'importance') extras.importance = withImportance(meaning.importance, 0);
    if (meaning.kind === 'quiet') extras.isQuiet = true;
  }
  return extras;
}

/** What an event's extras are, in words; empty for none. */
export function sayExtras({
  travelBefore,
  travelAfter,
  importance,
  isQuiet,
}: Required<Extras>): string {
  const matters = importanceOf(importance);
  return [
    travelBefore ? `${sayLength(travelBefore)} to get there` : '',
    travelAfter ? `${sayLength(travelAfter)} back` : '',
    matters === 'usual' ? '' : `${matters} importance`,
    isQuiet ? 'not to be disturbed' : '',
  ]
    .filter(Boolean)
    .join(' · ');
}
