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
