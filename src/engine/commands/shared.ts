import { sayMove, sayStart } from '@/core/editing/sayMove';
import { dateAsEvent, keyOfWall, seriesOf } from '@/core/editing/series/dates';
import { editSeries } from '@/core/editing/series/edit';
import { removeDates } from '@/core/editing/series/skips';
import { wallOnClock } from '@/core/editing/times';
import type { EventTime } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import { isSeries, isWholeDay, newEvent, revised, uidOf } from '@/core/model/event';
import type { Share } from '@/core/model/share';
import { mayChange } from '@/core/model/share';
import { quotedTitle } from '@/core/model/titleOf';
import type { Merged, SharedChange, SharedFields, SharedRef } from '@/core/people/sharedChange';
import { areWholeDays, fieldsShown, mergeShared } from '@/core/people/sharedChange';
import { nextStarts } from '@/core/recurrence/walk';
import { dayOfWall, formatDate, parseLocal } from '@/core/time/civil';
import { joinWords } from '@/core/time/words';
import { UserError } from '@/core/userError';
import type { Edit } from '../change';
import { sharedQuery } from '../people/sharedQuery';
import { askEvents } from '../queries/asked';
import { answerInvitation } from './invitations';
import { eventEdit } from './events';
import type { Plan, Planner, Situation } from './plan';

type Of<Kind extends SharedChange['kind']> = Extract<SharedChange, { kind: Kind }>;

/** What a field is called where two changed it. */
const FIELD_WORDS = { title: 'title', place: 'place', start: 'time', end: 'time' } as const;

/** Who did something by a share: with whom it is, or, where that is whoever has the address, who they say to be. */
function writerOf({ records }: Situation, shareId: string, said: string): string {
  const personId = records.get('share', shareId)?.personId ?? null;
  const person = personId === null ? undefined : records.get('person', personId);
  return person?.name ?? `${said} (name not checked)`;
}

/** The share that a change came by. @throws UserError where it allows no change (any more). */
function allowing({ records, now }: Situation, shareId: string, by: string): Share {
  const share = records.get('share', shareId);
  if (!share || !mayChange(share.level) || (share.expires !== null && share.expires <= now))
    throw new UserError('refused', `${by} may not change this any more: nothing was changed.`);
  return share;
}

/** @throws UserError where what is meant is no date of a series, or a series whole: that is nobody's but the owner's to change. */
function assertDate(event: CalendarEvent, { key }: SharedRef, by: string): void {
  const isWhole = key === null;
  if (isSeries(event) ? !isWhole && hasDate(event, key) : isWhole) return;
  throw new UserError(
    'refused',
    isWhole
      ? `${by} may change single dates of ${quotedTitle(event)}, and not all of it: it stays as it is.`
      : `${by} changed a date that ${quotedTitle(event)} does not have: nothing was changed.`,
  );
}

/** Whether a series has a date of a name. */
function hasDate(event: CalendarEvent, key: string): boolean {
  if (event.skippedDates.includes(key)) return false;
  const wall = parseLocal(key);
  return keyOfWall(event, wall) === key && nextStarts(seriesOf(event), wall, 1)[0] === wall;
}

/** The event that is meant. @throws UserError where it is not there, or was never theirs to change. */
function sharedEvent(situation: Situation, share: Share, { by }: SharedChange, of: SharedRef) {
  const event = situation.records.get('event', of.eventId);
  if (!event || event.removedAt !== undefined)
    throw new UserError('gone', `${by} changed an event that is not here any more.`);
  const seen = askEvents(situation, sharedQuery(situation.records, share.of, situation.now), null);
  assertDate(event, of, by);
  const date = dateAsEvent(event, of.key);
  const calendar = situation.records.get('calendar', event.calendarId);
  const isTheirs = seen.some(({ id }) => id === event.id) && date.visibility !== 'private';
  if (!isTheirs || !calendar || calendar.feed)
    throw new UserError(
      'refused',
      `${by} may not change ${quotedTitle(event)}: it stays as it is.`,
    );
  return { event, date };
}

/** An event's fields by the clock that a change was written by. */
const shownIn = (date: CalendarEvent, zone: string): SharedFields =>
  fieldsShown({
    title: date.title,
    place: date.place,
    start: wallOnClock(date.start, zone),
    end: wallOnClock(date.end, zone),
  });

/** A time of a change: a date for whole days. */
function timeOf(local: string, wholeDay: boolean, zone: string): EventTime {
  if (wholeDay) return { kind: 'date', date: formatDate(dayOfWall(parseLocal(local))) };
  return { kind: 'zoned', local, zone };
}

/** Times as somebody wrote them; whole days stay whole days where they still are. */
function timesOf(
  { start, end }: Pick<SharedFields, 'start' | 'end'>,
  wasWhole: boolean,
  zone: string,
) {
  const wholeDay = wasWhole && areWholeDays(parseLocal(start), parseLocal(end));
  return { start: timeOf(start, wholeDay, zone), end: timeOf(end, wholeDay, zone) };
}

/** The fields of an event for what was taken. */
function asEventFields(taken: Merged['taken'], date: CalendarEvent, zone: string) {
  const { title, place, start, end } = taken;
  return {
    ...(title !== undefined && { title }),
    ...(place !== undefined && { place }),
    ...(start !== undefined &&
      end !== undefined &&
      timesOf({ start, end }, isWholeDay(date), zone)),
  };
}

/** The edits that give an event, or one date of it, other fields, marked as theirs. */
function fieldEdits(
  { now, newId }: Situation,
  event: CalendarEvent,
  key: string | null,
  fields: Partial<CalendarEvent>,
  changedBy: CalendarEvent['changedBy'],
): Edit[] {
  if (key === null) return [eventEdit(event, revised(event, { ...fields, changedBy }, now))];
  const before = dateAsEvent(event, key);
  const id = newId();
  const edits = editSeries(
    event,
    key,
    { before, after: { ...before, ...fields } },
    {
      ...{ scope: 'this', fate: 'keep', names: { id, uid: uidOf(id) }, now },
    },
  );
  return edits.map((edit) => eventEdit(edit.before, { ...edit.after, changedBy }));
}

const sayKept = ({ kept }: Merged): string => {
  const names = new Set(Object.keys(kept).map((name) => FIELD_WORDS[name as keyof SharedFields]));
  return names.size ? `; its ${joinWords([...names])} stays as you have it` : '';
};

function changed(situation: Situation, share: Share, change: Of<'change'>): Plan | null {
  const { by, of, zone } = change;
  const { event, date } = sharedEvent(situation, share, change, of);
  const merged = mergeShared(change.base, change.to, shownIn(date, zone));
  const isKept = Object.keys(merged.kept).length > 0;
  if (!isKept && Object.keys(merged.taken).length === 0) return null;
  const fields = asEventFields(merged.taken, date, zone);
  const mark = {
    name: by,
    at: situation.now,
    key: of.key,
    zone,
    ...(isKept && { kept: merged.kept }),
  };
  const moved = sayMove(date, { ...date, ...fields }, situation.saying);
  return {
    label: `${by} changed ${quotedTitle(date)}${moved}${sayKept(merged)}`,
    about: of.key === null ? event.id : `${event.id}@${of.key}`,
    edits: fieldEdits(situation, event, of.key, fields, mark),
  };
}

/** The calendar that what others add goes to. @throws UserError where there is none. */
function calendarFor({ records }: Situation, { of }: Share): string {
  if (of.kind === 'calendar') return of.id;
  const chosen = records.get('lens', of.id)?.view.calendarIds;
  const own = records
    .all('calendar')
    .filter((one) => !one.feed && one.removedAt === undefined)
    .sort((a, b) => a.order - b.order);
  const found = own.find(({ id }) => !chosen || chosen.includes(id));
  if (!found)
    throw new UserError('refused', 'There is no calendar here that it could be added to.');
  return found.id;
}

function added(situation: Situation, share: Share, { id, by, to, zone }: Of<'add'>): Plan | null {
  if (situation.records.get('event', id)) return null;
  const times = timesOf(to, areWholeDays(parseLocal(to.start), parseLocal(to.end)), zone);
  const event = newEvent(
    {
      ...{ id, calendarId: calendarFor(situation, share), title: to.title, place: to.place },
      ...times,
      changedBy: { name: by, at: situation.now, key: null, zone },
    },
    situation.now,
  );
  const where = situation.records.get('calendar', event.calendarId)?.name ?? 'a calendar';
  const label = `${by} added ${quotedTitle(event)} to ${where}: ${sayStart(event, situation.saying)}`;
  return { label, edits: [eventEdit(null, event)] };
}

function removed(situation: Situation, share: Share, change: Of<'remove'>): Plan | null {
  const { by, of, base, zone } = change;
  if (situation.records.get('event', of.eventId)?.removedAt !== undefined) return null;
  const { event, date } = sharedEvent(situation, share, change, of);
  if (of.key !== null && event.skippedDates.includes(of.key)) return null;
  const { now } = situation;
  const mine = shownIn(date, zone);
  const isAsSeen = (Object.keys(base) as (keyof SharedFields)[]).every(
    (name) => base[name] === mine[name],
  );
  const mark = { name: by, at: now, key: of.key, zone };
  if (!isAsSeen)
    return {
      label: `${by} wanted ${quotedTitle(date)} removed, which you had changed: it stays`,
      edits: [eventEdit(event, revised(event, { changedBy: { ...mark, isToGo: true } }, now))],
    };
  const after =
    of.key === null
      ? revised(event, { removedAt: now, changedBy: mark }, now)
      : { ...removeDates(event, of.key, 'this', now), changedBy: mark };
  return { label: `${by} removed ${quotedTitle(date)}`, edits: [eventEdit(event, after)] };
}

function answered(situation: Situation, share: Share, change: Of<'answer'>): Plan | null {
  const { by, uid, key, answer } = change;
  if (share.level !== 'act')
    throw new UserError('refused', `${by} may not answer for you: nothing was answered.`);
  const seen = askEvents(situation, sharedQuery(situation.records, share.of, situation.now), null);
  if (!seen.some((event) => event.uid === uid))
    throw new UserError(
      'refused',
      `${by} may answer only what is on what you share: nothing was answered.`,
    );
  const plan = answerInvitation(situation, { uid, key, answer, line: '' });
  return plan && { ...plan, label: `${by}, for you: ${plan.label}` };
}

/**
 * Takes in what somebody else did by a share that lets them: one change of theirs, marked as such.
 * Where the person changed the same meanwhile, theirs stays beside it to be taken or not. Null where
 * it was taken in already.
 */
export const takeShared: Planner<{ shareId: string; change: SharedChange }> = (
  situation,
  { shareId, change: sent },
) => {
  const by = writerOf(situation, shareId, sent.by);
  const share = allowing(situation, shareId, by);
  const change = { ...sent, by };
  switch (change.kind) {
    case 'change':
      return changed(situation, share, change);
    case 'add':
      return added(situation, share, change);
    case 'remove':
      return removed(situation, share, change);
    case 'answer':
      return answered(situation, share, change);
  }
};

/** Settles what somebody else did to an event: it was seen, or what they wrote is taken after all. */
export const settleShared: Planner<{ id: string; takes: boolean }> = (situation, { id, takes }) => {
  const event = situation.records.get('event', id);
  const mark = event?.changedBy;
  if (!event || !mark) return null;
  const { key, kept = {}, zone, name, isToGo } = mark;
  if (takes && isToGo) {
    const { now } = situation;
    const { changedBy: _seen, ...rest } = event;
    const after =
      key === null ? revised(rest, { removedAt: now }, now) : removeDates(rest, key, 'this', now);
    return {
      label: `Removed ${quotedTitle(event)}, as ${name} wanted`,
      edits: [eventEdit(event, after)],
    };
  }
  const date = dateAsEvent(event, key);
  const fields = takes ? asEventFields(kept, date, zone) : {};
  const moved = sayMove(date, { ...date, ...fields }, situation.saying);
  return {
    label: takes
      ? `Took what ${name} wrote of ${quotedTitle(date)}${moved}`
      : `Saw what ${name} did to ${quotedTitle(date)}`,
    about: key === null ? event.id : `${event.id}@${key}`,
    edits: fieldEdits(situation, event, key, fields, undefined),
  };
};
