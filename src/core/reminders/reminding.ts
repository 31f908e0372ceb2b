import { instant, plainDate, reminderWay } from '../model/common';
import { z } from '../model/zod';

/** A reminder that came due and was not done with yet. */
const waiting = z.object({
  /** Names the date of the event, and which of its reminders (see `DueReminder`). */
  id: z.string().min(1),
  /** When it came due. */
  at: instant,
  /** Whether the app was not there to tell it then. */
  isMissed: z.boolean().default(false),
  /** Whether it is not told before it is quiet no longer. */
  isHeld: z.boolean().default(false),
  /** Until when it was put off. */
  again: instant.optional(),
});
export type Waiting = z.infer<typeof waiting>;

/** A mail or text message for the outbox. */
export const message = z.object({
  /** One for each thing that is to be sent: who gets it twice knows it. */
  id: z.string().min(1),
  how: reminderWay,
  /** A mail address, or a phone number. */
  to: z.string(),
  /** When it came due. */
  at: instant,
  /** Empty for a text message. */
  subject: z.string(),
  text: z.string(),
  /** The same for mail programs that show it; safe to show as it is. */
  html: z.string().optional(),
});
export type Message = z.infer<typeof message>;

/** How far reminders have been told. One for a store, whichever window told them. */
export const reminding = z.object({
  /** Everything that came due until then has been told, or is waiting. */
  toldUntil: instant,
  waiting: z.array(waiting),
  /** Ids of what was told lately, so that a clock that is set back tells nothing twice. */
  lately: z.array(z.string()).default([]),
  /** What the outbox has not taken yet. */
  toSend: z.array(message).default([]),
  /** The last day for which a morning letter was written. */
  letterDay: plainDate.optional(),
});
export type Reminding = z.infer<typeof reminding>;
