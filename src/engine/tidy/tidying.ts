import type { Found } from '@/core/tidy/checks';
import type { CheckName, EventCheck } from '@/core/model/checks';
import { findingsOf } from '@/core/tidy/checks';
import { CHECK_NAMES } from '@/core/model/checks';
import type { World } from '@/core/tidy/checks/check';
import { wallOf, zoneOf } from '@/core/model/common';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import { partsOfId } from '@/core/agenda/occurrence';
import type { FoundIds } from '@/core/query/filterParts';
import type { CalendarEvent } from '@/core/model/event';
import { isSeries } from '@/core/model/event';
import { compileSeries } from '@/core/agenda/series';
import { extentOfSeries } from '@/core/agenda/extent';
import type { ChosenField, Doubles } from '@/core/tidy/doubles';
import { differingFields } from '@/core/tidy/doubles';
import { DAY } from '@/core/time/civil';
import type { DayNumber, EpochMs } from '@/core/time/units';
import type { Wording } from '@/core/time/words';
import { localeOf } from '@/core/time/words';
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

/** For what says nothing to a person. */
const PLAIN_WORDING: Wording = { locale: localeOf('day'), hourCycle: '24' };

/** What was found as things were at one moment, each check once. */
interface Look {
  version: number;
  on: string;
  wording: Wording;
  world: World;
  left: ReadonlySet<string>;
  found: Map<CheckName, readonly Found[]>;
}

/** What is in disorder, worked out while nothing else is asked, and again after changes. */
export class Tidying {
  /** Goes on with every change, so that what was found before is known to be old. */
  private version = 0;
  private last: Look | null = null;
  private readonly idsOf = new WeakMap<readonly Found[], FoundIds>();

  constructor(private readonly parts: Looked) {}

  /** Something is different now. */
  touch(): void {
    this.version++;
  }

  /** Everything as it is now, looked at once however many checks ask. */
  private look(looking: Looking): Look {
    const { version } = this;
    // Findings go by the day; a minute later they are the same.
    const on = `${Math.floor(looking.now / DAY)} ${looking.zone} ${JSON.stringify(looking.wording)}`;
    if (this.last?.version !== version || this.last.on !== on)
      this.last = {
        version,
        on,
        wording: looking.wording,
        world: worldOf(this.parts, looking),
        left: new Set(this.parts.records.all('left').map(({ key }) => key)),
        found: new Map(),
      };
    return this.last;
  }

  /** What a check finds, as it stands. */
  private found(check: CheckName, looking: Looking): readonly Found[] {
    const { world, left, found } = this.look(looking);
    let known = found.get(check);
    if (!known) found.set(check, (known = findingsOf(check, world, left)));
    return known;
  }

  /** Ids of what a check finds, for questions that ask for it; in the home zone. */
  foundBy(check: EventCheck, now: EpochMs): FoundIds {
    const settings = this.parts.records.get('settings', 'mine') ?? DEFAULT_SETTINGS;
    const zone = settings.zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
    const wording = this.last?.wording ?? PLAIN_WORDING;
    const found = this.found(check, { now, zone, wording });
    let ids = this.idsOf.get(found);
    if (!ids) {
      const all = found.flatMap((finding) => finding.ids);
      ids = { ids: new Set(all), eventIds: new Set(all.map((id) => partsOfId(id).eventId)) };
      this.idsOf.set(found, ids);
    }
    return ids;
  }

  /** All that a check finds. Whoever waits for something else is served before each look. */
  async everyFinding(check: CheckName, looking: Looking): Promise<readonly Found[]> {
    await yieldToEventLoop();
    return this.found(check, looking);
  }

  /** How much each check finds. */
  async counts(looking: Looking): Promise<CheckCount[]> {
    const counts: CheckCount[] = [];
    for (const check of CHECK_NAMES) {
      const { length: count } = await this.everyFinding(check, looking);
      const left = [...this.look(looking).left].filter((key) => key.startsWith(`${check} `)).length;
      counts.push({ check, count, left });
    }
    return counts;
  }

  /** What a check finds, the first of it. */
  async findings(check: CheckName, looking: Looking): Promise<readonly Found[]> {
    return (await this.everyFinding(check, looking)).slice(0, LISTED);
  }

  /** A few findings that concern this week and the next. */
  async soon(looking: Looking): Promise<Found[]> {
    const told: Found[] = [];
    for (const check of TOLD) {
      const found = await this.everyFinding(check, looking);
      const { world } = this.look(looking);
      const near = new Set(
        world
          .occurrencesIn(world.today, world.today + SOON)
          .flatMap(({ id, eventId }) => [id, eventId]),
      );
      told.push(...found.filter(({ ids }) => ids.some((id) => near.has(id))));
      if (told.length >= MOST_TOLD) break;
    }
    return told.slice(0, MOST_TOLD);
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
