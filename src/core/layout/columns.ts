import type { Occurrence } from '../agenda/occurrence';
import { DAY } from '../time/civil';
import type { DayNumber, MinuteOfDay } from '../time/units';
import { isTop, nthDay, takesDay } from '../agenda/parts';
import type { Track } from './tracks';
import { partOnTrack } from './tracks';

/** Columns beside each other, time from top to bottom. Heights in pixels, widths as shares of a column. */
export interface ColumnsFrame {
  /** What each column stands for, in order. */
  tracks: readonly Track[];
  /** Hours shown, in minutes of the day. */
  fromMinute: MinuteOfDay;
  toMinute: MinuteOfDay;
  /** Height of the shown hours. */
  height: number;
  /** The least height of a block: a line of its title. */
  minBlock: number;
}

/** A timed event's stretch in one column. */
export interface Block {
  occurrence: Occurrence;
  y: number;
  height: number;
  /** How far the way there and back reaches above and below it. */
  wayBefore: number;
  wayAfter: number;
  /** Left end and width, as shares of the column from 0 to 1. */
  left: number;
  width: number;
  /** Whether the event goes on before or after what this block shows. */
  cutStart: boolean;
  cutEnd: boolean;
}

/** A whole-day or long event at the head of a column. */
export interface ColumnTop {
  occurrence: Occurrence;
  nth: number;
  of: number;
}

export interface Column extends Track {
  tops: ColumnTop[];
  blocks: Block[];
  /** Top events under which the day never looks open. */
  washes: Occurrence[];
  /** Timed events before and after the shown hours. */
  before: number;
  after: number;
}

type TimeScale = Pick<ColumnsFrame, 'fromMinute' | 'toMinute' | 'height'>;

/** y of a minute of the day, not held to the shown hours. */
export function yOfMinute(scale: TimeScale, minute: number): number {
  return ((minute - scale.fromMinute) / (scale.toMinute - scale.fromMinute)) * scale.height;
}

/** Minute of the day at y (fractions kept). */
export function minuteOfY(scale: TimeScale, y: number): number {
  return scale.fromMinute + (y / scale.height) * (scale.toMinute - scale.fromMinute);
}

type Placed = Omit<Block, 'left' | 'width'>;

function placed(
  frame: ColumnsFrame,
  o: Occurrence,
  day: DayNumber,
  part: { from: number; to: number },
) {
  const top = Math.max(0, yOfMinute(frame, part.from));
  const bottom = Math.min(frame.height, yOfMinute(frame, part.to));
  const y = Math.min(top, frame.height - frame.minBlock);
  const height = Math.max(frame.minBlock, bottom - y);
  const cutStart = o.start < day * DAY || part.from < frame.fromMinute;
  const cutEnd = o.end > (day + 1) * DAY || part.to > frame.toMinute;
  const way = (minutes: number) => yOfMinute(frame, frame.fromMinute + minutes);
  return {
    occurrence: o,
    y,
    height,
    wayBefore: cutStart ? 0 : Math.min(y, way(o.travelBefore)),
    wayAfter: cutEnd ? 0 : Math.max(0, Math.min(frame.height - y - height, way(o.travelAfter))),
    cutStart,
    cutEnd,
  };
}

/** Where a block begins and ends with the way there and back. */
const topOf = ({ y, wayBefore }: Placed) => y - wayBefore;
const bottomOf = ({ y, height, wayAfter }: Placed) => y + height + wayAfter;

/** Splits what is in order of its top into groups that no clear height divides. */
function groupsOf(blocks: readonly Placed[]): Placed[][] {
  const groups: Placed[][] = [];
  let bottom = -Infinity;
  for (const block of blocks) {
    if (topOf(block) >= bottom) groups.push([]);
    groups.at(-1)!.push(block);
    bottom = Math.max(bottom, bottomOf(block));
  }
  return groups;
}

const touches = (a: Placed, b: Placed) => topOf(a) < bottomOf(b) && topOf(b) < bottomOf(a);

/** Puts a group side by side: each into the first track that is free, and wider where tracks beside it are. */
function sideBySide(group: readonly Placed[]): Block[] {
  const tracks: Placed[][] = [];
  const trackOf = group.map((block) => {
    const free = tracks.findIndex((track) => !track.some((other) => touches(other, block)));
    if (free >= 0) tracks[free]!.push(block);
    else tracks.push([block]);
    return free >= 0 ? free : tracks.length - 1;
  });
  return group.map((block, i) => {
    const track = trackOf[i]!;
    let past = track + 1;
    while (past < tracks.length && !tracks[past]!.some((other) => touches(other, block))) past++;
    return { ...block, left: track / tracks.length, width: (past - track) / tracks.length };
  });
}

function columnOf(frame: ColumnsFrame, occurrences: readonly Occurrence[], track: Track): Column {
  const { day } = track;
  const column: Column = { ...track, tops: [], blocks: [], washes: [], before: 0, after: 0 };
  const timed: Placed[] = [];
  for (const occurrence of occurrences) {
    const part = partOnTrack(occurrence, track);
    if (!part) continue;
    if (isTop(occurrence)) column.tops.push({ occurrence, ...nthDay(occurrence, day) });
    else if (part.from >= frame.toMinute) column.after++;
    else if (part.to <= frame.fromMinute && part.from < frame.fromMinute) column.before++;
    else timed.push(placed(frame, occurrence, day, part));
  }
  timed.sort((a, b) => topOf(a) - topOf(b) || b.height - a.height);
  column.blocks = groupsOf(timed).flatMap(sideBySide);
  column.washes = column.tops.map((top) => top.occurrence).filter(takesDay);
  return column;
}

/** Lays occurrences (wall ms in the frame's zone, in order of start) out as columns of tracks. */
export function layoutColumns(frame: ColumnsFrame, occurrences: readonly Occurrence[]): Column[] {
  return frame.tracks.map((track) => columnOf(frame, occurrences, track));
}
