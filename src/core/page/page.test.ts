import fc from 'fast-check';
import type { AgendaPoint } from '../model/eventFields';
import { parseLocal } from '../time/civil';
import { openBoxes, plainNotes, withBoxTicked, withLine } from './notes';
import { beginnings, carriedOn, movedPoint, readPoint, sayPoints } from './points';

const point = (text: string, minutes = 0, done = false): AgendaPoint => ({
  id: text,
  text,
  minutes,
  done,
});
const START = parseLocal('2026-11-24T10:00:00');
const at = (time: string) => parseLocal(`2026-11-24T${time}:00`);

test.each([
  ['Crate sizes, 10 min', { text: 'Crate sizes', minutes: 10 }],
  ['Crate sizes (10 min)', { text: 'Crate sizes', minutes: 10 }],
  ['Freight – 1 h', { text: 'Freight', minutes: 60 }],
  ['Glass 15m', { text: 'Glass', minutes: 15 }],
  ['  Who has the key ', { text: 'Who has the key', minutes: 0 }],
  ['10 min', { text: '10 min', minutes: 0 }],
  ['Order 66', { text: 'Order 66', minutes: 0 }],
  ['Stay for 999 h', { text: 'Stay for 999 h', minutes: 0 }],
])('reads the point “%s”', (line, read) => {
  expect(readPoint(line)).toEqual(read);
});

test('says what points come to against the length of their event', () => {
  const points = [point('Glass', 20), point('Stand', 25)];
  expect(sayPoints(points, 60)).toBe('2 points, 45 min of 1 h');
  expect(sayPoints(points, 30)).toBe('2 points, 45 min: 15 min too long');
  expect(sayPoints(points, 0)).toBe('2 points, 45 min');
  expect(sayPoints([point('Glass')], 60)).toBe('1 point');
});

test('says when each begins, until one has no minutes', () => {
  const points = [point('a', 20), point('b', 0), point('c', 5)];
  expect(beginnings(points, START)).toEqual([START, at('10:20'), null]);
  expect(beginnings([point('a'), point('b')], START)).toEqual([null, null]);
});

test('carries on what was left open, and nothing twice', () => {
  const last = [point('Glass', 20, true), point('Stand', 15), point('KEY ')];
  const now = [point('key', 5, true)];
  let nth = 0;
  expect(carriedOn(last, now, () => `new${nth++}`)).toEqual([
    point('key', 5, true),
    { id: 'new0', text: 'Stand', minutes: 15, done: false },
  ]);
});

test('a moved point goes to its place, the others keep their order', () => {
  fc.assert(
    fc.property(fc.nat(8), fc.integer({ min: -2, max: 10 }), fc.nat(10), (many, to, from) => {
      const points = Array.from({ length: many }, (_, i) => point(`p${i}`));
      const moved = movedPoint(points, from, to);
      if (from >= many || to < 0 || to >= many) return expect(moved).toEqual(points);
      expect(moved[to]).toEqual(points[from]);
      const others = (all: readonly AgendaPoint[]) => all.filter(({ id }) => id !== `p${from}`);
      expect(others(moved)).toEqual(others(points));
    }),
  );
});

test('finds the open boxes of notes, and ticks the one that became a task', () => {
  const notes = '# Agreed\n- [ ] Straw\n- [x] Lock\n  * [ ] Ring Mei\nnot [ ] a box';
  expect(openBoxes(notes)).toEqual(['Straw', 'Ring Mei']);
  expect(withBoxTicked(notes, 'Ring Mei')).toBe(notes.replace('* [ ] Ring', '* [x] Ring'));
  expect(withBoxTicked(notes, 'Lock')).toBe(notes);
});

test('writes a line down at the end', () => {
  expect(withLine('', ' Two lamps ')).toBe('- Two lamps');
  expect(withLine('# Agreed\n\n', 'Two lamps')).toBe('# Agreed\n- Two lamps');
  expect(withLine('As it was\n', '  ')).toBe('As it was\n');
});

test.each([
  ['## Before we go', 'Before we go'],
  ['- Ask at the gate for **Mrs Amble**', '• Ask at the gate for Mrs Amble'],
  [
    '- [ ] Bring the long ladder\n  * [x] Two lanterns',
    '☐ Bring the long ladder\n  ☑ Two lanterns',
  ],
  ['The stairs are steep: *no boxes*, _really_.', 'The stairs are steep: no boxes, really.'],
  ['***Both at once*** and `code` and ~~gone~~', 'Both at once and code and gone'],
  ['See [the plan](https://quay.example/plan)', 'See the plan (https://quay.example/plan)'],
  ['> said Mei', 'said Mei'],
  ['pier_lights_2026.csv, 3 * 4 * 5, #12, a-b', 'pier_lights_2026.csv, 3 * 4 * 5, #12, a-b'],
])('as plain words %j is %j', (notes, plain) => {
  expect(plainNotes(notes)).toBe(plain);
});

test('no word of notes is lost as plain words', () => {
  const word = fc.constantFrom('lamp', 'pier_2', '4', 'x', 'Øre', 'a-b');
  const piece = fc.oneof(
    word,
    fc.constantFrom('**', '*', '_', '`', '- ', '# ', '> ', ' ', '\n', '~~'),
  );
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 30 }), (pieces) => {
      const wordsOf = (text: string) => text.match(/[\p{L}\p{N}]+/gu) ?? [];
      const notes = pieces.join('');
      expect(wordsOf(plainNotes(notes)).join('')).toBe(wordsOf(notes).join(''));
    }),
    { numRuns: 500 },
  );
});
