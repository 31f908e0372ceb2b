import { parseClock } from '../../jot/clock';
import type { Availability } from '../../model/common';
import { timesOver } from '../../editing/edits';
import { newEvent } from '../../model/event';
import { DAY, formatDate, MINUTE } from '../../time/civil';
import { parseDuration } from '../../time/durations';
import { zoneKnownAs } from '../../time/describedZones';
import type { DayNumber, EpochMs } from '../../time/units';
import type { EventDraft } from '../ics/readEvent';
import type { FileContents } from '../ics/readFile';
import type { ColumnMap, ColumnMeaning } from './columns';
import type { DateOrder } from './dates';
import { unguardCell } from './formula';
import type { Stretch } from './moments';
import { readStretch } from './moments';
import { readNames } from './names';
import { rowUid } from './rowUid';
import type { Table } from './table';
import { UserError } from '../../userError';

/** How the rows of a table are to be read. */
export interface TableReading {
  columns: ColumnMap;
  order: DateOrder;
  /** The zone whose clock the times are on, where a row says no other. */
  zone: string;
  /** Minutes that an event lasts when no column says. */
  defaultLength: number;
  /** Epoch ms */
  now: EpochMs;
}

type Cells = (meaning: ColumnMeaning) => string;

/** What a cell says of when; null for an empty one. @throws UserError where it says neither day nor time. */
function stretchIn(cell: string, is: string, { order, zone }: TableReading): Stretch | null {
  if (cell === '') return null;
  const read = readStretch(cell, order, zone);
  if (!read) throw new UserError('unreadable', `“${cell}” is not a ${is}`);
  return read;
}

/** A cell for a day, which may say a time too, and a last one. */
function daysIn(cell: string, reading: TableReading): Stretch | null {
  const read = stretchIn(cell, 'date', reading);
  if (read && read.from.day === null) throw new UserError('unreadable', `“${cell}” is not a date`);
  return read;
}

/** A cell for a time of the day: a bare hour is one there. */
function timesIn(cell: string, reading: TableReading): Stretch | null {
  const hour = parseClock(cell);
  if (hour !== null) return { from: { day: null, minute: hour }, to: null };
  const read = stretchIn(cell, 'time', reading);
  if (read && read.from.minute === null)
    throw new UserError('unreadable', `“${cell}” is not a time`);
  return read;
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

/** Minutes of a length as people write it: "45", "45 min", "1:30", "1:30 h", "1.5 h", "1 h 30 min", "PT45M". Null when it is none. */
export function readLength(text: string): number | null {
  const iso = /^P(?=.*\d)/i.test(text.trim()) ? parseDuration(text.trim().toUpperCase()) : null;
  if (iso) return iso.days * 1440 + Math.round(iso.ms / MINUTE);
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

/** The zone that a row is on. @throws UserError where it names one that nobody knows. */
function zoneOf(cells: Cells, { zone }: TableReading): string {
  const name = cells('zone');
  if (name === '') return zone;
  const known = zoneKnownAs(name);
  if (known === null)
    throw new UserError('unreadable', `“${name}” is not a time zone that is known`);
  return known;
}

function readSpan(cells: Cells, table: TableReading) {
  const reading = { ...table, zone: zoneOf(cells, table) };
  const days = daysIn(cells('startDate'), reading);
  if (!days) throw new UserError('unreadable', 'there is no start date');
  const lastDays = daysIn(cells('endDate'), reading);
  const startDay = days.from.day!;
  const endDay = lastDays?.from.day ?? days.to?.day ?? null;
  const times = timesIn(cells('startTime'), reading);
  const from = times?.from.minute ?? days.from.minute;
  if (from === null || YES.test(cells('wholeDay'))) {
    const last = endDay ?? startDay;
    if (last < startDay) throw new UserError('unreadable', 'the last day is before the first');
    return {
      start: { kind: 'date' as const, date: formatDate(startDay) },
      end: { kind: 'date' as const, date: formatDate(last + 1) },
    };
  }
  const to =
    timesIn(cells('endTime'), reading)?.from.minute ??
    lastDays?.from.minute ??
    (times ? times.to : days.to)?.minute ??
    null;
  const written = cells('length');
  const length = written === '' ? reading.defaultLength : readLength(written);
  if (length === null) throw new UserError('unreadable', `“${written}” is not a length`);
  const start = startDay * DAY + from * MINUTE;
  const end = to === null ? start + length * MINUTE : endOf({ startDay, endDay, from, to });
  if (end < start) throw new UserError('unreadable', 'the end is before the start');
  return timesOver(
    { start, end, wholeDay: false, ...(to === null && { lasts: true }) },
    reading.zone,
  );
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
    calendars: new Map(),
    otherComponents: [],
    properties: [],
    counts: { events: table.rows.length, tasks: 0, overrides: 0 },
    leftOut: 0,
    entriesOf: new Map(),
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
      contents.entriesOf.set(draft.uid, 1);
      if (copy > 0) alike.push(line);
      const calendar = rawCell(cells, reading.columns.calendar).trim();
      if (calendar) contents.calendarNames.set(draft.uid, calendar);
    } catch (error) {
      if (!(error instanceof RangeError || error instanceof UserError)) throw error;
      const why =
        error instanceof UserError ? error.message : 'a date or time of it does not exist';
      const title = rawCell(cells, reading.columns.title).trim();
      const named = title ? `“${title}”` : 'A row without a title';
      contents.leftOut++;
      contents.skipped.push({ line, what: `${named} stays out: ${why}.` });
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
