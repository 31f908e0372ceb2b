import type { LetterWidths } from '@/core/print/text';

/** Letters that are measured one by one; others count as broad as the broadest usual one. */
const RANGES = [
  [0x20, 0x7e],
  [0xa0, 0x17f],
  [0x2010, 0x2026],
  [0x2190, 0x2193],
] as const;
/** What letters are measured at, in px. */
const SIZE = 100;
const OTHER = 1;

let known: LetterWidths | null = null;

/** How wide the letters of the house are, as this browser draws them; measured once its fonts are here. */
export async function letterWidths(): Promise<LetterWidths> {
  if (known) return known;
  await Promise.all(
    [400, 600].map((weight) => document.fonts.load(`${weight} ${SIZE}px "IBM Plex Sans"`, 'aé')),
  );
  const pen = document.createElement('canvas').getContext('2d');
  const measured = (weight: number) => {
    const widths = new Map<string, number>();
    if (!pen) return widths;
    pen.font = `${weight} ${SIZE}px "IBM Plex Sans", sans-serif`;
    for (const [from, to] of RANGES)
      for (let code = from; code <= to; code++) {
        const letter = String.fromCodePoint(code);
        widths.set(letter, pen.measureText(letter).width / SIZE);
      }
    return widths;
  };
  known = { regular: measured(400), bold: measured(600), other: OTHER };
  return known;
}
