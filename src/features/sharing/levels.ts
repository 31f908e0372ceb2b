import type { ShareLevel } from '@/core/model/share';

/** What is seen at each level, in a word, and in a line. */
export const LEVEL_WORDS: Readonly<Record<ShareLevel, readonly [name: string, says: string]>> = {
  booked: ['Booked only', 'when time is taken, and nothing else'],
  titles: ['Titles', 'what it is called; private events as taken'],
  open: ['All but private', 'everything but private events, which are left out'],
  all: ['All', 'everything; of private events only that time is taken'],
  change: ['May change', 'all but private words, and may add, change and remove events'],
  act: ['Acts for me', 'all but private words, may change it, and answers invitations for me'],
};
