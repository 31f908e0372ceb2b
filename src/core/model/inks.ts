/** The named inks (event colours) of the house; any other six-digit hex colour is a custom ink. */
export const INKS = {
  Kelp: '#1F5A4C',
  Harbour: '#1F6F94',
  Ochre: '#8A5A12',
  Damson: '#6D3F7E',
  Brick: '#9A3A2C',
  Pewter: '#5B6470',
  Moss: '#5E7A2E',
  Madder: '#8C2F45',
  Gentian: '#5450A0',
  Clay: '#A0603A',
  Umber: '#6B4A2F',
  Fjord: '#2C6E6B',
} as const;

/** The shapes that tell calendars apart without colour. */
export const MARKS = [
  'square',
  'circle',
  'triangle',
  'diamond',
  'hexagon',
  'cross',
  'ring',
  'chevron',
  'drop',
  'bar',
] as const;
export type Mark = (typeof MARKS)[number];

/** The first ink and mark that no given calendar has; starts over when all are taken. */
export function nextInkAndMark(taken: readonly { ink: string; mark: Mark }[]): {
  ink: string;
  mark: Mark;
} {
  const inks: string[] = Object.values(INKS);
  const ink = inks.find((candidate) => taken.every((c) => c.ink !== candidate));
  const mark = MARKS.find((candidate) => taken.every((c) => c.mark !== candidate));
  return {
    ink: ink ?? inks[taken.length % inks.length]!,
    mark: mark ?? MARKS[taken.length % MARKS.length]!,
  };
}
