import type { DayMeant, Meaning, Reading, TimeMeant } from './meanings';
import { JOINS, LISTS, startingAt } from './joining';
import { isApart } from './meanings';
import type { JotContext, Rule } from './rule';
import { LONGEST_BARE } from './around';
import { readingsOf, rule } from './rule';
import type { JotText } from './text';
import { SPOKEN_RULES } from './spokenTimes';
import {
  CLOCK,
  fromTo,
  GLUED,
  gluedTime,
  GROUPS,
  HOUR,
  NOT_COUNTED,
  NOON,
  single,
  span,
  TO,
  typed,
} from './typedTime';
import { COUNT, countOf } from './vocabulary';

const LONGEST_WORD = 16;
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
/** Figures that are rather a number or a year than an hour with its minutes: "2026", "1984", "103". */
const isCounted = (hour: string, minute: string | undefined) =>
  minute !== undefined && (Number(minute) % 5 > 0 || /^(?:19|20)$/.test(hour));
/** From this hour on, "9h" beside a day is the hour and no length. */
const EARLIEST_H = 7;
const LONGEST_GLUED = 12 * HOUR;
const lasting = (meaning: Meaning) =>
  meaning.kind === 'time' && meaning.time?.to ? meaning.time.to - meaning.time.from : 0;
const ABOUT = '(?:(?:at\\s+)?(?:around|about|approx\\.?|approximately|roughly)\\s+|~\\s*)';

/** Ways to say a time that need nothing around them. */
export const TIME_RULES: readonly Rule[] = [
  rule(`${AT}${CLOCK}${NOT_COUNTED}`, 6, (groups) => single(typed(groups))),
  rule(`@\\s*${CLOCK}`, 9, (groups) => (isSaid(groups) ? single(typed(groups)) : null)),
  rule(`${ABOUT}${CLOCK}`, 9, (groups) => (isSaid(groups) ? single(typed(groups)) : null)),
  rule(CLOCK, 8, (groups) => (isSaid(groups) ? single(typed(groups)) : null)),
  rule('(\\d{1,2}):(\\d{2})\\s*h', 10, ([hour, minute]) =>
    Number(hour) > LONGEST_BARE ? single(typed([hour, ':', minute])) : null,
  ),
  // "14h" is a time of the day, "2h" a length.
  rule(`(?:at\\s+|@\\s*)?(\\d{2})h`, 8, ([hour]) =>
    Number(hour) > NOON / HOUR ? single(typed([hour])) : null,
  ),
  rule(
    `(?:(?:from|between|at)\\s+|@\\s*)${CLOCK}(?:${TO}|\\s+and\\s+)${CLOCK}${NOT_COUNTED}`,
    12,
    span,
  ),
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
  // "04.12. 9h" is an hour, "2h" a length.
  rule('(\\d{1,2})h', 7, ([hour]) => (Number(hour) >= EARLIEST_H ? single(typed([hour])) : null)),
  // "930-11", "2-230pm".
  rule(
    `(?:(?:from|at)\\s+|@\\s*)?${GLUED}${TO}${GLUED}${NOT_COUNTED}`,
    9.5,
    ([h1, m1, half1, h2, m2, half2]) => {
      if ((m1 ?? m2) === undefined || isCounted(h1!, m1) || isCounted(h2!, m2)) return null;
      const meaning = fromTo(gluedTime(h1!, m1, half1), gluedTime(h2!, m2, half2));
      return meaning && lasting(meaning) <= LONGEST_GLUED ? meaning : null;
    },
  ),
  rule(`${CLOCK}${TO}${CLOCK}${NOT_COUNTED}`, 8, (groups) =>
    isYear(groups) ? null : span(groups),
  ),
];

/** Words whose numbers count or name something. */
const NUMBERED =
  /(?:^|[\s(])(?:(?:page|chapter|question|section|unit|item|table|version|part|step|level|floor|room|year|age|gate|platform|lot|bay|phase|week|day|exercise|grade|class|number|line|slide|figure|article|clause|paragraph|module|lesson|verse|act|scene|appendice|batche?|ticket|row|desk|box|bus|route|track|invoice|order|sheet|stage|group|team|block|rung|sprint|candidate)s?|scored?|won|lost|beat|pp?\.?|nos?\.?|ch\.?|v\.?|#)\s*$/;

/** From a bare hour to another at an end of the line, which has a time nowhere else: "retro 4-5". */
function isAtAnEnd({ text, starts }: JotText, { from, to, meaning }: Reading): boolean {
  if (meaning.kind !== 'time' || !meaning.time?.to) return false;
  const isOverNoon = meaning.time.from < NOON && meaning.time.to > NOON;
  const isGlued = /\d{3}/.test(text.slice(from, to));
  // "2-4 samples" counts.
  const isPlural = /^\s+\p{L}+s(?!\p{L})/u.test(text.slice(to));
  if (from === starts[0])
    return (isOverNoon || isGlued || !isPlural) && /^\s+\p{L}/u.test(text.slice(to));
  return !text.slice(to).trim() && /\p{L}{2,}\s+$/u.test(text.slice(0, from));
}

const LAST_HOUR = /(?<=\p{L}\s+)(?:[1-9]|1[0-2])(?=\s*$)/u;

/** A number at the end of a line that says no time may be an hour: "standup 9". */
export function bareHour(text: string, readings: readonly Reading[]): Reading | null {
  const says = new Set(readings.map(({ meaning }) => meaning.kind));
  if (says.has('time') || says.has('partOfDay') || says.has('length')) return null;
  const found = LAST_HOUR.exec(text);
  if (!found || NUMBERED.test(text.slice(0, found.index))) return null;
  const [from, to] = [found.index, found.index + found[0].length];
  const meaning = single(typed([found[0]]));
  return meaning && isApart({ from, to }, readings) ? { from, to, weight: 0, meaning } : null;
}

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
    if (NUMBERED.test(text.text.slice(Math.max(0, reading.from - LONGEST_WORD), reading.from)))
      return [];
    const isBefore = begins.has(skipBlanks(reading.to, 1));
    if (isBefore) return [{ ...reading, weight: reading.weight - 2 }];
    return isAtAnEnd(text, reading) ? [{ ...reading, weight: 3 }] : [];
  });
}

const BLANK = /[\s,]*/y;

const MIDDAYS: Readonly<Record<string, number>> = { noon: NOON, midnight: 2 * NOON };

/** A time without an end, also "noon"; null where words say none. */
function pointIn({ meaning }: Reading): TimeMeant | null {
  if (meaning.kind === 'time') return meaning.time?.to === null ? meaning.time : null;
  const minute = meaning.kind === 'partOfDay' ? MIDDAYS[meaning.part] : undefined;
  return minute === undefined ? null : { from: minute, to: null, isOpen: false };
}

const pointOf = (
  first: { from: number },
  last: { to: number },
  { day }: { day: DayMeant },
  { time }: { time: TimeMeant },
) => ({ from: first.from, to: last.to, day, time });

/** From a time of one day to a time of another: `day` are the readings of days, `time` those of times. */
export function stretches(
  text: JotText,
  readings: readonly Reading[],
  context: JotContext,
): Reading[] {
  const bare = bareTimes(text, readings, context);
  const singles = [...readings, ...bare].flatMap((reading) => {
    const time = pointIn(reading);
    return time ? [{ ...reading, time }] : [];
  });
  const days = readings.flatMap((reading) =>
    reading.meaning.kind === 'day' && reading.meaning.day.lastDay === undefined
      ? [{ ...reading, day: reading.meaning.day }]
      : [],
  );
  const timesFrom = startingAt(singles);
  const daysFrom = startingAt(days);
  /** A day with its time, in either order. */
  const points = [
    ...days.flatMap((day) =>
      timesFrom(text.text, day.to, BLANK).map((time) => pointOf(day, time, day, time)),
    ),
    ...singles.flatMap((time) =>
      daysFrom(text.text, time.to, BLANK).map((day) => pointOf(time, day, day, time)),
    ),
  ];
  const pointsFrom = startingAt(points);
  return points.flatMap((first) => {
    const follow = (sign: RegExp, isList: boolean) =>
      pointsFrom(text.text, first.to, sign).map((last) => ({ last, isList }));
    return [...follow(JOINS, false), ...follow(LISTS, true)].flatMap(
      ({ last, isList }): Reading[] => {
        const toDay = last.day.day < first.day.day ? last.day.day + 7 : last.day.day;
        if (toDay < first.day.day) return [];
        const meaning: Meaning = {
          kind: 'stretch',
          fromDay: first.day,
          from: first.time,
          toDay,
          to: last.time,
          ...(isList && { isList: true as const }),
        };
        return [{ from: first.from, to: last.to, weight: 30, meaning }];
      },
    );
  });
}
