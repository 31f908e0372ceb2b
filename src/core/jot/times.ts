import type { Meaning, Reading } from './meanings';
import type { JotContext, Rule } from './rule';
import { LONGEST_BARE } from './around';
import { readingsOf, rule } from './rule';
import type { JotText } from './text';
import { SPOKEN_RULES } from './spokenTimes';
import { CLOCK, GROUPS, HOUR, single, span, TO, typed } from './typedTime';
import { COUNT, countOf } from './vocabulary';

const AT = '(?:at|@|from|by|starting\\s+at|,)\\s*';
const isPlainNumber = (groups: readonly (string | undefined)[]) =>
  groups.slice(1, GROUPS).every((group) => group === undefined);
/** Four figures that look like a year are one. */
const isYear = ([hours, , , glued]: readonly (string | undefined)[]) =>
  glued !== undefined && (hours === '19' || hours === '20');

/** Whether figures can only be a time: "14h" and "10.15" are; "1430" is beside a day. */
function isSaid([, sign, , glued, half, short]: readonly (string | undefined)[]): boolean {
  return (half ?? short ?? sign) !== undefined && glued === undefined;
}
const ABOUT = '(?:(?:at\\s+)?(?:around|about|approx\\.?|approximately|roughly)\\s+|~\\s*)';

/** Ways to say a time that need nothing around them. */
export const TIME_RULES: readonly Rule[] = [
  rule(`${AT}${CLOCK}`, 6, (groups) => single(typed(groups))),
  rule(`@\\s*${CLOCK}`, 9, (groups) => (isSaid(groups) ? single(typed(groups)) : null)),
  rule(`${ABOUT}${CLOCK}`, 9, (groups) => (isSaid(groups) ? single(typed(groups)) : null)),
  rule(CLOCK, 8, (groups) => (isSaid(groups) ? single(typed(groups)) : null)),
  rule('(\\d{1,2}):(\\d{2})\\s*h', 10, ([hour, minute]) =>
    Number(hour) > LONGEST_BARE ? single(typed([hour, ':', minute])) : null,
  ),
  rule(`(?:from|between|at)\\s+${CLOCK}(?:${TO}|\\s+and\\s+)${CLOCK}`, 10, span),
  rule(`${CLOCK}${TO}${CLOCK}`, 9, (groups) => {
    const [from, to] = [groups.slice(0, GROUPS), groups.slice(GROUPS)];
    // Two bare numbers may be anything: see below. "2026-12" is a year and a month.
    return isPlainNumber(to) && (isPlainNumber(from) || isYear(from)) ? null : span(groups);
  }),
  rule(`in\\s+(${COUNT})\\s*(minutes?|mins?|hours?|hrs?|h|m)(?:'?\\s+time)?`, 12, ([n, unit]) => ({
    kind: 'soon',
    minutes: countOf(n!) * (unit!.startsWith('h') ? HOUR : 1),
  })),
  rule('in\\s+half\\s+an\\s+hour', 12, () => ({ kind: 'soon', minutes: 30 })),
  rule('in\\s+an\\s+hour\\s+and\\s+a\\s+half', 14, () => ({ kind: 'soon', minutes: 90 })),
  rule("in\\s+(\\d+)[.,](\\d+)\\s*(?:hours?|hrs?|h)(?:'?\\s+time)?", 14, ([whole, part]) => ({
    kind: 'soon',
    minutes: Math.round(Number(`${whole}.${part}`) * HOUR),
  })),
  rule(
    'in\\s+(\\d{1,2})\\s*(?:h|hrs?|hours?)\\s*(?:and\\s+)?(\\d{1,2})\\s*(?:m|mins?|minutes?)',
    22,
    ([h, m]) => ({ kind: 'soon', minutes: Number(h) * HOUR + Number(m) }),
  ),
  rule('(?:all|whole|the\\s+whole|full)[\\s-]+day', 8, () => ({ kind: 'time', time: null })),
  ...SPOKEN_RULES,
];

/** Times that are only numbers: they count beside a day. */
export const BARE_RULES: readonly Rule[] = [
  rule(`${ABOUT}?${CLOCK}(?:-?ish)?`, 4, (groups) => {
    const time = isYear(groups) ? null : typed(groups);
    // "0" and "24" are no hours that anybody types alone.
    return time && time.minute >= HOUR ? single(time) : null;
  }),
  rule(`${CLOCK}${TO}${CLOCK}`, 8, span),
];

/**
 * Bare numbers as times, where a day, a repeat or a part of the day stands right before or after
 * them: "fri 9", "1430 wed".
 */
export function bareTimes(
  text: JotText,
  beside: readonly Reading[],
  context: JotContext,
): Reading[] {
  const KINDS = new Set(['day', 'repeat', 'partOfDay', 'except']);
  const days = beside.filter(({ meaning }) => KINDS.has(meaning.kind));
  const ends = new Set(days.map(({ to }) => to));
  const begins = new Set(days.map(({ from }) => from));
  const skipBlanks = (at: number, step: 1 | -1) => {
    let i = at;
    while (/[\s,]/.test(text.text[step > 0 ? i : i - 1] ?? '')) i += step;
    return i;
  };
  return readingsOf(text, BARE_RULES, context).flatMap((reading) => {
    if (ends.has(skipBlanks(reading.from, -1))) return [reading];
    const isBefore = begins.has(skipBlanks(reading.to, 1));
    return isBefore ? [{ ...reading, weight: reading.weight - 2 }] : [];
  });
}

/** From a time of one day to a time of another: `day` are the readings of days, `time` those of times. */
export function stretches(
  text: JotText,
  readings: readonly Reading[],
  context: JotContext,
): Reading[] {
  const bare = bareTimes(text, readings, context);
  const singles = [...readings, ...bare].flatMap((reading) =>
    reading.meaning.kind === 'time' && reading.meaning.time?.to === null
      ? [{ ...reading, time: reading.meaning.time }]
      : [],
  );
  const days = readings.flatMap((reading) =>
    reading.meaning.kind === 'day' && reading.meaning.day.lastDay === undefined
      ? [{ ...reading, day: reading.meaning.day }]
      : [],
  );
  const isGap = (from: number, to: number, sign: RegExp) =>
    from <= to && sign.test(text.text.slice(from, to));
  const BLANK = /^[\s,]*$/;
  const JOIN = /^\s*(?:-|to|until|till)\s*$/;
  /** A day with its time, in either order. */
  const points = days.flatMap((day) =>
    singles.flatMap((time) => {
      const after = isGap(day.to, time.from, BLANK);
      const before = !after && isGap(time.to, day.from, BLANK);
      if (!after && !before) return [];
      const [first, last] = after ? [day, time] : [time, day];
      return [{ from: first.from, to: last.to, day: day.day, time: time.time }];
    }),
  );
  return points.flatMap((first) =>
    points.flatMap((last): Reading[] => {
      if (!isGap(first.to, last.from, JOIN)) return [];
      const toDay = last.day.day < first.day.day ? last.day.day + 7 : last.day.day;
      if (toDay < first.day.day) return [];
      const meaning: Meaning = {
        kind: 'stretch',
        fromDay: first.day,
        from: first.time,
        toDay,
        to: last.time,
      };
      return [{ from: first.from, to: last.to, weight: 30, meaning }];
    }),
  );
}
