import type { Occurrence } from '@/core/agenda/occurrence';
import { copyTo } from '@/core/editing/edits';
import { copySeriesTo } from '@/core/editing/series/copy';
import { sayMove, sayStart } from '@/core/editing/sayMove';
import type { Scope } from '@/core/editing/series/edit';
import { movedTimes, stretchedTimes } from '@/core/editing/times';
import type { Span } from '@/core/layout/drag';
import type { CalendarEvent } from '@/core/model/event';
import { revised } from '@/core/model/event';
import { quotedTitle } from '@/core/model/titleOf';
import { count } from '@/core/time/words';
import { UserError } from '@/core/userError';
import type { Edit } from '../change';
import type { Planner, Records, Situation } from './plan';

/** @throws UserError when it is not there any more. */
export function eventOf(records: Records, id: string): CalendarEvent {
  const event = records.get('event', id);
  if (!event) throw new UserError('gone', 'This event is not here any more.');
  return event;
}

export const eventEdit = (before: CalendarEvent | null, after: CalendarEvent): Edit => ({
  type: 'event',
  before,
  after,
});

const calendarName = (records: Records, id: string) =>
  records.get('calendar', id)?.name ?? 'a calendar';

/** An event with other fields; `says` gives what that is called, up to its title. */
function edited(
  { records, now, saying }: Situation,
  id: string,
  says: string,
  fieldsOf: (event: CalendarEvent) => Partial<CalendarEvent>,
) {
  const before = eventOf(records, id);
  const after = revised(before, fieldsOf(before), now);
  return {
    label: `${says} ${quotedTitle(after)}${sayMove(before, after, saying)}`,
    edits: [eventEdit(before, after)],
  };
}

export const addEvent: Planner<{ event: CalendarEvent }> = ({ records, saying }, { event }) => ({
  label: `Added ${quotedTitle(event)} to ${calendarName(records, event.calendarId)}: ${sayStart(event, saying)}`,
  edits: [eventEdit(null, event)],
});

/** Keeps an event as it was made in the editor from how it stood then. */
export const editEvent: Planner<{ before: CalendarEvent; after: CalendarEvent }> = (
  { records, now, saying },
  { before, after },
) => {
  const isElsewhere = before.calendarId !== after.calendarId;
  const where = isElsewhere ? `, now on ${calendarName(records, after.calendarId)}` : '';
  return {
    label: `Changed ${quotedTitle(after)}${where}${sayMove(before, after, saying)}`,
    edits: [eventEdit(before, revised(after, {}, now))],
  };
};

/** Moves an event (`edge` null), or one of its ends, to where the span has it on a zone's clock. */
export const moveEvent: Planner<{
  id: string;
  span: Pick<Span, 'start' | 'end'>;
  edge: 'start' | 'end' | null;
  zone: string;
}> = (situation, { id, span, edge, zone }) =>
  edited(situation, id, edge ? 'Stretched' : 'Moved', (event) =>
    edge ? stretchedTimes(event, edge, span[edge], zone) : movedTimes(event, span.start, zone),
  );

/** The fields that are set by themselves, without the editor, and what that is called. */
const SET = {
  inkOverride: (ink) => (ink ? 'Gave an ink to' : 'Took the own ink from'),
  icon: (icon) => (icon ? 'Gave an icon to' : 'Took the icon from'),
  categoryIds: () => 'Set the categories of',
  calendarId: () => 'Moved to another calendar:',
  availability: () => 'Set the availability of',
  reminders: () => 'Set the reminders of',
  importance: () => 'Set how much it matters:',
  isQuiet: () => 'Set whether it may be disturbed:',
} satisfies { [Field in keyof CalendarEvent]?: (value: CalendarEvent[Field]) => string };

/** One of them with what it is to be. */
export type SetField = {
  [Field in keyof typeof SET]: { field: Field; value: CalendarEvent[Field] };
}[keyof typeof SET];

export const setField: Planner<{ id: string } & SetField> = (situation, { id, field, value }) =>
  edited(situation, id, (SET[field] as (value: unknown) => string)(value), () => ({
    [field]: value,
  }));

/** Puts copies of an event, of one of its dates, or of its series on days (day numbers). */
export const copyEvent: Planner<{
  occurrence: Pick<Occurrence, 'eventId' | 'dateKey' | 'start'>;
  scope: Scope;
  days: readonly number[];
  calendarId: string;
  /** The clock that the occurrence's start is on. */
  zone: string;
}> = ({ records, now, newId }, { occurrence, scope, days, calendarId, zone }) => {
  const event = eventOf(records, occurrence.eventId);
  const { dateKey } = occurrence;
  const copies = days
    .toSorted((a, b) => a - b)
    .map((day) => {
      const to = { day, calendarId, id: newId(), now };
      return scope === 'this' || dateKey === null
        ? copyTo(event, occurrence, { ...to, viewZone: zone })
        : copySeriesTo(event, dateKey, scope, to);
    });
  const dates = { this: '', later: 'later dates of ', every: 'every date of ' }[scope];
  return {
    label: `Copied ${dates}${quotedTitle(event)} to ${count(copies.length, 'day')}`,
    edits: copies.map((copy) => eventEdit(null, copy)),
  };
};

/** Events that wait in Removed from then on. */
export const removeEvents: Planner<{ ids: readonly string[] }> = ({ records, now }, { ids }) => {
  const events = ids.map((id) => eventOf(records, id));
  return {
    label: `Removed ${sayEvents(events)}`,
    edits: events.map((event) => eventEdit(event, revised(event, { removedAt: now }, now))),
  };
};

const sayEvents = (events: readonly CalendarEvent[]) =>
  events.length === 1 ? quotedTitle(events[0]!) : count(events.length, 'event');

/** Brings events back, and those of their calendars that are removed. */
export const bringBackEvents: Planner<{ ids: readonly string[] }> = ({ records, now }, { ids }) => {
  const events = ids.map((id) => eventOf(records, id));
  const calendarIds = new Set(events.map(({ calendarId }) => calendarId));
  const calendars = records
    .all('calendar')
    .filter(({ id, removedAt }) => removedAt !== undefined && calendarIds.has(id));
  return {
    label: `Brought back ${sayEvents(events)}`,
    edits: [
      ...calendars.map((before): Edit => {
        const { removedAt: _gone, ...after } = before;
        return { type: 'calendar', before, after };
      }),
      ...events.map((event) => eventEdit(event, revised(event, { removedAt: undefined }, now))),
    ],
  };
};

export const attachFiles: Planner<{ id: string; files: CalendarEvent['attachments'] }> = (
  situation,
  { id, files },
) =>
  edited(situation, id, `Attached ${count(files.length, 'file')} to`, (event) => ({
    attachments: [...event.attachments, ...files],
  }));

/** Takes files off their events; an event that is gone meanwhile has none. */
export const detachFiles: Planner<{ files: readonly { id: string; eventId: string }[] }> = (
  { records, now },
  { files },
) => {
  const gone = new Set(files.map(({ id }) => id));
  const ids = [...new Set(files.map(({ eventId }) => eventId))];
  const events = ids.flatMap((id) => records.get('event', id) ?? []);
  if (!events.length) return null;
  return {
    label: `Removed ${count(files.length, 'file')}`,
    edits: events.map((event) => {
      const attachments = event.attachments.filter(({ id }) => !gone.has(id));
      return eventEdit(event, revised(event, { attachments }, now));
    }),
  };
};
