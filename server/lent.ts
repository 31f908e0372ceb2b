import type { Request, Response, Router } from 'express';
import express from 'express';
import type { Member } from '../demo/office';
import { OFFICE } from '../demo/office';
import { officeEvents } from '../demo/officeTime';
import { EventIndex } from '../src/core/agenda/eventIndex';
import type { CalendarEvent } from '../src/core/model/event';
import { newEvent } from '../src/core/model/event';
import type { SharedCopy } from '../src/core/people/shared';
import { sharedDays } from '../src/core/people/shared';
import type { SharedChange, SharedFields } from '../src/core/people/sharedChange';
import { DAY } from '../src/core/time/civil';
import type { DayNumber } from '../src/core/time/units';
import { cityOf } from '../src/core/time/zoneNames';
import { onlyWithSecret, secretOf } from './onlyOwn';
import { formFor, isOffered, isOwnForm, readForm, readSent } from './sharedForms';
import { changedPage, changePage, withForms } from './sharedPages';

/** Weeks that the form knows the events of. */
const AHEAD = 42;
/** Changes of one member's time that are held; beyond that the first go. */
const MOST = 500;
const WORDING = { locale: 'en-GB', hourCycle: '24' } as const;

/** The time of members who let others change it: what was changed holds until the server stops. */
export class Lent {
  private readonly changes = new Map<string, SharedChange[]>();

  constructor(private readonly today: () => DayNumber) {}

  /** What a member does, with what others changed of it. */
  eventsOf(member: Member): CalendarEvent[] {
    const made = this.changes.get(member.id) ?? [];
    return made.reduce(applied(member), officeEvents(member, this.today()));
  }

  keep(member: Member, change: SharedChange): void {
    const made = this.changes.get(member.id) ?? [];
    this.changes.set(member.id, [...made, change].slice(-MOST));
  }

  /** A member's time as a page on which it can be changed. */
  copyOf(member: Member): SharedCopy {
    const { name, zone } = member;
    const index = new EventIndex();
    for (const event of this.eventsOf(member)) index.put(event);
    const fromDay = this.today();
    const window = { fromDay, toDay: fromDay + AHEAD };
    const { occurrences } = index.query({ ...window, zone }, null);
    return {
      ...{ name, zone: cityOf(zone), expires: null, calendar: null, freeBusy: '' },
      days: sharedDays(occurrences, window, WORDING, (o) => o.visibility !== 'private'),
      changing: { zone, who: null, made: fromDay * DAY, invitations: [] },
    };
  }
}

const timesIn = (zone: string, { start, end }: SharedFields) => ({
  start: { kind: 'zoned', local: start, zone } as const,
  end: { kind: 'zoned', local: end, zone } as const,
});

/** Events with one change by somebody else. */
const applied =
  ({ id, zone }: Member) =>
  (events: CalendarEvent[], change: SharedChange): CalendarEvent[] => {
    switch (change.kind) {
      case 'add': {
        const { title, place } = change.to;
        const times = timesIn(zone, change.to);
        return [...events, newEvent({ id: change.id, calendarId: id, title, place, ...times }, 0)];
      }
      case 'remove':
        return events.filter((event) => event.id !== change.of.eventId);
      case 'change': {
        const { title, place } = change.to;
        return events.map((event) =>
          event.id === change.of.eventId && event.visibility !== 'private'
            ? { ...event, title, place, ...timesIn(zone, change.to) }
            : event,
        );
      }
      case 'answer':
        return events;
    }
  };

/** Where an event of a member who lends their time is changed. */
export function lentAddress(member: Member, { eventId = '', browser = '' } = {}): string {
  const query = new URLSearchParams({
    ...(eventId && { event: eventId, key: '' }),
    ...(browser && { browser }),
  }).toString();
  return `/lent/${member.id}/change${query && `?${query}`}`;
}

/** The pages on which the time of those is changed who let others do so: `/lent/:id/change`. */
export function lentPages(lent: Lent, isOpen = false): Router {
  const router = express.Router();
  if (isOpen) router.use('/lent', onlyWithSecret);
  const lender = ({ params }: Request) =>
    OFFICE.find(({ id, lends }) => lends && id === params['id']);
  const gone = (response: Response) =>
    void response.status(404).type('text').send('There is nothing here that you may change.');
  const addressOf = (member: Member) => `/lent/${member.id}`;
  const queryOf = (request: Request) => (isOpen ? `?browser=${secretOf(request)}` : '');

  router.get('/lent/:id/change', (request: Request, response: Response) => {
    const member = lender(request);
    const copy = member && lent.copyOf(member);
    const form = copy && formFor(copy, readSent(request.query));
    if (!member || !copy || !form) return gone(response);
    withForms(response).send(changePage(copy, addressOf(member), form, queryOf(request)));
  });
  router.get('/lent/:id', (request: Request, response: Response) => {
    const member = lender(request);
    if (!member) return gone(response);
    response.redirect(303, lentAddress(member, { browser: secretOf(request) }));
  });
  router.post(
    '/lent/:id/change',
    express.urlencoded({ extended: false, limit: '32kb' }),
    (request: Request, response: Response) => {
      const member = lender(request);
      if (!member) return gone(response);
      if (!isOwnForm(request, response)) return;
      const copy = lent.copyOf(member);
      const sent = readSent(request.body);
      if (!isOffered(copy, sent)) return gone(response);
      const read = readForm(copy, sent);
      if ('form' in read) {
        withForms(response.status(400)).send(
          changePage(copy, addressOf(member), read.form, queryOf(request)),
        );
        return;
      }
      lent.keep(member, read);
      const what =
        read.kind === 'answer' ? '' : read.kind === 'remove' ? read.base.title : read.to.title;
      withForms(response).send(changedPage(member.name, what));
    },
  );
  return router;
}
