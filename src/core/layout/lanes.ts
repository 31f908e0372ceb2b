/** A bar with its label on a line of pixels, to be put into a lane. */
export interface LaneItem {
  /** Left and right ends of the bar. */
  from: number;
  to: number;
  /** How far the way there and back reaches beyond them; nothing for none. */
  before?: number;
  after?: number;
  /** Where the label begins when it stands on the bar, from the bar's left end. */
  labelOffset: number;
  /** How much room the label would like. */
  labelWidth: number;
}

/** Which side of its bar's start a label runs to. */
export type LabelSide = 'right' | 'left';

export interface LanePlace {
  lane: number;
  side: LabelSide;
  /** Room that the label has, once everything lies in its lane. */
  labelRoom: number;
}

/** Clear space between neighbours in a lane. */
const GAP = 5;

interface Footprint {
  from: number;
  to: number;
  side: LabelSide;
}

/** Space that an item takes. Near the right edge its label goes to the left, if it fits there. */
function footprintOf(item: LaneItem, width: number, maxLabel: number): Footprint {
  const label = Math.min(item.labelWidth, maxLabel);
  const { before = 0, after = 0 } = item;
  const end = item.from + item.labelOffset + label;
  const fitsLeft = item.from - label - GAP >= 0;
  if (end > width && item.to + GAP > width - label * 0.5 && fitsLeft) {
    return {
      from: item.from - Math.max(label + GAP, before),
      to: Math.max(item.to + after, item.from + item.labelOffset),
      side: 'left',
    };
  }
  const to = Math.max(item.to + after, Math.min(end, width));
  return { from: item.from - before, to, side: 'right' };
}

/**
 * Puts items, in order of their start, each into the first lane that is free for its bar and its
 * label. All in pixels of a line of `width`; a label asks for no more than `maxLabel`.
 */
export function packLanes(
  items: readonly LaneItem[],
  width: number,
  maxLabel = Infinity,
): { places: LanePlace[]; lanes: number } {
  const lanes: Footprint[][] = [];
  const prints = items.map((item) => footprintOf(item, width, maxLabel));
  const laneOf = prints.map((print) => {
    const isFree = (lane: Footprint[]) =>
      lane.every((other) => print.from >= other.to + GAP || print.to + GAP <= other.from);
    const free = lanes.findIndex(isFree);
    if (free >= 0) {
      lanes[free]!.push(print);
      return free;
    }
    lanes.push([print]);
    return lanes.length - 1;
  });
  const places = items.map((item, i): LanePlace => {
    const print = prints[i]!;
    const neighbours = lanes[laneOf[i]!]!.filter((other) => other !== print);
    return {
      lane: laneOf[i]!,
      side: print.side,
      labelRoom:
        print.side === 'left'
          ? item.from -
            GAP -
            Math.max(0, ...neighbours.filter((n) => n.to <= print.from).map((n) => n.to + GAP))
          : Math.min(
              width,
              ...neighbours.filter((n) => n.from >= print.to).map((n) => n.from - GAP),
            ) -
            item.from -
            item.labelOffset,
    };
  });
  return { places, lanes: lanes.length };
}
