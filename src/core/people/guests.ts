import type { Attendee } from '../model/attendees';
import type { Person } from '../model/person';
import { joinWords } from '../time/words';
import { shortName } from './sayOpenings';

/** Somebody who is asked: whom, and whether they are required. */
interface Asked {
  id: string;
  isRequired: boolean;
}

/** People who are asked, as an event has them; nobody has answered yet. */
export const attendeesOf = (guests: readonly Asked[], people: readonly Person[]): Attendee[] =>
  guests.flatMap(({ id, isRequired }) => {
    const person = people.find((one) => one.id === id);
    return person
      ? [
          {
            name: person.name,
            address: person.address,
            role: isRequired ? ('required' as const) : ('optional' as const),
            answer: 'none' as const,
          },
        ]
      : [];
  });

/** Whether an attendee is somebody who is known: by address, or where one has none by name. */
export const isSamePerson = (
  attendee: Pick<Attendee, 'name' | 'address'>,
  person: Pick<Person, 'name' | 'address'>,
): boolean =>
  attendee.address !== '' && person.address !== ''
    ? attendee.address.toLowerCase() === person.address.toLowerCase()
    : attendee.name.toLowerCase() === person.name.toLowerCase();

/** Those of an event's attendees who are known, as they are asked for openings. */
export const guestsOf = (
  attendees: readonly Attendee[],
  people: readonly Person[],
): { id: string; isRequired: boolean }[] =>
  attendees.flatMap((attendee) => {
    const person = people.find((one) => isSamePerson(attendee, one));
    const isRequired = attendee.role === 'required' || attendee.role === 'chair';
    return person ? [{ id: person.id, isRequired }] : [];
  });

/** What a meeting is called until somebody says better: "Meeting with Ida and Tomas". */
export function meetingTitle(guests: readonly Asked[], people: readonly Person[]): string {
  const names = guests.flatMap(({ id }) => {
    const person = people.find((one) => one.id === id);
    return person?.kind === 'person' ? [shortName(person)] : [];
  });
  return names.length ? `Meeting with ${joinWords(names)}` : 'Meeting';
}

/** The room among those who are asked, by name; empty for none. */
export const roomOf = (guests: readonly Asked[], people: readonly Person[]): string =>
  people.find(({ id, kind }) => kind === 'room' && guests.some((guest) => guest.id === id))?.name ??
  '';
