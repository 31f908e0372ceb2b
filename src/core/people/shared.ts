import type { Occurrence } from '../agenda/occurrence';
import type { CalendarEvent, ChangedDate } from '../model/event';
import { newEvent } from '../model/event';
import type { ShareLevel } from '../model/share';
import { zoneName } from '../model/common';
import { z } from '../model/zod';
import { DAY, dayOfWall, minuteOfDay } from '../time/civil';
import type { DayNumber } from '../time/units';
import type { Wording } from '../time/words';
import { LONG_DAY, sayDay, sayMinute } from '../time/words';
import { seenFields } from './seeing';
import { fieldsShown, sharedFields, sharedRef } from './sharedChange';

/** Dates that are private though their series is not. */
const privateDates = ({ visibility, changedDates }: CalendarEvent): string[] =>
  Object.entries(changedDates).flatMap(([key, date]: [string, ChangedDate]) =>
    (date.visibility ?? visibility) === 'private' ? [key] : [],
  );

/**
 * Events as they are seen at a level of sharing: made anew of nothing but what may be seen, so that
 * no word of a private one is in them. At *booked* they are called by how they take time.
 */
export function sharedEvents(events: readonly CalendarEvent[], level: ShareLevel): CalendarEvent[] {
  return events.flatMap((event) => {
    if (level === 'open' && event.visibility === 'private') return [];
    const fields = seenFields(event, level === 'titles' || level === 'booked' ? 'titles' : 'all');
    const seen = newEvent({ ...fields, created: event.created, updated: event.updated }, 0);
    if (level === 'booked') return [bare(seen)];
    if (level !== 'open') return [seen];
    const left = privateDates(event);
    return [
      {
        ...seen,
        skippedDates: [...new Set([...seen.skippedDates, ...left])],
        changedDates: Object.fromEntries(
          Object.entries(seen.changedDates).filter(([key]) => !left.includes(key)),
        ),
      },
    ];
  });
}

/** An event without any word of its own. */
const bare = (event: CalendarEvent): CalendarEvent => ({
  ...event,
  title: '',
  changedDates: Object.fromEntries(
    Object.entries(event.changedDates).map(([key, { title: _title, ...date }]) => [key, date]),
  ),
});

/** A line of a shared day: when, what, and where that is seen; with what can be changed of it. */
const sharedLine = z.object({
  when: z.string().max(100),
  title: z.string().max(1000),
  place: z.string().max(1000),
  change: z.object({ of: sharedRef, base: sharedFields }).optional(),
});
export type SharedLine = z.infer<typeof sharedLine>;
const sharedDay = z.object({ name: z.string().max(100), lines: z.array(sharedLine).max(500) });
export type SharedDay = z.infer<typeof sharedDay>;

/** An invitation that waits for the person, as who acts for them sees it. */
const sharedInvitation = z.object({
  uid: z.string().max(300),
  key: z.string().nullable(),
  title: z.string().max(1000),
  when: z.string().max(100),
  who: z.string().max(300),
});

/** What those are told who may change what is shared. */
const changing = z.object({
  /** By whose clock its times are told, and changes of them meant. */
  zone: zoneName,
  /** With whom it is shared; null for whoever has the address. */
  who: z.object({ name: z.string().max(100), address: z.string().max(300) }).nullable(),
  /** When the copy was made, epoch ms by the page's clock. */
  made: z.number(),
  /** What waits to be answered, where they may answer. */
  invitations: z.array(sharedInvitation).max(100),
});
export type Changing = z.infer<typeof changing>;

/** What stands at the address of a share: for calendar programs, and as a page that people read. */
export const sharedCopy = z.object({
  name: z.string().max(300),
  /** The zone by whose clock the page tells times, as people call it. */
  zone: z.string().max(100),
  /** Epoch ms; null for never. */
  expires: z.number().nullable(),
  /** Null where only when time is taken is seen. */
  calendar: z.string().nullable(),
  freeBusy: z.string(),
  days: z.array(sharedDay).max(400),
  /** How it may be changed; null where it is only read. */
  changing: changing.nullable(),
});
export type SharedCopy = z.infer<typeof sharedCopy>;

const TAKEN_WORDS = { busy: 'Booked', tentative: 'Maybe', away: 'Away', free: 'Free' } as const;

/** What may be changed of a date that is seen. */
const changeOf = (o: Occurrence) => ({
  of: { eventId: o.eventId, key: o.dateKey },
  base: fieldsShown(o),
});

/**
 * What of a window is seen, day by day; days with nothing are left out. `mayChange` tells which dates
 * can be changed by whoever sees them.
 */
export function sharedDays(
  occurrences: readonly Occurrence[],
  { fromDay, toDay }: { fromDay: DayNumber; toDay: DayNumber },
  wording: Wording,
  mayChange: (o: Occurrence) => boolean = () => false,
): SharedDay[] {
  const at = (wall: number) => sayMinute(minuteOfDay(wall), wording.hourCycle);
  const days = new Map<DayNumber, SharedDay>();
  for (const o of occurrences) {
    const last = Math.max(dayOfWall(o.start), dayOfWall(o.end - 1));
    for (let day = Math.max(fromDay, dayOfWall(o.start)); day <= last && day < toDay; day++) {
      let shown = days.get(day);
      if (!shown) days.set(day, (shown = { name: sayDay(day, wording, LONG_DAY), lines: [] }));
      const from = o.start < day * DAY ? '…' : at(o.start);
      const to = o.end > (day + 1) * DAY ? '…' : o.end % DAY === 0 ? at(24 * 60) : at(o.end);
      shown.lines.push({
        when: o.wholeDay ? 'whole day' : `${from} – ${to}`,
        title: o.title || TAKEN_WORDS[o.availability],
        place: o.place,
        ...(mayChange(o) && { change: changeOf(o) }),
      });
    }
  }
  return [...days].sort(([a], [b]) => a - b).map(([, day]) => day);
}
