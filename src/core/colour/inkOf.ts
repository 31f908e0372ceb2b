import type { Occurrence } from '../agenda/occurrence';
import { personOfCalendarId } from '../model/person';

/** What has no category is drawn in this ink where inks stand for categories. */
export const NO_CATEGORY = '#6B6F6A';

type Inked = Pick<Occurrence, 'ink' | 'categoryIds' | 'calendarId'>;

/**
 * The ink in which an occurrence is drawn: its own, else its calendar's; or, where inks stand for
 * categories (their inks by id are given), that of the first it has. Others' time keeps their ink.
 */
export function inkOf(
  o: Inked,
  calendarInk: string,
  categoryInks: ReadonlyMap<string, string> | null,
): string {
  // Others' time has no category of one's own: their ink tells whose it is.
  if (!categoryInks || personOfCalendarId(o.calendarId) !== null) return o.ink ?? calendarInk;
  const known = o.categoryIds.find((id) => categoryInks.has(id));
  return known === undefined ? NO_CATEGORY : categoryInks.get(known)!;
}
