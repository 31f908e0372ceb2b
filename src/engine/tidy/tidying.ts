import type { CheckName, Found } from '@/core/tidy/checks';
import { CHECK_NAMES, findingsOf } from '@/core/tidy/checks';
import { wallOf, zoneOf } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import { isSeries } from '@/core/model/event';
import { compileSeries } from '@/core/agenda/series';
import { extentOfSeries } from '@/core/agenda/extent';
import type { ChosenField, Doubles } from '@/core/tidy/doubles';
import { differingFields } from '@/core/tidy/doubles';
import { DAY } from '@/core/time/civil';
import type { DayNumber } from '@/core/time/units';
import { instantOf } from '@/core/time/zones';
import { yieldToEventLoop } from '../yieldToEventLoop';
import type { Looked, Looking } from './world';
import { worldOf } from './world';

/** How much each check finds, and how much of it was left as it is. */
export interface CheckCount {
  check: CheckName;
  count: number;
  left: number;
}

/** Doubles side by side: the events, and the fields in which one has to be chosen. */
export interface SideBySide {
  events: Doubles;
  fields: { field: ChosenField; proposed: string }[];
}

/** Findings that are listed at once. */
const LISTED = 200;
/** Days on which findings are told of ahead: this week and the next. */
const SOON = 14;
/** Findings that a look tells of. */
const MOST_TOLD = 3;
/** What a look tells of: what a person would rather know before it happens. */
const TOLD: readonly CheckName[] = [
  'clashing',
  'overClosures',
  'doubles',
  'untitled',
  'outsideHours',
];

type All = ReadonlyMap<CheckName, readonly Found[]>;

/** What is in disorder, worked out while nothing else is asked, and again after changes. */
export class Tidying {
  /** Goes on with every change, so that what was found before is known to be old. */
  private version = 0;
  private known: { version: number; on: string; all: Promise<All> } | null = null;

  constructor(private readonly parts: Looked) {}

  /** Something is different now. */
  touch(): void {
    this.version++;
  }

  private all(looking: Looking): Promise<All> {
    const { version } = this;
    // Findings go by the day; a minute later they are the same.
    const on = `${Math.floor(looking.now / DAY)} ${looking.zone} ${JSON.stringify(looking.wording)}`;
    if (this.known?.version !== version || this.known.on !== on)
      this.known = { version, on, all: this.look(looking) };
    return this.known.all;
  }

  private async look(looking: Looking): Promise<All> {
    const { version } = this;
    const world = worldOf(this.parts, looking);
    const left = this.left();
    const all = new Map<CheckName, Found[]>();
    for (const check of CHECK_NAMES) {
      all.set(check, findingsOf(check, world, left));
      await yieldToEventLoop();
      // What changed meanwhile is looked at from the beginning.
      if (version !== this.version) return this.all(looking);
    }
    return all;
  }

  private left(): Set<string> {
    return new Set(this.parts.records.all('left').map(({ key }) => key));
  }

  /** How much each check finds. */
  async counts(looking: Looking): Promise<CheckCount[]> {
    const all = await this.all(looking);
    const left = [...this.left()];
    return CHECK_NAMES.map((check) => ({
      check,
      count: all.get(check)!.length,
      left: left.filter((key) => key.startsWith(`${check} `)).length,
    }));
  }

  /** What a check finds, the first of it. */
  async findings(check: CheckName, looking: Looking): Promise<readonly Found[]> {
    return (await this.all(looking)).get(check)!.slice(0, LISTED);
  }

  /** All that a check finds by what a mend needs to know. */
  async everyFinding(check: CheckName, looking: Looking): Promise<readonly Found[]> {
    return (await this.all(looking)).get(check)!;
  }

  /** A few findings that concern this week and the next. */
  async soon(looking: Looking): Promise<Found[]> {
    const all = await this.all(looking);
    const world = worldOf(this.parts, looking);
    const near = new Set(
      world
        .occurrencesIn(world.today, world.today + SOON)
        .flatMap(({ id, eventId }) => [id, eventId]),
    );
    return TOLD.flatMap((check) =>
      all.get(check)!.filter(({ ids }) => ids.some((id) => near.has(id))),
    ).slice(0, MOST_TOLD);
  }

  /** Doubles as they lie beside each other. */
  sideBySide(ids: readonly string[]): SideBySide {
    const events = ids.flatMap((id) => {
      const event = this.parts.records.get('event', id);
      return event && event.removedAt === undefined ? [event] : [];
    });
    return { events, fields: events.length > 1 ? differingFields(events) : [] };
  }

  /** Ids of events on own calendars that were over before a day (day number) began in a zone. */
  overBefore(day: DayNumber, looking: Looking): string[] {
    const limit = instantOf(day * DAY, looking.zone, looking.zone);
    return worldOf(this.parts, looking)
      .events.filter((event) => lastEnd(event, looking.zone) <= limit)
      .map(({ id }) => id);
  }
}

/** When the last date of an event is surely over, epoch ms. */
function lastEnd(event: CalendarEvent, zone: string): number {
  const series = isSeries(event) ? compileSeries(event) : null;
  if (series) return extentOfSeries(series).to * DAY;
  return instantOf(wallOf(event.end), zoneOf(event.end), zone);
}
