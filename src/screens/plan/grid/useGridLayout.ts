import { useMemo } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { GridFrame, GridWeek } from '@/core/layout/grid';
import { layoutGrid } from '@/core/layout/grid';
import { DAYS_A_WEEK } from '@/core/time/civil';
import type { Detail } from '@/core/model/view';
import type { Scale } from '@/core/view/scale';
import {
  BAR_LINE,
  CELL_HEAD,
  GUTTER,
  LINE,
  MIN_WEEK,
  NARROW,
  NARROW_HEAD,
  NARROW_WEEK,
  PADDING,
} from './geometry';

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
  /** Whether its cells have no room for titles. */
  isNarrow: boolean;
  /** Days of a week that have a cell, counted from its first. */
  offsets: readonly number[];
}

interface Frame extends Pick<GridFrame, 'fromDay' | 'weeks' | 'offsets'> {
  room: { width: number; height: number };
  isWide: boolean;
  detail: Detail;
  scale: Scale;
  hasWeekNumbers: boolean;
  /** The day that is opened in place: its week shows everything. */
  openDay: number | null;
}

/** Places weeks under each other; the one that is open grows to hold all that it has, where it has room. */
function placeWeeks(frame: Frame, occurrences: readonly Occurrence[]): GridLayout {
  const { fromDay, weeks, offsets, room, isWide, scale } = frame;
  const size = isWide ? 'wide' : 'phone';
  const gutter = frame.hasWeekNumbers ? GUTTER[size] * scale.text : 0;
  const cell = Math.max(1, (room.width - gutter) / offsets.length);
  const isNarrow = cell < NARROW * scale.text;
  const detail = isNarrow && frame.detail === 'titles' ? 'marks' : frame.detail;
  const openDay = isNarrow ? null : frame.openDay;
  const head = Math.round((isNarrow ? NARROW_HEAD : CELL_HEAD[size]) * scale.text);
  const fit = isNarrow
    ? NARROW_WEEK * scale.line
    : Math.max(MIN_WEEK[size] * scale.line, Math.floor(room.height / weeks));
  const usual = Math.max(head + BAR_LINE, Math.round(fit * scale.zoom));
  const titleLine = Math.round(LINE[size] * scale.line);
  const line = detail === 'titles' ? titleLine : BAR_LINE;
  const openWeek = openDay === null ? null : Math.floor((openDay - fromDay) / DAYS_A_WEEK);
  const fitting = Math.max(1, Math.floor((usual - head - PADDING) / line));
  const lines = detail === 'marks' ? Infinity : fitting;
  const placed: PlacedWeek[] = [];
  let y = 0;
  for (const week of layoutGrid({ fromDay, weeks, offsets, lines, openWeek }, occurrences)) {
    const isOpen = placed.length === openWeek;
    const grown = isOpen ? head + week.lines * titleLine + PADDING : 0;
    const height = Math.max(usual, grown);
    const drawn = isOpen ? { line: titleLine, detail: 'titles' as const } : { line, detail };
    placed.push({ ...week, ...drawn, y, height });
    y += height;
  }
  return { weeks: placed, height: y, gutter, cell, head, isNarrow, offsets };
}

export function useGridLayout(frame: Frame, occurrences: readonly Occurrence[]): GridLayout {
  const { fromDay, weeks, offsets, room, isWide, detail, scale, hasWeekNumbers, openDay } = frame;
  return useMemo(
    () =>
      placeWeeks(
        { fromDay, weeks, offsets, room, isWide, detail, scale, hasWeekNumbers, openDay },
        occurrences,
      ),
    [fromDay, weeks, offsets, room, isWide, detail, scale, hasWeekNumbers, openDay, occurrences],
  );
}
