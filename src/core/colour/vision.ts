import { channels, linear } from './colour';

type Vector = readonly [number, number, number];

const times = (rows: readonly Vector[], v: Vector): Vector =>
  rows.map((row) => row[0] * v[0] + row[1] * v[1] + row[2] * v[2]) as unknown as Vector;

/**
 * How linear light looks to eyes without one kind of cone: the matrices of Machado, Oliveira and
 * Fernandes (2009) at full severity. "all" is how most people see.
 */
const SIGHTS: Record<string, readonly Vector[] | null> = {
  all: null,
  protan: [
    [0.152286, 1.052583, -0.204868],
    [0.114503, 0.786281, 0.099216],
    [-0.003882, -0.048116, 1.051998],
  ],
  deutan: [
    [0.367322, 0.860646, -0.227968],
    [0.280085, 0.672501, 0.047413],
    [-0.01182, 0.04294, 0.968881],
  ],
  tritan: [
    [1.255528, -0.076749, -0.178779],
    [-0.078411, 0.930809, 0.147602],
    [0.004733, 0.691367, 0.3039],
  ],
};

/** OKLab (Ottosson 2020) of linear light: lightness and two colour axes, on which equal steps look equal. */
function oklab(rgb: Vector): Vector {
  const clipped = rgb.map((value) => Math.min(1, Math.max(0, value))) as unknown as Vector;
  const cones = times(
    [
      [0.4122214708, 0.5363325363, 0.0514459929],
      [0.2119034982, 0.6806995451, 0.1073969566],
      [0.0883024619, 0.2817188376, 0.6299787005],
    ],
    clipped,
  ).map(Math.cbrt) as unknown as Vector;
  return times(
    [
      [0.2104542553, 0.793617785, -0.0040720468],
      [1.9779984951, -2.428592205, 0.4505937099],
      [0.0259040371, 0.7827717662, -0.808675766],
    ],
    cones,
  );
}

const seen = new Map<string, readonly Vector[]>();

/** A colour in OKLab as each kind of sight has it. */
function seenAs(hex: string): readonly Vector[] {
  let known = seen.get(hex);
  if (!known) {
    const light = channels(hex).map(linear) as unknown as Vector;
    known = Object.values(SIGHTS).map((sight) => oklab(sight ? times(sight, light) : light));
    seen.set(hex, known);
  }
  return known;
}

/** How far apart two colours look, in OKLab times 100: black and white are 100 apart. */
export interface Apart {
  /** To most people. */
  common: number;
  /** To those of the three kinds of colour blindness to whom they look most alike. */
  least: number;
}

export function looksApart(a: string, b: string): Apart {
  const [first, second] = [seenAs(a), seenAs(b)];
  const [common, ...others] = first.map((v, i) =>
    Math.hypot(...v.map((value, axis) => (value - second[i]![axis]!) * 100)),
  ) as [number, ...number[]];
  return { common, least: Math.min(common, ...others) };
}

/** Below these, two inks are hard to tell apart on the sheet. */
const HARD = { common: 7.4, least: 2 };

/** Whom two inks are hard to tell apart for: everyone, people with a kind of colour blindness, or nobody. */
export function hardFor(a: string, b: string): 'everyone' | 'some' | null {
  const { common, least } = looksApart(a, b);
  return common < HARD.common ? 'everyone' : least < HARD.least ? 'some' : null;
}

/**
 * The one of `free` that stands farthest from all of `taken`, to those to whom it stands nearest;
 * the first when nothing is taken.
 * @throws RangeError when there is none to choose from.
 */
export function farthestInk(taken: readonly string[], free: readonly string[]): string {
  if (!free.length) throw new RangeError('There is no ink to choose from.');
  const nearest = (ink: string) =>
    Math.min(
      ...taken.map((other) => {
        const { common, least } = looksApart(ink, other);
        // What most people see counts for more, within what all can see.
        return Math.min(common / HARD.common, least / HARD.least);
      }),
    );
  return free.reduce((best, ink) => (nearest(ink) > nearest(best) ? ink : best));
}
