import { HARD_LETTERS } from './hardLetters';
import type { Letter } from './letter';
import { PLAIN_LETTERS } from './plainLetters';

/** All sixty. */
export const LETTERS: readonly Letter[] = [...PLAIN_LETTERS, ...HARD_LETTERS];
