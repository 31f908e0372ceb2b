import type { Occurrence } from '../agenda/occurrence';
import { DAY } from '../time/civil';
import type { DayNumber, MinuteOfDay } from '../time/units';
import type { LabelSide } from './lanes';
import { packLanes } from './lanes';
import { isTop, nthDay, takesDay } from '../agenda/parts';
import type { Track } from './tracks';
import { partOnTrack } from './tracks';

/** The week in rows: one row a day, time from left to right. Sizes in pixels. */
export interface RowsFrame {
  /** What each row stands for, in order. */
  tracks: readonly Track[];
  /** Hours shown, in minutes of the day. */
  fromMinute: MinuteOfDay;
  toMinute: MinuteOfDay;
  /** Room for the rows' time line, without the gutter. */
  width: number;
  /** Room for all rows; rows grow past it when they must. */
  height: number;
  /** The least that a row needs for its gutter. */
  minRowHeight: number;
  /** Height of a lane, and of one whose labels have two lines; null when that is not wanted. */
  laneHeight: number;
  tallLaneHeight: number | null;
  topHeight: number;
  padding: number;
  /** Room for the count of events outside the shown hours. */
  countWidth: number;
  /** Width of an occurrence's label, with one line or two. */
  labelWidth(occurrence: Occurrence, tall: boolean): number;
}

/** A timed event's stretch on one day. */
export interface RowBar {
  occurrence: Occurrence;
  x: number;
  width: number;
  lane: number;
  labelSide: LabelSide;
  /** From the bar's left end, when the label stands on the right side. */
  labelOffset: number;
  labelRoom: number;
  /** How far the way there and back reaches beyond the bar. */
  wayBefore: number;
  wayAfter: number;
  /** Whether the event goes on before or after what this bar shows. */
  cutStart: boolean;
  cutEnd: boolean;
}

/** A whole-day or long event on one of its days. */
export interface TopBar {
  occurrence: Occurrence;
  x: number;
  width: number;
  /** Which of its days this is, from 1, of how many. */
  nth: number;
  of: number;
}

export interface Row extends Track {
  y: number;
  height: number;
  tops: TopBar[];
  bars: RowBar[];
  lanes: number;
  laneHeight: number;
  /** Whether labels have two lines. */
  tall: boolean;
  /** Stretches that a busy or away top bar washes. */
  washes: { x: number; width: number }[];
  /** Timed events before and after the shown hours: how many, and the lane that says so. */
  before: Outside;
  after: Outside;
}

export interface Outside {
  count: number;
  lane: number;
}

export interface RowsLayout {
  rows: Row[];
  height: number;
}

/** The narrowest that a bar is drawn. */
const MIN_BAR = 7;
/** Width of a bar on top that begins beyond the shown hours, in pixels: its mark is seen. */
const EDGE_BAR = 24;
/** Where a label begins on its bar: after the edge and the mark. */
const LABEL_OFFSET = 21;
/** Widths to hold labels to, one after the other, until the rows fit. */
const LABEL_LIMITS = [Infinity, 150, 110, 80];

/** x of a minute of the day, not held to the shown hours. */
export function xOfMinute(
  frame: Pick<RowsFrame, 'fromMinute' | 'toMinute' | 'width'>,
  minute: number,
): number {
  return ((minute - frame.fromMinute) / (frame.toMinute - frame.fromMinute)) * frame.width;
}

/** Minute of the day at x (fractions kept). */
export function minuteOfX(
  frame: Pick<RowsFrame, 'fromMinute' | 'toMinute' | 'width'>,
  x: number,
): number {
  return frame.fromMinute + (x / frame.width) * (frame.toMinute - frame.fromMinute);
}

function topBar(
  frame: RowsFrame,
  o: Occurrence,
  day: DayNumber,
  part: { from: number; to: number },
): TopBar {
  // One that begins after the shown hours is seen at their end.
  const x = Math.min(Math.max(0, xOfMinute(frame, part.from)), frame.width - EDGE_BAR);
  return {
    occurrence: o,
    x,
    width: Math.max(MIN_BAR, Math.min(frame.width, xOfMinute(frame, part.to)) - x),
    ...nthDay(o, day),
  };
}

interface Timed {
  occurrence: Occurrence;
  from: number;
  to: number;
  before: number;
  after: number;
  cutStart: boolean;
  cutEnd: boolean;
}

interface DayContent extends Track {
  tops: TopBar[];
  timed: Timed[];
  before: number;
  after: number;
}

function contentOf(frame: RowsFrame, occurrences: readonly Occurrence[], track: Track): DayContent {
  const { day } = track;
  const content: DayContent = { ...track, tops: [], timed: [], before: 0, after: 0 };
  for (const occurrence of occurrences) {
    const part = partOnTrack(occurrence, track);
    if (!part) continue;
    if (isTop(occurrence)) content.tops.push(topBar(frame, occurrence, day, part));
    else if (part.from >= frame.toMinute) content.after++;
    else if (part.to <= frame.fromMinute && part.from < frame.fromMinute) content.before++;
    else content.timed.push(timedPart(frame, occurrence, day, part));
  }
  return content;
}

function timedPart(
  frame: RowsFrame,
  o: Occurrence,
  day: DayNumber,
  part: { from: number; to: number },
): Timed {
  const from = Math.max(0, xOfMinute(frame, part.from));
  const to = Math.max(Math.min(frame.width, xOfMinute(frame, part.to)), from + MIN_BAR);
  const cutStart = o.start < day * DAY || part.from < frame.fromMinute;
  const cutEnd = o.end > (day + 1) * DAY || part.to > frame.toMinute;
  const way = (minutes: number) => xOfMinute(frame, frame.fromMinute + minutes);
  return {
    occurrence: o,
    from,
    to,
    before: cutStart ? 0 : Math.min(from, way(o.travelBefore)),
    after: cutEnd ? 0 : Math.max(0, Math.min(frame.width - to, way(o.travelAfter))),
    cutStart,
    cutEnd,
  };
}

/** A bar that is all ink has its label after it, where it can't hold it. */
function labelOffsetOf(timed: Timed, labelWidth: number): number {
  const width = timed.to - timed.from;
  const isSolid = timed.occurrence.availability === 'away';
  return isSolid && labelWidth + LABEL_OFFSET > width
    ? Math.max(width + 6, LABEL_OFFSET)
    : LABEL_OFFSET;
}

function packDay(frame: RowsFrame, content: DayContent, tall: boolean, maxLabel: number) {
  const items = content.timed.map((timed) => {
    const labelWidth = frame.labelWidth(timed.occurrence, tall);
    return {
      from: timed.from,
      to: timed.to,
      before: timed.before,
      after: timed.after,
      labelOffset: labelOffsetOf(timed, labelWidth),
      labelWidth,
    };
  });
  const count = (from: number) => ({
    from,
    to: from + frame.countWidth,
    labelOffset: 0,
    labelWidth: 0,
  });
  const counts = [
    ...(content.before ? [count(0)] : []),
    ...(content.after ? [count(frame.width - frame.countWidth)] : []),
  ];
  const { places, lanes } = packLanes([...items, ...counts], frame.width, maxLabel);
  const bars = content.timed.map((timed, i): RowBar => {
    const { occurrence, from, to, before, after, cutStart, cutEnd } = timed;
    const { lane, side, labelRoom } = places[i]!;
    const { labelOffset } = items[i]!;
    return {
      occurrence,
      x: from,
      width: to - from,
      lane,
      labelSide: side,
      labelOffset,
      labelRoom,
      wayBefore: before,
      wayAfter: after,
      cutStart,
      cutEnd,
    };
  });
  const countLanes = places.slice(items.length).map((place) => place.lane);
  return {
    bars,
    lanes,
    before: { count: content.before, lane: content.before ? countLanes[0]! : 0 },
    after: { count: content.after, lane: content.after ? countLanes.at(-1)! : 0 },
  };
}

type Packed = Omit<DayContent, 'before' | 'after'> & ReturnType<typeof packDay>;

function neededHeight(frame: RowsFrame, packed: Packed, laneHeight: number): number {
  const content = packed.tops.length * frame.topHeight + packed.lanes * laneHeight;
  return Math.max(frame.minRowHeight, content + frame.padding * 2);
}

type Way = Pick<Row, 'laneHeight' | 'tall'> & { maxLabel: number };
type PackedRow = Packed & Way & { needed: number };

function packRow(frame: RowsFrame, content: DayContent, way: Way): PackedRow {
  const packed = { ...content, ...packDay(frame, content, way.tall, way.maxLabel) };
  return { ...packed, ...way, needed: neededHeight(frame, packed, way.laneHeight) };
}

const heightOf = (rows: readonly PackedRow[]) => rows.reduce((sum, row) => sum + row.needed, 0);

/** Packs all days with labels as long as the height allows; the tightest way when none fits. */
function packAll(frame: RowsFrame, contents: readonly DayContent[]): PackedRow[] {
  let rows: PackedRow[] = [];
  for (const maxLabel of LABEL_LIMITS) {
    const way = { tall: false, laneHeight: frame.laneHeight, maxLabel };
    rows = contents.map((content) => packRow(frame, content, way));
    if (heightOf(rows) <= frame.height) break;
  }
  return withTallRows(frame, contents, rows);
}

/** Gives rows two-line lanes where the height is left for it; those that cost least come first. */
function withTallRows(
  frame: RowsFrame,
  contents: readonly DayContent[],
  rows: readonly PackedRow[],
): PackedRow[] {
  if (frame.tallLaneHeight === null) return [...rows];
  const way = { tall: true, laneHeight: frame.tallLaneHeight, maxLabel: Infinity };
  const upgrades = contents
    .map((content, i) => ({ i, row: packRow(frame, content, way) }))
    .sort((a, b) => a.row.needed - rows[a.i]!.needed - (b.row.needed - rows[b.i]!.needed));
  const result = [...rows];
  let spare = frame.height - heightOf(rows);
  for (const { i, row } of upgrades) {
    const cost = row.needed - result[i]!.needed;
    if (cost > spare) break;
    spare -= cost;
    result[i] = row;
  }
  return result;
}

/** Lays occurrences (wall ms in the frame's zone, in order of start) out as rows of tracks. */
export function layoutRows(frame: RowsFrame, occurrences: readonly Occurrence[]): RowsLayout {
  const contents = frame.tracks.map((track) => contentOf(frame, occurrences, track));
  const packed = packAll(frame, contents);
  const heights = shareRoom(
    packed.map((row) => row.needed),
    frame.height - heightOf(packed),
  );
  let y = 0;
  const rows = packed.map(
    ({ timed: _timed, needed: _needed, maxLabel: _label, ...row }, i): Row => {
      const placed = {
        ...row,
        y,
        height: heights[i]!,
        washes: row.tops
          .filter((top) => takesDay(top.occurrence))
          .map(({ x, width }) => ({ x, width })),
      };
      y += heights[i]!;
      return placed;
    },
  );
  return { rows, height: y };
}

/** Shares spare pixels out: the lowest rows grow first, until all are of a height. */
function shareRoom(needed: readonly number[], spare: number): number[] {
  const heights = needed.map(Math.ceil);
  let left = Math.floor(spare) - heights.reduce((sum, h, i) => sum + h - needed[i]!, 0);
  while (left > 0 && heights.length) {
    const low = Math.min(...heights);
    const lowest = heights.flatMap((h, i) => (h === low ? [i] : []));
    const above = Math.min(...heights.filter((h) => h > low), Infinity);
    const step = Math.max(1, Math.min(above - low, Math.floor(left / lowest.length)));
    for (const i of lowest) {
      if (left <= 0) break;
      const growth = Math.min(step, left);
      heights[i]! += growth;
      left -= growth;
    }
  }
  return heights;
}

/** The row at y; the first or last one beyond the ends. */
export function rowAt(rows: readonly Row[], y: number): Row | undefined {
  return rows.findLast((row) => row.y <= y) ?? rows[0];
}
