import { instant } from '../model/common';
import { z } from '../model/zod';

/** A reminder that came due and was not done with yet. */
const waiting = z.object({
  /** Names the date of the event, and which of its reminders (see `dueReminder`). */
  id: z.string().min(1),
  /** When it came due. */
  at: instant,
  /** Whether the app was not there to tell it then. */
  isMissed: z.boolean().default(false),
  /** Until when it was put off. */
  again: instant.optional(),
});
export type Waiting = z.infer<typeof waiting>;

/** How far reminders have been told. One for a store, whichever window told them. */
export const reminding = z.object({
  /** Everything that came due until then has been told, or is waiting. */
  toldUntil: instant,
  waiting: z.array(waiting),
});
export type Reminding = z.infer<typeof reminding>;
