import fc from 'fast-check';
import { INKS } from '../model/inks';
import { farthestInk, hardFor, looksApart } from './vision';

const colour = fc
  .integer({ min: 0, max: 0xffffff })
  .map((n) => `#${n.toString(16).padStart(6, '0')}`);

test('black and white are as far apart as can be, for all eyes; greys look alike to all', () => {
  const { common, least } = looksApart('#000000', '#ffffff');
  expect(common).toBeCloseTo(100, 1);
  expect(least).toBeCloseTo(100, 0);
});

test('how far apart two colours look does not hang on their order, and is never more to some than to most', () => {
  fc.assert(
    fc.property(colour, colour, (a, b) => {
      const there = looksApart(a, b);
      const back = looksApart(b, a);
      expect(there.common).toBeCloseTo(back.common, 9);
      expect(there.least).toBeLessThanOrEqual(there.common);
    }),
  );
});

test('red and green that most people tell at once are hard for some', () => {
  expect(looksApart('#9a3a2c', '#4d6a2e').common).toBeGreaterThan(15);
  expect(looksApart('#9a3a2c', '#4d6a2e').least).toBeLessThan(8);
  expect(hardFor(INKS.Brick, INKS.Umber)).toBe('some');
});

test.each([
  ['Kelp', 'Fjord', 'everyone'],
  ['Kelp', 'Ochre', null],
  ['Harbour', 'Brick', null],
  ['Brick', 'Madder', 'everyone'],
  ['Moss', 'Clay', 'some'],
] as const)('%s and %s are hard to tell for: %s', (a, b, who) => {
  expect(hardFor(INKS[a], INKS[b])).toBe(who);
});

test('the ink that is offered is the one whose nearest neighbour is farthest', () => {
  const free = ['#202020', '#ffffff', '#808080'];
  expect(farthestInk(['#000000'], free)).toBe('#ffffff');
  expect(farthestInk([], free)).toBe('#202020');
  expect(() => farthestInk(['#000000'], [])).toThrow(RangeError);
});
