import fc from 'fast-check';
import { fold, foldPlaced } from './fold';
import { excerpt, marked, wordsOf } from './words';

const said = (pieces: { text: string; isMatch: boolean }[] | null) =>
  pieces?.map(({ text, isMatch }) => (isMatch ? `[${text}]` : text)).join('');

test.each([
  ['Lamp  check', ['lamp', 'check']],
  ['"brass wire" Lamp', ['brass wire', 'lamp']],
  ['“brass  wire', ['brass wire']],
  ['Café', ['cafe']],
  ['"" ', []],
])('%s is looked for as %j', (text, words) => {
  expect(wordsOf(text)).toEqual(words);
});

test.each([
  ['Łódź', 'lodz'],
  ['Straße', 'strasse'],
  ['Smørrebrød', 'smorrebrod'],
  ['Ｌamp', 'ｌamp'],
])('%s is the same as %s', (text, plain) => {
  expect(fold(text)).toBe(plain);
});

test.each([
  ['The Café at the quay', ['cafe', 'quay'], 'The [Café] at the [quay]'],
  ['Straße und Strasse', ['strasse'], '[Straße] und [Strasse]'],
  ['lamplamp', ['lamp'], '[lamplamp]'],
  ['lamp', ['amp', 'la'], '[lamp]'],
  ['Cafe\u0301s', ['cafe'], '[Cafe\u0301]s'],
  ['nothing', ['lamp'], 'nothing'],
])('in “%s” %j is marked', (text, words, expected) => {
  expect(said(marked(text, words))).toBe(expected);
});

test('marked pieces are the text again, and each match folds to what holds a word', () => {
  const text = fc.stringMatching(/^[a-cäßÉ ]{0,20}$/);
  const word = fc.stringMatching(/^[a-ces]{1,3}$/);
  fc.assert(
    fc.property(text, fc.array(word, { maxLength: 3 }), (whole, words) => {
      const pieces = marked(whole, words);
      expect(pieces.map((piece) => piece.text).join('')).toBe(whole);
      for (const piece of pieces) {
        const isThere = words.some((one) => fold(piece.text).includes(one));
        // What is not marked may have a word in it only across its letters' own halves.
        if (piece.isMatch) expect(isThere).toBe(true);
        else expect(isThere).toBe(false);
      }
    }),
  );
});

test('a folded text knows where its letters stood', () => {
  const { folded, places } = foldPlaced('Aß é');
  expect(folded).toBe('ass e');
  expect(places).toEqual([0, 1, 1, 2, 3, 4]);
});

test('a long text is shown around what was found, cut between words', () => {
  const text =
    'Bring the long ladder from the shed and the brass wire from the second drawer, then ask Mei for the key of the lens room';
  expect(said(excerpt(text, ['wire'], 20))).toBe('… shed and the brass [wire] from the second …');
  expect(said(excerpt('Brass wire', ['wire']))).toBe('Brass [wire]');
  expect(excerpt(text, ['anchor'])).toBeNull();
});
