import type { FeedNews } from '../model/calendar';
import type { CalendarEvent } from '../model/event';
import { NEWS_FIELDS } from '../model/eventFields';
import type { FileContents } from './ics/readFile';
import { planImport } from './ics/plan';

/** What a followed calendar becomes by what its feed holds now. */
export interface FeedPlan {
  /** Events to keep, new or different. */
  put: CalendarEvent[];
  /** Events that the feed has no longer. */
  gone: CalendarEvent[];
  /** What of that people would see, new things first. */
  news: FeedNews[];
}

const seenOf = (event: CalendarEvent) => JSON.stringify(NEWS_FIELDS.map((field) => event[field]));
const newsOf = (what: FeedNews['what'], { title, start }: CalendarEvent): FeedNews => ({
  what,
  title,
  start,
});

/**
 * Compares a feed with the events that its calendar holds. Whatever the feed says counts, also when
 * its revision is older: the calendar is only a copy.
 */
export function planFeed(
  contents: FileContents,
  present: readonly CalendarEvent[],
  calendarId: string,
  makeId: () => string,
): FeedPlan {
  const byUid = new Map<string, CalendarEvent[]>();
  for (const event of present) byUid.set(event.uid, [...(byUid.get(event.uid) ?? []), event]);
  const { events } = planImport(
    contents,
    calendarId,
    { eventsOf: (uid) => byUid.get(uid) ?? [], taskOf: () => undefined },
    makeId,
  );
  const stays = new Set(events.map(({ after }) => after.id));
  const gone = present.filter(({ id }) => !stays.has(id));
  const changed = events.filter(({ fate }) => fate !== 'unchanged');
  const news = changed.flatMap(({ before, after }): FeedNews[] => {
    if (!before) return [newsOf('new', after)];
    return seenOf(before) === seenOf(after) ? [] : [newsOf('changed', after)];
  });
  return {
    put: changed.map(({ after }) => after),
    gone,
    news: [
      ...news.toSorted((a, b) => Number(a.what === 'changed') - Number(b.what === 'changed')),
      ...gone.map((event) => newsOf('gone', event)),
    ],
  };
}
