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
      const cells = data.map((cell) => cell.trim());
      if (cells.some((cell) => cell !== '')) rows.push({ line, cells });
      // A quoted cell may hold line ends, so lines are counted in what was read.
      line += text.slice(at, meta.cursor).split('\n').length - 1;
      at = meta.cursor;
    },
  });
  const [head, ...others] = rows;
  if (!head || !others.length)
    throw new FileError('There are no rows under a first row that names the columns.');
  return {
    columns: head.cells.map((name, i) => name || `Column ${i + 1}`),
    rows: others,
  };
}
