/** What a column of a table file can mean. */
export const COLUMN_MEANINGS = {
  title: 'Title',
  startDate: 'Start date',
  startTime: 'Start time',
  endDate: 'End date (last day)',
  endTime: 'End time',
  length: 'Length (minutes, or 1:30 h)',
  wholeDay: 'Whole day (yes or no)',
  place: 'Place',
  notes: 'Notes',
  link: 'Link',
  categories: 'Categories',
  availability: 'Availability',
  calendar: 'Calendar',
  zone: 'Time zone',
} as const;

export type ColumnMeaning = keyof typeof COLUMN_MEANINGS;

/** Which column, by its number, means what; a column that means nothing is left out. */
export type ColumnMap = Partial<Record<ColumnMeaning, number>>;

/** Names under which a table's columns are remembered: all of them, in order. */
export const signatureOf = (columns: readonly string[]) =>
  columns.map((name) => name.toLowerCase()).join('|');

/** A remembered choice (names of columns by meaning) for a table that has those columns. */
export function recallColumns(
  columns: readonly string[],
  remembered: Readonly<Record<string, string>> | undefined,
): ColumnMap | null {
  if (!remembered) return null;
  const map: ColumnMap = {};
  for (const [meaning, name] of Object.entries(remembered)) {
    const at = columns.indexOf(name);
    if (at >= 0 && meaning in COLUMN_MEANINGS) map[meaning as ColumnMeaning] = at;
  }
  return map;
}

/** A choice as it is remembered. */
export const rememberColumns = (columns: readonly string[], map: ColumnMap) =>
  Object.fromEntries(Object.entries(map).map(([meaning, at]) => [meaning, columns[at]!]));
