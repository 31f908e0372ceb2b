/** Room for the hours' names at the left, in px. */
export const SCALE = { phone: 34, wide: 52 };
export const HEAD = 46;
/** How high facts are to be pressed, and the least width of a column that has room for their words. */
export const FACTS_PRESS = 24;
export const FACTS_WORDS = 64;
/** What heads grow by where they tell facts of the day. */
export const FACTS = 15;
export const TOP = 21;
/** The least height of a block. */
export const MIN_BLOCK = 19;
/** Blocks of less width than this show their mark and no words. */
export const MIN_WORDS = 26;
