import type { Meaning } from './meanings';
import type { Rule } from './rule';
import { rule } from './rule';
import type { Typed } from './typedTime';
import { CLOCK, DAY, fromTo, GROUPS, NOON, single, TO, typed } from './typedTime';
import { countOf, WEEKDAY } from './vocabulary';

const HOURS = '(?:\\d{1,2}|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)';
const MINUTES = '(?:\\d{1,2}|five|ten|twenty|twenty[\\s-]five)';
const minutesOf = (word: string) =>
  word.startsWith('twenty') ? (word.endsWith('five') ? 25 : 20) : countOf(word);
/** Hours in words, and minutes after them. */
const HOUR_WORD = '(one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)';
const MINUTE_WORD = '(?:\\s+(fifteen|thirty|forty[\\s-]five))?';
const HALF = '(?:\\s*([ap])\\.?m\\b\\.?)?';
const MINUTE_WORDS: Readonly<Record<string, string>> = { fi: '15', th: '30', fo: '45' };
const inWords = (hour: string, minute: string | undefined, half: string | undefined) =>
  typed([String(countOf(hour)), ':', minute && MINUTE_WORDS[minute.slice(0, 2)], undefined, half]);

/** What may follow a time that is said in words. */
const GOES_ON = `(?=\\s*(?:$|[,.;]|(?:on|in|for|with|every|each|next|this|tomorrow|today|tonight|${WEEKDAY})\\b))`;

const MIDDAY = '(noon|midday|midnight)';
/** Noon is sure, midnight the end of its day. */
const midday = (word: string): Typed =>
  word === 'midnight'
    ? { minute: DAY, half: 'p', isSure: true }
    : { minute: NOON, half: 'a', isSure: true };

function past(hours: string, minutes: number, half: string | undefined): Meaning | null {
  const hour = typed([String(countOf(hours)), undefined, undefined, undefined, half, undefined]);
  return hour && single({ ...hour, minute: (hour.minute + minutes + DAY) % DAY });
}

/** Times as they are spoken: "half past two", "at five", "noon to one". */
export const SPOKEN_RULES: readonly Rule[] = [
  rule(
    `(?:(?:from|between|at)\\s+|@\\s*)?${MIDDAY}(?:${TO}|\\s+and\\s+)${CLOCK}`,
    16,
    ([word, ...to]) => fromTo(midday(word!), typed(to)),
  ),
  rule(`(?:(?:from|between|at)\\s+|@\\s*)?${CLOCK}(?:${TO}|\\s+and\\s+)${MIDDAY}`, 16, (groups) =>
    fromTo(typed(groups), midday(groups[GROUPS]!)),
  ),
  rule(`(?:from|between)\\s+${HOUR_WORD}(?:${TO}|\\s+and\\s+)${MIDDAY}`, 16, ([hour, word]) =>
    fromTo(inWords(hour!, undefined, undefined), midday(word!)),
  ),
  rule(`(?:at\\s+)?(\\d{1,2}|${HOUR_WORD.slice(1, -1)})\\s*o'?\\s*clock`, 9, ([hour]) =>
    single(inWords(hour!, undefined, undefined)),
  ),
  // "At Five Oaks" is a place.
  rule(`(?:at|by)\\s+${HOUR_WORD}${MINUTE_WORD}${HALF}${GOES_ON}`, 7, ([hour, minute, half]) =>
    single(inWords(hour!, minute, half)),
  ),
  rule(
    `(?:from|between)\\s+${HOUR_WORD}${MINUTE_WORD}(?:${TO}|\\s+and\\s+)${HOUR_WORD}${MINUTE_WORD}${HALF}`,
    10,
    ([h1, m1, h2, m2, half]) => fromTo(inWords(h1!, m1, undefined), inWords(h2!, m2, half)),
  ),
  rule(`(?:at\\s+)?half\\s+(?:past\\s+)?(${HOURS})(?:\\s*([ap])\\.?m\\.?)?`, 10, ([h, half]) =>
    past(h!, 30, half),
  ),
  rule(
    `(?:at\\s+)?(?:a\\s+)?quarter\\s+past\\s+(${HOURS})(?:\\s*([ap])\\.?m\\.?)?`,
    10,
    ([h, half]) => past(h!, 15, half),
  ),
  rule(
    `(?:at\\s+)?(?:a\\s+)?quarter\\s+to\\s+(${HOURS})(?:\\s*([ap])\\.?m\\.?)?`,
    10,
    ([h, half]) => past(h!, -15, half),
  ),
  rule(`(?:at\\s+)?(${MINUTES})\\s+past\\s+(${HOURS})`, 10, ([m, h]) =>
    past(h!, minutesOf(m!), undefined),
  ),
  rule(`(?:at\\s+)?(five|ten|twenty|twenty[\\s-]five)\\s+to\\s+(${HOURS})`, 10, ([m, h]) =>
    past(h!, -minutesOf(m!), undefined),
  ),
  rule(`(?:at\\s+)?(\\d{1,2})\\s+to\\s+(\\d{1,2})(?=\\s+(?:on|today|tomorrow))`, 7, ([m, h]) =>
    Number(m) % 5 === 0 && Number(m) > Number(h) ? past(h!, -Number(m), undefined) : null,
  ),
];
