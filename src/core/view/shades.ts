/** How booked a day is, for a shade: 0 clear, to 4 as much as a working day holds or more. */
export type Shade = 0 | 1 | 2 | 3 | 4;

/** Booked minutes that make a full day. */
const FULL_DAY = 8 * 60;

export function shadeOf(bookedMinutes: number): Shade {
  if (bookedMinutes <= 0) return 0;
  return Math.min(4, Math.ceil((bookedMinutes / FULL_DAY) * 4)) as Shade;
}
