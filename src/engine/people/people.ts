import type { EventIndex } from '@/core/agenda/eventIndex';
import type { Occurrence, Window } from '@/core/agenda/occurrence';
import { FileError } from '@/core/files/ics/scan';
import { writeCalendarFile } from '@/core/files/ics/writeFile';
import type { CalendarEvent } from '@/core/model/event';
import { inOrder } from '@/core/model/order';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import type { Offer } from '@/core/model/offer';
import type { Person, Seeing } from '@/core/model/person';
import { busyOf } from '@/core/people/busy';
import type { Hindrance, Participant } from '@/core/people/hindrances';
import { ME } from '@/core/people/hindrances';
import type { DayStanding, OpeningRun } from '@/core/people/openings';
import { bestFirst, dayStandings, hindranceAt, openings, runsOf } from '@/core/people/openings';
import { DAY, dayOfWall, MINUTE } from '@/core/time/civil';
import type { DayNumber, EpochMs } from '@/core/time/units';
import { instantFromWall, wallFromInstant } from '@/core/time/zones';
import type { AskFeed } from '../feeds/feedSync';
import type { Repository } from '../repository';
import type { TimeSource } from './timeSource';
import { busyIn, occurrencesIn, readTime, theirEventId } from './timeSource';

interface Parts {
  records: Pick<Repository, 'get' | 'all'>;
  index: EventIndex;
  ask: AskFeed;
}

/** What is known of somebody's time. */
export interface PersonTime {
  personId: string;
  /** What they let be seen; null where it could not be asked for. */
  seeing: Seeing | null;
  occurrences: Occurrence[];
  /** Pages of their events, by the occurrences' event ids. */
  pages: ReadonlyMap<string, string>;
  /** Why nothing is known, in words; null when something is. */
  problem: string | null;
}

/** Somebody who is to be there. */
export interface Guest {
  id: string;
  isRequired: boolean;
}

/** What is looked for. */
export interface OpeningRequest {
  guests: readonly Guest[];
  fromDay: DayNumber;
  /** Excluded. */
  toDay: DayNumber;
  minutes: number;
  /** Minutes between starts. */
  slot: number;
  /** Minutes of the way for those who are elsewhere that day. */
  travel: number;
  /** The workplace where all are to be; empty for anywhere. */
  place: string;
  clock: string;
  now: EpochMs;
  /** The event that a time is looked for: it does not stand in its own way. */
  eventId: string | null;
  /** Whether private events of one's own stand in the way too. */
  hasPrivate: boolean;
}

export interface FoundOpenings {
  /** The best first. */
  runs: OpeningRun[];
  days: [DayNumber, DayStanding][];
  /** Of whose time nothing is known but their hours, and why. */
  unknown: { id: string; why: string }[];
}

/** How a time suits somebody. */
export interface Suits {
  id: string;
  /** What stands in their way; null for nothing. */
  why: Hindrance | null;
  /** Whether their time is known; else only their hours count. */
  isKnown: boolean;
}

/** How long what was read of others is held, in memory alone. */
const KEPT = 5 * MINUTE;
/** What was read of nobody's time. */
const NOTHING: TimeSource = { seeing: 'booked', index: null, busy: [], pages: new Map() };
/** The hour that is looked for when somebody is clear next, and how far ahead. */
const HOUR = 60;
const NEXT_DAYS = 14;

interface Held {
  at: EpochMs;
  source: Promise<TimeSource>;
}

/** People whom one works with, and their time: asked for when it is looked at, and kept nowhere. */
export class People {
  private readonly held = new Map<string, Held>();

  constructor(private readonly parts: Parts) {}

  all(): Person[] {
    return inOrder(this.parts.records.all('person'));
  }

  /** Times that are held for others to choose from, the latest offer first. */
  offers(): Offer[] {
    return this.parts.records.all('offer').sort((a, b) => b.made - a.made);
  }

  /** Offered times as a calendar file to send along. */
  offerFile(events: readonly CalendarEvent[], now: EpochMs): string {
    return writeCalendarFile({ name: '', events, tasks: [], passthrough: [], now });
  }

  /** What was read at an address, asked for again when that was a while ago. */
  private sourceAt(address: string, now: EpochMs): Promise<TimeSource> {
    const held = this.held.get(address);
    if (held && now >= held.at && now - held.at < KEPT) return held.source;
    const source = this.read(address, now);
    this.held.set(address, { at: now, source });
    // One that failed is asked for again at the next look.
    source.catch(() => this.held.delete(address));
    return source;
  }

  private async read(address: string, now: EpochMs): Promise<TimeSource> {
    const answer = await this.parts.ask(address);
    return answer.isSame ? NOTHING : readTime(answer.bytes, now);
  }

  /** Asks for somebody's time anew at the next look. */
  forget(personId: string): void {
    const address = this.parts.records.get('person', personId)?.calendarAddress;
    if (address) this.held.delete(address);
  }

  /** Somebody's time, or why it is not known. */
  private async sourceOf(
    { calendarAddress }: Person,
    now: EpochMs,
  ): Promise<{ source: TimeSource | null; problem: string | null }> {
    if (!calendarAddress)
      return { source: null, problem: 'Where their time is read is not known.' };
    try {
      return { source: await this.sourceAt(calendarAddress, now), problem: null };
    } catch (error) {
      if (!(error instanceof FileError)) throw error;
      return { source: null, problem: error.message };
    }
  }

  /** What some people do in a window. */
  async timeOf(ids: readonly string[], window: Window, now: EpochMs): Promise<PersonTime[]> {
    const asked = ids.flatMap((id) => this.parts.records.get('person', id) ?? []);
    return Promise.all(
      asked.map(async (person): Promise<PersonTime> => {
        const { source, problem } = await this.sourceOf(person, now);
        return {
          personId: person.id,
          seeing: source?.seeing ?? null,
          occurrences: source ? occurrencesIn(source, window, person) : [],
          pages: new Map(
            [...(source?.pages ?? [])].map(([id, page]) => [theirEventId(person, id), page]),
          ),
          problem,
        };
      }),
    );
  }

  /** The person's own part in what is looked for. */
  private me({ fromDay, toDay, clock, eventId, hasPrivate }: OpeningRequest): Participant {
    const { records, index } = this.parts;
    const settings = records.get('settings', 'mine') ?? DEFAULT_SETTINGS;
    const counted = new Set(
      records
        .all('calendar')
        .flatMap(({ id, isFacts, removedAt }) => (isFacts || removedAt !== undefined ? [] : [id])),
    );
    const window = { fromDay: fromDay - 1, toDay: toDay + 1, zone: clock };
    const own = index
      .query(window, counted)
      .occurrences.filter(
        (o) => o.eventId !== eventId && (hasPrivate || o.visibility !== 'private'),
      );
    return {
      id: ME,
      isRequired: true,
      zone: clock,
      workweek: settings.workweek,
      busy: busyOf(own),
    };
  }

  /** Times at which it could be, for whom is asked and for the person. */
  async openings(request: OpeningRequest): Promise<FoundOpenings> {
    const { guests, fromDay, toDay, clock, now } = request;
    const unknown: FoundOpenings['unknown'] = [];
    const others = await Promise.all(
      guests.map(async ({ id, isRequired }): Promise<Participant | null> => {
        const person = this.parts.records.get('person', id);
        if (!person) return null;
        const { source, problem } = await this.sourceOf(person, now);
        if (problem !== null) unknown.push({ id, why: problem });
        const busy = source ? busyIn(source, { fromDay, toDay, zone: clock }, person) : [];
        return { id, isRequired, zone: person.zone, workweek: person.workweek, busy };
      }),
    );
    const participants = [this.me(request), ...others.filter((one) => one !== null)];
    const found = openings(participants, {
      ...request,
      from: Math.max(now, instantFromWall(fromDay * DAY, clock)),
      to: instantFromWall(toDay * DAY, clock),
    });
    const runs = runsOf(found, request);
    return {
      runs: bestFirst(runs),
      days: [...dayStandings(runs, participants.length)],
      unknown,
    };
  }

  /** How one time (instants) suits some people. */
  async suits(
    ids: readonly string[],
    { start, end, now }: { start: EpochMs; end: EpochMs; now: EpochMs },
  ): Promise<Suits[]> {
    const window = { fromDay: Math.floor(start / DAY), toDay: Math.ceil(end / DAY), zone: 'UTC' };
    const asked = ids.flatMap((id) => this.parts.records.get('person', id) ?? []);
    return Promise.all(
      asked.map(async (person): Promise<Suits> => {
        const { source } = await this.sourceOf(person, now);
        const { id, zone, workweek } = person;
        const busy = source ? busyIn(source, window, person) : [];
        const why = hindranceAt({ id, isRequired: true, zone, workweek, busy }, { start, end });
        return { id, why, isKnown: source !== null };
      }),
    );
  }

  /** When each of some people is next clear for an hour that they work; null for not soon, or where nothing is known. */
  async nextClear(
    ids: readonly string[],
    { now, clock, slot }: Pick<OpeningRequest, 'now' | 'clock' | 'slot'>,
  ): Promise<{ id: string; start: EpochMs | null }[]> {
    const fromDay = dayOfWall(wallFromInstant(now, clock));
    const window = { fromDay, toDay: fromDay + NEXT_DAYS, zone: clock };
    return Promise.all(
      ids.map(async (id) => {
        const person = this.parts.records.get('person', id);
        const { source } = person ? await this.sourceOf(person, now) : { source: null };
        if (!person || !source) return { id, start: null };
        const { zone, workweek } = person;
        const found = openings(
          [{ id, isRequired: true, zone, workweek, busy: busyIn(source, window, person) }],
          {
            from: now,
            to: instantFromWall(window.toDay * DAY, clock),
            minutes: HOUR,
            slot,
            clock,
            travel: 0,
            place: '',
          },
        );
        return { id, start: found.find(({ weight }) => weight === 0)?.start ?? null };
      }),
    );
  }
}
