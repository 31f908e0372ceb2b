import { nanoid } from 'nanoid';

const KEY = 'orderly-week-post-box';

/** The name of this browser's box at the post of the stand-in office, which nobody else can guess. */
export function postBox(): string {
  try {
    const known = window.localStorage.getItem(KEY);
    if (known) return known;
    const made = nanoid();
    window.localStorage.setItem(KEY, made);
    return made;
  } catch {
    return nanoid(); // Storage that is denied keeps no mail either.
  }
}
