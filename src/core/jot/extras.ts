import type { CalendarEvent } from '../model/event';
import { importanceOf, withImportance } from '../model/importance';
import { sayLength } from '../time/words';
import { AMOUNT, amount } from './around';
import type { Meaning, Reading } from './meanings';
import type { Rule } from './rule';
import { rule } from './rule';
import type { JotText } from './text';
import { MONTH, WEEKDAY } from './vocabulary';

/** What a line says of how an event is met: the way there, how much it matters, whether it may be disturbed. */

const WEIGHT = 15;
const TIMELY = `(?:on\\s+|by\\s+)?(?:the\\s+)?(?:${WEEKDAY}|${MONTH}|today|tomorrow|next|end|\\d)`;
const THERE = '(?:to\\s+get\\s+there|to\\s+go\\s+there|travel(?:ling)?\\s+before|there)';
const BACK = '(?:to\\s+get\\s+(?:back|home)|travel(?:ling)?\\s+after|back)';

function travel(side: 'before' | 'after', n: string, unit: string) {
  const minutes = Math.round(amount(n, unit));
  const isTold = minutes > 0 && minutes <= 24 * 60;
  return isTold ? { kind: 'travel' as const, side, minutes } : null;
}

/** Words that say how an event stands, as an item of its own. */
const STANDING: readonly [source: string, meaning: Meaning][] = [
  ['private|confidential', { kind: 'private' }],
  ['tentative(?:ly)?|provisional(?:ly)?|tbc', { kind: 'availability', availability: 'tentative' }],
  ['free', { kind: 'availability', availability: 'free' }],
  [
    'away|out\\s+of\\s+(?:the\\s+)?office|elsewhere',
    { kind: 'availability', availability: 'away' },
  ],
  ['busy', { kind: 'availability', availability: 'busy' }],
];

/** What may follow such a word: an end, a sign, or notes. */
const GOES_NO_FURTHER = '\\s*(?:$|[,;.)]|notes?\\s*:)';

/** "private: dentist", "dentist, private", "shown as free", "(tentative)". */
const STANDING_RULES: readonly Rule[] = STANDING.flatMap(([source, meaning]) => [
  rule(`^(?:${source})\\s*:`, WEIGHT, () => meaning),
  rule(`,\\s*(?:and\\s+)?(?:${source})(?=${GOES_NO_FURTHER})`, WEIGHT, () => meaning),
  rule(`\\((?:${source})\\)`, WEIGHT, () => meaning),
  rule(
    `(?:,\\s*)?(?:(?:show(?:n|s|ing)?|mark(?:ed)?|set|count(?:s|ed)?)\\s+(?:me\\s+|it\\s+)?)(?:as\\s+)?(?:${source})`,
    WEIGHT,
    () => meaning,
  ),
  rule(`as\\s+(?:${source})(?=${GOES_NO_FURTHER})`, WEIGHT, () => meaning),
  // Alone they are as often words of a title: "sugar free".
  ...(/free|away|busy/.test(source)
    ? []
    : [
        rule(`(?:${source})(?=\\s*(?:$|,?\\s*notes?\\s*:))`, 5, () => meaning),
        rule(`^(?:${source})`, 5, () => meaning),
      ]),
]);

const NOTES = /(?:^|[\s,;.(])notes?\s*:\s+/gu;
/** Notes of these are what an event is about. */
const NO_NOTES_BEFORE =
  /\b(?:meeting|release|class|lecture|call|my|field|sticky|the|of|write|read|send)\s*$/;

/** "notes: …" to the end of the line, as it was typed: it is never left in a title that others see. */
export function notesReadings({ line, text, origin, starts }: JotText): Reading[] {
  for (const { index, 0: lead } of text.matchAll(NOTES)) {
    const from = index + lead.search(/n/);
    if (NO_NOTES_BEFORE.test(text.slice(0, from)) || !starts.includes(from)) continue;
    const notes = line.slice(origin[index + lead.length]).trim();
    const to = text.trimEnd().length;
    if (notes && to > from) return [{ from, to, weight: 1000, meaning: { kind: 'notes', notes } }];
  }
  return [];
}

/** "25 min to get there", "10 min back", "important", "do not disturb". */
export const EXTRA_RULES: readonly Rule[] = [
  rule(`(?:,\\s*|and\\s+|with\\s+)?${AMOUNT}\\s+${THERE}`, WEIGHT, ([n, unit]) =>
    travel('before', n!, unit!),
  ),
  rule(`(?:,\\s*|and\\s+|with\\s+)?${AMOUNT}\\s+${BACK}`, WEIGHT, ([n, unit]) =>
    travel('after', n!, unit!),
  ),
  rule(
    `(?:,\\s*|and\\s+|with\\s+|plus\\s+)?(?:an?\\s+)?${AMOUNT}\\s+(?:of\\s+)?travel(?:ling)?(?:\\s+time)?`,
    WEIGHT,
    ([n, unit]) => travel('before', n!, unit!),
  ),
  rule(
    `(?:,\\s*|and\\s+|with\\s+)?travel(?:ling)?(?:\\s+time)?:?\\s+${AMOUNT}`,
    WEIGHT,
    ([n, unit]) => travel('before', n!, unit!),
  ),
  rule(`leave\\s+${AMOUNT}\\s+(?:before|early)`, WEIGHT, ([n, unit]) =>
    travel('before', n!, unit!),
  ),
  rule('(?:,\\s*|with\\s+)?(high|low)\\s+importance', WEIGHT, ([importance]) => ({
    kind: 'importance',
    importance: importance as 'high' | 'low',
  })),
  rule('(?:,\\s*)?do\\s+not\\s+disturb(?:\\s+me)?', WEIGHT, () => ({ kind: 'quiet' })),
  ...STANDING_RULES,
  rule('^(?:task|to-?\\s?do)\\s*:', WEIGHT, () => ({ kind: 'task', isSure: true })),
  rule(`(?:^|(?<=[\\s,]))due(?=:?\\s+${TIMELY})`, WEIGHT, () => ({ kind: 'task', isSure: false })),
];

/** The fields of an event that a line's extras set. */
export type Extras = Partial<
  Pick<CalendarEvent, 'travelBefore' | 'travelAfter' | 'importance' | 'isQuiet'> & Standing
>;

/** How an event stands with others: whether its time is taken, who sees it, and what is written down. */
type Standing = Partial<Pick<CalendarEvent, 'availability' | 'visibility' | 'notes'>>;

/** What an event has of which nothing was said. */
export const NO_EXTRAS: Required<Omit<Extras, keyof Standing>> = {
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
    if (meaning.kind === 'availability') extras.availability = meaning.availability;
    if (meaning.kind === 'private') extras.visibility = 'private';
    if (meaning.kind === 'notes') extras.notes = meaning.notes;
  }
  return extras;
}

/** What an event's extras are, in words; empty for none. */
export function sayExtras({
  travelBefore,
  travelAfter,
  importance,
  isQuiet,
}: Required<Omit<Extras, keyof Standing>>): string {
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

/** What was said of how an event stands, in words: "private · shown as free"; empty for nothing. */
export function formatStanding({ availability, visibility, notes }: Standing): string {
  return [
    visibility === 'private' ? 'private' : '',
    availability ? `shown as ${availability}` : '',
    notes ? `notes: ${notes}` : '',
  ]
    .filter(Boolean)
    .join(' · ');
}
