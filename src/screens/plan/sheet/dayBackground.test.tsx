import fc from 'fast-check';
import { LIGHT } from '@/ui/theme/palette';
import { dayGround } from './dayBackground';

/** What a gradient of hard stops has at a place, in px: the colour of the first stop that reaches it. */
function colourAt(gradient: string, px: number): string {
  const stops = [...gradient.matchAll(/(#\w+|transparent)((?: [\d.]+px)+)/g)];
  for (const [, colour, places] of stops) {
    const ends = places!.trim().split(' ').map(parseFloat);
    // A stop with one place ends there when it is first, and begins there when it is last.
    if (px < ends.at(-1)!) return colour!;
  }
  return stops.at(-1)![1]!;
}

const layers = (hours: { from: number; to: number } | null, fromMinute = 420, toMinute = 1140) => {
  const frame = { axis: 'across', fromMinute, toMinute, length: 720, hours } as const;
  const image = dayGround(frame, LIGHT).backgroundImage as string;
  const at = image.indexOf(', linear-gradient');
  return { lines: image.slice(0, at), off: image.slice(at + 2) };
};

test('what is outside the working hours is shaded, what is inside is not', () => {
  const minute = fc.integer({ min: 0, max: 1440 });
  fc.assert(
    fc.property(minute, minute, fc.integer({ min: 420, max: 1139 }), (a, b, seen) => {
      const hours = { from: Math.min(a, b), to: Math.max(a, b) };
      const { off } = layers(hours);
      const isWorked = seen + 0.5 >= hours.from && seen + 0.5 < hours.to;
      expect(colourAt(off, seen + 0.5 - 420)).toBe(isWorked ? 'transparent' : LIGHT.outOfHours);
    }),
  );
});

test('a day off is shaded from end to end', () => {
  const { off } = layers(null);
  for (const px of [0, 300, 719]) expect(colourAt(off, px)).toBe(LIGHT.outOfHours);
});

test('lines stand at the full hours, also where the shown hours begin between them', () => {
  expect(layers(null).lines).toMatch(/transparent 0 0\.00px, #\w+ 0\.00px .* 60\.00px\)$/);
  // From 7:30 on the first full hour is half an hour away.
  expect(layers(null, 450, 1170).lines).toMatch(/transparent 0 30\.00px, .* 60\.00px\)$/);
});

test('time that runs down is drawn from the top', () => {
  const frame = { axis: 'down', fromMinute: 0, toMinute: 1440, length: 960, hours: null } as const;
  const image = dayGround(frame, LIGHT).backgroundImage as string;
  expect(image).toMatch(/^repeating-linear-gradient\(to bottom, .*, linear-gradient\(to bottom, /);
  expect(image).toContain('40.00px');
});
