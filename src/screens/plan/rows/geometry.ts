import type { Row } from '@/core/layout/rows';
import type { Scale } from '@/core/view/scale';

const GUTTER = { phone: 52, wide: 68 };
/** Names of calendars take more room than days. */
const NAMED_GUTTER = { phone: 92, wide: 116 };

/** Room for the heads of rows, in px. */
export function gutterOf(isWide: boolean, isNamed: boolean): number {
  const gutters = isNamed ? NAMED_GUTTER : GUTTER;
  return isWide ? gutters.wide : gutters.phone;
}

export const AXIS_HEIGHT = 22;
export const PADDING = 4;
const LANE = 23;
const TALL_LANE = 37;
const TOP = 21;
const COUNT_WIDTH = 66;
const MIN_ROW = { phone: 62, wide: 66 };
/** What a row's head grows by where it tells facts of the day, and how high these are to be pressed. */
const FACTS = 13;
export const FACTS_PRESS = 24;
/** Under this a label no longer fits its lane, in px at the usual text size. */
const LEAST_LANE = 19;

/** Sizes of what rows are made of, in px. */
export interface RowSizes {
  /** A lane, and one whose labels have two lines. */
  lane: number;
  tallLane: number;
  /** A whole-day bar's line. */
  top: number;
  /** Width of the count of events outside the shown hours. */
  count: number;
  /** The least height of a row. */
  row: number;
}

export function rowSizes(
  { text, line, zoom }: Scale,
  isWide: boolean,
  hasFacts: boolean,
): RowSizes {
  const grown = (px: number, least: number) => Math.round(Math.max(px * line * zoom, least * text));
  return {
    lane: grown(LANE, LEAST_LANE),
    tallLane: grown(TALL_LANE, TALL_LANE),
    top: grown(TOP, LEAST_LANE),
    count: Math.round(COUNT_WIDTH * text),
    // The head of a row has letters of its own: it can't be lower than they are.
    row: Math.round(
      ((isWide ? MIN_ROW.wide : MIN_ROW.phone) + (hasFacts ? FACTS : 0)) *
        Math.max(text, line * zoom),
    ),
  };
}

/** Top of a lane within its row. */
export function laneTop(row: Row, lane: number, { top }: Pick<RowSizes, 'top'>): number {
  return PADDING + row.tops.length * top + lane * row.laneHeight;
}
