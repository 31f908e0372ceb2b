export const median = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
export const worst = (values: readonly number[]) => Math.max(...values);

/** What a measurement is to keep to: at most a number, or at least one. */
export type Aim = number | { atLeast: number };

function verdictOf(value: number, aim: Aim | undefined): string {
  if (aim === undefined) return '';
  const [said, isKept] =
    typeof aim === 'number'
      ? [`aim ${aim}`, value <= aim]
      : [`aim ≥ ${aim.atLeast}`, value >= aim.atLeast];
  return `  (${said}: ${isKept ? 'kept' : 'MISSED'})`;
}

/** Prints one measurement, and whether it keeps to its aim. */
export function report(what: string, value: number, unit: string, aim?: Aim): void {
  const shown = value >= 100 ? Math.round(value).toLocaleString('en') : value.toFixed(1);
  console.log(`  ${what.padEnd(64)} ${shown.padStart(9)} ${unit}${verdictOf(value, aim)}`);
}
