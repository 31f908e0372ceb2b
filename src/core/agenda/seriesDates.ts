import type { ChangedDate } from '../model/event';
import { expandSeries } from '../recurrence/expand';
import type { Frequency, Rule } from '../recurrence/rule';
import { DAY, HOUR } from '../time/civil';
import { instantFromWall } from '../time/zones';
import type { WallMs } from '../time/units';
import type { Extent } from './extent';
import { extentOfSeries } from './extent';
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
/** On a day that has more dates of one series than this, nobody looks at each. */
const MANY_A_DAY = 8;
/** The most dates that a rule's frequency alone gives a day, and the days that its parts by day can choose from. */
const A_DAY: Readonly<Record<Frequency, number>> = {
  SECONDLY: 86_400,
  MINUTELY: 1_440,
  HOURLY: 24,
  DAILY: 1,
  WEEKLY: 1 / 7,
  MONTHLY: 1 / 28,
  YEARLY: 1 / 365,
};
/** Dates that reach further than this are looked for when they are asked for: the stretches would be too many to keep. */
const FAR = (BLOCKS_KEPT / 2) * BLOCK;
/** What it costs to begin a stretch, in dates. */
const BEGINNING = 10;
/** How much more the clock can show than has passed, where it was put on in between. */
const CLOCK_CHANGE = HOUR;

/** Where dates are looked for. */
interface Around {
  /** Wall ms, as far out as zones lie apart. */
  from: WallMs;
  to: WallMs;
  /** The same by the series' own clock. */
  near: { from: number; to: number };
  /** The most dates of a rule that are worked out, where they are many or not kept. */
  limit: number;
  /** Whether the stretches around are worked out whole and kept, for the next window that is asked for. */
  isKept: boolean;
}

/** How many dates of a rule may begin on one day. */
function mostADay(rule: Rule): number {
  const times = [rule.byHour, rule.byMinute, rule.bySecond].reduce(
    (product, { length }) => product * Math.max(1, length),
    1,
  );
  const choosesDays =
    rule.byDay.length + rule.byMonthDay.length + rule.byYearDay.length + rule.byWeekNo.length > 0;
  const days = A_DAY[rule.frequency];
  return times * (choosesDays ? Math.max(1, days) : days);
}

/** Whether more dates of a series than can be looked at may touch one day. */
function isDense({ rule }: CompiledSeries, reach: number): boolean {
  return rule !== null && mostADay(rule) * (reach / DAY) > MANY_A_DAY;
}

/** The nearest change before a date (nominal start, wall ms) that also reaches later ones. */
export function laterChange(
  series: Pick<CompiledSeries, 'changes'>,
  wall: WallMs,
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
  /** The days that it may touch; without end where that is not known without counting. */
  readonly extent: Extent;
  /** Whether its dates around any window may be very many. */
  readonly isMany: boolean;
  /** About what it costs to work out one stretch: in dates, with the work of beginning one. */
  private readonly aStretch: number;

  constructor(readonly series: CompiledSeries) {
    this.reach = reachOf(series);
    // An event may have more of them than a call can take.
    this.earliest = series.extra.reduce((least, wall) => Math.min(least, wall), series.start);
    this.extent = extentOfSeries(series);
    this.isMany = this.reach > FAR || isDense(series, this.reach);
    this.aStretch = BEGINNING + (series.rule ? mostADay(series.rule) * (BLOCK / DAY) : 0);
  }

  /** Whether the series begins later than a window, or has ended before it. */
  private isBeside({ from, to }: Pick<Around, 'from' | 'to'>): boolean {
    return this.earliest > to + this.reach || this.extent.to * DAY <= from;
  }

  /** The stretches that dates around a window may lie in. */
  private indexesAround({ from, to }: Pick<Around, 'from' | 'to'>): number[] {
    const high = Math.min(to + this.reach, this.extent.to * DAY);
    const indexes: number[] = [];
    for (let index = Math.floor((from - this.reach) / BLOCK); index * BLOCK < high; index++)
      indexes.push(index);
    return indexes;
  }

  /** About how many dates have to be worked out to keep the stretches around a window. */
  costOfKeeping(around: Pick<Around, 'from' | 'to'>): number {
    if (this.isMany || this.isBeside(around)) return 0;
    const missing = this.indexesAround(around).filter((index) => !this.blocks.has(index));
    return missing.length * this.aStretch;
  }

  /**
   * Shows every date that may touch a window to `visit`, which looks closer. True when there were
   * too many to show them all.
   */
  visitAround(around: Around, visit: (date: PlacedDate) => void): boolean {
    if (this.isBeside(around)) return false;
    const isWindowOnly = this.isMany || !around.isKept;
    const blocks: PlacedDate[][] = [];
    for (const index of this.indexesAround(around)) {
      const block = isWindowOnly ? null : this.block(index);
      if (!block) return this.visitMany(around, visit);
      blocks.push(block);
    }
    for (const block of blocks) for (const date of block) visit(date);
    return false;
  }

  /** What lies before the window must not use up what can be shown of it: the reach is as short as it can be. */
  private visitMany({ near, limit }: Around, visit: (date: PlacedDate) => void): boolean {
    const length = this.reach - DAY;
    const within = (reach: number) => this.expand(near.from - reach, near.to + reach, limit);
    let found = within(length + CLOCK_CHANGE);
    // Of so many, an hour more before the window could be all there is.
    if (found.cut) found = within(length);
    found.dates.forEach(visit);
    return found.cut;
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

  private expand(low: number, high: number, limit?: number): { dates: PlacedDate[]; cut: boolean } {
    const { series } = this;
    const { starts, cut } = expandSeries(series, low, high, limit);
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
