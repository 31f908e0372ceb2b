import { id, instant } from './common';
import { event } from './event';
import { dateKey } from './eventFields';
import { z } from './zod';

/** What a mail about an event wants (the methods of RFC 5546 §3.2 that go between people). */
export const MAIL_METHODS = [
  'request',
  'add',
  'reply',
  'cancel',
  'refresh',
  'counter',
  'declineCounter',
] as const;
export type MailMethod = (typeof MAIL_METHODS)[number];

/** What can be doubtful about a message: who sent it, or a SEQUENCE far beyond the last one. */
export const HELD_FOR = ['sender', 'sequence'] as const;
export type HeldFor = (typeof HELD_FOR)[number];

/** Who writes, or is written to. */
export const mailParty = z.object({ name: z.string(), address: z.string() });
export type MailParty = z.infer<typeof mailParty>;

/** A mail about an event that others take part in: one that came, or one that went out. */
export const mail = z.object({
  id,
  /** The event's UID, and which of its dates; null for the whole. */
  uid: z.string().min(1),
  dateKey: dateKey.nullable(),
  isOut: z.boolean(),
  method: z.enum(MAIL_METHODS),
  /** SEQUENCE and DTSTAMP, by which of two the later is told. */
  sequence: z.number().int().min(0),
  stamp: instant,
  /** When it was written here, or came. */
  at: instant,
  from: mailParty,
  /** Empty where it was settled that nobody is told. */
  to: z.array(mailParty),
  subject: z.string(),
  /** What was written by hand besides. */
  line: z.string(),
  /** The calendar text (RFC 5545) that it carries. */
  calendar: z.string(),
  /** Of one that went out: the event as those who were told know it now. */
  told: event.optional(),
  /** Of one that went out: whether the post has taken it. */
  isSent: z.boolean().default(true),
  /** Whether it asks nothing more of the person: answered, taken up, or let go. */
  isDone: z.boolean().default(false),
  /** Why one that came changed nothing; empty where it did. */
  problem: z.string().default(''),
  /** Who really sent one that came, where that is not whom it names. */
  sender: mailParty.optional(),
  /** Of one that came and has no effect until the person says so: what is doubtful about it. */
  held: z.enum(HELD_FOR).optional(),
  /** Whether the person said that its sender may speak for whom it names. */
  isVouched: z.boolean().optional(),
  /** Of one that went out: whether what it said was undone here; others still know it. */
  isTakenBack: z.boolean().optional(),
});
export type Mail = z.infer<typeof mail>;
