import { INKS } from '@/core/model/inks';
import type { Mark } from '@/core/model/inks';
import type { Workweek } from '@/core/model/others';
import type { Person, PersonKind, Seeing } from '@/core/model/person';
import { newPerson } from '@/core/model/person';

/** What a member of the stand-in office does on workdays, and how often (of ten days). */
export interface Habit {
  title: string;
  at: string;
  minutes: number;
  of: number;
  place?: string;
  isPrivate?: boolean;
  isTentative?: boolean;
}

/**
 * How a member answers mail: at once, later that hour, not before being asked again, first with
 * another time, or by passing it on to a colleague.
 */
type Temper = 'prompt' | 'late' | 'silent' | 'proposes' | 'passes';

/** Somebody, or something, of the made-up office. */
export interface Member {
  id: string;
  name: string;
  kind: PersonKind;
  address: string;
  zone: string;
  workweek: Workweek;
  ink: string;
  mark: Mark;
  /** What they let be seen. */
  seeing: Seeing;
  /** Absent: answers at once. */
  temper?: Temper;
  /** Whether those who work with them may change their time. */
  lends?: boolean;
  groups: string[];
  /** What the coordinator noted of them; absent for those that only the directory has. */
  notes?: string;
  habits: Habit[];
  /** Whole days away, counted from the Monday of this week. */
  away: { day: number; days: number; title: string }[];
}

const HOME = 'Europe/London';

/** Working hours of a week: `at` names where each weekday is spent; empty for a day off. */
function week(from: number, to: number, at: readonly string[]): Workweek {
  return {
    days: Array.from({ length: 7 }, (_, i) => ({
      hours: at[i] ? { from: from * 60, to: to * 60 } : null,
      workplace: at[i] ?? '',
    })),
    exceptions: {},
  };
}

const shop = 'workshop';
const house = [shop, shop, shop, shop, shop];
const always: Workweek = {
  days: Array.from({ length: 7 }, () => ({ hours: { from: 0, to: 24 * 60 }, workplace: '' })),
  exceptions: {},
};

const mail = (name: string) => `${name}@lantern-quay.example`;

/** The office: five colleagues, two partners, two rooms and a van, and some whom only its directory has. */
export const OFFICE: readonly Member[] = [
  {
    id: 'ida',
    name: 'Ida Solberg',
    kind: 'person',
    address: mail('ida'),
    zone: HOME,
    workweek: week(8, 16, house),
    ink: INKS.Gentian,
    mark: 'ring',
    seeing: 'all',
    groups: ['Workshop'],
    notes: 'Knows every barometer by its first name. Best before lunch.',
    habits: [
      { title: 'Bench hours', at: '08:30', minutes: 90, of: 8, place: 'Bench 1' },
      { title: 'Lens fitting', at: '11:00', minutes: 60, of: 4, place: 'Bench hall' },
      { title: 'Parts run', at: '14:00', minutes: 45, of: 3 },
      { title: 'Dentist', at: '15:00', minutes: 60, of: 1, isPrivate: true },
    ],
    away: [{ day: 18, days: 2, title: 'Away' }],
  },
  {
    id: 'tomas',
    name: 'Tomas Reyl',
    kind: 'person',
    address: mail('tomas'),
    zone: HOME,
    workweek: week(9, 17, [shop, 'home', shop, shop, 'home']),
    ink: INKS.Moss,
    mark: 'drop',
    seeing: 'titles',
    groups: ['Accounts'],
    notes: '',
    habits: [
      { title: 'Invoices', at: '09:30', minutes: 60, of: 6 },
      { title: 'Bank call', at: '11:30', minutes: 30, of: 3 },
      { title: 'Ledger', at: '14:00', minutes: 90, of: 5 },
    ],
    away: [{ day: 3, days: 2, title: 'Away' }],
  },
  {
    id: 'junia',
    name: 'Junia Pace',
    kind: 'person',
    address: mail('junia'),
    zone: HOME,
    workweek: week(9, 17, [shop, shop, 'home', shop, '']),
    ink: INKS.Madder,
    mark: 'chevron',
    seeing: 'booked',
    temper: 'proposes',
    groups: ['Clients'],
    notes: 'Asks for an agenda first.',
    habits: [
      { title: 'Client visit', at: '10:00', minutes: 120, of: 4 },
      { title: 'Quotes', at: '13:30', minutes: 60, of: 5 },
      { title: 'Call round', at: '15:30', minutes: 45, of: 4, isTentative: true },
    ],
    away: [],
  },
  {
    id: 'oskar',
    name: 'Oskar Brandt',
    kind: 'person',
    address: mail('oskar'),
    zone: HOME,
    workweek: week(7, 15, [shop, shop, 'home', shop, 'home']),
    ink: INKS.Umber,
    mark: 'bar',
    seeing: 'titles',
    temper: 'late',
    groups: ['Workshop'],
    notes: '',
    habits: [
      { title: 'Loading', at: '07:00', minutes: 120, of: 7 },
      { title: 'Freight desk', at: '10:30', minutes: 60, of: 5 },
      { title: 'Crates', at: '13:00', minutes: 90, of: 4 },
    ],
    away: [],
  },
  {
    id: 'mei',
    name: 'Mei Lund',
    kind: 'person',
    address: mail('mei'),
    zone: HOME,
    workweek: week(9, 17, house),
    ink: INKS.Clay,
    mark: 'hexagon',
    seeing: 'all',
    temper: 'silent',
    lends: true,
    groups: ['Workshop'],
    notes: '',
    habits: [
      { title: 'Apprentice hour', at: '09:00', minutes: 60, of: 6, place: 'Bench 3' },
      { title: 'School day', at: '13:00', minutes: 180, of: 2, place: 'Harbour school' },
      { title: 'Polishing', at: '10:30', minutes: 75, of: 4, place: 'Bench 3' },
    ],
    away: [],
  },
  {
    id: 'nell',
    name: 'Nell Macrae',
    kind: 'person',
    address: 'nell@halifax-pilots.example',
    zone: 'America/Halifax',
    workweek: week(8, 16, ['office', 'office', 'office', 'office', 'office']),
    ink: INKS.Harbour,
    mark: 'triangle',
    seeing: 'booked',
    temper: 'late',
    groups: ['Partners'],
    notes: 'Halifax pilots. Four hours behind us.',
    habits: [
      { title: 'Pilot board', at: '09:00', minutes: 60, of: 6 },
      { title: 'Harbour round', at: '13:00', minutes: 120, of: 3 },
    ],
    away: [],
  },
  {
    id: 'hayashi',
    name: 'Haruto Hayashi',
    kind: 'person',
    address: 'hayashi@osaka-lenses.example',
    zone: 'Asia/Tokyo',
    workweek: week(9, 19, ['office', 'office', 'office', 'office', 'office']),
    ink: INKS.Damson,
    mark: 'diamond',
    seeing: 'booked',
    groups: ['Partners'],
    notes: 'Lens orders. His evening is our morning.',
    habits: [
      { title: 'Furnace', at: '10:00', minutes: 120, of: 5 },
      { title: 'Orders', at: '15:00', minutes: 60, of: 4 },
    ],
    away: [],
  },
  {
    id: 'net-loft',
    name: 'Net Loft',
    kind: 'room',
    address: mail('net-loft'),
    zone: HOME,
    workweek: always,
    ink: INKS.Pewter,
    mark: 'square',
    seeing: 'titles',
    groups: [],
    notes: 'Eight seats, a screen.',
    habits: [
      { title: 'Guild meeting', at: '10:00', minutes: 90, of: 2 },
      { title: 'Training', at: '14:00', minutes: 120, of: 3 },
    ],
    away: [],
  },
  {
    id: 'small-office',
    name: 'Small office',
    kind: 'room',
    address: mail('small-office'),
    zone: HOME,
    workweek: always,
    ink: INKS.Kelp,
    mark: 'square',
    seeing: 'booked',
    groups: [],
    notes: 'Three seats.',
    habits: [{ title: 'Calls', at: '09:30', minutes: 60, of: 5 }],
    away: [],
  },
  {
    id: 'van',
    name: 'Quay van',
    kind: 'thing',
    address: mail('van'),
    zone: HOME,
    workweek: always,
    ink: INKS.Fjord,
    mark: 'cross',
    seeing: 'titles',
    groups: [],
    notes: '',
    habits: [
      { title: 'Delivery', at: '08:00', minutes: 150, of: 5 },
      { title: 'Ferry', at: '14:30', minutes: 90, of: 3 },
    ],
    away: [{ day: 8, days: 1, title: 'Garage' }],
  },
  {
    id: 'piers',
    name: 'Piers Quill',
    kind: 'person',
    address: 'piers@quill-books.example',
    zone: HOME,
    workweek: week(10, 16, ['office', 'office', 'office', 'office', '']),
    ink: INKS.Ochre,
    mark: 'chevron',
    seeing: 'booked',
    groups: [],
    habits: [{ title: 'Clients', at: '10:30', minutes: 150, of: 6 }],
    away: [],
  },
  {
    id: 'wren',
    name: 'Wren Amble',
    kind: 'person',
    address: 'wren@pilot-station.example',
    zone: HOME,
    workweek: week(6, 14, ['office', 'office', 'office', 'office', 'office', 'office', 'office']),
    ink: INKS.Brick,
    mark: 'drop',
    seeing: 'titles',
    temper: 'passes',
    groups: [],
    habits: [{ title: 'Watch', at: '06:00', minutes: 240, of: 6 }],
    away: [],
  },
];

/** Where the stand-in office tells a member's time. */
export const officeAddress = (id: string) => `/office/${id}.ics`;

/** A member as one who works with them knows them. */
const personOf = (member: Member, order: number): Person =>
  newPerson({
    id: member.id,
    name: member.name,
    kind: member.kind,
    address: member.address,
    zone: member.zone,
    ink: member.ink,
    mark: member.mark,
    workweek: member.workweek,
    groups: member.groups,
    notes: member.notes ?? '',
    calendarAddress: officeAddress(member.id),
    order,
  });

/** The people that the demo begins with. */
export const PEOPLE: readonly Person[] = OFFICE.filter(({ notes }) => notes !== undefined).map(
  personOf,
);
