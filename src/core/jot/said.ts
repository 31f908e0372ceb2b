import type { Meaning, Reading } from './meanings';

/** What was said of each kind, of those that are said once. */
export type Said = { [Kind in Meaning['kind']]?: Meaning & { kind: Kind } };

export function saidBy(readings: readonly Reading[]): Said {
  const said: Record<string, Meaning> = {};
  for (const { meaning } of readings) said[meaning.kind] ??= meaning;
  return said as Said;
}
