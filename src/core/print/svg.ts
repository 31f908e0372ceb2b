import type { Mark } from '../model/inks';
import type { Box, MarkBox, PrintPage, TextBox } from './boxes';
import { BLACK } from './boxes';

/** Marks cut out of a square of 100: the corners of those that have some. */
const CORNERS: Partial<Record<Mark, string>> = {
  square: '8,8 92,8 92,92 8,92',
  triangle: '50,6 98,94 2,94',
  diamond: '50,2 98,50 50,98 2,50',
  hexagon: '27,8 73,8 98,50 73,92 27,92 2,50',
  cross: '34,6 66,6 66,34 94,34 94,66 66,66 66,94 34,94 34,66 6,66 6,34 34,34',
  chevron: '14,8 52,8 90,50 52,92 14,92 52,50',
  bar: '2,32 98,32 98,68 2,68',
  drop: '50,2 80,42 84,66 70,90 50,96 30,90 16,66 20,42',
};

const ENTITIES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
};
const escaped = (text: string) => text.replaceAll(/[&<>"]/g, (letter) => ENTITIES[letter]!);
const round = (value: number) => Math.round(value * 100) / 100;

function markSvg({ x, y, size, mark, colour }: MarkBox): string {
  const at = `translate(${round(x)} ${round(y)}) scale(${round(size / 100)})`;
  if (mark === 'circle')
    return `<circle cx="50" cy="50" r="42" fill="${colour}" transform="${at}"/>`;
  if (mark === 'ring')
    return `<circle cx="50" cy="50" r="34" fill="none" stroke="${colour}" stroke-width="20" transform="${at}"/>`;
  return `<polygon points="${CORNERS[mark]!}" fill="${colour}" transform="${at}"/>`;
}

function textSvg({ x, y, text, size, isBold, colour = BLACK, align }: TextBox): string {
  const anchor = align && align !== 'start' ? ` text-anchor="${align}"` : '';
  const weight = isBold ? ' font-weight="600"' : '';
  return `<text x="${round(x)}" y="${round(y)}" font-size="${round(size)}"${weight} fill="${colour}"${anchor}>${escaped(text)}</text>`;
}

function boxSvg(box: Box): string {
  switch (box.kind) {
    case 'text':
      return textSvg(box);
    case 'mark':
      return markSvg(box);
    case 'line': {
      const { x, y, x2, y2, colour, width = 0.5 } = box;
      return `<line x1="${round(x)}" y1="${round(y)}" x2="${round(x2)}" y2="${round(y2)}" stroke="${colour}" stroke-width="${width}"/>`;
    }
    case 'rect': {
      const { x, y, width, height, fill = 'none', stroke, isDashed } = box;
      const outline = stroke ? ` stroke="${stroke}" stroke-width="0.7"` : '';
      const dashes = isDashed ? ' stroke-dasharray="3 2"' : '';
      return `<rect x="${round(x)}" y="${round(y)}" width="${round(Math.max(0, width))}" height="${round(Math.max(0, height))}" fill="${fill}"${outline}${dashes}/>`;
    }
  }
}

/** Everything that a page says, from its top, as one text: for who does not see it. */
export const textOf = ({ boxes }: PrintPage): string =>
  boxes.flatMap((box) => (box.kind === 'text' ? [box.text] : [])).join(' ');

/** A page as SVG: its letters are text, which can be found and marked. */
export function pageSvg(page: PrintPage): string {
  const { width, height, boxes } = page;
  const size = `width="${round(width)}pt" height="${round(height)}pt" viewBox="0 0 ${round(width)} ${round(height)}"`;
  return `<svg xmlns="http://www.w3.org/2000/svg" ${size} font-family="'IBM Plex Sans', sans-serif">${boxes.map(boxSvg).join('')}</svg>`;
}
