import fc from 'fast-check';
import { at, timed, TODAY, wholeDays } from '../testing/occurrences';
import { hoursAround } from './hours';

const USUAL = { from: at(7), to: at(19) };

test('what lies within the usual hours changes nothing, and so do whole days', () => {
  const list = [timed('Call', TODAY, at(9), at(10)), wholeDays('Away', TODAY, 3)];
  expect(hoursAround(list, USUAL)).toEqual(USUAL);
});

test('hours widen to whole ones around what lies outside', () => {
  const early = timed('Kiln', TODAY, at(5, 40), at(6));
  const late = timed('Circle', TODAY, at(18, 30), at(20, 10));
  expect(hoursAround([early, late], USUAL)).toEqual({ from: at(5), to: at(21) });
});

test('an event over midnight asks for the whole day', () => {
  expect(hoursAround([timed('Night watch', TODAY, at(22), at(26))], USUAL)).toEqual({
    from: 0,
    to: 1440,
  });
});

test('every timed event lies within the hours that are found for it', () => {
  const some = fc.array(
    fc.tuple(fc.integer({ min: 0, max: 1425 }), fc.integer({ min: 0, max: 600 })),
    { maxLength: 12 },
  );
  fc.assert(
    fc.property(some, (spans) => {
      const list = spans.map(([from, length], i) => timed(`e${i}`, TODAY, from, from + length));
      const hours = hoursAround(list, USUAL);
      expect(hours.from).toBeLessThanOrEqual(USUAL.from);
      expect(hours.to).toBeGreaterThanOrEqual(USUAL.to);
      for (const [from, length] of spans) {
        expect(hours.from).toBeLessThanOrEqual(from);
        expect(hours.to).toBeGreaterThanOrEqual(Math.min(1440, from + length));
      }
    }),
  );
});
