import { canBeIndexed, EventIndex } from '@/core/agenda/eventIndex';
import { isBooked } from '@/core/agenda/occurrence';
import { writeFreeBusy } from '@/core/files/ics/freeBusy';
import { writeCalendarFile } from '@/core/files/ics/writeFile';
import { sayStart } from '@/core/editing/sayMove';
import { wallOf } from '@/core/model/common';
import type { Share, SharedThing, ShareLevel } from '@/core/model/share';
import { mayChange } from '@/core/model/share';
import { quotedTitle } from '@/core/model/titleOf';
import { busyOf } from '@/core/people/busy';
import type { SharedFields } from '@/core/people/sharedChange';
import type { Changing, SharedCopy, SharedDay } from '@/core/people/shared';
import { sharedDays, sharedEvents } from '@/core/people/shared';
import { DAY, dayOfWall, minuteOfDay, parseLocal } from '@/core/time/civil';
import type { EpochMs } from '@/core/time/units';
import type { Wording } from '@/core/time/words';
import { sayDay, sayMinute, SHORT_DAY } from '@/core/time/words';
import { cityOf } from '@/core/time/zoneNames';
import { zoneOnDay } from '@/core/time/sheetClock';
import { instantFromWall, wallFromInstant } from '@/core/time/zones';
import type { Asked } from '../queries/asked';
import { askEvents } from '../queries/asked';
import { sharedQuery } from './sharedQuery';

/** By which clock and in which words a copy is made, and when (epoch ms). */
export interface CopyManner {
  clock: string;
  wording: Wording;
  now: EpochMs;
}

/** Days that the page of a share shows, and that its free/busy tells of, before today and after. */
const PAGE = { back: 1, ahead: 42 };
const TOLD = { back: 28, ahead: 182 };

/** What somebody else did to an event, or to one date of it. */
export interface OthersChange {
  eventId: string;
  by: string;
  /** Epoch ms. */
  at: EpochMs;
  /** What it is called, in quotation marks. */
  title: string;
  /** The date that it is. */
  occurrenceId: string;
  /** Whether they removed it, and whether they wanted to, where the person had changed it. */
  isGone: boolean;
  isToGo: boolean;
  /** What they wrote where the person wrote something else, in words; empty where nothing. */
  theirs: string;
}

/** What somebody wrote of fields that stayed as the person has them: "place “Pier 4”, Thu 26 Nov, 14:00". */
function sayTheirs({ title, place, start }: Partial<SharedFields>, wording: Wording): string {
  return [
    ...(title === undefined ? [] : [`title “${title}”`]),
    ...(place === undefined ? [] : [place ? `place “${place}”` : 'no place']),
    ...(start === undefined ? [] : [sayLocal(start, wording)]),
  ].join(', ');
}

const sayLocal = (local: string, wording: Wording): string => {
  const wall = parseLocal(local);
  return `${sayDay(dayOfWall(wall), wording, SHORT_DAY)}, ${sayMinute(minuteOfDay(wall), wording.hourCycle)}`;
};

/** Copies of what is shared, as those see it with whom it is. Nothing here changes anything. */
export class Sharing {
  constructor(private readonly asked: Asked) {}

  private turns = 0;

  /** Another number whenever it is asked: who asks again after each change knows that there was one. */
  turn(): number {
    return ++this.turns;
  }

  /** What is shared, in the order in which it was. */
  all(): Share[] {
    return this.asked.records.all('share').sort((a, b) => a.made - b.made);
  }

  /** What a calendar or a lens is called; null where it is not there any more. */
  nameOf({ kind, id }: SharedThing): string | null {
    const { records } = this.asked;
    if (kind === 'lens') return records.get('lens', id)?.name ?? null;
    const calendar = records.get('calendar', id);
    return calendar && calendar.removedAt === undefined ? calendar.name : null;
  }

  /** What others changed and the person has not seen yet, the last first. */
  byOthers({ wording }: Pick<CopyManner, 'wording'>): OthersChange[] {
    return this.asked.records
      .all('event')
      .flatMap(({ changedBy, ...event }) => (changedBy ? [{ event, changedBy }] : []))
      .sort((a, b) => b.changedBy.at - a.changedBy.at)
      .map(({ event, changedBy }) => ({
        eventId: event.id,
        by: changedBy.name,
        at: changedBy.at,
        title: quotedTitle(event),
        occurrenceId: changedBy.key === null ? event.id : `${event.id}@${changedBy.key}`,
        isGone: event.removedAt !== undefined,
        isToGo: changedBy.isToGo === true,
        theirs: sayTheirs(changedBy.kept ?? {}, wording),
      }));
  }

  /** The events as they are seen, and an index of them. */
  private seen(of: SharedThing, level: ShareLevel, now: EpochMs) {
    const events = sharedEvents(
      askEvents(this.asked, sharedQuery(this.asked.records, of, now), null),
      level,
    );
    const index = new EventIndex();
    for (const event of events) if (canBeIndexed(event)) index.put(event);
    return { events, index };
  }

  private around({ clock, now }: CopyManner, { back, ahead }: typeof PAGE) {
    const today = dayOfWall(wallFromInstant(now, clock));
    return { fromDay: today - back, toDay: today + ahead, zone: clock };
  }

  /** The coming days as they would be seen at a level. */
  preview(of: SharedThing, level: ShareLevel, manner: CopyManner): SharedDay[] {
    const { index } = this.seen(of, level, manner.now);
    const window = this.around(manner, PAGE);
    const { occurrences } = index.query(window, null);
    const shown = level === 'booked' ? occurrences.filter(isBooked) : occurrences;
    const may = mayChange(level);
    return sharedDays(
      shown,
      window,
      manner.wording,
      (o) =>
        may &&
        o.visibility !== 'private' &&
        !this.asked.records.get('calendar', o.calendarId)?.feed,
    );
  }

  /** What waits to be answered on what is shared, for whoever may answer it. */
  private invitations(
    of: SharedThing,
    { clock, wording, now }: CopyManner,
  ): Changing['invitations'] {
    return askEvents(this.asked, sharedQuery(this.asked.records, of, now), null)
      .filter((event) => event.invited === 'unanswered' && event.removedAt === undefined)
      .sort((a, b) => wallOf(a.start) - wallOf(b.start))
      .map((event) => ({
        uid: event.uid,
        key: null,
        title: event.visibility === 'private' ? 'Private' : event.title,
        when: sayStart(event, { clock, wording }),
        who:
          event.visibility === 'private'
            ? ''
            : event.organizer?.name || event.organizer?.address || '',
      }));
  }

  /** How a share may be changed; null where it is only read. */
  private changing(
    { of, level, personId }: Share,
    manner: CopyManner,
    zone: string,
  ): Changing | null {
    if (!mayChange(level)) return null;
    const person = personId === null ? undefined : this.asked.records.get('person', personId);
    return {
      zone,
      who: person ? { name: person.name, address: person.address } : null,
      made: manner.now,
      invitations: level === 'act' ? this.invitations(of, manner) : [],
    };
  }

  /** A calendar file of what would be seen at a level. */
  file(of: SharedThing, level: ShareLevel, now: EpochMs): string {
    const { events } = this.seen(of, level, now);
    return writeCalendarFile({
      name: this.nameOf(of) ?? '',
      events: level === 'booked' ? events.map((event) => ({ ...event, title: 'Booked' })) : events,
      tasks: [],
      passthrough: [],
      now,
    });
  }

  /** Everything that stands at the address of a share; null where what it is of is gone. */
  copyOf(share: Share, manner: CopyManner): SharedCopy | null {
    const { of, level, token, expires } = share;
    const name = this.nameOf(of);
    if (name === null) return null;
    const { clock, now } = manner;
    const { index } = this.seen(of, level, now);
    const window = this.around(manner, TOLD);
    const { occurrences } = index.query(window, null);
    const zone = zoneOnDay(clock, dayOfWall(wallFromInstant(now, clock)));
    return {
      name,
      zone: cityOf(zone),
      expires,
      calendar: level === 'booked' ? null : this.file(of, level, now),
      freeBusy: writeFreeBusy({
        uid: `${token}@orderly-week`,
        organizer: '',
        from: instantFromWall(window.fromDay * DAY, clock),
        to: instantFromWall(window.toDay * DAY, clock),
        stretches: busyOf(occurrences),
        now,
      }),
      days: this.preview(of, level, manner),
      changing: this.changing(share, manner, zone),
    };
  }
}
