import { wallOfEnd } from '../agenda/onClock';
import type { Availability, EventTime } from '../model/common';
import { dayOf, wallOf, zoneOf } from '../model/common';
import type { CalendarEvent } from '../model/event';
import { lastsForward } from '../model/event';
import { DAY, dayOfWall, formatDate, formatLocal, MINUTE, minuteOfDay } from '../time/civil';
import { instantFromWall, wallFromInstant } from '../time/zones';
import type { DayNumber, MinuteOfDay, WallMs } from '../time/units';
import { withLength } from './times';
import { UserError } from '../userError';

/** An event as a form shows it: times by the clock of the event's own zone. */
export interface EventForm {
  title: string;
  calendarId: string;
  wholeDay: boolean;
  /** Day numbers; the last day is included, as people say it. */
  startDay: DayNumber;
  endDay: DayNumber;
  /** Minutes of the day; kept while the event is whole-day. */
  startMinute: MinuteOfDay;
  endMinute: MinuteOfDay;
  /** The zones whose clocks start and end are on, kept while the event is whole-day; null floats. */
  zone: string | null;
  endZone: string | null;
  place: string;
  notes: string;
  link: string;
  room: string;
  attendees: CalendarEvent['attendees'];
  availability: Availability;
  visibility: 'public' | 'private';
  categoryIds: string[];
  /** Its own reminders; null for those of its calendar. */
  reminders: CalendarEvent['reminders'];
  importance: number;
  isQuiet: boolean;
  /** Minutes; kept while the event is whole-day. */
  travelBefore: number;
  travelAfter: number;
  /** Name of a small icon; undefined for none. */
  icon?: string;
  /** Its own ink, over that of its calendar. */
  inkOverride?: string;
}

/** The fields of a form that say how an event is met: they are as the event has them. */
const attentionOf = ({
  reminders,
  importance,
  isQuiet,
  travelBefore,
  travelAfter,
}: Pick<EventForm, 'reminders' | 'importance' | 'isQuiet' | 'travelBefore' | 'travelAfter'>) => ({
  reminders,
  importance,
  isQuiet,
  travelBefore,
  travelAfter,
});

/** What a form shows of an event. `hours` are those, and the zone, that a whole-day event gets when it is given hours. */
export function formOf(
  event: CalendarEvent,
  hours: { startMinute: MinuteOfDay; length: number; zone: string },
): EventForm {
  const { title, calendarId, place, notes, link, room, attendees, availability, visibility } =
    event;
  const { categoryIds, icon, inkOverride } = event;
  const looks = { categoryIds, icon, inkOverride };
  const text = {
    ...{ title, calendarId, place, notes, link, room, attendees, availability, visibility },
    ...looks,
    ...attentionOf(event),
  };
  const startDay = dayOf(event.start);
  if (event.start.kind === 'date') {
    const kept = event.keptHours;
    const zone = kept ? kept.zone : hours.zone;
    return {
      ...text,
      zone,
      endZone: zone,
      wholeDay: true,
      startDay,
      endDay: dayOf(event.end) - 1,
      startMinute: kept
        ? minuteOfDay(wallOf({ kind: 'floating', local: kept.start }))
        : hours.startMinute,
      endMinute: kept
        ? minuteOfDay(wallOf({ kind: 'floating', local: kept.end }))
        : Math.min(1439, hours.startMinute + hours.length),
    };
  }
  return {
    ...text,
    zone: zoneOf(event.start),
    endZone: zoneOf(event.end),
    wholeDay: false,
    startDay,
    endDay: dayOf(event.end),
    startMinute: minuteOfDay(wallOf(event.start)),
    endMinute: minuteOfDay(wallOf(event.end)),
  };
}

/** The part of a form that says when. Without zones, start and end are on one clock. */
export type Times = Pick<
  EventForm,
  'wholeDay' | 'startDay' | 'endDay' | 'startMinute' | 'endMinute'
> &
  Partial<Pick<EventForm, 'zone' | 'endZone'>>;

const localMs = (day: DayNumber, minute: number): WallMs => day * DAY + minute * MINUTE;
const startWall = ({ startDay, startMinute }: Times): WallMs => localMs(startDay, startMinute);
const endWall = ({ endDay, endMinute }: Times): WallMs => localMs(endDay, endMinute);

/** The end on the start's clock, in wall ms; see `wallOfEnd`. */
function endOnStartsClock(times: Times): WallMs {
  const { zone, endZone } = times;
  if (!zone || !endZone || zone === endZone) return endWall(times);
  const from = instantFromWall(startWall(times), zone);
  return wallOfEnd({ from, to: instantFromWall(endWall(times), endZone) }, zone);
}

/** What is wrong with the times of a form, in words; null when nothing is. */
export function timesProblem(form: Times): string | null {
  if (form.wholeDay)
    return form.endDay < form.startDay ? 'The last day is before the first.' : null;
  if (endOnStartsClock(form) >= startWall(form)) return null;
  return form.endDay < form.startDay
    ? 'The last day is before the first.'
    : 'The end is before the start.';
}

/** The form after its start was moved: the end follows, so that the length stays. */
export function withStart<T extends Times>(
  form: T,
  startDay: DayNumber,
  startMinute: MinuteOfDay,
): T {
  const from = form.startDay * 1440 + (form.wholeDay ? 0 : form.startMinute);
  const to = startDay * 1440 + (form.wholeDay ? 0 : startMinute);
  if (form.wholeDay) return { ...form, startDay, endDay: form.endDay + (startDay - form.startDay) };
  const end = form.endDay * 1440 + form.endMinute + (to - from);
  return { ...form, startDay, startMinute, endDay: Math.floor(end / 1440), endMinute: end % 1440 };
}

/** The times of a span of wall ms, as a form shows them. */
export function timesOf(span: { start: number; end: number; wholeDay: boolean }): Times {
  const startDay = dayOfWall(span.start);
  const startMinute = minuteOfDay(span.start);
  return span.wholeDay
    ? {
        wholeDay: true,
        startDay,
        endDay: dayOfWall(span.end) - 1,
        startMinute: 540,
        endMinute: 570,
      }
    : {
        wholeDay: false,
        startDay,
        endDay: dayOfWall(span.end),
        startMinute,
        endMinute: minuteOfDay(span.end),
      };
}

/** The span of wall ms that times describe, both ends on the start's clock. */
export function spanOf(times: Times): { start: number; end: number; wholeDay: boolean } {
  const { wholeDay, startDay, endDay } = times;
  return wholeDay
    ? { wholeDay, start: startDay * DAY, end: (endDay + 1) * DAY }
    : { wholeDay, start: startWall(times), end: endOnStartsClock(times) };
}

/** The span of a form on another clock, such as the sheet's; a floating one is the same on all. */
export function spanOn(
  times: Times,
  clock: string,
): { start: number; end: number; wholeDay: boolean } {
  const span = spanOf(times);
  const { zone } = times;
  if (span.wholeDay || !zone || zone === clock) return span;
  const from = instantFromWall(span.start, zone);
  const to = instantFromWall(endWall(times), times.endZone ?? zone);
  const place = { from, to: to >= from ? to : from + (span.end - span.start) };
  return { ...span, start: wallFromInstant(from, clock), end: wallOfEnd(place, clock) };
}

const localOf = (day: DayNumber, minute: number) => formatLocal(localMs(day, minute));

/**
 * The event that a form describes. An event made whole-day keeps its hours aside, so that turning
 * back finds them. Call it only when `timesProblem` finds nothing.
 * @throws UserError when the end lies before the start once zones are looked at.
 */
export function eventFromForm(form: EventForm, event: CalendarEvent): CalendarEvent {
  const { title, calendarId, place, notes, link, room, attendees, availability, visibility } = form;
  const { keptHours: _kept, icon: _icon, inkOverride: _ink, ...rest } = event;
  const text = {
    title: title.trim(),
    calendarId,
    place: place.trim(),
    notes,
    link: link.trim(),
    room: room.trim(),
    attendees,
    availability,
    visibility,
    categoryIds: form.categoryIds,
    ...attentionOf(form),
    ...(form.icon && { icon: form.icon }),
    ...(form.inkOverride && { inkOverride: form.inkOverride }),
  };
  const { zone } = form;
  const startLocal = localOf(form.startDay, form.startMinute);
  const endLocal = localOf(form.endDay, form.endMinute);
  if (form.wholeDay) {
    const hadHours = event.start.kind !== 'date' || event.keptHours !== undefined;
    const keptHours = { start: startLocal, end: endLocal, zone };
    return {
      ...rest,
      ...text,
      start: { kind: 'date', date: formatDate(form.startDay) },
      end: { kind: 'date', date: formatDate(form.endDay + 1) },
      ...(hadHours ? { keptHours } : {}),
    };
  }
  const time = (local: string, own: string | null): EventTime =>
    own === null ? { kind: 'floating', local } : { kind: 'zoned', local, zone: own };
  const start = time(startLocal, zone);
  const end = time(endLocal, zone === null ? null : (form.endZone ?? zone));
  if (lastsForward(start, end)) return { ...rest, ...text, start, end };
  const length = endWall(form) - startWall(form);
  if (zoneOf(start) !== zoneOf(end) || length < 0)
    throw new UserError('refused', 'The end is before the start.');
  // It starts in an hour that the clock leaves out, after which it lasts as long as it was to.
  return { ...rest, ...text, ...withLength({ start, end }, length) };
}
