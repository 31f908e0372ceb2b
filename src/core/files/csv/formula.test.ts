import fc from 'fast-check';
import { guardCell, unguardCell } from './formula';

/** Texts that are rich in what matters here. */
const texts = fc
  .array(
    fc.constantFrom(
      ...'=+-@＝＋－＠;,|\'"\t\r\n a1',
      '\u00a0',
      '\u3000',
      '\u200b',
      '\ufeff',
      '\u0000',
    ),
    { maxLength: 14 },
  )
  .map((signs) => signs.join(''));

/** Each place where a spreadsheet may begin a cell, read letter by letter: what it sees first. */
function firstSeen(text: string): string[] {
  const seen: string[] = [];
  let isBeginning = true;
  for (const sign of text) {
    const isBlank = sign === '"' || /^[\s\p{C}]$/u.test(sign);
    if (isBeginning && !isBlank && !';|'.includes(sign)) {
      seen.push(sign);
      isBeginning = false;
    }
    if (';|\t\r\n'.includes(sign)) isBeginning = true;
  }
  return seen;
}

test('nothing that a spreadsheet would run begins a cell, whatever separates the cells', () => {
  fc.assert(
    fc.property(texts, (text) => {
      for (const first of firstSeen(guardCell(text))) expect('=+-@＝＋－＠').not.toContain(first);
    }),
  );
});

test('a guarded text comes back as it was', () => {
  fc.assert(
    fc.property(fc.oneof(texts, fc.string({ unit: 'binary' })), (text) => {
      expect(unguardCell(guardCell(text))).toBe(text);
    }),
  );
});

test.each([
  ['=1+1', "'=1+1"],
  ['  @lamp', "  '@lamp"],
  ['\u00a0\t-3', "\u00a0\t'-3"],
  ['＝1+1', "'＝1+1"],
  ['lamps;=1+1', "lamps;'=1+1"],
  ['to do:\n- wicks', "to do:\n'- wicks"],
  ['lamps; "=1+1"', 'lamps; "\'=1+1"'],
  ["'=1", "''=1"],
  ['3 - 1 = 2', '3 - 1 = 2'],
  ["'tis, x=1", "'tis, x=1"],
])('%j goes out as %j', (text, cell) => {
  expect(guardCell(text)).toBe(cell);
});
