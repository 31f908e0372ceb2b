import type { Box, Points, Room } from './boxes';
import { BLACK, HAIR } from './boxes';
import type { Printed, Printing } from './printing';

/** How much of an ink a ground has. */
const GROUND = 0.16;

/** An ink as a ground: lighter, by mixing it with the white of the paper. */
export function groundOf(ink: string, share = GROUND): string {
  const mixed = [1, 3, 5].map((at) => {
    const part = Number.parseInt(ink.slice(at, at + 2), 16);
    return Math.round(255 - (255 - part) * share)
      .toString(16)
      .padStart(2, '0');
  });
  return `#${mixed.join('')}`;
}

/** The ground of an event: its ink, or, where ink is saved, an outline; tentative ones are dashed, free ones open. */
export function eventGround(
  { o, ink }: Printed,
  { x, y, width, height }: Room,
  { setup }: Pick<Printing, 'setup'>,
): Box[] {
  const isOpen = o.availability === 'free';
  const isDashed = o.availability === 'tentative';
  const line = setup.isSaving ? BLACK : ink;
  const rect: Box = {
    kind: 'rect',
    ...{ x, y, width, height },
    ...(setup.isSaving || isOpen ? {} : { fill: groundOf(ink) }),
    ...(setup.isSaving || isOpen || isDashed ? { stroke: line } : {}),
    ...(isDashed && { isDashed }),
  };
  const edge: Box = { kind: 'line', x, y, x2: x, y2: y + height, colour: line, width: 1.6 };
  return isOpen ? [rect] : [rect, edge];
}

/** Words at a place, on one line. */
export const words = (
  text: string,
  x: Points,
  y: Points,
  look: { size: Points; isBold?: boolean; colour?: string; align?: 'start' | 'middle' | 'end' },
): Box => ({ kind: 'text', x, y, text, ...look });

export const hair = (x: Points, y: Points, x2: Points, y2: Points, colour = HAIR): Box => ({
  kind: 'line',
  ...{ x, y, x2, y2, colour },
});

/** Numbers of what is said in full elsewhere, given as they are asked for. */
export class Further {
  readonly all: { event: Printed; number: number }[] = [];
  private readonly known = new Map<string, number>();

  numberOf(event: Printed): number {
    const known = this.known.get(event.o.id);
    if (known !== undefined) return known;
    const number = this.all.length + 1;
    this.known.set(event.o.id, number);
    this.all.push({ event, number });
    return number;
  }
}
