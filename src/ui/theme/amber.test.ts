import { contrast } from '@/core/colour/colour';
import { DARK, LIGHT } from './palette';

test.each([LIGHT, DARK])('amber is read on every ground that it stands on', (palette) => {
  const { amber, paper, sheet, outOfHours, accentWash, amberWash } = palette;
  for (const ground of [paper, sheet, outOfHours, accentWash, amberWash])
    expect([ground, contrast(amber, ground) >= 4.5]).toEqual([ground, true]);
});
