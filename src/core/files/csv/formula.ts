/**
 * Where a spreadsheet may begin to read a cell, and what it would then run: its first sign, also
 * after blanks, invisible signs and quotes; after a line end, a tab, a semicolon or a bar too, since
 * a file may be opened with another separator than it was written with. Full-width signs count.
 */
const BEFORE = String.raw`(^|[;|\t\r\n])([\s\p{C}"]*)`;
const SIGN = String.raw`(?=[=+\-@＝＋－＠])`;

const BARE = new RegExp(`${BEFORE}('*)${SIGN}`, 'gu');
const GUARDED = new RegExp(`${BEFORE}'('*)${SIGN}`, 'gu');

/** A text as a cell that no spreadsheet runs: an apostrophe stands before each sign that would begin a formula. */
export const guardCell = (text: string): string => text.replace(BARE, "$1$2'$3");

/** What `guardCell` was given. */
export const unguardCell = (cell: string): string => cell.replace(GUARDED, '$1$2$3');
