import type { CalendarEvent, ChangedDate } from '../model/event';
import type { Seeing } from '../model/person';

/** What stands in place of a private title. */
const PRIVATE = 'Private';

type Told = Pick<CalendarEvent, 'id' | 'uid' | 'calendarId' | 'start' | 'end'>;

/** The fields of an event that say when it is and how it stands, and nothing of what it is. */
const bareOf = (event: CalendarEvent) => ({
  rule: event.rule,
  extraDates: event.extraDates,
  skippedDates: event.skippedDates,
  ...(event.clockDays !== undefined && { clockDays: event.clockDays }),
  availability: event.availability,
  visibility: event.visibility,
  created: event.created,
  updated: event.updated,
  revision: event.revision,
});

/** What of a changed date is seen: its times and how it stands, with its title where that may be. */
function dateSeen(date: ChangedDate, hasTitle: boolean): ChangedDate {
  const { start, end, availability, visibility, title } = date;
  return {
    ...(start && { start }),
    ...(end && { end }),
    ...(availability && { availability }),
    ...(visibility && { visibility }),
    ...(hasTitle && title !== undefined && { title }),
  };
}

/**
 * The fields of an event that others see at a level; what is private is only seen as taken, at every
 * level. Nothing but what is named here goes out: notes, files, people, what came with its file, and
 * whatever an event may have in years to come stay.
 */
export function seenFields(
  event: CalendarEvent,
  seeing: Exclude<Seeing, 'booked'>,
): Told & Partial<CalendarEvent> {
  const { id, uid, calendarId, start, end } = event;
  const isPrivate = event.visibility === 'private';
  const isDatePrivate = (date: ChangedDate) => (date.visibility ?? event.visibility) === 'private';
  const all = seeing === 'all' && !isPrivate;
  return {
    id,
    uid,
    calendarId,
    start,
    end,
    ...bareOf(event),
    title: isPrivate ? PRIVATE : event.title,
    ...(all && { place: event.place, notes: event.notes, link: event.link }),
    changedDates: Object.fromEntries(
      Object.entries(event.changedDates).map(([key, date]) => [
        key,
        isDatePrivate(date)
          ? {
              ...dateSeen(date, false),
              title: PRIVATE,
              ...(all && { place: '', notes: '', link: '' }),
            }
          : {
              ...dateSeen(date, true),
              // A date that is open though its series is not has its own words, or none.
              ...(isPrivate && { title: date.title ?? PRIVATE }),
              ...(all && pick(date)),
            },
      ]),
    ),
  };
}

function pick({ place, notes, link }: ChangedDate): ChangedDate {
  return {
    ...(place !== undefined && { place }),
    ...(notes !== undefined && { notes }),
    ...(link !== undefined && { link }),
  };
}
