import type { CalendarEvent } from '../model/event';
import type { Repeat } from '../recurrence/repeat';
import { NO_REPEAT } from '../recurrence/repeat';
import { dayOfWall, formatDate } from '../time/civil';
import type { WallMs } from '../time/units';
import type { Extras } from './extras';
import { extrasOf } from './extras';
import { impossible } from './impossible';
import type { Meaning, Reading } from './meanings';
import { otherReadings } from './otherReadings';
import { understood } from './readings';
import { remindersOf } from './reminders';
import { bounded, patternOf, repeated } from './repeated';
import type { JotContext } from './rule';
import { saidBy } from './said';
import { withoutParts } from './title';
import { unread } from './unread';
import type { Times } from './when';
import { alsoAt, dayByDay, timesMeant, whenSaid } from './when';

export type JotPartKind =
  | 'when'
  | 'length'
  | 'place'
  | 'calendar'
  | 'category'
  | 'guests'
  | 'link'
  | 'repeat'
  | 'reminder'
  | 'extra';

/** Words of a jotted line, by position. */
export interface JotPart {
  kind: JotPartKind;
  from: number;
  to: number;
}

/** What a jotted line was understood to mean. Times are wall ms; the end is exclusive. */
export interface Jot extends Times {
  title: string;
  /** Minutes, when the line says how long. */
  length: number | null;
  /** Whether the line names a day, or a time; without either it means the whole of the given day. */
  saysDay: boolean;
  saysTime: boolean;
  /** The zone whose clock the times are on, where the line names one. */
  zone: string | null;
  place: string;
  calendarId: string;
  categoryIds: string[];
  /** Known people whom the line is with; their names stay in the title. */
  guestIds: string[];
  /** Web address; empty for none. */
  link: string;
  repeat: Repeat;
  /** Starts (wall ms) of further dates that it names one by one. */
  alsoAt: WallMs[];
  /** Days that it says a repeat leaves out, as `YYYY-MM-DD`. */
  exceptDays: string[];
  /** The reminders that the line asks for; null where it says nothing of them. */
  reminders: CalendarEvent['reminders'];
  /** What it says of the way there, how much it matters, and whether it may be disturbed. */
  extras: Extras;
  /** Whether it is a task and no event: "task: …" says so, "due Friday" may. */
  task: 'said' | 'maybe' | null;
  /** Which words said what, in order; for showing how the line was read. */
  parts: JotPart[];
}

const PART_KINDS: Readonly<Record<Meaning['kind'], JotPartKind>> = {
  day: 'when',
  time: 'when',
  stretch: 'when',
  soon: 'when',
  partOfDay: 'when',
  zone: 'when',
  length: 'length',
  repeat: 'repeat',
  end: 'repeat',
  except: 'repeat',
  season: 'repeat',
  place: 'place',
  calendar: 'calendar',
  category: 'category',
  guests: 'guests',
  link: 'link',
  reminder: 'reminder',
  travel: 'extra',
  importance: 'extra',
  quiet: 'extra',
  availability: 'extra',
  private: 'extra',
  notes: 'extra',
  task: 'extra',
};

/** Blanks, or the letter between a date and a time as devices write them. */
const BETWEEN = /^(?:\s*|T)$/i;

/** Parts of one kind with only blanks between them are one. */
function joined(line: string, parts: readonly JotPart[]): JotPart[] {
  const all: JotPart[] = [];
  for (const part of parts) {
    const last = all.at(-1);
    if (last?.kind === part.kind && BETWEEN.test(line.slice(last.to, part.from))) last.to = part.to;
    else all.push({ ...part });
  }
  return all;
}

function jotOf(
  line: string,
  readings: readonly Reading[],
  origin: readonly number[],
  context: JotContext,
): Jot {
  const all = saidBy(readings);
  const said = bounded(all, all.repeat?.pattern ?? null, dayOfWall(context.now));
  const when = dayByDay(whenSaid(said, context), said);
  const pattern = patternOf(said, when);
  const times = timesMeant(
    pattern && when.day.isWeekdays ? { ...when, day: { day: context.day } } : when,
    said,
    context,
  );
  const dated = pattern ? repeated(times, said, pattern, context) : { ...times, repeat: NO_REPEAT };
  const parts = joined(
    line,
    readings.map(({ meaning, from, to }): JotPart => ({
      kind: PART_KINDS[meaning.kind],
      from: origin[from]!,
      to: origin[to - 1]! + 1,
    })),
  );
  return {
    title: withoutParts(
      line,
      parts.filter(({ kind }) => kind !== 'guests'),
    ),
    length: said.length?.minutes ?? null,
    saysDay: Boolean(said.day ?? said.stretch ?? said.soon ?? said.partOfDay?.day),
    saysTime: Boolean(said.time ?? said.stretch ?? said.soon ?? said.partOfDay),
    zone: said.zone?.zone ?? null,
    place: said.place?.place ?? '',
    calendarId: said.calendar?.id ?? context.defaultCalendarId,
    categoryIds: readings.flatMap(({ meaning }) =>
      meaning.kind === 'category' ? [meaning.id] : [],
    ),
    guestIds: said.guests?.ids ?? [],
    link: said.link?.link ?? '',
    parts,
    reminders: remindersOf(
      readings.flatMap(({ meaning }) =>
        meaning.kind === 'reminder'
          ? [meaning.reminder, ...(meaning.also ? [meaning.also] : [])]
          : [],
      ),
      dated,
    ),
    extras: extrasOf(readings.map(({ meaning }) => meaning)),
    task: said.task ? (said.task.isSure ? 'said' : 'maybe') : null,
    alsoAt: alsoAt(when.day, dated),
    exceptDays: (said.except?.days ?? []).map(formatDate),
    ...dated,
  };
}

/** Whether a line says how long and not at what hour: a day and a length make no hour. */
export const isHourOpen = ({
  saysTime,
  length,
  wholeDay,
}: Pick<Jot, 'saysTime' | 'length' | 'wholeDay'>): boolean =>
  length !== null && !saysTime && !wholeDay;

export const HOUR_OPEN = 'No time is said: it begins when your hours do.';

/** A line as it was read. */
export interface ReadJot extends Jot {
  /** What it may well mean instead; null where it is plain. */
  other: Jot | null;
  /** Times and days in it that there are not, in sentences. */
  problems: string[];
  /** Words of the title that say when or how often, and were not understood; in sentences. */
  unread: string[];
  /** What was filled in of what it does not say, in sentences. */
  guesses: string[];
}

/**
 * Reads one line of ordinary English as an event: "Freight call Thu 14:00 for 90 min at Quay 3 in
 * Clients". Whatever says nothing of when, how long, how often, where or which calendar is the title.
 * A line without a time lasts the whole day; one that repeats begins on the first day that fits.
 */
export function readJot(line: string, context: JotContext): ReadJot {
  const { text, readings, loose } = understood(line, context);
  const other = otherReadings(text.text, readings, loose);
  const jot = jotOf(line, readings, text.origin, context);
  const impossibles = impossible(text.text, readings);
  return {
    ...jot,
    other: other && jotOf(line, other, text.origin, context),
    problems: impossibles,
    unread: impossibles.length ? [] : unread(jot.title),
    guesses: isHourOpen(jot) ? [HOUR_OPEN] : [],
  };
}
