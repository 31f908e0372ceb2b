import type { Span, Spot } from '@/core/layout/drag';
import { DAY, dayOfWall, DAYS_A_WEEK } from '@/core/time/civil';
import type { Box } from '../sheet/Ghost';
import type { GridLayout } from './useGridLayout';

/** Where the draft of a dragged event lies: across its cells of the week that it begins in. */
export function placeInGrid(span: Span, layout: GridLayout): Box | null {
  const day = dayOfWall(span.start);
  const week = layout.weeks.find((each) => day >= each.day && day < each.day + DAYS_A_WEEK);
  if (!week) return null;
  const { offsets } = layout;
  const past = Math.max(day + 1, Math.ceil(span.end / DAY));
  const column = offsets.findIndex((offset) => week.day + offset >= day);
  const columns = offsets.filter(
    (offset) => week.day + offset >= day && week.day + offset < past,
  ).length;
  if (columns === 0) return null;
  return {
    left: layout.gutter + column * layout.cell + 1,
    top: week.y + layout.head,
    width: columns * layout.cell - 2,
    height: 18,
  };
}

/** The day at a place of the surface, in px. A grid has no minutes: a move keeps those that were. */
export function spotInGrid(x: number, y: number, layout: GridLayout): Spot | null {
  const week = layout.weeks.findLast((each) => each.y <= y) ?? layout.weeks[0];
  if (!week) return null;
  const column = Math.floor((x - layout.gutter) / layout.cell);
  const { offsets } = layout;
  const offset = offsets[Math.max(0, Math.min(offsets.length - 1, column))]!;
  return { day: week.day + offset, minute: 0 };
}
