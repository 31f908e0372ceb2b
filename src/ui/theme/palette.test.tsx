import fc from 'fast-check';
import { contrast } from '@/core/colour/colour';
import { INKS } from '@/core/model/inks';
import { DARK, inkColours, LIGHT } from './palette';

const custom = fc
  .integer({ min: 0, max: 0xffffff })
  .map((n) => `#${n.toString(16).padStart(6, '0')}`);
const ink = fc.oneof(fc.constantFrom(...Object.values(INKS)), custom);

test.each([
  ['light', LIGHT],
  ['dark', DARK],
] as const)(
  'on any ink, in the %s theme, text reaches 4.5 to 1 and edges 3 to 1',
  (_name, palette) => {
    fc.assert(
      fc.property(ink, (hex) => {
        const { edge, fill, quiet, solid, onSolid } = inkColours(hex, palette);
        expect(contrast(onSolid, solid)).toBeGreaterThanOrEqual(4.5);
        expect(contrast(palette.ink, fill)).toBeGreaterThanOrEqual(4.5);
        for (const ground of [fill, palette.sheet, palette.amberWash, palette.outOfHours])
          expect(contrast(quiet, ground)).toBeGreaterThanOrEqual(4.5);
        expect(contrast(edge, palette.sheet)).toBeGreaterThanOrEqual(3);
      }),
      { numRuns: 400 },
    );
  },
);

test.each([
  ['light', LIGHT],
  ['dark', DARK],
] as const)('in the %s theme, all text reaches 4.5 to 1 on all it stands on', (_name, palette) => {
  const { ink, dim, accent, amber, brick, paper, sheet, amberWash, outOfHours } = palette;
  for (const text of [ink, dim, accent, amber, brick])
    for (const ground of [paper, sheet]) expect(contrast(text, ground)).toBeGreaterThanOrEqual(4.5);
  for (const ground of [amberWash, outOfHours]) {
    expect(contrast(ink, ground)).toBeGreaterThanOrEqual(4.5);
    expect(contrast(dim, ground)).toBeGreaterThanOrEqual(4.5);
  }
  expect(contrast(amber, amberWash)).toBeGreaterThanOrEqual(4.5);
});
