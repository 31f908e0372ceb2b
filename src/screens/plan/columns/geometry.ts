/** Room for the hours' names at the left, in px. */
export const SCALE = { phone: 34, wide: 52 };
export const HEAD = 46;
export const TOP = 21;
/** The least height of a block. */
export const MIN_BLOCK = 19;
/** Blocks of less width than this show their mark and no words. */
export const MIN_WORDS = 26;
