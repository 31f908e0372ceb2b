import type { Attendee, Organizer } from '../model/attendees';
import type { CalendarEvent, ChangedDate } from '../model/event';
import { isSeries, newEvent } from '../model/event';
import type { EventField } from '../model/eventFields';
import type { MailMethod, MailParty } from '../model/mail';
import { askingOf } from './asking';
import { SAID } from './fields';
import { isSameAddress } from './party';

/** Something that guests have not been told of: whom, what, and of which date (null: the whole). */
export interface Telling {
  method: Extract<MailMethod, 'request' | 'cancel'>;
  key: string | null;
  to: Attendee[];
  /** Why, in the words of a line. */
  why: 'new' | 'changed' | 'off' | 'date changed' | 'date off' | 'left out';
}

/** A guest of whom an answer is wanted or not (RSVP, RFC 5545 §3.2.17). */
const askedToAnswer =
  (isWanted: boolean) =>
  (one: Attendee): Attendee => ({
    ...one,
    parameters: { ...one.parameters, rsvp: isWanted ? 'TRUE' : 'FALSE' },
  });

/** What of an event others are told; what is the person's own (reminders, way, ink, points) stays. */
export function outgoing(event: CalendarEvent, organizer: Organizer): CalendarEvent {
  const { id, uid, calendarId, start, end, rule, clockDays, created, updated, revision } = event;
  return newEvent(
    {
      ...{ id, uid, calendarId, start, end, created, updated, revision, organizer },
      title: event.title,
      place: event.place,
      notes: event.notes,
      link: event.link,
      room: event.room,
      importance: event.importance,
      availability: event.availability === 'free' ? 'free' : 'busy',
      visibility: event.visibility,
      attendees: event.attendees.map(askedToAnswer(askingOf(event).wantsAnswers)),
      ...(event.asking && { asking: event.asking }),
      extraDates: event.extraDates,
      skippedDates: event.skippedDates,
      changedDates: Object.fromEntries(
        Object.entries(event.changedDates).map(([key, date]) => [key, outgoingDate(date)]),
      ),
      ...(rule !== undefined && { rule }),
      ...(clockDays !== undefined && { clockDays }),
    },
    created,
  );
}

const TOLD_OF_DATE = [
  ...SAID,
  'attendees',
  'andLater',
  'revision',
] as const satisfies readonly (keyof ChangedDate)[];

const outgoingDate = (date: ChangedDate): ChangedDate =>
  Object.fromEntries(
    TOLD_OF_DATE.flatMap((field) => (date[field] === undefined ? [] : [[field, date[field]]])),
  );

/** The fields of which a difference is told of: not who answered, nor when it was written down. */
const ESSENCE = [
  ...SAID,
  'clockDays',
  'visibility',
  'rule',
  'extraDates',
] as const satisfies readonly EventField[];

const essence = (event: CalendarEvent): string =>
  JSON.stringify(ESSENCE.map((field) => event[field] ?? null));

const dateEssence = (date: ChangedDate | undefined): string => {
  const { revision: _r, attendees: _a, ...rest } = date ?? {};
  return JSON.stringify(rest);
};

const isAmong = (all: readonly Attendee[], one: Attendee) =>
  all.some(({ address }) => isSameAddress(address, one.address));

/** The guests of an event that a mail can reach, without the person. */
export const guestsToTell = (
  { attendees }: Pick<CalendarEvent, 'attendees'>,
  me: string,
): Attendee[] => attendees.filter(({ address }) => address !== '' && !isSameAddress(address, me));

/** Dates that differ between two versions of a series that are else the same. */
function datesToTell(now: CalendarEvent, told: CalendarEvent, to: Attendee[]): Telling[] {
  const off = now.skippedDates
    .filter((key) => !told.skippedDates.includes(key))
    .map((key): Telling => ({ method: 'cancel', key, to, why: 'date off' }));
  const changed = Object.keys(now.changedDates)
    .filter((key) => !now.skippedDates.includes(key))
    .filter((key) => dateEssence(now.changedDates[key]) !== dateEssence(told.changedDates[key]))
    .map((key): Telling => ({ method: 'request', key, to, why: 'date changed' }));
  return [...off, ...changed];
}

/** Whether a date that was told of is as it was planned again: only the whole says that. */
const isTakenBack = (now: CalendarEvent, told: CalendarEvent): boolean =>
  told.skippedDates.some((key) => !now.skippedDates.includes(key)) ||
  Object.keys(told.changedDates).some(
    (key) =>
      dateEssence(told.changedDates[key]) !== dateEssence({}) &&
      !(key in now.changedDates) &&
      !now.skippedDates.includes(key),
  );

/**
 * What guests have not been told of yet: `now` is the event as others may see it (`outgoing`), null
 * where it is gone; `told` as they know it, null where they know nothing.
 */
export function tellings(
  now: CalendarEvent | null,
  told: CalendarEvent | null,
  me: string,
): Telling[] {
  if (!now) {
    const to = told ? guestsToTell(told, me) : [];
    return to.length ? [{ method: 'cancel', key: null, to, why: 'off' }] : [];
  }
  const guests = guestsToTell(now, me);
  if (!told) return guests.length ? [{ method: 'request', key: null, to: guests, why: 'new' }] : [];
  const known = guestsToTell(told, me);
  const added = guests.filter((one) => !isAmong(known, one));
  const gone = known.filter((one) => !isAmong(guests, one));
  const stayed = guests.filter((one) => isAmong(known, one));
  const all: Telling[] = [];
  if (gone.length) all.push({ method: 'cancel', key: null, to: gone, why: 'left out' });
  if (essence(now) !== essence(told) || isTakenBack(now, told)) {
    if (guests.length) all.push({ method: 'request', key: null, to: guests, why: 'changed' });
    return all;
  }
  if (added.length) all.push({ method: 'request', key: null, to: added, why: 'new' });
  if (stayed.length && isSeries(now)) all.push(...datesToTell(now, told, stayed));
  return all;
}

/** Attendees as those who are to be told. */
export const partiesOf = (attendees: readonly Attendee[]): MailParty[] =>
  attendees.map(({ name, address }) => ({ name, address }));
