import type { Mark } from '../model/inks';

/** Points (1/72 inch), from the upper left corner of the page. */
export type Points = number;

/** One line of text; `y` is its baseline. */
export interface TextBox {
  kind: 'text';
  x: Points;
  y: Points;
  text: string;
  size: Points;
  isBold?: boolean;
  /** Hex colour; black where it says nothing. */
  colour?: string;
  align?: 'start' | 'middle' | 'end';
}

export interface RectBox {
  kind: 'rect';
  x: Points;
  y: Points;
  width: Points;
  height: Points;
  /** Ground; none where it is left out. */
  fill?: string;
  /** Outline, and whether it is broken. */
  stroke?: string;
  isDashed?: boolean;
}

export interface LineBox {
  kind: 'line';
  x: Points;
  y: Points;
  /** Where it ends. */
  x2: Points;
  y2: Points;
  colour: string;
  width?: Points;
  isDashed?: boolean;
}

/** A calendar's shape in a square of a size. */
export interface MarkBox {
  kind: 'mark';
  x: Points;
  y: Points;
  size: Points;
  mark: Mark;
  colour: string;
}

export type Box = TextBox | RectBox | LineBox | MarkBox;

/** One sheet of paper with everything on it. */
export interface PrintPage {
  width: Points;
  height: Points;
  boxes: Box[];
}

/** Room on a page. */
export interface Room {
  x: Points;
  y: Points;
  width: Points;
  height: Points;
}

export const GREY = '#5A5F5B';
export const HAIR = '#B9B4A8';
export const BLACK = '#111111';

/** Boxes put elsewhere. */
export const shifted = (boxes: readonly Box[], dx: Points, dy: Points): Box[] =>
  boxes.map((box) =>
    box.kind === 'line'
      ? { ...box, x: box.x + dx, y: box.y + dy, x2: box.x2 + dx, y2: box.y2 + dy }
      : { ...box, x: box.x + dx, y: box.y + dy },
  );
