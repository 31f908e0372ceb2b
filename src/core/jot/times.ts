import type { Meaning, PartOfDay, Reading, TimeMeant } from './meanings';
import type { JotContext, Rule } from './rule';
import { readingsOf, rule } from './rule';
import type { JotText } from './text';
import { COUNT, countOf } from './vocabulary';

const HOUR = 60;
const HOURS = '(?:\\d{1,2}|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)';
const MINUTES = '(?:\\d{1,2}|five|ten|twenty|twenty[\\s-]five)';
const minutesOf = (word: string) =>
  word.startsWith('twenty') ? (word.endsWith('five') ? 25 : 20) : countOf(word);
const DAY = 24 * HOUR;
const NOON = 12 * HOUR;

/** A time as it stands in a line; `minute` of the day as typed. */
interface Typed {
  minute: number;
  /** "am" or "pm"; undefined where neither was said. */
  half: string | undefined;
  /** Said so that it can only be that hour: "09:30", "14:00". */
  isSure: boolean;
}

/** Hours, minutes and half of a time in figures: "9", "9:30", "9.30", "14h30", "1430", "2pm". */
const CLOCK =
  "(\\d{1,2})(?:([:.h])(\\d{2})|h|(?<=\\b\\d{2})(\\d{2}))?(?:\\s*([ap])\\.?m\\b\\.?|\\s*([ap])(?![\\p{L}]))?(?:\\s*o'?clock)?";
const GROUPS = 6;

function typed([hours, , minutes, glued, half, short]: readonly (
  string | undefined
)[]): Typed | null {
  const hour = Number(hours);
  const minute = Number(minutes ?? glued ?? 0);
  const said = (half ?? short)?.[0];
  if (minute > 59 || hour > 24 || (said && (hour < 1 || hour > 12))) return null;
  if (hour === 24 && minute > 0) return null;
  const isSure = said !== undefined || hour >= 13 || hours!.startsWith('0');
  const base = said === 'p' ? (hour % 12) + 12 : said === 'a' ? hour % 12 : hour;
  return { minute: base * HOUR + minute, half: said, isSure };
}

/** A bare small hour is one of the working day: "at 3" is 15:00, "at 9" is 9:00. */
const likely = ({ minute, isSure }: Typed): number =>
  !isSure && minute < 7 * HOUR && minute >= HOUR ? minute + NOON : minute;

function single(time: Typed | null): Meaning | null {
  if (!time || time.minute === DAY) return null;
  const isOpen = !time.isSure && time.minute >= HOUR && time.minute < 13 * HOUR;
  return { kind: 'time', time: { from: likely(time), to: null, isOpen } };
}

/** From a time to another, which may lie on the next day. */
function between(from: Typed | null, to: Typed | null): TimeMeant | null {
  if (!from || !to) return null;
  let [start, end] = [from.minute, to.minute];
  // "3-4pm": the half is of both, where that is in order.
  if (
    to.half === 'p' &&
    !from.isSure &&
    start < NOON &&
    start + NOON < end + (end <= NOON ? DAY : 0)
  )
    start += NOON;
  else if (!from.isSure && !to.half) start = likely(from);
  if (!to.isSure && end <= start && end < NOON && start < end + NOON) end += NOON;
  if (end <= start) end += DAY;
  return { from: start, to: end, isOpen: false };
}

const span = (groups: readonly (string | undefined)[]): Meaning | null => {
  const time = between(typed(groups.slice(0, GROUPS)), typed(groups.slice(GROUPS)));
  return time && { kind: 'time', time };
};

const TO = '\\s*(?:-|to|until|till|til)\\s*';
const AT = '(?:at|@|from|by|starting\\s+at|,)\\s*';
const isPlainNumber = (groups: readonly (string | undefined)[]) =>
  groups.slice(1, GROUPS).every((group) => group === undefined);
/** Four figures that look like a year are one. */
const isYear = ([hours, , , glued]: readonly (string | undefined)[]) =>
  glued !== undefined && (hours === '19' || hours === '20');

/** Ways to say a time that need nothing around them. */
export const TIME_RULES: readonly Rule[] = [
  rule(`${AT}${CLOCK}`, 6, (groups) => single(typed(groups))),
  rule(CLOCK, 8, (groups) => {
    const [, sign, , glued, half, short] = groups;
    const isSaid = half ?? short ?? (sign && sign !== undefined ? sign : undefined);
    // "14h" is sure, "10.15" likely, "1430" only beside a day.
    return isSaid !== undefined && glued === undefined ? single(typed(groups)) : null;
  }),
  rule(`(?:from|between|at)\\s+${CLOCK}(?:${TO}|\\s+and\\s+)${CLOCK}`, 10, span),
  rule(`${CLOCK}${TO}${CLOCK}`, 9, (groups) => {
    const [from, to] = [groups.slice(0, GROUPS), groups.slice(GROUPS)];
    // Two bare numbers may be anything: see below.
    return isPlainNumber(from) && isPlainNumber(to) ? null : span(groups);
  }),
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
  rule(`in\\s+(${COUNT})\\s*(minutes?|mins?|hours?|hrs?|h|m)(?:'?\\s+time)?`, 12, ([n, unit]) => ({
    kind: 'soon',
    minutes: countOf(n!) * (unit!.startsWith('h') ? HOUR : 1),
  })),
  rule('in\\s+half\\s+an\\s+hour', 12, () => ({ kind: 'soon', minutes: 30 })),
  rule('in\\s+an\\s+hour\\s+and\\s+a\\s+half', 14, () => ({ kind: 'soon', minutes: 90 })),
  rule('(?:all|whole|the\\s+whole|full)[\\s-]+day', 8, () => ({ kind: 'time', time: null })),
];

function past(hours: string, minutes: number, half: string | undefined): Meaning | null {
  const hour = typed([String(countOf(hours)), undefined, undefined, undefined, half, undefined]);
  return hour && single({ ...hour, minute: (hour.minute + minutes + DAY) % DAY });
}

/** Times that are only numbers: they count beside a day. */
const BARE_RULES: readonly Rule[] = [
  rule(`${CLOCK}`, 4, (groups) => {
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

const PARTS: Readonly<Record<string, PartOfDay>> = {
  morning: 'morning',
  am: 'morning',
  afternoon: 'afternoon',
  evening: 'evening',
  eve: 'evening',
  night: 'night',
};

/** Parts of the day. */
export const PART_RULES: readonly Rule[] = [
  rule('(?:at\\s+)?(?:noon|midday)', 7, () => ({ kind: 'partOfDay', part: 'noon' })),
  rule('(?:at\\s+)?midnight', 7, () => ({ kind: 'partOfDay', part: 'midnight' })),
  rule(
    '(?:by\\s+)?(?:the\\s+)?(?:eod|cob|end\\s+of\\s+(?:the\\s+)?day|close\\s+of\\s+business)',
    8,
    () => ({
      kind: 'partOfDay',
      part: 'end',
    }),
  ),
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
  rule('(morning|afternoon|evening|night|am)', 5, ([part]) => ({
    kind: 'partOfDay',
    part: PARTS[part!]!,
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
