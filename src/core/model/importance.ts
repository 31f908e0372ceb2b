/** How much an event matters, as people say it. */
export const IMPORTANCES = ['high', 'usual', 'low'] as const;
export type Importance = (typeof IMPORTANCES)[number];

/** What PRIORITY (RFC 5545 §3.8.1.9) means: 1 to 4 are high, 6 to 9 low; 0 says nothing. */
export function importanceOf(priority: number): Importance {
  if (priority >= 1 && priority <= 4) return 'high';
  return priority >= 6 ? 'low' : 'usual';
}

const PRIORITIES: Readonly<Record<Importance, number>> = { high: 1, usual: 0, low: 9 };

/** The PRIORITY of an event that is to matter so much; the one that it has where that says the same. */
export const withImportance = (importance: Importance, priority: number): number =>
  importanceOf(priority) === importance ? priority : PRIORITIES[importance];
