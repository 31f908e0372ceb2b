import type { Row } from '@/core/layout/rows';

export const GUTTER = { phone: 52, wide: 68 };
export const AXIS_HEIGHT = 22;
export const LANE = 23;
export const TALL_LANE = 37;
export const TOP = 21;
export const PADDING = 4;
export const MIN_ROW = { phone: 62, wide: 66 };

/** Top of a lane within its row. */
export function laneTop(row: Row, lane: number): number {
  return PADDING + row.tops.length * TOP + lane * row.laneHeight;
}
