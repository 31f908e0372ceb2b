export const median = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
export const worst = (values: readonly number[]) => Math.max(...values);

/** Prints one measurement, and whether it keeps to its aim. */
export function report(what: string, value: number, unit: string, aim?: number): void {
  const shown = value >= 100 ? Math.round(value).toLocaleString('en') : value.toFixed(1);
  const verdict =
    aim === undefined ? '' : value <= aim ? `  (aim ${aim}: kept)` : `  (aim ${aim}: MISSED)`;
  console.log(`  ${what.padEnd(58)} ${shown.padStart(9)} ${unit}${verdict}`);
}
