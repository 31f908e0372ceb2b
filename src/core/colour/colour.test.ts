import fc from 'fast-check';
import { INKS } from '../model/inks';
import { contrast, mix, withContrast } from './colour';

test('black on white is 21 to 1, whichever comes first', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21);
  expect(contrast('#ffffff', '#000000')).toBeCloseTo(21);
});

test('mixing goes from one colour to the other', () => {
  expect([0, 0.5, 1].map((share) => mix('#000000', '#fffffe', share))).toEqual([
    '#000000',
    '#80807f',
    '#fffffe',
  ]);
});

test.each(Object.entries(INKS))(
  '%s is legible on the sheet, and light text on it',
  (_name, ink) => {
    expect(contrast(ink, '#FFFDF8')).toBeGreaterThanOrEqual(4.5);
  },
);

test('any ink can be made to stand out from a dark sheet', () => {
  const anyColour = fc
    .integer({ min: 0, max: 0xffffff })
    .map((n) => `#${n.toString(16).padStart(6, '0')}`);
  fc.assert(
    fc.property(anyColour, (ink) => {
      expect(
        contrast(withContrast(ink, '#17211D', '#ffffff', 4.5), '#17211D'),
      ).toBeGreaterThanOrEqual(4.5);
    }),
  );
});
