import { hexColour, id, zoneName } from './common';
import { INKS, MARKS } from './inks';
import type { Workweek } from './others';
import { workweek } from './others';
import { z } from './zod';

/** What one may see of somebody's time: when it is taken, what it is taken by, or everything about that. */
export const SEEING = ['booked', 'titles', 'all'] as const;
export type Seeing = (typeof SEEING)[number];

/** Whom one can meet with: people, rooms, and things such as a van (CUTYPE, RFC 5545 §3.2.3). */
const PERSON_KINDS = ['person', 'room', 'thing'] as const;
export type PersonKind = (typeof PERSON_KINDS)[number];

/** Someone whose time can be seen, or a room or a thing that has a calendar too. */
export const person = z.object({
  id,
  name: z.string().min(1),
  kind: z.enum(PERSON_KINDS).default('person'),
  /** Their mail address; empty for none that is known. */
  address: z.string().default(''),
  zone: zoneName,
  ink: hexColour,
  mark: z.enum(MARKS),
  /** When they work, and where, by the clock of their zone. */
  workweek,
  /** Names of the groups that they are in. */
  groups: z.array(z.string().min(1)).default([]),
  /** What the person noted about them; never sent to anybody. */
  notes: z.string().default(''),
  /** Where their calendar or free/busy is read (http(s), or a path of the stand-in office); empty for nowhere. */
  calendarAddress: z.string().default(''),
  /** Whether their time is on the sheet. */
  shown: z.boolean().default(false),
  order: z.number().default(0),
});
export type Person = z.infer<typeof person>;

const USUAL_DAY = { hours: { from: 9 * 60, to: 17 * 60 }, workplace: '' };
const FREE_DAY = { hours: null, workplace: '' };

/** Monday to Friday from nine to five, which is taken of whom nobody told when they work. */
export const USUAL_WEEK: Workweek = {
  days: [USUAL_DAY, USUAL_DAY, USUAL_DAY, USUAL_DAY, USUAL_DAY, FREE_DAY, FREE_DAY],
  exceptions: {},
};

/** The id of what stands for a person among calendars on the sheet. */
export const personCalendarId = (personId: string) => `person:${personId}`;

/** Whether an occurrence, by its id, is of somebody else's time. */
export const isOfOthers = (occurrenceId: string): boolean => occurrenceId.startsWith('person:');

/** The person's id that an id of a calendar stands for; null where it is a calendar's own. */
export const personOfCalendarId = (calendarId: string): string | null =>
  calendarId.startsWith('person:') ? calendarId.slice('person:'.length) : null;

/** What a person holds when nothing else is said: the usual hours, and an ink and a mark to be told by. */
export function newPerson(fields: Pick<Person, 'id' | 'name' | 'zone'> & Partial<Person>): Person {
  return {
    kind: 'person',
    address: '',
    ink: INKS.Pewter,
    mark: 'ring',
    workweek: USUAL_WEEK,
    groups: [],
    notes: '',
    calendarAddress: '',
    shown: false,
    order: 0,
    ...fields,
  };
}
