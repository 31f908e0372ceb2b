import type { Lens, View } from '../model/view';
import { formatDate, parseDate } from '../time/civil';
import type { DayNumber } from '../time/units';

/** A lens that keeps the sheet as it is. `day` (day number) fixes it to that stretch; null lets it follow the day. */
export function lensOf(
  fields: Pick<Lens, 'id' | 'name' | 'icon' | 'order'>,
  view: View,
  day: DayNumber | null,
): Lens {
  return { ...fields, view, day: day === null ? null : formatDate(day) };
}

/** The day (day number) around which a lens shows its span. */
export const dayOfLens = (lens: Lens, today: DayNumber) =>
  lens.day === null ? today : parseDate(lens.day);

/** Whether the sheet was changed since a lens was picked. */
export function isChanged(lens: Lens, view: View): boolean {
  return JSON.stringify(sorted(lens.view)) !== JSON.stringify(sorted(view));
}

/** Stored records may have their fields in another order. */
function sorted(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  return Object.fromEntries(
    Object.entries(value)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, inner]) => [key, sorted(inner)]),
  );
}

/** Lenses with their places when one goes one on or back; only those whose place changes. */
export function movedLens(lenses: readonly Lens[], id: string, by: -1 | 1): Lens[] {
  const from = lenses.findIndex((lens) => lens.id === id);
  const to = from + by;
  if (from < 0 || to < 0 || to >= lenses.length) return [];
  return lenses
    .toSpliced(from, 1)
    .toSpliced(to, 0, lenses[from]!)
    .flatMap((lens, order) => (lens.order === order ? [] : [{ ...lens, order }]));
}
