import type { EpochMs } from '../time/units';

/** Somebody that a message names. */
export interface Person {
  name: string;
  address: string;
}

/** A text from outside: pasted, or read out of a mail. */
export interface Message {
  subject: string;
  from: Person | null;
  to: readonly Person[];
  /** When it was written; null where nothing says so. */
  sent: EpochMs | null;
  /** By how many minutes the writer's clock was ahead of UTC then; null where nothing says so. */
  offset: number | null;
  text: string;
}

/** A message of which nothing is known but its text. */
export const textMessage = (text: string): Message => ({
  subject: '',
  from: null,
  to: [],
  sent: null,
  offset: null,
  text,
});
