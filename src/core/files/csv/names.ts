/** Several names in one cell: with semicolons between them, in quotes where a name holds what separates. */
export const writeNames = (names: readonly string[]): string =>
  names
    .map((name) => (/[;,"]|^\s|\s$/.test(name) ? `"${name.replaceAll('"', '""')}"` : name))
    .join('; ');

/** The names in a cell, which semicolons or commas separate. */
export function readNames(cell: string): string[] {
  const names = [...cell.matchAll(/\s*(?:"((?:[^"]|"")*)"\s*(?=[;,]|$)|([^;,]+))/g)].map(
    ([, quoted, bare]) => quoted?.replaceAll('""', '"') ?? bare!.trim(),
  );
  return names.filter(Boolean);
}
