import type { Meaning, OpenPattern, Reading, TimeMeant } from './meanings';
import { DAY, MINUTE } from '../time/civil';
import type { JotContext } from './rule';
import { NTH, nthOf, WEEKDAY, weekdayNamed } from './vocabulary';

/** What words of a line mean by what stands elsewhere in it: a rhythm before the title, an evening's hour. */

const NOON = 12 * 60;

const isFree = (from: number, to: number, taken: readonly Reading[]) =>
  taken.every((one) => one.to <= from || one.from >= to);

const inOrder = (readings: Reading[]) => readings.sort((a, b) => a.from - b.from);

const withPattern = (readings: readonly Reading[], repeat: Reading, pattern: OpenPattern) =>
  readings.map((one): Reading =>
    one === repeat ? { ...one, meaning: { kind: 'repeat', pattern } } : one,
  );

/** "Fortnightly planning Wednesdays": a rhythm said apart from its weekdays. */
function withRhythm(readings: Reading[], all: readonly Reading[]): Reading[] {
  const repeat = readings.find(({ meaning }) => meaning.kind === 'repeat');
  if (repeat?.meaning.kind !== 'repeat') return readings;
  const { pattern } = repeat.meaning;
  if (pattern.kind !== 'weekly' || pattern.interval !== 1) return readings;
  for (const rhythm of all) {
    const { meaning, from, to } = rhythm;
    if (meaning.kind !== 'repeat' || meaning.pattern.kind !== 'weeklyOnStart') continue;
    if (!isFree(from, to, readings)) continue;
    const merged = { ...pattern, interval: meaning.pattern.interval };
    return inOrder([
      ...withPattern(readings, repeat, merged),
      { ...rhythm, meaning: { kind: 'repeat', pattern: merged } },
    ]);
  }
  return readings;
}

const NTH_WEEKDAY = new RegExp(
  `(?<!\\p{L})(?:on\\s+)?(?:the\\s+)?(${NTH})\\s+(${WEEKDAY})(?!\\p{L})`,
  'gu',
);

/** "Monthly report last Friday": which weekday of the month, said apart from the month. */
function onNthWeekday(text: string, readings: Reading[]): Reading[] {
  const repeat = readings.find(({ meaning }) => meaning.kind === 'repeat');
  if (repeat?.meaning.kind !== 'repeat') return readings;
  const { pattern } = repeat.meaning;
  if (pattern.kind !== 'monthlyOnStart') return readings;
  const others = readings.filter(({ meaning }) => meaning.kind !== 'day');
  for (const { index: from, 0: said, 1: nth, 2: name } of text.matchAll(NTH_WEEKDAY)) {
    const to = from + said.length;
    if (!isFree(from, to, others)) continue;
    const merged: OpenPattern = {
      ...{ kind: 'monthWeekday', interval: pattern.interval },
      ...{ nth: nthOf(nth!), weekday: weekdayNamed(name!) },
    };
    const rest = withPattern(readings, repeat, merged).filter(
      (one) => one.to <= from || one.from >= to,
    );
    return inOrder([
      ...rest,
      { from, to, weight: repeat.weight, meaning: { kind: 'repeat', pattern: merged } },
    ]);
  }
  return readings;
}

/** What is done of an evening, for which nobody says the half of the day. */
const OF_THE_EVENING =
  /(?<!\p{L})(?:dinner|supper|concert|gig|theatre|theater|cinema|film|movie|opera|ballet|party|drinks|pub|quiz|disco|fireworks|nightclub|restaurant|table\s+for)(?!\p{L})/u;
const EARLIEST = 5 * 60;
/** Nobody means a later hour without saying so. */
const LATEST = 21 * 60;

const inEvening = (time: TimeMeant): TimeMeant => ({
  ...time,
  from: time.from + NOON,
  to: time.to === null || time.to > NOON ? time.to : time.to + NOON,
});

/** What is done early, or whenever a timetable says, so that its hour is the one that was typed. */
const AS_TYPED =
  /(?<!\p{L})(?:flight|fly|train|ferry|bus|boat|departure|departs?|airport|swim|run|jog|gym|yoga|breakfast|sunrise|school)(?!\p{L})/u;

/** "Flight to Oslo 6:55" leaves in the morning, where "call 6:55" would be in the evening. */
function ofMorning(text: string, readings: Reading[]): Reading[] {
  const says = (kind: Meaning['kind']) => readings.some(({ meaning }) => meaning.kind === kind);
  if (says('partOfDay') || !AS_TYPED.test(text)) return readings;
  return readings.map((one): Reading => {
    const { meaning } = one;
    if (meaning.kind !== 'time' || !meaning.time?.isOpen) return one;
    const from = meaning.time.from - NOON;
    if (from < EARLIEST || meaning.time.to !== null) return one;
    return { ...one, meaning: { kind: 'time', time: { ...meaning.time, from } } };
  });
}

/** "Concert at 8" begins in the evening, unless the line says which half of the day it means. */
function ofEvening(text: string, readings: Reading[]): Reading[] {
  const says = (kind: Meaning['kind']) => readings.some(({ meaning }) => meaning.kind === kind);
  if (says('partOfDay') || !OF_THE_EVENING.test(text)) return readings;
  return readings.map((one): Reading => {
    const { meaning } = one;
    if (meaning.kind !== 'time' || !meaning.time?.isOpen) return one;
    const { from, to } = meaning.time;
    if (from < EARLIEST || from >= NOON || (to !== null && to > NOON)) return one;
    return { ...one, meaning: { kind: 'time', time: inEvening(meaning.time) } };
  });
}

/** "At 9", said at 10:25 of no day: the evening's, which is still to come. */
function stillToCome(
  readings: Reading[],
  { now, day, keepsPast }: Pick<JotContext, 'now' | 'day' | 'keepsPast'>,
): Reading[] {
  const SAYS_WHEN = new Set(['day', 'partOfDay', 'repeat', 'soon', 'stretch']);
  const minute = (now - day * DAY) / MINUTE;
  if (keepsPast || minute < 0 || minute >= DAY / MINUTE) return readings;
  if (readings.some(({ meaning }) => SAYS_WHEN.has(meaning.kind))) return readings;
  return readings.map((one): Reading => {
    const { meaning } = one;
    if (meaning.kind !== 'time' || !meaning.time?.isOpen || meaning.time.to !== null) return one;
    const { from } = meaning.time;
    if (from < EARLIEST || from >= minute || from + NOON <= minute) return one;
    if (from + NOON > LATEST) return one;
    return { ...one, meaning: { kind: 'time', time: inEvening(meaning.time) } };
  });
}

/** The readings of a line (`all` are those that were not taken, too), each as the whole line means it. */
export const settled = (
  text: string,
  readings: Reading[],
  all: readonly Reading[],
  context: Pick<JotContext, 'now' | 'day' | 'keepsPast'>,
): Reading[] =>
  stillToCome(
    ofMorning(text, ofEvening(text, onNthWeekday(text, withRhythm(readings, all)))),
    context,
  );
