import type { PartOfDay, Reading } from './meanings';
import type { JotContext, Rule } from './rule';
import { readingsOf, rule } from './rule';
import type { JotText } from './text';

const PARTS: Readonly<Record<string, PartOfDay>> = {
  morning: 'morning',
  am: 'morning',
  pm: 'afternoon',
  afternoon: 'afternoon',
  evening: 'evening',
  eve: 'evening',
  night: 'night',
};

/** The hours that are early, in the middle and late of a part of the day. */
const WITHIN: Readonly<Record<string, readonly number[]>> = {
  morning: [8, 10, 11],
  afternoon: [13, 15, 16],
  evening: [18, 19, 20],
};

/** Parts of the day. */
export const PART_RULES: readonly Rule[] = [
  rule('(?:at\\s+)?(?:noon|midday)(?:-?ish)?', 7, () => ({ kind: 'partOfDay', part: 'noon' })),
  rule('(?:at\\s+)?midnight', 7, () => ({ kind: 'partOfDay', part: 'midnight' })),
  rule(
    '(?:by\\s+)?(?:the\\s+)?(?:eod|eob|cob|cop|end\\s+of\\s+(?:the\\s+)?day|(?:end|close)\\s+of\\s+(?:play|business))',
    8,
    () => ({
      kind: 'partOfDay',
      part: 'end',
    }),
  ),
  rule('(?:at\\s+)?(?:lunch\\s?time)', 4, () => ({ kind: 'partOfDay', part: 'noon' })),
  rule(
    '(?:in\\s+the\\s+)?(early|mid|late)(?:-|\\s+)?(?:in\\s+the\\s+)?(morning|afternoon|evening)',
    8,
    ([when, part]) => ({
      kind: 'partOfDay',
      part: PARTS[part!]!,
      minute: WITHIN[part!]![['early', 'mid', 'late'].indexOf(when!)]! * 60,
    }),
  ),
  rule('at\\s+night', 7, () => ({ kind: 'partOfDay', part: 'night' })),
  rule('first\\s+thing(?:\\s+in\\s+the\\s+morning)?', 7, () => ({
    kind: 'partOfDay',
    part: 'morning',
  })),
  rule('in\\s+the\\s+(morning|afternoon|evening)', 7, ([part]) => ({
    kind: 'partOfDay',
    part: PARTS[part!]!,
  })),
  rule('(?:tonight|tonite|this\\s+(morning|afternoon|evening))', 9, ([part], { now }) => ({
    kind: 'partOfDay',
    part: part ? PARTS[part]! : 'evening',
    day: { day: Math.floor(now / 86_400_000) },
  })),
];

/** Parts of the day that are only words: they count right after a day. */
const BARE_PARTS: readonly Rule[] = [
  rule('(?:(morning|afternoon|evening|night)s?|([ap]m))', 5, ([part, half]) => ({
    kind: 'partOfDay',
    part: PARTS[(part ?? half)!]!,
  })),
];

export function bareParts(text: JotText, days: readonly Reading[], context: JotContext): Reading[] {
  const ends = new Set(
    days.flatMap(({ meaning, to }) =>
      meaning.kind === 'day' || meaning.kind === 'repeat' ? [to] : [],
    ),
  );
  return readingsOf(text, BARE_PARTS, context).filter(({ from }) => {
    let i = from;
    while (/\s/.test(text.text[i - 1] ?? '')) i--;
    return ends.has(i);
  });
}
