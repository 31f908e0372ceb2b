import { useMemo } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { GridWeek } from '@/core/layout/grid';
import { layoutGrid } from '@/core/layout/grid';
import type { Detail } from '@/core/model/view';
import { BAR_LINE, CELL_HEAD, GUTTER, LINE, MIN_WEEK, PADDING } from './geometry';

const DAYS = 7;

/** A week of the grid with its place, in px. */
export interface PlacedWeek extends GridWeek {
  y: number;
  height: number;
  /** Height of a line of it: less where only bars are shown. */
  line: number;
  detail: Detail;
}

export interface GridLayout {
  weeks: PlacedWeek[];
  height: number;
  gutter: number;
  cell: number;
  head: number;
}

interface Frame {
  fromDay: number;
  weeks: number;
  room: { width: number; height: number };
  isWide: boolean;
  detail: Detail;
  /** The day that is opened in place: its week shows everything. */
  openDay: number | null;
}

/** Places weeks under each other; the one that is open grows to hold all that it has. */
function placeWeeks(frame: Frame, occurrences: readonly Occurrence[]): GridLayout {
  const { fromDay, weeks, room, isWide, detail, openDay } = frame;
  const size = isWide ? 'wide' : 'phone';
  const gutter = GUTTER[size];
  const head = CELL_HEAD[size];
  const usual = Math.max(MIN_WEEK[size], Math.floor(room.height / weeks));
  const line = detail === 'titles' ? LINE[size] : BAR_LINE;
  const openWeek = openDay === null ? null : Math.floor((openDay - fromDay) / DAYS);
  const fitting = Math.max(1, Math.floor((usual - head - PADDING) / line));
  const lines = detail === 'marks' ? Infinity : fitting;
  const placed: PlacedWeek[] = [];
  let y = 0;
  for (const week of layoutGrid({ fromDay, weeks, lines, openWeek }, occurrences)) {
    const isOpen = placed.length === openWeek;
    const grown = isOpen ? head + week.lines * LINE[size] + PADDING : 0;
    const height = Math.max(usual, grown);
    const drawn = isOpen ? { line: LINE[size], detail: 'titles' as const } : { line, detail };
    placed.push({ ...week, ...drawn, y, height });
    y += height;
  }
  const cell = Math.max(1, (room.width - gutter) / DAYS);
  return { weeks: placed, height: y, gutter, cell, head };
}

export function useGridLayout(frame: Frame, occurrences: readonly Occurrence[]): GridLayout {
  const { fromDay, weeks, room, isWide, detail, openDay } = frame;
  return useMemo(
    () => placeWeeks({ fromDay, weeks, room, isWide, detail, openDay }, occurrences),
    [fromDay, weeks, room, isWide, detail, openDay, occurrences],
  );
}
