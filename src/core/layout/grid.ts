import type { Occurrence } from '../agenda/occurrence';
import type { Weekday } from '../time/civil';
import { DAYS_A_WEEK, startOfWeek } from '../time/civil';
import type { DayNumber } from '../time/units';
import { daysOf, isTop } from '../agenda/parts';

/** Weeks under each other, a cell a day, events on lines of the cells. */
export interface GridFrame {
  /** First day (day number): the beginning of a week. */
  fromDay: DayNumber;
  weeks: number;
  /** Lines that a cell has room for. */
  lines: number;
  /** Days of a week that have a cell, from 0, in order: all seven, or those without a weekend. */
  offsets: readonly number[];
  /** The week whose cells show everything, from 0; null when none does. */
  openWeek: number | null;
}

/** An event's stretch across cells of one week. */
export interface GridBar {
  occurrence: Occurrence;
  /** Cell of the week where it begins, and how many it covers. */
  column: number;
  columns: number;
  line: number;
  /** Whether the event goes on in the week before or after. */
  cutStart: boolean;
  cutEnd: boolean;
}

export interface GridWeek {
  /** First day (day number). */
  day: DayNumber;
  bars: GridBar[];
  /** Events of each cell that found no line. */
  more: number[];
  /** Lines that are used, the line of "more" included. */
  lines: number;
}

/** Long ones first, so that they lie on the same line across the week; then by time. */
function byLine(a: Stretch, b: Stretch): number {
  const isLong = (s: Stretch) => Number(isTop(s.occurrence) || s.columns > 1);
  return isLong(b) - isLong(a) || a.column - b.column || b.columns - a.columns;
}

type Stretch = Omit<GridBar, 'line'>;

/** The cells of a week that an event covers; null when it lies on none of them. */
function stretchIn(
  occurrence: Occurrence,
  day: DayNumber,
  offsets: readonly number[],
): Stretch | null {
  const { first, past } = daysOf(occurrence);
  const column = offsets.findIndex((offset) => day + offset >= first);
  const columns = offsets.filter((offset) => day + offset >= first && day + offset < past).length;
  if (columns === 0) return null;
  return { occurrence, column, columns, cutStart: first < day, cutEnd: past > day + DAYS_A_WEEK };
}

const cellsOf = ({ column, columns }: Stretch) =>
  Array.from({ length: columns }, (_, i) => column + i);

/** The frame's weeks for days in order, the same ones of every week. `firstWeekday` is where weeks begin. */
export function weeksOf(
  days: readonly number[],
  firstWeekday: Weekday,
): Pick<GridFrame, 'fromDay' | 'weeks' | 'offsets'> {
  const fromDay = startOfWeek(days[0]!, firstWeekday);
  const offsets = days.filter((day) => day < fromDay + DAYS_A_WEEK).map((day) => day - fromDay);
  return { fromDay, weeks: days.length / offsets.length, offsets };
}

/** Gives each stretch the first line that is free in all of its cells. */
function onLines(stretches: readonly Stretch[], width: number): GridBar[] {
  const taken: boolean[][] = Array.from({ length: width }, () => []);
  return stretches.map((stretch) => {
    const cells = cellsOf(stretch);
    let line = 0;
    while (cells.some((cell) => taken[cell]![line])) line++;
    for (const cell of cells) taken[cell]![line] = true;
    return { ...stretch, line };
  });
}

function layoutWeek(frame: GridFrame, occurrences: readonly Occurrence[], week: number): GridWeek {
  const day = frame.fromDay + week * DAYS_A_WEEK;
  const { offsets } = frame;
  const stretches = occurrences.flatMap((o) => stretchIn(o, day, offsets) ?? []);
  const bars = onLines(stretches.sort(byLine), offsets.length);
  const needed = bars.reduce((most, { line }) => Math.max(most, line + 1), 0);
  const more = new Array<number>(offsets.length).fill(0);
  if (frame.openWeek === week || needed <= frame.lines) return { day, bars, more, lines: needed };
  // The last line says how many there are besides.
  const room = Math.max(0, frame.lines - 1);
  const fullCells = new Set(bars.flatMap((bar) => (bar.line >= frame.lines ? cellsOf(bar) : [])));
  const isShown = (bar: GridBar) =>
    bar.line < room ||
    (bar.line < frame.lines && !cellsOf(bar).some((cell) => fullCells.has(cell)));
  for (const bar of bars) if (!isShown(bar)) for (const cell of cellsOf(bar)) more[cell]!++;
  return { day, bars: bars.filter(isShown), more, lines: frame.lines };
}

/** Lays occurrences (wall ms, in order of start) out as weeks of cells. */
export function layoutGrid(frame: GridFrame, occurrences: readonly Occurrence[]): GridWeek[] {
  return Array.from({ length: frame.weeks }, (_, week) => layoutWeek(frame, occurrences, week));
}
