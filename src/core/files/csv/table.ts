import Papa from 'papaparse';
import { FileError } from '../ics/scan';
import { readDate } from './dates';
import { readStretch } from './moments';

/** A table file as it stands: the names of its columns, and its rows with the lines they begin on. */
export interface Table {
  columns: string[];
  rows: { line: number; cells: string[] }[];
}

/** A first line in which spreadsheets say what parts the cells. */
const SAYS_SEPARATOR = /^\uFEFF?sep=(.)\r?\n/i;

const isDated = (cell: string) =>
  readStretch(cell, 'day', 'UTC')?.from.day != null || readDate(cell.trim(), 'month') !== null;

/**
 * Reads a table file (CSV, RFC 4180; also with semicolons or tabs). The first row names the
 * columns, unless there is a date in it.
 * @throws FileError when there are no rows.
 */
export function readTable(text: string): Table {
  const rows: Table['rows'] = [];
  const separator = SAYS_SEPARATOR.exec(text);
  let line = separator ? 2 : 1;
  let at = 0;
  const body = text.slice(separator?.[0].length ?? 0);
  Papa.parse<string[]>(body, {
    ...(separator && { delimiter: separator[1] }),
    step: ({ data, meta }) => {
      if (data.some((cell) => cell.trim() !== '')) rows.push({ line, cells: data });
      // A quoted cell may hold line ends, so lines are counted in what was read.
      line += body.slice(at, meta.cursor).split('\n').length - 1;
      at = meta.cursor;
    },
  });
  const [first] = rows;
  // A first row with a date in it is an event; the columns have no names then.
  const isNamed = !first?.cells.some(isDated);
  const head = isNamed ? rows.shift() : { cells: first!.cells.map(() => '') };
  const others = rows;
  if (!head || !others.length)
    throw new FileError('There are no rows under a first row that names the columns.');
  const names = head.cells.map((name) => name.trim());
  // Blanks after a separator belong to how a file is written if its first row has them; else to the texts.
  const isPadded = head.cells.some((name, i) => name !== names[i]);
  return {
    columns: names.map((name, i) => name || `Column ${i + 1}`),
    rows: isPadded
      ? others.map(({ line, cells }) => ({ line, cells: cells.map((cell) => cell.trim()) }))
      : others,
  };
}
