import type { Availability, EventTime } from '../model/common';
import { dayOf, wallOf, zoneOf } from '../model/common';
import type { CalendarEvent } from '../model/event';
import { lastsForward } from '../model/event';
import { DAY, dayOfWall, formatDate, formatLocal, MINUTE, minuteOfDay } from '../time/civil';

/** An event as a form shows it: times by the clock of the event's own zone. */
export interface EventForm {
  title: string;
  calendarId: string;
  wholeDay: boolean;
  /** Day numbers; the last day is included, as people say it. */
  startDay: number;
  endDay: number;
  /** Minutes of the day; kept while the event is whole-day. */
  startMinute: number;
  endMinute: number;
  place: string;
  notes: string;
  link: string;
  availability: Availability;
  visibility: 'public' | 'private';
}

/** The clock that a form shows hours on; null floats. */
function hoursZone(event: CalendarEvent, homeZone: string): string | null {
  if (event.start.kind === 'date') return event.keptHours ? event.keptHours.zone : homeZone;
  return zoneOf(event.start);
}

/** What a form shows of an event. `hours` are those that a whole-day event gets when it is given hours. */
export function formOf(
  event: CalendarEvent,
  hours: { startMinute: number; length: number },
): EventForm {
  const { title, calendarId, place, notes, link, availability, visibility } = event;
  const text = { title, calendarId, place, notes, link, availability, visibility };
  const startDay = dayOf(event.start);
  if (event.start.kind === 'date') {
    const kept = event.keptHours;
    return {
      ...text,
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
    wholeDay: false,
    startDay,
    endDay: dayOf(event.end),
    startMinute: minuteOfDay(wallOf(event.start)),
    endMinute: minuteOfDay(wallOf(event.end)),
  };
}

/** The part of a form that says when. */
export type Times = Pick<
  EventForm,
  'wholeDay' | 'startDay' | 'endDay' | 'startMinute' | 'endMinute'
>;

/** What is wrong with the times of a form, in words; null when nothing is. */
export function timesProblem(form: Times): string | null {
  if (form.endDay < form.startDay) return 'The last day is before the first.';
  if (!form.wholeDay && form.endDay === form.startDay && form.endMinute < form.startMinute)
    return 'The end is before the start.';
  return null;
}

/** The form after its start was moved: the end follows, so that the length stays. */
export function withStart<T extends Times>(form: T, startDay: number, startMinute: number): T {
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

/** The span of wall ms that times describe. */
export function spanOf(times: Times): { start: number; end: number; wholeDay: boolean } {
  const { wholeDay, startDay, endDay, startMinute, endMinute } = times;
  return wholeDay
    ? { wholeDay, start: startDay * DAY, end: (endDay + 1) * DAY }
    : {
        wholeDay,
        start: startDay * DAY + startMinute * MINUTE,
        end: endDay * DAY + endMinute * MINUTE,
      };
}

const localOf = (day: number, minute: number) => formatLocal(day * DAY + minute * MINUTE);

/**
 * The event that a form describes. An event made whole-day keeps its hours aside, so that turning
 * back finds them. Call it only when `timesProblem` finds nothing.
 * @throws RangeError when the end lies before the start once zones are looked at.
 */
export function eventFromForm(
  form: EventForm,
  event: CalendarEvent,
  homeZone: string,
): CalendarEvent {
  const { title, calendarId, place, notes, link, availability, visibility } = form;
  const { keptHours: _kept, ...rest } = event;
  const text = {
    title: title.trim(),
    calendarId,
    place: place.trim(),
    notes,
    link: link.trim(),
    availability,
    visibility,
  };
  const zone = hoursZone(event, homeZone);
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
  const end = time(endLocal, event.start.kind === 'date' ? zone : zoneOf(event.end));
  if (!lastsForward(start, end)) throw new RangeError('The end is before the start.');
  return { ...rest, ...text, start, end };
}
