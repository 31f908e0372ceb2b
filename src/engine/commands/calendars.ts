import { nextInkAndMark } from '@/core/model/inks';
import { freeInk, inkName } from '@/core/calendars/inks';
import { reordered, showAsBefore, showOnly } from '@/core/calendars/showing';
import type { MergeChoice } from '@/core/calendars/merge';
import { mergedEvents, planMerge } from '@/core/calendars/merge';
import { isSeries, revised } from '@/core/model/event';
import { remindersFor } from '@/core/reminders/following';
import { count } from '@/core/time/words';
import type { Calendar } from '@/core/model/calendar';
import type { EventTime } from '@/core/model/common';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import { inOrder } from '@/core/model/order';
import { UserError } from '@/core/userError';
import {
  contentsOf,
  copyContent,
  removedWith,
  reviseContent,
  sayContents,
} from './calendarContents';
import type { Edit } from '../change';
import { eventEdit } from './events';
import type { Planner, Records } from './plan';

/** What merging two calendars would do, for a look before it does. */
export interface MergePreview {
  events: number;
  series: number;
  /** Events that are on both calendars. */
  twins: { title: string; start: EventTime }[];
}

function calendarOf(records: Records, id: string): Calendar {
  const calendar = records.get('calendar', id);
  if (!calendar) throw new UserError('gone', 'This calendar is not here any more.');
  return calendar;
}

const eventsOf = (records: Records, calendarId: string) =>
  records
    .all('event')
    .filter((event) => event.calendarId === calendarId && event.removedAt === undefined);

/** Makes a calendar of one's own, or follows one. */
export const addCalendar: Planner<{ calendar: Calendar }> = (_, { calendar }) => ({
  label:
    calendar.kind === 'own' ? `Made the calendar ${calendar.name}` : `Followed ${calendar.name}`,
  edits: [{ type: 'calendar', before: null, after: calendar }],
});

/** What it is called when some fields of a calendar are set. */
function sayFields({ name }: Calendar, fields: Partial<Calendar>): string {
  if ('name' in fields) return `Changed ${fields.name}`;
  if (fields.listed !== undefined)
    return fields.listed ? `Listed ${name} again` : `Unlisted ${name}`;
  if (fields.shown !== undefined) return `${fields.shown ? 'Showed' : 'Hid'} ${name}`;
  if (fields.ink !== undefined) return `Gave ${name} the ink ${inkName(fields.ink)}`;
  if (fields.feed !== undefined) return `Changed how often ${name} is looked at`;
  return `Changed ${name}`;
}

/** The events of a calendar that have its reminders, having none of their own. */
export const followersOf = (records: Records, calendarId: string) =>
  eventsOf(records, calendarId).filter(({ reminders }) => reminders === null);

/**
 * Sets fields of a calendar, from how it was seen. `isForNewOnly`: events that have its reminders
 * keep those that they have now, as their own.
 */
export const editCalendar: Planner<{
  before: Calendar;
  fields: Partial<Calendar>;
  isForNewOnly?: boolean;
}> = ({ records, now }, { before, fields, isForNewOnly = false }) => {
  const staying = isForNewOnly ? followersOf(records, before.id) : [];
  const kept = staying.length ? `; ${count(staying.length, 'event')} keep their reminders` : '';
  return {
    label: `${sayFields(before, fields)}${kept}`,
    edits: [
      { type: 'calendar', before, after: { ...before, ...fields } },
      ...staying.map((event) => {
        const reminders = [...remindersFor(event, before)];
        return eventEdit(event, revised(event, { reminders }, now));
      }),
    ],
  };
};

const calendarsIn = (records: Records) =>
  inOrder(records.all('calendar').filter(({ removedAt }) => removedAt === undefined));

const calendarEdits = (records: Records, calendars: readonly Calendar[]) =>
  calendars.map((after): Edit => ({
    type: 'calendar',
    before: records.get('calendar', after.id) ?? null,
    after,
  }));

/** Takes a calendar to the place of another in the list. */
export const moveCalendar: Planner<{ id: string; toId: string }> = ({ records }, { id, toId }) => {
  const moved = reordered(calendarsIn(records), id, toId);
  if (!moved.length) return null;
  return {
    label: `Moved ${calendarOf(records, id).name} in the list`,
    edits: calendarEdits(records, moved),
  };
};

/** Shows one calendar and hides the others, or (null) shows what was shown before that. */
export const showOnlyCalendar: Planner<{ id: string | null }> = ({ records }, { id }) => {
  const calendars = calendarsIn(records);
  const settings = records.get('settings', 'mine') ?? DEFAULT_SETTINGS;
  const remembered = settings.shownBefore;
  const next =
    id === null
      ? { calendars: showAsBefore(calendars, remembered ?? []), shownBefore: null }
      : showOnly(calendars, id, remembered);
  const label =
    id === null ? 'Showed the calendars as before' : `Showed only ${calendarOf(records, id).name}`;
  const after = { ...settings, shownBefore: next.shownBefore };
  return {
    label,
    edits: [
      ...calendarEdits(records, next.calendars),
      { type: 'settings', before: settings, after },
    ],
  };
};

/** Removes a calendar with all that lies on it. */
export const removeCalendar: Planner<{ id: string }> = ({ records, now }, { id }) => {
  const before = calendarOf(records, id);
  const contents = contentsOf(records, id);
  return {
    label: `Removed ${before.name} with ${sayContents(contents)}`,
    edits: [
      { type: 'calendar', before, after: { ...before, removedAt: now } },
      ...contents.map((one) => reviseContent(one, { removedAt: now }, now)),
    ],
  };
};

/** Brings a calendar back with what was removed along with it. */
export const bringBackCalendar: Planner<{ id: string }> = ({ records, now }, { id }) => {
  const before = calendarOf(records, id);
  const { removedAt: _gone, ...calendar } = before;
  const contents = removedWith(records, before);
  return {
    label: `Brought back ${before.name} with ${sayContents(contents)}`,
    edits: [
      { type: 'calendar', before, after: { ...calendar, shown: true, listed: true } },
      ...contents.map((one) => reviseContent(one, { removedAt: undefined }, now)),
    ],
  };
};

/** A second calendar with copies of all that lies on it, in an ink and with a mark of its own. */
export const duplicateCalendar: Planner<{ id: string }> = ({ records, now, newId }, { id }) => {
  const original = calendarOf(records, id);
  const others = calendarsIn(records);
  const { source: _source, feed: _feed, ...own } = original;
  const copy: Calendar = {
    ...own,
    id: newId(),
    name: freeName(`${original.name} copy`, others),
    kind: 'own',
    order: Math.max(...others.map(({ order }) => order)) + 1,
    mark: nextInkAndMark(others).mark,
    ink: freeInk(others.map(({ ink }) => ink)),
  };
  const contents = contentsOf(records, id);
  return {
    label: `Duplicated ${original.name} with ${sayContents(contents)}`,
    edits: [
      { type: 'calendar', before: null, after: copy },
      ...contents.map((one) => copyContent(one, { id: newId(), calendarId: copy.id }, now)),
    ],
  };
};

/** The name, with a number when another calendar has it. */
function freeName(name: string, others: readonly { name: string }[]): string {
  const taken = new Set(others.map((other) => other.name.toLowerCase()));
  let free = name;
  for (let n = 2; taken.has(free.toLowerCase()); n++) free = `${name} ${n}`;
  return free;
}

export function mergePreview(records: Records, fromId: string, intoId: string): MergePreview {
  const { moving, twins } = planMerge(eventsOf(records, fromId), eventsOf(records, intoId));
  return {
    events: moving.length,
    series: moving.filter(isSeries).length,
    twins: twins.map(({ going: { title, start } }) => ({ title, start })),
  };
}

/** Moves all that lies on one calendar to another, and removes the one that is empty then. */
export const mergeCalendars: Planner<{ from: string; into: string; choice: MergeChoice }> = (
  { records, now },
  { choice, ...ids },
) => {
  const from = calendarOf(records, ids.from);
  const into = calendarOf(records, ids.into);
  const plan = planMerge(eventsOf(records, from.id), eventsOf(records, into.id));
  const events = mergedEvents(plan, from, into, choice, now);
  const others = contentsOf(records, from.id).filter(({ type }) => type !== 'event');
  const moving = [...plan.moving.map(() => ({ type: 'event' as const })), ...others];
  const joined = choice.join && plan.twins.length ? `, ${plan.twins.length} joined` : '';
  return {
    label: `Merged ${from.name} into ${into.name}: ${sayContents(moving)}${joined}`,
    edits: [
      { type: 'calendar', before: from, after: { ...from, removedAt: now } },
      ...events.map(({ before, after }) => eventEdit(before, after)),
      ...others.map((one) => reviseContent(one, { calendarId: into.id }, now)),
    ],
  };
};
