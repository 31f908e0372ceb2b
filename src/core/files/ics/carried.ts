import type { Calendar } from '../../model/calendar';
import { calendar } from '../../model/calendar';
import type { JcalProperty } from '../../model/common';
import type { z } from '../../model/zod';

/** Our own: what a calendar of the file is, as JSON; and of an entry, which of them it lies on, by its name. */
export const CALENDAR_PROPERTY = 'x-orderly-calendar';
export const IN_CALENDAR_PROPERTY = 'x-orderly-in';

/** What goes along of a calendar whose entries go out: how it looks, and what its entries have from it. */
const carriedCalendar = calendar.pick({
  name: true,
  description: true,
  ink: true,
  mark: true,
  zone: true,
  defaultReminders: true,
  defaultWholeDayReminders: true,
  remindsOf: true,
  defaultAvailability: true,
  defaultLength: true,
  isClosures: true,
  rooms: true,
  order: true,
});
export type CarriedCalendar = z.infer<typeof carriedCalendar>;

const FIELDS = Object.keys(carriedCalendar.shape) as (keyof CarriedCalendar)[];

/** Calendars by their ids, each with a name that no other of them has. */
export function carriedCalendars(all: readonly Calendar[]): Map<string, CarriedCalendar> {
  const names = new Set<string>();
  return new Map(
    all.map((one) => {
      let name = one.name;
      for (let nth = 2; names.has(name.toLowerCase()); nth++) name = `${one.name} ${nth}`;
      names.add(name.toLowerCase());
      const fields = FIELDS.flatMap((field) =>
        one[field] === undefined ? [] : [[field, one[field]] as const],
      );
      return [one.id, { ...Object.fromEntries(fields), name } as CarriedCalendar];
    }),
  );
}

/** A calendar as a property of the file. */
export const calendarProperty = (one: CarriedCalendar): JcalProperty => [
  CALENDAR_PROPERTY,
  {},
  'text',
  JSON.stringify(one),
];

/** A calendar out of a file's property; null where it is none that fits. */
export function readCarried(text: string): CarriedCalendar | null {
  try {
    const read = carriedCalendar.safeParse(JSON.parse(text));
    return read.success ? read.data : null;
  } catch {
    return null; // A file is a claim: what is no calendar of ours is passed over.
  }
}
