import fc from 'fast-check';
import { formatMinuteRange, readMinuteRange } from './minuteRange';

test.each([
  ['45 min', 45, 45],
  ['1 h 30 min', 90, 90],
  ['1.5h', 90, 90],
  ['90', 90, 90],
  ['1 to 2 h', 60, 120],
  ['30 - 45', 30, 45],
  ['between 30 min and 1 hour', 30, 60],
  ['up to 30 min', null, 30],
  ['under 15', null, 15],
  ['over 4 hours', 240, null],
  ['at least 2 days', 2880, null],
])('“%s” lasts from %s to %s', (words, from, to) =>
  expect(readMinuteRange(words)).toEqual({ from, to }),
);

test.each(['', 'soon', '2 h to 1 h', '1 to 2 to 3', 'up to', '3 lamps'])(
  '“%s” is no length',
  (words) => expect(readMinuteRange(words)).toBeNull(),
);

const MINUTES = fc.integer({ min: 1, max: 40_000 });

test('its own words are read back', () => {
  fc.assert(
    fc.property(fc.option(MINUTES), fc.option(MINUTES), (a, b) => {
      fc.pre(a !== null || b !== null);
      const range =
        a !== null && b !== null
          ? { from: Math.min(a, b), to: Math.max(a, b) }
          : { from: a, to: b };
      expect(readMinuteRange(formatMinuteRange(range))).toEqual(range);
    }),
  );
});
