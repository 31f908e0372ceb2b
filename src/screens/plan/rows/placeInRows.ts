import type { Span } from '@/core/layout/drag';
import type { Row } from '@/core/layout/rows';
import { xOfMinute } from '@/core/layout/rows';
import { DAY, dayOfWall, MINUTE } from '@/core/time/civil';
import type { WallMs } from '@/core/time/units';
import type { Box } from '../sheet/Ghost';
import { PADDING } from './geometry';
import type { TimeLine } from './RowBackground';

/** The narrowest that a draft is drawn. */
const MIN_WIDTH = 7;

/** Where the draft of a bar lies, a lane (px) high; that of a day out of sight lies in the first row. */
export function placeInRows(
  span: Span,
  rows: readonly Row[],
  line: TimeLine,
  gutter: number,
  lane: number,
): Box | null {
  const row = rows.find(({ day }) => day === dayOfWall(span.start)) ?? rows[0];
  if (!row) return null;
  const clamp = (wall: WallMs) =>
    Math.max(0, Math.min(line.width, xOfMinute(line, (wall - row.day * DAY) / MINUTE)));
  const from = span.wholeDay ? 0 : clamp(span.start);
  const to = span.wholeDay ? line.width : clamp(span.end);
  return {
    left: gutter + from,
    top: row.y + PADDING,
    width: Math.max(MIN_WIDTH, to - from),
    height: lane,
  };
}
