import type { Meaning, OpenPattern, Reading, TimeMeant } from './meanings';
import { DAY, MINUTE } from '../time/civil';
import type { JotContext } from './rule';
import { isApart } from './meanings';
import { LETTER, NO_LETTER, NTH, nthOf, WEEKDAY, weekdayNamed } from './vocabulary';

/** What words of a line mean by what stands elsewhere in it: a rhythm before the title, an evening's hour. */

const NOON = 12 * 60;

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
    const { meaning } = rhythm;
    if (meaning.kind !== 'repeat' || meaning.pattern.kind !== 'weeklyOnStart') continue;
    if (!isApart(rhythm, readings)) continue;
    const merged = { ...pattern, interval: meaning.pattern.interval };
    return inOrder([
      ...withPattern(readings, repeat, merged),
      { ...rhythm, meaning: { kind: 'repeat', pattern: merged } },
    ]);
  }
  return readings;
}

const NTH_WEEKDAY = new RegExp(
  `(?<![${LETTER}])(?:on\\s+)?(?:the\\s+)?(${NTH})\\s+(${WEEKDAY})${NO_LETTER}`,
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
    if (!isApart({ from, to }, others)) continue;
    const merged: OpenPattern = {
      ...{ kind: 'monthWeekday', interval: pattern.interval },
      ...{ nth: nthOf(nth!), weekday: weekdayNamed(name!) },
    };
    const rest = withPattern(readings, repeat, merged).filter((one) =>
      isApart(one, [{ from, to }]),
    );
    return inOrder([
      ...rest,
      { from, to, weight: repeat.weight, meaning: { kind: 'repeat', pattern: merged } },
    ]);
  }
  return readings;
}

/** One of some words, whole. */
const wholeWord = (words: string) => new RegExp(`(?<![${LETTER}])(?:${words})${NO_LETTER}`, 'u');

/** What is done of an evening, for which nobody says the half of the day. */
const OF_THE_EVENING = wholeWord(
  'dinner|supper|concert|gig|theatre|theater|cinema|film|movie|opera|ballet|party|drinks|pub|quiz|disco|fireworks|nightclub|restaurant|table\\s+for',
);
const EARLIEST = 5 * 60;
/** Nobody means a later hour without saying so. */
const LATEST = 21 * 60;

const inEvening = (time: TimeMeant): TimeMeant => ({
  ...time,
  from: time.from + NOON,
  to: time.to === null || time.to > NOON ? time.to : time.to + NOON,
});

/** What is done early, or whenever a timetable says, so that its hour is the one that was typed. */
const AS_TYPED = wholeWord(
  'flight|fly|train|ferry|bus|boat|departure|departs?|airport|swim|run|jog|gym|yoga|breakfast|sunrise|school',
);

/** Readings whose open hours are others by what the line is about; null leaves an hour as it is. */
const withOpenHours = (
  readings: Reading[],
  change: (time: TimeMeant) => TimeMeant | null,
): Reading[] =>
  readings.map((one): Reading => {
    const time = one.meaning.kind === 'time' && one.meaning.time?.isOpen ? one.meaning.time : null;
    const changed = time && change(time);
    return changed ? { ...one, meaning: { kind: 'time', time: changed } } : one;
  });

const saysPart = (readings: readonly Reading[]) =>
  readings.some(({ meaning }) => meaning.kind === 'partOfDay');

/** "Flight to Oslo 6:55" leaves in the morning, where "call 6:55" would be in the evening. */
function ofMorning(text: string, readings: Reading[]): Reading[] {
  if (saysPart(readings) || !AS_TYPED.test(text)) return readings;
  return withOpenHours(readings, (time) =>
    time.to === null && time.from - NOON >= EARLIEST ? { ...time, from: time.from - NOON } : null,
  );
}

/** "Call at 8" as it was meant the last time. */
const asChosen = (readings: Reading[], halves: JotContext['chosenHalves'] = {}): Reading[] =>
  withOpenHours(readings, (time) => {
    const half = halves[time.from % NOON];
    if (half === undefined || time.to !== null) return null;
    return { ...time, from: (time.from % NOON) + (half === 'pm' ? NOON : 0) };
  });

/** "Concert at 8" begins in the evening, unless the line says which half of the day it means. */
function ofEvening(text: string, readings: Reading[]): Reading[] {
  if (saysPart(readings) || !OF_THE_EVENING.test(text)) return readings;
  return withOpenHours(readings, (time) =>
    time.from >= EARLIEST && time.from < NOON && (time.to ?? 0) <= NOON ? inEvening(time) : null,
  );
}

const SAYS_WHEN = new Set<Meaning['kind']>(['day', 'partOfDay', 'repeat', 'soon', 'stretch']);

/** "At 9", said at 10:25 of no day: the evening's, which is still to come. */
function stillToCome(
  readings: Reading[],
  { now, day, keepsPast }: Pick<JotContext, 'now' | 'day' | 'keepsPast'>,
): Reading[] {
  const minute = (now - day * DAY) / MINUTE;
  const isToday = minute >= 0 && minute < DAY / MINUTE;
  if (keepsPast || !isToday || readings.some(({ meaning }) => SAYS_WHEN.has(meaning.kind)))
    return readings;
  return withOpenHours(readings, (time) => {
    const later = time.from + NOON;
    const isOver = time.from >= EARLIEST && time.from < minute;
    return isOver && time.to === null && later > minute && later <= LATEST ? inEvening(time) : null;
  });
}

/** The readings of a line (`all` are those that were not taken, too), each as the whole line means it. */
export const settled = (
  text: string,
  readings: Reading[],
  all: readonly Reading[],
  context: Pick<JotContext, 'now' | 'day' | 'keepsPast' | 'chosenHalves'>,
): Reading[] => {
  const said = asChosen(onNthWeekday(text, withRhythm(readings, all)), context.chosenHalves);
  return stillToCome(ofMorning(text, ofEvening(text, said)), context);
};
