import { zoneAbbreviated, zoneNamed } from '../time/namedZones';
import { findLinks } from './links';
import type { Meaning, Reading } from './meanings';
import type { JotContext, Rule } from './rule';
import { readingsOf, rule } from './rule';
import type { JotText } from './text';
import { COUNT, COUNT_WORD, countOf, MONTH, NO_LETTER, WEEKDAY } from './vocabulary';

/** What a line says besides when: how long, where, on which calendar, in which zone, and links. */

const MINUTES: Readonly<Record<string, number>> = {
  m: 1,
  h: 60,
  d: 1440,
  w: 7 * 1440,
  f: 14 * 1440,
};
/** A number with its unit: two groups. */
export const AMOUNT = '(\\d+(?:[.,]\\d+)?)\\s*(m|mins?|minutes?|h|hrs?|hours?|days?|weeks?|wks?)';
const FRACTIONS: Readonly<Record<string, number>> = { '½': 0.5, '¼': 0.25, '¾': 0.75 };
const LEAD = '(?:for\\s+(?:about\\s+|around\\s+)?|lasting\\s+|,\\s*)';

function length(minutes: number, unit: string): Meaning | null {
  const perUnit = MINUTES[unit[0]!]!;
  const all = Math.round(minutes);
  if (all <= 0 || all > 366 * 1440) return null;
  return { kind: 'length', minutes: all, wholeDays: perUnit >= 1440 && all % 1440 === 0 };
}
/** Minutes of a number with its unit. */
export const amount = (count: string, unit: string) =>
  Number(count.replace(',', '.')) * MINUTES[unit[0]!]!;

/** So many hours without "for" are a length, and no hour of the day. */
export const LONGEST_BARE = 4;

export const LENGTH_RULES: readonly Rule[] = [
  rule(`${LEAD}${AMOUNT}`, 8, ([n, unit]) => length(amount(n!, unit!), unit!)),
  rule(AMOUNT, 6, ([n, unit]) => length(amount(n!, unit!), unit!)),
  rule(
    `(${LEAD})?(\\d{1,2})(\\s*)(?:h|hrs?|hours?)\\s*(?:and\\s+)?(\\d{1,2})\\s*(m|mins?|minutes?)?`,
    9,
    // "14h30" is a time of the day, "1h30" more likely a length.
    ([lead, h, gap, m, unit]) =>
      (lead ?? (gap || unit)) || Number(h) <= LONGEST_BARE
        ? length(Number(h) * 60 + Number(m), 'm')
        : null,
  ),
  // "1:30h" lasts, "14:30h" is a time.
  rule('(\\d{1,2}):(\\d{2})\\s*(?:h|hrs?|hours?)', 10, ([h, m]) =>
    Number(h) <= LONGEST_BARE && Number(m) < 60 ? length(Number(h) * 60 + Number(m), 'm') : null,
  ),
  rule(`(${COUNT_WORD})\\s+(hours?|minutes?)`, 6, ([n, unit]) =>
    length(countOf(n!) * MINUTES[unit![0]!]!, unit!),
  ),
  rule(`${LEAD}(?:an?|one)\\s+(hour|day|week|minute|fortnight)`, 8, ([unit]) =>
    length(MINUTES[unit![0]!]!, unit!),
  ),
  rule(`${LEAD}(?:an?|one)\\s+hour\\s+and\\s+a\\s+half`, 9, () => length(90, 'm')),
  rule(`${LEAD}?half\\s+an?\\s+hour`, 7, () => length(30, 'm')),
  rule(`${LEAD}?three[\\s-]quarters\\s+of\\s+an\\s+hour`, 9, () => length(45, 'm')),
  rule(`${LEAD}?(?:an?\\s+)?quarter\\s+(?:of\\s+an\\s+)?hour`, 7, () => length(15, 'm')),
  rule(`${LEAD}?(${COUNT})\\s+(hours?|days?|weeks?)\\s+and\\s+a\\s+half`, 9, ([n, unit]) =>
    length((countOf(n!) + 0.5) * MINUTES[unit![0]!]!, unit!),
  ),
  rule(
    `${LEAD}?(${COUNT})\\s+(?:and\\s+a\\s+half\\s+|1/2\\s+)(hours?|hrs?|days?|weeks?)`,
    9,
    ([n, unit]) => length((countOf(n!) + 0.5) * MINUTES[unit![0]!]!, unit!),
  ),
  rule(`${LEAD}?(\\d{1,2})?([½¼¾])\\s*(?:h|hrs?|hours?)`, 9, ([n, part]) =>
    length((Number(n ?? 0) + FRACTIONS[part!]!) * 60, 'h'),
  ),
  rule(`${LEAD}(${COUNT})\\s+(hours?|days?|weeks?|minutes?)`, 8, ([n, unit]) =>
    length(countOf(n!) * MINUTES[unit![0]!]!, unit!),
  ),
];

/** Words before an amount that make it no length: "in 2 hours", "every 2 weeks", "2 hours ago". */
const NO_LENGTH_BEFORE =
  /\b(?:remind(?:er|ers|\s+me)?:?|alert|alarm|travel(?:\s+time)?|by|in|after|within|every|each|next|last|x)\s*$/;
const NO_LENGTH_AFTER =
  /^\s*(?:of\s+travel|travel|reminders?|alert|alarm|ago|later|from\s+now|before|after|from)\b/;
/** "For two weeks from Monday" lasts; "two weeks from Monday" is a day. */
const LASTS = /^for\b/;
const FROM_A_DAY = /^\s*from\s+(?!now\b)/;
/** "2 days from 3 Dec", "3 hours from 9" last too. */
const FROM_FIGURES = /^\s*from\s+(?:the\s+)?\d/;

export function lengthReadings(text: JotText, context: JotContext): Reading[] {
  return readingsOf(text, LENGTH_RULES, context).filter(
    ({ from, to }) =>
      !NO_LENGTH_BEFORE.test(text.text.slice(0, from)) &&
      (!NO_LENGTH_AFTER.test(text.text.slice(to)) ||
        FROM_FIGURES.test(text.text.slice(to)) ||
        (LASTS.test(text.text.slice(from, to)) && FROM_A_DAY.test(text.text.slice(to)))),
  );
}

const escaped = (name: string) =>
  name
    .trim()
    .toLowerCase()
    .split(/\s+/)
    .map((word) => word.replace(/[.*+?^${}()|[\]\\/-]/g, '\\$&'));

/** A name that ends in a sign has no word's end of its own. */
const NAME_END = '(?=$|[\\s,.;#)])';

/** "in Clients", "#lamps". */
export const namedRules = ({
  calendars,
  categories,
}: Pick<JotContext, 'calendars' | 'categories'>): Rule[] => [
  ...calendars.map(({ id, name }) =>
    rule(
      `(?:in|to|into|for|on)\\s+(?:the\\s+)?${escaped(name).join('\\s+')}(?:\\s+calendar)?`,
      9 + name.length / 100,
      () => ({ kind: 'calendar', id }),
      NAME_END,
    ),
  ),
  ...categories.map(({ id, name }) =>
    rule(
      `#${escaped(name).join('[\\s-]')}`,
      9 + name.length / 100,
      () => ({ kind: 'category', id }),
      NAME_END,
    ),
  ),
];

/** Leads that may well belong to a phrase: "apply for leave", "email to clients". */
const LOOSE_LEAD = /^(?:to|for|on)\b/;

/**
 * Calendars, categories and people that a line names; `loose` are calendars that stand in it like any
 * other word, in small letters behind "to" or "for", so that they may be part of the title.
 */
export function namedReadings(
  text: JotText,
  rules: readonly Rule[],
  context: JotContext,
): { named: Reading[]; loose: Reading[] } {
  const isLoose = ({ from, to, meaning }: Reading) => {
    const said = text.text.slice(from, to);
    if (meaning.kind !== 'calendar' || !LOOSE_LEAD.test(said) || /calendar$/.test(said))
      return false;
    return !/\s\p{Lu}/u.test(text.line.slice(text.origin[from], text.origin[to]));
  };
  const all = readingsOf(text, rules, context);
  return {
    named: all.filter((one) => !isLoose(one)),
    loose: all.filter(isLoose),
  };
}

/** Web addresses, as they were typed. */
export function linkReadings({ line, text, origin }: JotText): Reading[] {
  const readings: Reading[] = [];
  let at = 0;
  for (const piece of findLinks(line)) {
    const [from, to] = [at, at + piece.text.length].map((place) =>
      origin.findIndex((o) => o >= place),
    );
    if (piece.link !== null)
      readings.push({
        from: from!,
        to: to! < 0 ? text.length : to!,
        weight: 50,
        meaning: { kind: 'link', link: piece.link },
      });
    at += piece.text.length;
  }
  return readings;
}

const MOST_WORDS = 8;
const AT = /(?:at\s+|@\s*)(?=[^\s,.;])/y;
/** A place does not begin inside a time: "at 14:00 until 15:00", "at 2pm". */
const IS_TIME =
  /^\d{1,2}(?:[:.h]\d{2}|h\b|\s*[ap]\.?m\b|\s*[ap](?!\p{L})|\s*(?:-|to|until|till)\s*\d)/u;
const LONGEST_TIME = 16;
/** Words that belong to another part of the line, or go on with the title. */
const ENDS_PLACE = /^(?:with|for|from|until|till|every|each|in|on|about|re|to|and|then|w|#.*|@)$/;
/** No place ends in one of these. */
const ARTICLE = /^(?:an?|the)$/;
/** Words after which "at" leads to no place. */
const NO_PLACE_BEFORE = /\b(?:look|looks|looking|laugh|arrive|aim)\s+$/;

/** "at Quay 3": every stretch of words after "at" (or "@"), the longer the better. */
export function placeReadings({ line, text, origin, starts }: JotText): Reading[] {
  const readings: Reading[] = [];
  for (const [i, from] of starts.entries()) {
    AT.lastIndex = from;
    const at = AT.exec(text);
    if (
      !at ||
      (from > 0 && !/\s/.test(text[from - 1]!)) ||
      NO_PLACE_BEFORE.test(text.slice(0, from))
    )
      continue;
    const first = from + at[0].length;
    if (IS_TIME.test(text.slice(first, first + LONGEST_TIME))) continue;
    let words = 0;
    for (const start of starts.slice(i + 1, -1)) {
      if (start < first) continue;
      const word = /^[\p{L}\p{N}'’]+|^./u.exec(text.slice(start))![0];
      // "Hotel Adler, Berlin": a name goes on behind a comma.
      const goesOn =
        word === ',' &&
        /^,\s+\p{Lu}\p{L}+(?=\s*$|\s+(?:on|at|from|for|with)\b|\s*[,.;])/u.test(
          line.slice(origin[start]),
        );
      if (goesOn && words > 0 && !isTaken(text, start + 1)) continue;
      const isSign = !/[\p{L}\p{N}&'.-]/u.test(word);
      if (words === MOST_WORDS || isSign || ENDS_PLACE.test(word)) break;
      words++;
      if (ARTICLE.test(word)) continue;
      const to = start + word.length;
      const place = line.slice(origin[first], origin[to] ?? line.length).replace(/[\s,.;]+$/, '');
      const isName = /^(?:\p{Lu}|\d|the\s)/u.test(place);
      const endsInNumber = words > 1 && /\d$/.test(place);
      const weight = 2 + words * 0.1 + (isName ? 0.5 : 0) + (endsInNumber ? 2.6 : 0);
      readings.push({ from, to, weight, meaning: { kind: 'place', place } });
    }
  }
  return readings;
}

/** Whether a weekday or a month stands there, behind blanks. */
const NAMES_A_DAY = new RegExp(`\\s*(?:${WEEKDAY}|${MONTH}|today|tomorrow)${NO_LETTER}`, 'yu');
function isTaken(text: string, at: number): boolean {
  NAMES_A_DAY.lastIndex = at;
  return NAMES_A_DAY.test(text);
}

const zone = (found: string | null): Meaning | null =>
  found === null ? null : { kind: 'zone', zone: found };

const CITY_TIME: readonly Rule[] = [
  rule("(?:in\\s+)?([\\p{L}'.]+(?:\\s+[\\p{L}'.]+){0,2})\\s+time", 9, ([name]) =>
    zone(zoneNamed(name!)),
  ),
  rule("(?:in\\s+)?([\\p{L}'.]+)\\s+time", 9, ([name]) => zone(zoneNamed(name!))),
];
const ABBREVIATION: readonly Rule[] = [
  rule('(utc|gmt)([+-]\\d{1,2})?', 9, ([name, offset]) =>
    zone(zoneAbbreviated(`${name}${offset ?? ''}`)),
  ),
  // A city may be where one goes: see `otherReadings.ts`.
  rule('(\\p{L}{2,5})', 8, ([name]) => zone(zoneAbbreviated(name!))),
];

/** Where what stands before the blanks before a place ends. */
function behindBlanks(text: string, at: number): number {
  let end = at;
  while (/\s/.test(text[end - 1] ?? '')) end--;
  return end;
}

const SAYS_TIME = /\btime\b/;

/** "Osaka time" anywhere, and abbreviations right after a time. */
export function zoneReadings(
  text: JotText,
  times: readonly Reading[],
  context: JotContext,
): Reading[] {
  const ends = new Set(times.map(({ to }) => to));
  const heads = text.heads.filter((at) => ends.has(behindBlanks(text.text, at)));
  return [
    ...(SAYS_TIME.test(text.text) ? readingsOf(text, CITY_TIME, context) : []),
    ...readingsOf({ ...text, heads }, ABBREVIATION, context),
  ];
}
