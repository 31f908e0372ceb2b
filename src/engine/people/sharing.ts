import { canBeIndexed, EventIndex } from '@/core/agenda/eventIndex';
import { isBooked } from '@/core/agenda/occurrence';
import { writeFreeBusy } from '@/core/files/ics/freeBusy';
import { writeCalendarFile } from '@/core/files/ics/writeFile';
import type { Share, SharedThing, ShareLevel } from '@/core/model/share';
import { busyOf } from '@/core/people/busy';
import type { SharedCopy, SharedDay } from '@/core/people/shared';
import { sharedDays, sharedEvents } from '@/core/people/shared';
import type { EventQuery } from '@/core/query/eventQuery';
import { EVERYTHING } from '@/core/query/eventQuery';
import { DAY, dayOfWall } from '@/core/time/civil';
import type { EpochMs } from '@/core/time/units';
import type { Wording } from '@/core/time/words';
import { cityOf } from '@/core/time/zoneNames';
import { zoneOnDay } from '@/core/time/sheetClock';
import { instantFromWall, wallFromInstant } from '@/core/time/zones';
import type { Asked } from '../queries/asked';
import { askEvents } from '../queries/asked';

/** By which clock and in which words a copy is made, and when (epoch ms). */
export interface CopyManner {
  clock: string;
  wording: Wording;
  now: EpochMs;
}

/** Days that the page of a share shows, and that its free/busy tells of, before today and after. */
const PAGE = { back: 1, ahead: 42 };
const TOLD = { back: 28, ahead: 182 };

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

  private queryOf({ kind, id }: SharedThing, now: EpochMs): EventQuery {
    if (kind === 'calendar') return { ...EVERYTHING, calendars: [id] };
    const view = this.asked.records.get('lens', id)?.view;
    if (!view) return { ...EVERYTHING, calendars: [] };
    return { calendars: view.calendarIds ?? 'shown', eventIds: null, filter: view.filter, now };
  }

  /** The events as they are seen, and an index of them. */
  private seen(of: SharedThing, level: ShareLevel, now: EpochMs) {
    const events = sharedEvents(askEvents(this.asked, this.queryOf(of, now), null), level);
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
    return sharedDays(shown, window, manner.wording);
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
  copyOf({ of, level, token, expires }: Share, manner: CopyManner): SharedCopy | null {
    const name = this.nameOf(of);
    if (name === null) return null;
    const { clock, now } = manner;
    const { index } = this.seen(of, level, now);
    const window = this.around(manner, TOLD);
    const { occurrences } = index.query(window, null);
    return {
      name,
      zone: cityOf(zoneOnDay(clock, dayOfWall(wallFromInstant(now, clock)))),
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
    };
  }
}
