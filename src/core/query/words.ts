import { fold, foldPlaced } from './fold';

/** What is looked for as it was typed: words, and phrases in quotes, each folded; all of them are meant. */
export function wordsOf(text: string, folded: (text: string) => string = fold): string[] {
  const words: string[] = [];
  // A quote that is not closed goes on to the end.
  for (const [, phrase, word] of folded(text).matchAll(/"([^"]*)"?|([^\s"]+)/g)) {
    const said = (phrase ?? word ?? '').trim().replaceAll(/\s+/g, ' ');
    if (said) words.push(said);
  }
  return words;
}

/** A stretch of a text, and whether it is something that was looked for. */
export interface Piece {
  text: string;
  isMatch: boolean;
}

/** Where in a text any of the words stand, in order; what overlaps or touches is one stretch. */
function stretches(text: string, words: readonly string[]): [number, number][] {
  const { folded, places } = foldPlaced(text);
  const found: [number, number][] = [];
  for (const word of words) {
    if (!word) continue;
    for (let at = folded.indexOf(word); at >= 0; at = folded.indexOf(word, at + word.length)) {
      const last = places[at + word.length - 1]!;
      // What a letter folds to may be more than one, and a mark after it belongs to it.
      const end = places.slice(at + word.length).find((place) => place > last) ?? text.length;
      found.push([places[at]!, end]);
    }
  }
  found.sort((a, b) => a[0] - b[0]);
  const joined: [number, number][] = [];
  for (const [from, to] of found) {
    const last = joined.at(-1);
    if (last && from <= last[1]) last[1] = Math.max(last[1], to);
    else joined.push([from, to]);
  }
  return joined;
}

/** A text in pieces: what was looked for, and what stands between. Joined they are the text again. */
export function marked(text: string, words: readonly string[]): Piece[] {
  const pieces: Piece[] = [];
  let at = 0;
  for (const [from, to] of stretches(text, words)) {
    if (from > at) pieces.push({ text: text.slice(at, from), isMatch: false });
    pieces.push({ text: text.slice(from, to), isMatch: true });
    at = to;
  }
  if (at < text.length) pieces.push({ text: text.slice(at), isMatch: false });
  return pieces;
}

/** Characters before and after what was found that are shown of a long text. */
const AROUND = 40;

/** The part of a text around the first place where a word stands, in pieces; null where none does. */
export function excerpt(text: string, words: readonly string[], around = AROUND): Piece[] | null {
  const flat = text.replaceAll(/\s+/g, ' ').trim();
  const [first] = stretches(flat, words);
  if (!first) return null;
  const from = Math.max(0, first[0] - around);
  const to = Math.min(flat.length, first[1] + around);
  const begin = from === 0 ? 0 : flat.indexOf(' ', from) + 1 || from;
  const cutFrom = begin > first[0] ? from : begin;
  const lastSpace = to === flat.length ? to : flat.lastIndexOf(' ', to);
  const cutTo = lastSpace < first[1] ? to : lastSpace;
  const shown = `${cutFrom > 0 ? '… ' : ''}${flat.slice(cutFrom, cutTo)}${cutTo < flat.length ? ' …' : ''}`;
  return marked(shown, words);
}

/** A whole text as one phrase, to be looked for by `wordsOf`. */
export const asPhrase = (text: string): string => `"${text.trim().replaceAll('"', ' ')}"`;

/** Words as they are, each in quotes, so that none is taken for a slip or for a day. */
export const asQuoted = (text: string): string => wordsOf(text).map(asPhrase).join(' ');
