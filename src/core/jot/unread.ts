import { COUNT, LETTER, MONTH, NO_LETTER, UNIT, WEEKDAY } from './vocabulary';

/** What stands behind a word that leads to a time: a day, a month, an hour. */
const TIMELY = `(?:(?:the\\s+)?(?:${WEEKDAY}|${MONTH}|today|tomorrow|\\d{1,2}(?:st|nd|rd|th|:\\d{2}|\\s+(?:${MONTH})))${NO_LETTER})`;

/** Words that say when or how often, so that they hardly belong to a title. */
const TELLING: readonly RegExp[] = [
  `(?:every|each)\\s+(?:other\\s+|\\d+(?:st|nd|rd|th)?\\s+)?(?:${WEEKDAY}|${MONTH}|${UNIT}|morning|afternoon|evening|night|weekday|weekend)s?`,
  `(?:${COUNT}\\s+times|once|twice)\\s+(?:a|an|each|every|per)\\s+(?:day|week|fortnight|month|quarter|year)`,
  `(?:fortnightly|bi-?weekly|nightly|half-?yearly|alternate\\s+[${LETTER}]+s)`,
  `(?:except|excluding|apart\\s+from|but\\s+not|not\\s+on)\\s+\\S+(?:\\s+\\S+)?`,
  `(?:from|until|till|before|after|between|starting)\\s+${TIMELY}(?:\\s+\\d{1,2})?`,
  `(?:^|(?<=\\s))(?:and|&|or)\\s+${TIMELY}`,
  `\\d{1,2}(?:st|nd|rd|th)?\\s+(?:of\\s+)?${MONTH}`,
  `${MONTH}\\s+\\d{1,2}(?:st|nd|rd|th)?`,
  '^(?:every|except|until|and)(?=\\s)',
  '(?<=\\s)(?:every|except|until|from|and)$',
].map((source) => new RegExp(`(?<![${LETTER}\\d])(?:${source})(?![${LETTER}\\d])`, 'iu'));

/** Words of a title that say when or how often, and that nothing was made of; in words. */
export function unread(title: string): string[] {
  const found = TELLING.flatMap((pattern) => pattern.exec(title)?.[0] ?? []);
  const longest = found.filter(
    (one) => !found.some((other) => other !== one && other.includes(one)),
  );
  return [...new Set(longest)].map((words) => `“${words}” is not understood.`);
}
