import type { ChangedDate } from '../model/event';
import { expandSeries } from '../recurrence/expand';
import { DAY } from '../time/civil';
import { instantFromWall } from '../time/zones';
import type { CompiledSeries, PlacedChange } from './series';
import { dateKeyOf, reachOf } from './series';

/** One date of a series where it lies: epoch ms or wall ms, as the series' basis says. */
export interface PlacedDate {
  key: string;
  from: number;
  to: number;
  /** What a change that reaches later dates gave it. */
  change: ChangedDate | undefined;
}

/** Dates are worked out for stretches of this length at once, and kept: weeks are asked for side by side. */
const BLOCK = 128 * DAY;
/** Stretches that are kept of a series. */
const BLOCKS_KEPT = 8;
/** Rules whose dates are too many to be worked out ahead. */
const DENSE = new Set(['HOURLY', 'MINUTELY', 'SECONDLY']);

/** The nearest change before a date (nominal start, wall ms) that also reaches later ones. */
export function laterChange(
  series: Pick<CompiledSeries, 'changes'>,
  wall: number,
): PlacedChange | undefined {
  let found: PlacedChange | undefined;
  for (const change of series.changes) {
    if (change.nominal > wall) break;
    if (change.change.andLater) found = change;
  }
  return found;
}

/** The dates of a series that its rule and extra dates plan; changed ones by themselves are left out. */
export class SeriesDates {
  private readonly blocks = new Map<number, PlacedDate[]>();
  private readonly reach: number;
  /** Where the first date may lie: an extra one can come before the rule's. */
  private readonly earliest: number;
  private readonly isDense: boolean;

  constructor(readonly series: CompiledSeries) {
    this.reach = reachOf(series);
    this.earliest = Math.min(series.start, ...series.extra);
    this.isDense = series.rule !== null && DENSE.has(series.rule.frequency);
  }

  /**
   * Shows every date that may touch [from, to) to `visit`, which looks closer; `from` and `to` are
   * wall ms, widened by how far zones lie apart. True when there were too many to show them all.
   */
  visitAround(from: number, to: number, visit: (date: PlacedDate) => void): boolean {
    const low = from - this.reach;
    const high = to + this.reach;
    if (this.earliest > high) return false;
    const blocks: PlacedDate[][] = [];
    for (let index = Math.floor(low / BLOCK); index * BLOCK < high; index++) {
      const block = this.isDense ? null : this.block(index);
      if (!block) return this.visitDense(low, high, visit);
      blocks.push(block);
    }
    for (const block of blocks) for (const date of block) visit(date);
    return false;
  }

  private visitDense(low: number, high: number, visit: (date: PlacedDate) => void): boolean {
    const { dates, cut } = this.expand(low, high);
    dates.forEach(visit);
    return cut;
  }

  /** The dates of a stretch; null when they are too many to keep. */
  private block(index: number): PlacedDate[] | null {
    const kept = this.blocks.get(index);
    if (kept) return kept;
    const { dates, cut } = this.expand(index * BLOCK, (index + 1) * BLOCK);
    if (cut) return null;
    const [oldest] = this.blocks.keys();
    if (oldest !== undefined && this.blocks.size >= BLOCKS_KEPT) this.blocks.delete(oldest);
    this.blocks.set(index, dates);
    return dates;
  }

  private expand(low: number, high: number): { dates: PlacedDate[]; cut: boolean } {
    const { series } = this;
    const { starts, cut } = expandSeries(series, low, high);
    const dates: PlacedDate[] = [];
    const seen = new Set<number>();
    for (const wall of starts) {
      const key = dateKeyOf(wall, series.wholeDay);
      if (series.changedKeys.has(key)) continue;
      const later = laterChange(series, wall);
      const planned = series.zone === null ? wall : instantFromWall(wall, series.zone);
      const from = planned + (later?.shift ?? 0);
      // A start in a gap is moved onto the time after it, where another may lie: both are one date.
      if (seen.has(from)) continue;
      seen.add(from);
      const to = from + (later?.duration ?? series.lengthAt(wall));
      dates.push({ key, from, to, change: later?.change });
    }
    return { dates, cut };
  }
}
