/** Room for the week numbers at the left, in px. */
export const GUTTER = { phone: 22, wide: 34 };
export const HEAD = 22;
/** The top of a cell, which holds its number and hours; a finger needs 40 px to hit it. */
export const CELL_HEAD = { phone: 40, wide: 24 };
export const LINE = { phone: 17, wide: 18 };
/** A line of bars without words. */
export const BAR_LINE = 8;
export const MIN_WEEK = { phone: 66, wide: 84 };
export const PADDING = 4;
/** Cells narrower than this have no room for titles: the chosen day is said in full under the grid. */
export const NARROW = 92;
/** The number's line and the whole of a narrow cell, which a finger presses anywhere. */
export const NARROW_HEAD = 23;
export const NARROW_WEEK = 54;
