import { availability, hexColour, id, instant, passthrough, reminder, zoneName } from './common';
import { MARKS } from './inks';
import { z } from './zod';

/** A named set of events with an ink and a mark; a followed one is read-only. */
export const calendar = z.object({
  id,
  name: z.string().min(1),
  description: z.string(),
  ink: hexColour,
  mark: z.enum(MARKS),
  zone: zoneName.optional(),
  defaultReminders: z.array(reminder),
  defaultWholeDayReminders: z.array(reminder),
  defaultAvailability: availability,
  shown: z.boolean(),
  listed: z.boolean(),
  order: z.number(),
  kind: z.enum(['own', 'followed']),
  /** Where a followed calendar comes from. */
  source: z.string().optional(),
  removedAt: instant.optional(),
  passthrough: passthrough.optional(),
});
export type Calendar = z.infer<typeof calendar>;

/** What a calendar holds when nothing else is said. */
export function newCalendar(
  fields: Pick<Calendar, 'id' | 'name' | 'ink' | 'mark' | 'order'> & Partial<Calendar>,
): Calendar {
  return {
    description: '',
    defaultReminders: [],
    defaultWholeDayReminders: [],
    defaultAvailability: 'busy',
    shown: true,
    listed: true,
    kind: 'own',
    ...fields,
  };
}
