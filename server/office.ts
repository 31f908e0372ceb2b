import type { Request, Response, Router } from 'express';
import express from 'express';
import type { Member } from '../demo/office';
import { OFFICE, officeAddress } from '../demo/office';
import { officeSpan } from '../demo/officeTime';
import { EventIndex } from '../src/core/agenda/eventIndex';
import { writeFreeBusy } from '../src/core/files/ics/freeBusy';
import { writeCalendarFile } from '../src/core/files/ics/writeFile';
import type { DirectoryEntry } from '../src/core/people/directory';
import { directoryEntry } from '../src/core/people/directory';
import type { CalendarEvent } from '../src/core/model/event';
import { newEvent } from '../src/core/model/event';
import { busyOf } from '../src/core/people/busy';
import { seenFields } from '../src/core/people/seeing';
import { DAY } from '../src/core/time/civil';
import type { DayNumber } from '../src/core/time/units';
import { Lent, lentAddress } from './lent';
import { onlyApp, secretOf } from './onlyOwn';

/** What everybody in the office may know of a member: what a directory has, and nothing that was noted. */
const entryOf = (member: Member): DirectoryEntry =>
  directoryEntry.parse({ ...member, calendarAddress: officeAddress(member.id) });

/** When a member's time is taken, and nothing else of it. */
function bookedOnly(member: Member, events: readonly CalendarEvent[], today: DayNumber): string {
  const { from, to } = officeSpan(today);
  const index = new EventIndex();
  for (const event of events) index.put(event);
  const window = { fromDay: from / DAY, toDay: to / DAY, zone: member.zone };
  return writeFreeBusy({
    uid: `${member.id}-time@lantern-quay.example`,
    organizer: member.address,
    from,
    to,
    stretches: busyOf(index.query(window, null).occurrences),
    now: Date.now(),
  });
}

/** A member's time as they let it be seen. */
function timeOf(
  member: Member,
  lent: Lent,
  { today, origin, browser }: { today: DayNumber; origin: string; browser: string },
): string {
  const { seeing, lends } = member;
  const events = lent.eventsOf(member);
  if (seeing === 'booked') return bookedOnly(member, events, today);
  const withPage = (event: CalendarEvent) =>
    lends && event.visibility !== 'private'
      ? { ...event, link: `${origin}${lentAddress(member, { eventId: event.id, browser })}` }
      : event;
  return writeCalendarFile({
    name: member.name,
    events: events.map((event) => newEvent(seenFields(withPage(event), seeing), 0)),
    tasks: [],
    passthrough: [],
    now: Date.now(),
  });
}

/**
 * The stand-in for an office: who is in it (`GET /office/directory`), and when each has time
 * (`GET /office/:id.ics`), as far as they let it be seen, with what others changed of it (`lent`).
 * `today` is a day number.
 */
export function office(today: () => number, lent = new Lent(today)): Router {
  const router = express.Router();
  router.use(onlyApp);

  router.get('/directory', (_request: Request, response: Response) => {
    response.set('Cache-Control', 'no-store').json(OFFICE.map(entryOf));
  });

  router.get('/:id.ics', (request: Request, response: Response) => {
    const member = OFFICE.find(({ id }) => id === request.params['id']);
    if (!member) {
      response.status(404).type('text').send('There is nobody of that name in the office.');
      return;
    }
    const origin = `${request.protocol}://${request.get('Host')}`;
    const text = timeOf(member, lent, { today: today(), origin, browser: secretOf(request) });
    response.set('Cache-Control', 'no-store').type('text/calendar').send(text);
  });
  return router;
}
