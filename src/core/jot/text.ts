import { pairsIn } from './beginnings';

/**
 * A typed line as the grammar reads it: in lower case, with plain quotes and dashes, and with small
 * slips mended. `origin` says for each of its characters, and for its end, where that is in the line.
 */
export interface JotText {
  line: string;
  text: string;
  origin: readonly number[];
  /** Where its words, numbers and signs begin, and its end. */
  starts: readonly number[];
  /** Those of them at which something can be said: after a blank, a bracket or a sign that parts. */
  heads: readonly number[];
  /** Which pairs of signs it has, as `pairsIn` says it. */
  pairs: Uint8Array;
}

/** Words that are mended when they are typed nearly right. Short ones are too near to others. */
const LONG_WORDS =
  'monday tuesday wednesday thursday friday saturday sunday tomorrow yesterday january february september october november december fortnightly'.split(
    ' ',
  );
/** Right already: the words themselves, the weekdays in the plural, and what is near to one of them. */
const KNOWN = new Set([
  ...LONG_WORDS.flatMap((word) => [word, `${word}s`]),
  'fortnight',
  'fortnights',
]);
/** Slips that are no neighbour of the word. */
const SLIPS: Readonly<Record<string, string>> = {
  thrus: 'thurs',
  thrusday: 'thursday',
  thur: 'thu',
  wensday: 'wednesday',
  wendsday: 'wednesday',
  tusday: 'tuesday',
};
/** From this many letters on, two slips are forgiven. */
const LONG = 8;
const PLAIN: Readonly<Record<string, string>> = {
  '’': "'",
  '‘': "'",
  '–': '-',
  '—': '-',
  '−': '-',
  '→': '-',
};
/** A date and a time as devices write them: "2026-12-09T10:00". */
const STAMP = /(?<=\b\d{4}-\d{2}-\d{2})t(?=\d{2}:\d{2})/g;

/** Whether a word becomes another when two neighbours change places, or one letter is put in or left out. */
function isSlip(typed: string, meant: string): boolean {
  let at = 0;
  while (at < typed.length && typed[at] === meant[at]) at++;
  if (typed.length === meant.length) {
    const swapped = typed.slice(0, at) + (typed[at + 1] ?? '') + (typed[at] ?? '');
    return swapped + typed.slice(at + 2) === meant;
  }
  const [long, short] = typed.length > meant.length ? [typed, meant] : [meant, typed];
  return long.length === short.length + 1 && long.slice(0, at) + long.slice(at + 1) === short;
}

/** How many letters have to be changed, put in or left out (Levenshtein), up to three. */
function distance(a: string, b: string): number {
  let row = Array.from({ length: b.length + 1 }, (_, i) => i);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    for (let j = 1; j <= b.length; j++)
      next.push(
        Math.min(next[j - 1]! + 1, row[j]! + 1, row[j - 1]! + (a[i - 1] === b[j - 1] ? 0 : 1)),
      );
    row = next;
  }
  return row[b.length]!;
}

function mended(word: string): string {
  if (Object.hasOwn(SLIPS, word)) return SLIPS[word]!;
  if (word.length < 5 || word.length > 12 || KNOWN.has(word)) return word;
  return (
    LONG_WORDS.find(
      (meant) =>
        meant[0] === word[0] &&
        Math.abs(meant.length - word.length) <= 2 &&
        (isSlip(word, meant) || (meant.length >= LONG && distance(word, meant) <= 2)),
    ) ?? word
  );
}

const PARTING = ' (,;:!?';
const isDigit = (sign: string | undefined) => sign !== undefined && sign >= '0' && sign <= '9';

/** Whether something can begin here, which "30" does not in "1:30". */
function canBegin(text: string, at: number): boolean {
  if (at === 0) return true;
  const before = text[at - 1]!;
  return PARTING.includes(before) && !(before === ':' && isDigit(text[at - 2]));
}

/** Makes a line ready to be read. */
export function textOf(line: string): JotText {
  let text = '';
  const origin: number[] = [];
  const put = (letters: string, from: number, to: number) => {
    text += letters;
    for (let i = 0; i < letters.length; i++) origin.push(Math.min(from + i, to));
  };
  for (const { 0: piece, index } of line.matchAll(/\p{L}+|[^\p{L}]/gsu)) {
    const small = piece.toLowerCase();
    const plain = PLAIN[piece] ?? (/\s/.test(piece) ? ' ' : small);
    // Some capitals have small letters of another length; such a word is left as it is.
    const word = plain.length === piece.length || PLAIN[piece] ? plain : piece;
    put(mended(word), index, index + piece.length - 1);
  }
  origin.push(line.length);
  text = text.replaceAll(STAMP, ' ');
  const starts = [...text.matchAll(/[\p{L}\p{N}']+|[^\s\p{L}\p{N}']/gu)].map(({ index }) => index);
  const heads = starts.filter((at) => canBegin(text, at));
  return { line, text, origin, starts: [...starts, text.length], heads, pairs: pairsIn(text) };
}
