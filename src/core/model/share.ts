import { id, instant } from './common';
import { z } from './zod';

/**
 * What may be seen of what is shared, and done to it, from least to most: when time is taken; what it
 * is called; all of it but for private events, which are left out; all of it, private ones as taken
 * without a word; the same, and changed too; and answers to invitations besides.
 */
export const SHARE_LEVELS = ['booked', 'titles', 'open', 'all', 'change', 'act'] as const;
export type ShareLevel = (typeof SHARE_LEVELS)[number];

/** Whether a level lets events be changed. */
export const mayChange = (level: ShareLevel): boolean => level === 'change' || level === 'act';

/** A calendar, or what a lens shows. */
export const sharedThing = z.object({ kind: z.enum(['calendar', 'lens']), id });
export type SharedThing = z.infer<typeof sharedThing>;

/** What somebody, or whoever has its address, may see. */
export const share = z.object({
  id,
  of: sharedThing,
  level: z.enum(SHARE_LEVELS),
  /** With whom; null for whoever has the address. */
  personId: id.nullable(),
  /** The part of its address that nobody can guess. */
  token: z.string().regex(/^[\w-]{20,60}$/),
  /** Who has it may publish it and end it. */
  key: z.string().regex(/^[\w-]{20,60}$/),
  /** When it ends by itself; null for never. */
  expires: instant.nullable(),
  made: instant,
  /** Whether it waits for the person to go on with it: nothing is at its address then. */
  isPaused: z.boolean().optional(),
});
export type Share = z.infer<typeof share>;
