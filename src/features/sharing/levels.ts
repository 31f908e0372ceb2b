import type { ShareLevel } from '@/core/model/share';

/** What is seen at each level, in a word, and in a line. */
export const LEVEL_WORDS: Readonly<Record<ShareLevel, readonly [name: string, says: string]>> = {
  booked: ['Booked only', 'when time is taken, and nothing else'],
  titles: ['Titles', 'what it is called; private events as taken'],
  open: ['All but private', 'with places and notes; private events are left out'],
  all: ['All', 'with places and notes; private events as taken, without a word'],
};
