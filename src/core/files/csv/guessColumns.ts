import { parseClock } from '../../jot/clock';
import type { ColumnMap, ColumnMeaning } from './columns';
import { readDate } from './dates';
import { readStretch } from './moments';

/** Words of column names, the surest first. */
const GUESSES: [ColumnMeaning, RegExp][] = [
  ['startDate', /^(start|begin|from|first).*(date|day)|^date$|^day$|^start$|^from$|^when$/],
  ['zone', /time ?zone|^zone$|^tz$|^tzid$/],
  ['startTime', /^(start|begin|from).*time|^time$|^at$/],
  ['endDate', /^(end|finish|until|to|last).*(date|day)|^end$|^until$|^to$/],
  ['endTime', /^(end|finish|until|to).*time/],
  ['length', /duration|length|minutes/],
  ['wholeDay', /(all|whole|full).?day/],
  ['title', /title|subject|summary|^event$|^name$|^what$/],
  ['place', /place|location|room|where|venue/],
  ['notes', /note|description|detail|comment|remark/],
  ['link', /link|url|web/],
  ['categories', /categor|label|tag/],
  ['availability', /availab|show.*as|busy|status/],
  ['calendar', /calendar/],
];

const plainName = (name: string) =>
  name
    .toLowerCase()
    .replaceAll(/[_\s-]+/g, ' ')
    .trim();

const isTime = (cell: string) => {
  const stretch = readStretch(cell, 'day', 'UTC');
  return parseClock(cell) !== null || (stretch !== null && stretch.from.day === null);
};
const isDate = (cell: string) =>
  !isTime(cell) && (readDate(cell, 'day') ?? readDate(cell, 'month')) !== null;

/** Whether a column holds times of the day and no dates; a cell that is neither is told of when rows are read. */
function holdsTimes(at: number, rows: readonly (readonly string[])[]): boolean {
  const cells = rows.map((row) => (row[at] ?? '').trim());
  return cells.some(isTime) && !cells.some(isDate);
}

/** What is in the columns that no name tells of: a first one with days, times of the day, and words. */
function guessByCells(map: ColumnMap, rows: readonly (readonly string[])[]): ColumnMap {
  const width = Math.max(0, ...rows.map(({ length }) => length));
  const free = Array.from({ length: width }, (_, i) => i).filter(
    (i) => !Object.values(map).includes(i),
  );
  const cellsOf = (at: number) => rows.map((row) => (row[at] ?? '').trim()).filter(Boolean);
  const isAll = (at: number, is: (cell: string) => boolean) =>
    cellsOf(at).length > 0 && cellsOf(at).every(is);
  const found: ColumnMap = {};
  const [firstDays, lastDays] = free.filter((at) => isAll(at, isDate));
  const [firstTimes, lastTimes] = free.filter((at) => isAll(at, isClock));
  if (map.startDate === undefined && firstDays !== undefined) {
    found.startDate = firstDays;
    if (map.endDate === undefined) found.endDate = lastDays;
    if (map.startTime === undefined) found.startTime = firstTimes;
    if (map.endTime === undefined) found.endTime = lastTimes;
  }
  if (map.title === undefined) {
    const isWords = (cell: string) => !isDate(cell) && !isTime(cell) && /\p{L}/u.test(cell);
    found.title = free.find((at) => isAll(at, isWords));
  }
  return Object.fromEntries(Object.entries(found).filter(([, at]) => at !== undefined));
}
/** Times that no number can be taken for. */
const isClock = (cell: string) => isTime(cell) && !/^\d+$/.test(cell);

/**
 * What the names of columns tell of their meaning, and some rows under them: "Start" may be a date or
 * a time, and what has no known name may show what it is. Each column means one thing, each thing is
 * meant once.
 */
export function guessColumns(
  columns: readonly string[],
  rows: readonly (readonly string[])[] = [],
): ColumnMap {
  const map: ColumnMap = {};
  for (const [date, time] of [
    ['startDate', 'startTime'],
    ['endDate', 'endTime'],
  ] as const) {
    const at = columns.findIndex(
      (name, i) =>
        GUESSES.some(([m, words]) => m === date && words.test(plainName(name))) &&
        holdsTimes(i, rows),
    );
    if (at >= 0) map[time] = at;
  }
  const taken = new Set<number>(Object.values(map));
  for (const [meaning, pattern] of GUESSES) {
    if (map[meaning] !== undefined) continue;
    const at = columns.findIndex((name, i) => !taken.has(i) && pattern.test(plainName(name)));
    if (at < 0) continue;
    map[meaning] = at;
    taken.add(at);
  }
  return { ...map, ...guessByCells(map, rows) };
}
