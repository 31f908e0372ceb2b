import type { Query, QueryClient } from '@tanstack/react-query';
import type { Filter } from '@/core/model/filter';
import type { RecordType } from '@/core/model/kinds';
import { partsOfId } from '@/core/agenda/occurrence';
import type { Announcement } from '@/engine/announcement';
import type { DayNumber } from '@/core/time/units';
import { DAYS_A_WEEK } from '@/core/time/civil';

type Key = readonly unknown[];
type Dependence = (changed: Announcement, key: Key) => boolean;

const onKinds =
  (...kinds: RecordType[]): Dependence =>
  (changed) =>
    kinds.some((kind) => changed.kinds.includes(kind));

const inDays = ({ extents }: Announcement, fromDay: DayNumber, toDay: DayNumber) =>
  extents.some(({ from, to }) => from < toDay && to > fromDay);

/** `id` is an event's, or of a date of it; null where a query asks for none yet. */
function ofEvent({ eventIds, kinds }: Announcement, id: unknown): boolean {
  if (typeof id !== 'string') return false;
  return eventIds ? eventIds.includes(partsOfId(id).eventId) : kinds.includes('event');
}

/** Which calendars are shown is a calendar's business. */
const ofWindow =
  (daysOf: (key: Key) => [number, number]): Dependence =>
  (changed, key) =>
    changed.kinds.includes('calendar') || inDays(changed, ...daysOf(key));

const WHOLE_WINDOW = ofWindow(([, fromDay, toDay]) => [fromDay as number, toDay as number]);

/**
 * What each query's answer depends on, by the first part of its key. A query that is not here is
 * asked again after every change.
 */
const DEPENDENCES: Readonly<Record<string, Dependence>> = {
  occurrences: WHOLE_WINDOW,
  facts: WHOLE_WINDOW,
  dayLoads: WHOLE_WINDOW,
  load: ofWindow(([, fromDay, weeks]) => [
    fromDay as number,
    (fromDay as number) + (weeks as number) * DAYS_A_WEEK,
  ]),
  agenda: onKinds('event', 'calendar'),
  calendars: onKinds('calendar'),
  categories: onKinds('category'),
  lenses: onKinds('lens'),
  questions: onKinds('question'),
  rules: onKinds('tidyRule'),
  checks: onKinds('event', 'calendar', 'category', 'left', 'settings', 'person'),
  findings: onKinds('event', 'calendar', 'category', 'left', 'settings', 'person'),
  soon: onKinds('event', 'calendar', 'category', 'left', 'settings', 'person'),
  sideBySide: onKinds('event'),
  overBefore: onKinds('event', 'calendar'),
  suggest: onKinds('event', 'calendar', 'category'),
  results: onKinds('event', 'calendar', 'category'),
  selection: onKinds('event'),
  bulkPreview: onKinds('event', 'calendar', 'category'),
  mendPreview: onKinds('event', 'calendar', 'category', 'settings', 'person'),
  printPages: onKinds('event', 'task', 'calendar', 'category', 'settings', 'person'),
  settings: onKinds('settings'),
  zones: () => false,
  namedDays: onKinds('event', 'calendar'),
  lastLike: onKinds('event', 'calendar'),
  event: (changed, [, id]) => ofEvent(changed, id),
  whereabouts: (changed, [, id]) =>
    id !== null && (changed.kinds.includes('calendar') || ofEvent(changed, id)),
  foresight: onKinds('event', 'calendar', 'settings'),
  sweep: onKinds('event', 'calendar', 'settings'),
  series: onKinds('event', 'calendar'),
  freeable: onKinds('event', 'task', 'calendar'),
  removed: onKinds('event', 'calendar'),
  askingTasks: onKinds('task', 'event'),
  removedTasks: onKinds('task', 'calendar'),
  taskPreview: onKinds('task', 'calendar', 'category'),
  removedCalendars: onKinds('event', 'calendar'),
  found: onKinds('event', 'calendar'),
  merge: onKinds('event', 'calendar', 'task'),
  counts: onKinds('event'),
  followers: onKinds('event'),
  tasksDue: onKinds('task', 'calendar', 'category'),
  task: onKinds('task', 'event'),
  tasks: onKinds('task', 'event', 'calendar', 'category'),
  page: onKinds('event', 'calendar', 'task'),
  effort: onKinds('task', 'event', 'calendar', 'settings'),
  placing: onKinds('task', 'event', 'calendar', 'settings'),
  people: onKinds('person'),
  peopleTime: onKinds('person'),
  nextClear: onKinds('person'),
  suits: onKinds('person'),
  directory: () => false,
  offers: onKinds('offer'),
  shares: onKinds('share', 'person', 'calendar', 'lens'),
  shareTurn: onKinds('share', 'event', 'calendar', 'lens', 'settings'),
  byOthers: onKinds('event'),
  copyTurn: () => true,
  isEmpty: onKinds('event', 'task'),
  sharePreview: onKinds('event', 'calendar', 'lens', 'settings'),
  openings: onKinds('person', 'event', 'calendar', 'settings'),
  invitations: onKinds('mail', 'event', 'calendar', 'settings'),
  guestNews: onKinds('mail', 'event', 'settings'),
  strayed: onKinds('mail', 'event', 'settings'),
  untold: onKinds('mail', 'event', 'settings'),
  held: onKinds('mail'),
  waitingMails: onKinds('mail'),
  unsent: onKinds('reminding'),
  reminders: onKinds('event', 'task', 'calendar', 'reminding', 'settings'),
};

type MayAsk = { filter?: Partial<Filter>; checks?: Filter['checks'] } | null | undefined;

/** Whether a key has a filter, or a query with one, that asks for what checks find. */
const asksForChecks = (key: Key): boolean =>
  (key as readonly MayAsk[]).some((part) => (part?.filter ?? part)?.checks?.length);

/** Whether a query's answer may be another one now. */
function isTouched({ queryKey }: Pick<Query, 'queryKey'>, changed: Announcement): boolean {
  const depends = DEPENDENCES[String(queryKey[0])];
  // What checks find may be other dates than those that were changed.
  if (!depends || asksForChecks(queryKey)) return true;
  return depends(changed, queryKey);
}

/** Asks anew for what a change touches: at once what is seen, the rest when it is next seen. */
export function askAgain(client: QueryClient, changed: Announcement): Promise<void> {
  return client.invalidateQueries({ predicate: (query) => isTouched(query, changed) });
}
