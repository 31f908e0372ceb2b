import fc from 'fast-check';
import { DENSITIES, LARGEST_ZOOM, LEAST_ZOOM, TEXT_SIZES } from '../model/look';
import { SLOTS } from '../model/others';
import { hourHeight, scaleOf, zoomed } from './scale';

const usual = scaleOf({ textSize: 'usual', density: 'usual', zoom: 1 });

test('an hour grows with the slots that it is cut into', () => {
  expect(SLOTS.map((slot) => hourHeight(slot, usual))).toEqual([120, 60, 40, 40, 40, 40]);
});

test('larger letters and more room make every line higher', () => {
  const lines = TEXT_SIZES.map((textSize) => scaleOf({ textSize, density: 'usual', zoom: 1 }).line);
  expect([...lines].sort((a, b) => a - b)).toEqual(lines);
  const rooms = DENSITIES.map((density) => scaleOf({ textSize: 'usual', density, zoom: 1 }).line);
  expect([...rooms].sort((a, b) => a - b)).toEqual(rooms);
});

test('a slot can be hit at any text size and density', () => {
  for (const textSize of TEXT_SIZES)
    for (const density of DENSITIES)
      for (const slot of SLOTS)
        expect(
          (hourHeight(slot, scaleOf({ textSize, density, zoom: 1 })) * slot) / 60,
        ).toBeGreaterThanOrEqual(8);
});

test('zooming stays within its ends, and there and back comes home', () => {
  fc.assert(
    fc.property(
      fc.double({ min: LEAST_ZOOM, max: LARGEST_ZOOM, noNaN: true }),
      fc.double({ min: 0.01, max: 100, noNaN: true }),
      (zoom, factor) => {
        const next = zoomed(zoom, factor);
        expect(next).toBeGreaterThanOrEqual(LEAST_ZOOM);
        expect(next).toBeLessThanOrEqual(LARGEST_ZOOM);
        if (next > LEAST_ZOOM && next < LARGEST_ZOOM)
          expect(Math.abs(zoomed(next, 1 / factor) - zoom)).toBeLessThan(0.01 + 0.006 / factor);
      },
    ),
  );
});
