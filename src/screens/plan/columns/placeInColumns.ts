import type { Span } from '@/core/layout/drag';
import { yOfMinute } from '@/core/layout/columns';
import { DAY, dayOfWall, MINUTE } from '@/core/time/civil';
import type { DayNumber, MinuteOfDay, WallMs } from '@/core/time/units';
import type { Track } from '@/core/layout/tracks';
import type { Box } from '../sheet/Ghost';

/** The columns' field: where the hours lie, and how wide a column is, in px. */
export interface Field {
  tracks: readonly Track[];
  fromMinute: MinuteOfDay;
  toMinute: MinuteOfDay;
  height: number;
  /** Left end of the first column, and the width of each. */
  left: number;
  width: number;
}

const MIN_HEIGHT = 7;

/** Left end and width of all columns of a day, in px; null when it has none. */
export function dayPart(day: DayNumber, field: Field): { left: number; width: number } | null {
  const first = field.tracks.findIndex((track) => track.day === day);
  if (first < 0) return null;
  const columns = field.tracks.filter((track) => track.day === day).length;
  return { left: field.left + first * field.width, width: columns * field.width };
}

/** Where a span lies in the columns of a day; whole days take all of them. Null when it doesn't touch the shown hours. */
export function placeOnDay(span: Span, day: DayNumber, field: Field): Box | null {
  const part = dayPart(day, field);
  if (!part) return null;
  if (span.wholeDay) return { ...part, top: 0, height: field.height };
  const clamp = (wall: WallMs) =>
    Math.max(0, Math.min(field.height, yOfMinute(field, (wall - day * DAY) / MINUTE)));
  const top = clamp(span.start);
  const bottom = clamp(span.end);
  return bottom > top ? { ...part, top, height: Math.max(MIN_HEIGHT, bottom - top) } : null;
}

/** Where the draft of a dragged block lies. */
export function placeInColumns(span: Span, field: Field): Box | null {
  return placeOnDay(span, dayOfWall(span.start), field);
}
