import Papa from 'papaparse';
import type { Occurrence } from '../../agenda/occurrence';
import type { CalendarEvent } from '../../model/event';
import { DAY, dayOfWall, formatDate, minuteOfDay } from '../../time/civil';
import type { WallMs } from '../../time/units';
import { guardCell } from './formula';
import { writeNames } from './names';

/** Columns that can go out, in their usual order, with their names. */
export const OUT_COLUMNS = {
  title: 'Title',
  startDate: 'Start date',
  startTime: 'Start time',
  endDate: 'End date',
  endTime: 'End time',
  wholeDay: 'Whole day',
  hours: 'Hours',
  calendar: 'Calendar',
  place: 'Place',
  categories: 'Categories',
  availability: 'Availability',
  notes: 'Notes',
  link: 'Link',
} as const;

export type OutColumn = keyof typeof OUT_COLUMNS;

/** One date with what its line says besides. */
export interface OutRow {
  occurrence: Occurrence;
  event: CalendarEvent;
  calendar: string;
  categories: string[];
  /** As the table counts them: what it takes of the period, and none where it is free (see `minutesWithin`). */
  minutes: number;
}

const clock = (wall: WallMs) => {
  const minute = minuteOfDay(wall);
  return `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
};

const CELLS: Record<OutColumn, (row: OutRow) => string | number> = {
  title: ({ occurrence }) => occurrence.title,
  startDate: ({ occurrence: o }) => formatDate(dayOfWall(o.start)),
  startTime: ({ occurrence: o }) => (o.wholeDay ? '' : clock(o.start)),
  // Inclusive for whole days, as people say it.
  endDate: ({ occurrence: o }) => formatDate(dayOfWall(o.wholeDay ? o.end - DAY : o.end)),
  endTime: ({ occurrence: o }) => (o.wholeDay ? '' : clock(o.end)),
  wholeDay: ({ occurrence: o }) => (o.wholeDay ? 'yes' : 'no'),
  hours: ({ minutes }) => (minutes > 0 ? Math.round(minutes / 0.6) / 100 : ''),
  calendar: ({ calendar }) => calendar,
  place: ({ occurrence }) => occurrence.place,
  categories: ({ categories }) => writeNames(categories),
  availability: ({ occurrence }) => occurrence.availability,
  notes: ({ event, occurrence: { dateKey } }) =>
    (dateKey === null ? undefined : event.changedDates[dateKey]?.notes) ?? event.notes,
  link: ({ event, occurrence: { dateKey } }) =>
    (dateKey === null ? undefined : event.changedDates[dateKey]?.link) ?? event.link,
};

const guarded = (cell: string | number) => (typeof cell === 'string' ? guardCell(cell) : cell);

/**
 * A table file (RFC 4180) with one line a date. Cells that a spreadsheet would run as a formula are
 * kept from that.
 */
export function writeTable(rows: readonly OutRow[], columns: readonly OutColumn[]): string {
  const lines = rows.map((row) => columns.map((column) => guarded(CELLS[column](row))));
  return Papa.unparse([columns.map((column) => OUT_COLUMNS[column]), ...lines], {
    newline: '\r\n',
  });
}
