import type { Row } from '@/core/layout/rows';

const GUTTER = { phone: 52, wide: 68 };
/** Names of calendars take more room than days. */
const NAMED_GUTTER = { phone: 92, wide: 116 };

/** Room for the heads of rows, in px. */
export function gutterOf(isWide: boolean, isNamed: boolean): number {
  const gutters = isNamed ? NAMED_GUTTER : GUTTER;
  return isWide ? gutters.wide : gutters.phone;
}

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
