import { dateAsEvent } from '../editing/series/dates';
import { writeCalendarFile } from '../files/ics/writeFile';
import { timeOfKey, timeProperty } from '../files/ics/writeEvent';
import type { Attendee } from '../model/attendees';
import type { EventTime, JcalProperty } from '../model/common';
import type { CalendarEvent } from '../model/event';
import type { MailMethod } from '../model/mail';
import type { EpochMs } from '../time/units';
import { askingProperties } from './asking';
import { methodName } from './messages';

export interface Outgoing {
  method: MailMethod;
  /** The event as it may be told (`outgoing`); of a reply, as it was asked. */
  event: CalendarEvent;
  /** The date that it is about; null for the whole. */
  key: string | null;
  /** Whom it speaks of; those of the event where it says nothing. Of a reply its writer alone. */
  attendees?: readonly Attendee[];
  sequence: number;
  /** The date of a series that is all that the writer was asked to, where that is so. */
  alone?: EventTime | null;
  /** What is written by hand; empty for nothing. */
  line: string;
  /** When it is written, epoch ms. */
  now: EpochMs;
}

/** The calendar text of a message (RFC 5546 §3.2), with the date's own entry where it is about one. */
export function writeMessage(outgoing: Outgoing): string {
  const { method, key, line, now, sequence, alone, ...rest } = outgoing;
  const { event } = rest;
  const entry = key === null ? event : dateAsEvent(event, key);
  const more: JcalProperty[] = [];
  if (key !== null) more.push(timeProperty('recurrence-id', timeOfKey(event.start, key)));
  else if (alone) more.push(timeProperty('recurrence-id', alone));
  if (line) more.push(['comment', {}, 'text', line]);
  if (method === 'request') more.push(...askingProperties(event));
  if (method === 'cancel') more.push(['status', {}, 'text', 'CANCELLED']);
  const { passthrough: _passthrough, ...bare } = entry;
  return writeCalendarFile({
    name: '',
    method: methodName(method),
    events: [
      {
        ...bare,
        // An entry for a date is a word on that date: of the whole only who asks says more.
        ...(method !== 'request' && { changedDates: {} }),
        attendees: [...(rest.attendees ?? entry.attendees)],
        revision: sequence,
        // DTSTAMP is when the message was written (RFC 5546 §3.2).
        updated: now,
        ...(more.length && { passthrough: { properties: more, components: [] } }),
      },
    ],
    tasks: [],
    passthrough: [],
    now,
  });
}
