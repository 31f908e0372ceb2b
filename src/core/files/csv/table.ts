import Papa from 'papaparse';
import { FileError } from '../ics/scan';

/** A table file as it stands: the names of its columns, and its rows with the lines they begin on. */
export interface Table {
  columns: string[];
  rows: { line: number; cells: string[] }[];
}

/**
 * Reads a table file (CSV, RFC 4180; also with semicolons or tabs). The first row names the columns.
 * @throws FileError when there are no rows.
 */
export function readTable(text: string): Table {
  const rows: Table['rows'] = [];
  let line = 1;
  let at = 0;
  Papa.parse<string[]>(text, {
    step: ({ data, meta }) => {
      if (data.some((cell) => cell.trim() !== '')) rows.push({ line, cells: data });
      // A quoted cell may hold line ends, so lines are counted in what was read.
      line += text.slice(at, meta.cursor).split('\n').length - 1;
      at = meta.cursor;
    },
  });
  const [head, ...others] = rows;
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
