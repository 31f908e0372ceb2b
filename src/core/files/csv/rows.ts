import { parseClock } from '../../jot/clock';
import type { Availability } from '../../model/common';
import { timesOver } from '../../editing/edits';
import { newEvent } from '../../model/event';
import { DAY, formatDate, MINUTE } from '../../time/civil';
import type { DayNumber, EpochMs } from '../../time/units';
import type { EventDraft } from '../ics/readEvent';
import type { FileContents } from '../ics/readFile';
import type { ColumnMap, ColumnMeaning } from './columns';
import type { DateOrder } from './dates';
import { readDate } from './dates';
import { unguardCell } from './formula';
import { readNames } from './names';
import { rowUid } from './rowUid';
import type { Table } from './table';

/** How the rows of a table are to be read. */
export interface TableReading {
  columns: ColumnMap;
  order: DateOrder;
  /** The zone whose clock the times are on. */
  zone: string;
  /** Minutes that an event lasts when no column says. */
  defaultLength: number;
  /** Epoch ms */
  now: EpochMs;
}

type Cells = (meaning: ColumnMeaning) => string;

/** A time of the day in a cell, which may hold a date before it; null when there is none. */
function timeIn(cell: string): number | null {
  const time = /\d{1,2}[:.]\d{2}(?::\d{2})?\s*(?:[ap]\.?m\.?)?\s*$|\d{1,2}\s*[ap]\.?m\.?\s*$/i.exec(
    cell,
  );
  if (!time) return null;
  return parseClock(
    time[0]
      .replace(/(\d[:.]\d{2}):\d{2}/, '$1')
      .replaceAll('.', ':')
      .replace(/\s*([ap]):?m:?/i, '$1m'),
  );
}

function timeOf(cells: Cells, time: ColumnMeaning, date: ColumnMeaning): number | null {
  const own = cells(time);
  if (own === '')
    return /\d\s*[T,]?\s+\d|T\d/.test(cells(date)) ? timeIn(cells(date).replace('T', ' ')) : null;
  const read = parseClock(own) ?? timeIn(own);
  if (read === null) throw new RangeError(`“${own}” is not a time`);
  return read;
}

function dayIn(cells: Cells, meaning: ColumnMeaning, order: DateOrder): number | null {
  const text = cells(meaning);
  if (text === '') return null;
  const day = readDate(text, order);
  if (day === null) throw new RangeError(`“${text}” is not a date`);
  return day;
}

const YES = /^(yes|y|true|1|x|whole day|all day)$/i;
const AVAILABILITIES: [RegExp, Availability][] = [
  [/^(free|transparent|available)\b/i, 'free'],
  [/^tentative\b/i, 'tentative'],
  [/^(away|out)\b/i, 'away'],
];

const UNITS: [RegExp, number][] = [
  [/^(m|min|mins|minutes?)?$/, 1],
  [/^(h|hr|hrs|hours?)$/, 60],
  [/^(d|days?)$/, 1440],
];

/** Minutes of a length as people write it: "45", "45 min", "1:30", "1:30 h", "1.5 h", "1 h 30 min". Null when it is none. */
export function readLength(text: string): number | null {
  const clock = /^(\d+):(\d{2})(?::\d{2})?\s*(?:h|hrs?|hours?)?$/i.exec(text.trim());
  if (clock) return Number(clock[2]) < 60 ? Number(clock[1]) * 60 + Number(clock[2]) : null;
  const parts = [...text.matchAll(/(\d+(?:[.,]\d+)?)\s*([a-z]*)\.?\s*/gi)];
  if (
    !parts.length ||
    parts
      .map(([all]) => all)
      .join('')
      .trim() !== text.trim()
  )
    return null;
  let minutes = 0;
  for (const [, amount, unit] of parts) {
    const each = UNITS.find(([words]) => words.test(unit!.toLowerCase()))?.[1];
    if (each === undefined) return null;
    minutes += Number(amount!.replace(',', '.')) * each;
  }
  return minutes;
}

/** An end on a clock without a date that is earlier than its start is on the next day, unless that were most of a day. */
const LONGEST_NIGHT = 12 * 60;

function readSpan(cells: Cells, reading: TableReading) {
  const { order, zone, defaultLength } = reading;
  const startDay = dayIn(cells, 'startDate', order);
  if (startDay === null) throw new RangeError('there is no start date');
  const endDay = dayIn(cells, 'endDate', order);
  const from = timeOf(cells, 'startTime', 'startDate');
  if (from === null || YES.test(cells('wholeDay'))) {
    const last = endDay ?? startDay;
    if (last < startDay) throw new RangeError('the last day is before the first');
    return {
      start: { kind: 'date' as const, date: formatDate(startDay) },
      end: { kind: 'date' as const, date: formatDate(last + 1) },
    };
  }
  const to = timeOf(cells, 'endTime', 'endDate');
  const written = cells('length');
  const length = written === '' ? defaultLength : readLength(written);
  if (length === null) throw new RangeError(`“${written}” is not a length`);
  const start = startDay * DAY + from * MINUTE;
  const end = to === null ? start + length * MINUTE : endOf({ startDay, endDay, from, to });
  if (end < start) throw new RangeError('the end is before the start');
  return timesOver({ start, end, wholeDay: false, ...(to === null && { lasts: true }) }, zone);
}

function endOf(row: {
  startDay: DayNumber;
  endDay: DayNumber | null;
  from: number;
  to: number;
}): number {
  const { startDay, endDay, from, to } = row;
  const isNextDay = endDay === null && to < from && to + 1440 - from <= LONGEST_NIGHT;
  return ((endDay ?? startDay) + (isNextDay ? 1 : 0)) * DAY + to * MINUTE;
}

/** A cell as it was before it was kept from running, with the blanks around it. */
function rawCell(cells: readonly string[], column: number | undefined): string {
  return column === undefined ? '' : unguardCell(cells[column] ?? '');
}

/** `copy` counts the rows before it that say the same. */
function readRow(cells: readonly string[], copy: number, reading: TableReading): EventDraft {
  const text: Cells = (meaning) => rawCell(cells, reading.columns[meaning]);
  const at: Cells = (meaning) => text(meaning).trim();
  const availability = AVAILABILITIES.find(([words]) => words.test(at('availability')))?.[1];
  const categories = readNames(at('categories'));
  const {
    id: _id,
    calendarId: _calendar,
    ...draft
  } = newEvent(
    {
      id: 'draft',
      calendarId: 'draft',
      uid: rowUid(cells, copy),
      title: text('title'),
      place: text('place'),
      notes: text('notes'),
      link: text('link'),
      ...readSpan(at, reading),
      ...(availability && { availability }),
      ...(categories.length && {
        passthrough: {
          properties: [['categories', {}, 'text', ...categories]],
          components: [],
        },
      }),
    },
    reading.now,
  );
  return draft;
}

/** The events of a table's rows. A row that can't be read stays out, named with its line. */
export function readRows(table: Table, reading: TableReading): FileContents {
  const contents: FileContents = {
    name: '',
    events: [],
    looseDates: [],
    answers: [],
    proposals: [],
    method: '',
    stamps: new Map(),
    tasks: [],
    ownUids: new Set(),
    calendarNames: new Map(),
    otherComponents: [],
    properties: [],
    counts: { events: table.rows.length, tasks: 0, overrides: 0 },
    skipped: [],
    notes: [],
  };
  const copies = new Map<string, number>();
  const alike: number[] = [];
  for (const { line, cells } of table.rows) {
    const row = JSON.stringify(cells);
    const copy = copies.get(row) ?? 0;
    copies.set(row, copy + 1);
    try {
      const draft = readRow(cells, copy, reading);
      contents.events.push(draft);
      if (copy > 0) alike.push(line);
      const calendar = rawCell(cells, reading.columns.calendar).trim();
      if (calendar) contents.calendarNames.set(draft.uid, calendar);
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      const title = rawCell(cells, reading.columns.title).trim();
      const named = title ? `“${title}”` : 'A row without a title';
      contents.skipped.push({ line, what: `${named} stays out: ${error.message}.` });
    }
  }
  if (alike.length) contents.notes.push(sayAlike(alike));
  return contents;
}

/** Lines that are named before the rest is only counted. */
const MOST_NAMED = 5;

function sayAlike(lines: readonly number[]): string {
  const named = lines.slice(0, MOST_NAMED).join(', ');
  const more = lines.length > MOST_NAMED ? ` and ${lines.length - MOST_NAMED} more` : '';
  return lines.length === 1
    ? `Line ${named} says the same as a line before it. Both come in.`
    : `Lines ${named}${more} say the same as lines before them. All come in.`;
}
