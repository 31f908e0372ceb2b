import { bookedMinutes } from '@/core/agenda/booked';
import type { DayLoads } from '@/core/agenda/dayLoads';
import { dayLoads } from '@/core/agenda/dayLoads';
import type { EventIndex } from '@/core/agenda/eventIndex';
import type { Occurrence, Window } from '@/core/agenda/occurrence';
import type { ForeseenDate } from '@/core/editing/foresight';
import type { Calendar } from '@/core/model/calendar';
import { wallOf } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import { durationOf, isSeries, isWholeDay } from '@/core/model/event';
import { inOrder } from '@/core/model/order';
import type { Category, Settings } from '@/core/model/others';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import type { Question } from '@/core/model/question';
import type { TidyRule } from '@/core/model/tidyRule';
import type { Lens } from '@/core/model/view';
import type { SweepStep } from '@/core/tidy/sweep';
import { dayOfWall, DAYS_A_WEEK, MINUTE } from '@/core/time/civil';
import type { ZoneEntry } from '@/core/time/zoneEntries';
import { describeZone } from '@/core/time/zoneEntries';
import { zonesToChoose } from '@/core/time/zoneNames';
import type { DayNumber, EpochMs } from '@/core/time/units';
import type { EventQuery } from '@/core/query/eventQuery';
import { ALL_SHOWN, EVERYTHING } from '@/core/query/eventQuery';
import type { SetAside } from '../asides';
import type { MergePreview } from '../commands/calendars';
import { followersOf, mergePreview } from '../commands/calendars';
import type { SweepRequest } from '../commands/sweep';
import { planned, sweepSetting } from '../commands/sweep';
import type { AttachmentRow, AttachmentStore } from '../files/attachmentStore';
import type { Repository } from '../repository';
import type { AgendaPage, AgendaRequest } from './agendaPages';
import { agendaPage } from './agendaPages';
import type { Asked, FoundBy, Seen } from './asked';
import { askDates, askedCalendars, askEvents } from './asked';
import { foresight } from './foresight';
import type { RemovedCalendar } from './removed';
import { removedCalendars, removedEvents } from './removed';
import type { Freeable, SpaceOfKind } from './space';
import { freeable, space } from './space';
import type { Whereabouts } from './whereabouts';
import { locate, seenBy } from './whereabouts';
import { partsOfId } from '@/core/agenda/occurrence';

/** What an event had that was called the same; `minutes` null when it lasted whole days. */
export interface LastLike {
  calendarId: string;
  place: string;
  minutes: number | null;
}

const DAYS_A_YEAR = 366;

/** Everything that can be asked. Nothing here changes anything. */
export class Queries {
  constructor(
    private readonly records: Pick<Repository, 'get' | 'all' | 'setAside'>,
    private readonly index: EventIndex,
    private readonly store: AttachmentStore,
    private readonly foundBy: FoundBy,
  ) {}

  /** Own and followed calendars in their order, without removed ones. */
  calendars(): Calendar[] {
    return inOrder(
      this.records.all('calendar').filter((calendar) => calendar.removedAt === undefined),
    );
  }

  settings(): Settings {
    return this.records.get('settings', 'mine') ?? DEFAULT_SETTINGS;
  }

  private get asked(): Asked {
    const { records, index, foundBy } = this;
    return { records, index, foundBy };
  }

  /** What happens in a window, as far as it is in sight, in order of start; how much is not. */
  occurrences(window: Window, query: EventQuery = ALL_SHOWN): Seen {
    return askDates(this.asked, query, window);
  }

  /** What calendars of facts tell of the days of a window. */
  facts(window: Window, calendarIds: readonly string[]): Occurrence[] {
    return askDates(this.asked, { ...EVERYTHING, calendars: calendarIds }, window).occurrences;
  }

  /** How booked each day of a window is by what is in sight. */
  dayLoads(window: Window, query: EventQuery = ALL_SHOWN): DayLoads & Pick<Seen, 'hidden'> {
    const { occurrences, hidden } = this.occurrences(window, query);
    return { ...dayLoads(occurrences, window.fromDay, window.toDay, window.zone), hidden };
  }

  /** What happens from a day on or back, as far as it is in sight. */
  agendaPage(request: AgendaRequest, query: EventQuery = ALL_SHOWN): AgendaPage {
    return agendaPage(request, (window) => this.occurrences(window, query));
  }

  /** Whether nothing was ever put in: no event, and no task. */
  isEmpty(): boolean {
    return !this.records.all('event').length && !this.records.all('task').length;
  }

  /** Questions that were kept, in their order. */
  questions(): Question[] {
    return inOrder(this.records.all('question'));
  }

  /** Rules for new events, in their order. */
  rules(): TidyRule[] {
    return this.records.all('tidyRule').sort((a, b) => a.order - b.order);
  }

  lenses(): Lens[] {
    return inOrder(this.records.all('lens'));
  }

  /** Booked minutes of each of `weeks` weeks from a day on, by what is in sight. */
  weeklyLoad(fromDay: DayNumber, weeks: number, zone: string, query = ALL_SHOWN): number[] {
    const toDay = fromDay + weeks * DAYS_A_WEEK;
    const { occurrences } = this.occurrences({ fromDay, toDay, zone }, query);
    const byDay = bookedMinutes(occurrences, fromDay, toDay, zone);
    return Array.from({ length: weeks }, (_, week) =>
      byDay.slice(week * DAYS_A_WEEK, (week + 1) * DAYS_A_WEEK).reduce((sum, m) => sum + m, 0),
    );
  }

  event(id: string): CalendarEvent | null {
    return this.records.get('event', id) ?? null;
  }

  /**
   * Where the date that an occurrence's id (or an event's, for its first date) names is now, and
   * whether a sight shows it; null when it is not there any more.
   */
  whereabouts(id: string, zone: string, query: EventQuery = ALL_SHOWN): Whereabouts | null {
    const { eventId, dateKey } = partsOfId(id);
    const event = this.event(eventId);
    if (!event || event.removedAt !== undefined) return null;
    const occurrence = locate(this.index, event, dateKey, zone);
    return occurrence && seenBy(this.asked, occurrence, event, query);
  }

  /** The next dates of an event, stored or not, with what each would meet. `now` is epoch ms. */
  foresight(event: CalendarEvent, now: EpochMs, zone: string): ForeseenDate[] {
    const closures = new Set(
      this.calendars().flatMap(({ id, isClosures }) => (isClosures ? [id] : [])),
    );
    const { workweek } = this.settings();
    return foresight(event, {
      index: this.index,
      shown: askedCalendars(this.records, ALL_SHOWN),
      closures,
      workweek,
      now,
      zone,
    });
  }

  /** Zones of this machine as people look for them, at an instant (epoch ms). */
  zones(now: EpochMs): ZoneEntry[] {
    const zones = zonesToChoose(Intl.supportedValuesOf('timeZone'));
    return zones.map((zone) => describeZone(zone, now));
  }

  /** The dates of series that fall on the chosen calendars’ events, with what becomes of each. */
  sweep(request: SweepRequest): SweepStep[] {
    return planned(request, sweepSetting(this.asked));
  }

  /** Series on the person's own calendars, in order of title. */
  series(): { id: string; title: string; calendarId: string }[] {
    const { ownIds } = sweepSetting(this.asked);
    return this.records
      .all('event')
      .filter((e) => e.removedAt === undefined && isSeries(e) && ownIds.has(e.calendarId))
      .map(({ id, title, calendarId }) => ({ id, title, calendarId }))
      .sort((a, b) => (a.title < b.title ? -1 : 1));
  }

  /** Removed events, the last removed first, without those that wait with their calendar. */
  removed(): CalendarEvent[] {
    return removedEvents(this.records);
  }

  removedCalendars(): RemovedCalendar[] {
    return removedCalendars(this.records);
  }

  categories(): Category[] {
    return inOrder(this.records.all('category'));
  }

  mergePreview(fromId: string, intoId: string): MergePreview {
    return mergePreview(this.records, fromId, intoId);
  }

  /** Number of events that have the reminders of a calendar, having none of their own. */
  followers(calendarId: string): number {
    return followersOf(this.records, calendarId).length;
  }

  /** Number of events of each calendar, by its id. */
  eventCounts(): Record<string, number> {
    const counts: Record<string, number> = {};
    for (const { calendarId, removedAt } of this.records.all('event')) {
      if (removedAt === undefined) counts[calendarId] = (counts[calendarId] ?? 0) + 1;
    }
    return counts;
  }

  /** The events of all time that a query means, the latest start first; at most `most`. */
  findEvents(query: EventQuery, most: number): CalendarEvent[] {
    return askEvents(this.asked, query, null)
      .sort((a, b) => wallOf(b.start) - wallOf(a.start))
      .slice(0, most);
  }

  /** Days of closures that have a name, from a day (day number) on for a year. */
  namedDays(fromDay: DayNumber, zone: string): { name: string; day: DayNumber }[] {
    const closures = this.calendars().filter(({ isClosures }) => isClosures);
    if (!closures.length) return [];
    const { occurrences } = this.index.query(
      { fromDay, toDay: fromDay + DAYS_A_YEAR, zone },
      new Set(closures.map(({ id }) => id)),
    );
    return occurrences
      .filter(({ wholeDay, title }) => wholeDay && title.trim())
      .map(({ title, start }) => ({ name: title, day: dayOfWall(start) }));
  }

  /** What an event of the same title had the last time: the newest on a calendar of one's own. */
  lastLike(title: string): LastLike | null {
    const wanted = title.trim().toLowerCase();
    if (!wanted) return null;
    const own = new Set(this.calendars().flatMap(({ id, kind }) => (kind === 'own' ? [id] : [])));
    const [last] = this.records
      .all('event')
      .filter(
        (event) =>
          event.removedAt === undefined &&
          own.has(event.calendarId) &&
          event.title.trim().toLowerCase() === wanted,
      )
      .sort((a, b) => b.updated - a.updated);
    if (!last) return null;
    const { calendarId, place } = last;
    return { calendarId, place, minutes: isWholeDay(last) ? null : durationOf(last) / MINUTE };
  }

  /** Every attachment of events that are not removed, the largest first. */
  attachments(): AttachmentRow[] {
    return this.store.attachments();
  }

  /** Records and attached files by kind, with the characters or bytes that they take. */
  space(): SpaceOfKind[] {
    return space(this.records, this.attachments());
  }

  /** What could be taken away to free room; of events that are over, those of these ids. */
  freeable(overIds: readonly string[]): Freeable {
    return freeable(this.records, this.attachments(), overIds);
  }

  setAside(): SetAside[] {
    return this.records.setAside;
  }
}
