import { minuteOfDay } from '../time/civil';
import type { Wording } from '../time/words';
import { sayMinute } from '../time/words';
import type { Occurrence } from './occurrence';

/** Icons by what facts tell of, where they have none of their own. */
const ICONS: readonly [RegExp, string][] = [
  [/\b(?:tide|high water|low water|surf|swell)s?\b/i, 'waves'],
  [
    /\b(?:sun|rain|snow|cloud|fog|wind|storm|frost|shower|bright|dry|weather)/i,
    'weather-partly-cloudy',
  ],
];
const OTHER = 'lightbulb-outline';

/** The icon of a fact of the day. */
export const factIcon = ({ icon, title }: Pick<Occurrence, 'icon' | 'title'>): string =>
  icon ?? ICONS.find(([words]) => words.test(title))?.[1] ?? OTHER;

/** A fact in a few words: "8° rain", or with its time, "04:12 High water". */
export const sayFact = (
  { title, start, wholeDay }: Pick<Occurrence, 'title' | 'start' | 'wholeDay'>,
  { hourCycle }: Pick<Wording, 'hourCycle'>,
): string => (wholeDay ? title : `${sayMinute(minuteOfDay(start), hourCycle)} ${title}`);

/** Facts in the order in which they are told: of the whole day first, short ones before long, then by time. */
export const inFactOrder = (facts: readonly Occurrence[]): Occurrence[] =>
  facts.toSorted(
    (a, b) =>
      Number(b.wholeDay) - Number(a.wholeDay) ||
      a.start - b.start ||
      a.title.length - b.title.length ||
      (a.title < b.title ? -1 : 1),
  );
