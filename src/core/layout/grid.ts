import type { Occurrence } from '../agenda/occurrence';
import { daysOf, isTop } from './parts';

/** Weeks under each other, a cell a day, events on lines of the cells. */
export interface GridFrame {
  /** First day (day number): the beginning of a week. */
  fromDay: number;
  weeks: number;
  /** Lines that a cell has room for. */
  lines: number;
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
  day: number;
  bars: GridBar[];
  /** Events of each day that found no line. */
  more: number[];
  /** Lines that are used, the line of "more" included. */
  lines: number;
}

const DAYS = 7;

/** Long ones first, so that they lie on the same line across the week; then by time. */
function byLine(a: Stretch, b: Stretch): number {
  const isLong = (s: Stretch) => Number(isTop(s.occurrence) || s.columns > 1);
  return isLong(b) - isLong(a) || a.column - b.column || b.columns - a.columns;
}

type Stretch = Omit<GridBar, 'line'>;

function stretchIn(occurrence: Occurrence, day: number): Stretch | null {
  const { first, past } = daysOf(occurrence);
  if (past <= day || first >= day + DAYS) return null;
  const column = Math.max(0, first - day);
  return {
    occurrence,
    column,
    columns: Math.min(DAYS, past - day) - column,
    cutStart: first < day,
    cutEnd: past > day + DAYS,
  };
}

const cellsOf = ({ column, columns }: Stretch) =>
  Array.from({ length: columns }, (_, i) => column + i);

/** Gives each stretch the first line that is free in all of its cells. */
function onLines(stretches: readonly Stretch[]): GridBar[] {
  const taken: boolean[][] = Array.from({ length: DAYS }, () => []);
  return stretches.map((stretch) => {
    const cells = cellsOf(stretch);
    let line = 0;
    while (cells.some((cell) => taken[cell]![line])) line++;
    for (const cell of cells) taken[cell]![line] = true;
    return { ...stretch, line };
  });
}

function layoutWeek(frame: GridFrame, occurrences: readonly Occurrence[], week: number): GridWeek {
  const day = frame.fromDay + week * DAYS;
  const stretches = occurrences.flatMap((o) => stretchIn(o, day) ?? []);
  const bars = onLines(stretches.sort(byLine));
  const needed = bars.reduce((most, { line }) => Math.max(most, line + 1), 0);
  const more = new Array<number>(DAYS).fill(0);
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
