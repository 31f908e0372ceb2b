import type { CalendarEvent } from '@/core/model/event';
import type { AgendaPoint } from '@/core/model/eventFields';

/** A series of the demo; `day` counts from the Monday of this week. */
export interface SeriesSpec {
  title: string;
  calendar: string;
  day: number;
  /** `HH:mm` and minutes; none for whole days. */
  at?: string;
  minutes?: number;
  rule: string;
  zone?: string;
  /** Days (counted like `day`) that are skipped. */
  skip?: number[];
  /** Days moved to another time. */
  moved?: { day: number; at: string; title?: string }[];
  /** What stands on the pages of single days. */
  pages?: { day: number; agenda: AgendaPoint[]; notes?: string }[];
  more?: Partial<CalendarEvent>;
  /** Whether nothing about it was changed for years. */
  isOld?: boolean;
}

const tentative = { availability: 'tentative' } as const;
const free = { availability: 'free' } as const;

export const SERIES: SeriesSpec[] = [
  {
    title: 'Bench round',
    calendar: 'workshop',
    day: -112,
    at: '08:30',
    minutes: 30,
    rule: 'FREQ=WEEKLY;BYDAY=MO,TU,TH,FR',
    moved: [{ day: 3, at: '09:00' }],
    more: { place: 'Bench hall' },
  },
  {
    title: 'Osaka call: lens order',
    calendar: 'clients',
    day: -105,
    at: '18:45',
    minutes: 45,
    rule: 'FREQ=WEEKLY;BYDAY=MO',
    zone: 'Asia/Tokyo',
    more: { place: 'Small office', notes: 'Mr Hayashi’s team. Agree crate sizes first.' },
  },
  {
    title: 'Lisbon: crate handover',
    calendar: 'clients',
    day: -103,
    at: '11:00',
    minutes: 90,
    rule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=WE',
    zone: 'Europe/Lisbon',
    more: { place: 'Loading door' },
  },
  {
    title: 'Halifax pilot board',
    calendar: 'clients',
    day: -109,
    at: '10:00',
    minutes: 60,
    rule: 'FREQ=MONTHLY;BYDAY=2TH',
    zone: 'America/Halifax',
    more: { ...tentative },
  },
  {
    title: 'Stock count',
    calendar: 'workshop',
    day: -110,
    at: '15:00',
    minutes: 30,
    rule: 'FREQ=WEEKLY;BYDAY=WE',
    skip: [-47, 30],
  },
  {
    title: 'Petty cash',
    calendar: 'accounts',
    day: -112,
    at: '11:30',
    minutes: 30,
    rule: 'FREQ=WEEKLY;BYDAY=MO',
    more: free,
  },
  {
    title: 'Payroll check',
    calendar: 'accounts',
    day: -108,
    at: '09:00',
    minutes: 30,
    rule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=FR',
  },
  {
    title: 'Freight quotes',
    calendar: 'accounts',
    day: -110,
    at: '09:00',
    minutes: 60,
    rule: 'FREQ=WEEKLY;BYDAY=WE',
  },
  {
    title: 'Week close-out',
    calendar: 'workshop',
    day: -108,
    at: '16:00',
    minutes: 45,
    rule: 'FREQ=WEEKLY;BYDAY=FR',
    pages: [
      {
        day: -3,
        agenda: [
          { id: 'left', text: 'What left the bench', minutes: 15, done: true },
          { id: 'labels', text: 'Labels that fell off in the rain', minutes: 10, done: false },
          { id: 'key', text: 'Who has the gate key', minutes: 5, done: false },
        ],
        notes:
          '## Agreed\n\n- Tomas takes the **wet** box home\n- [ ] Ask for dry straw\n- [x] Lock the upper store',
      },
      {
        day: 4,
        agenda: [
          { id: 'benches', text: 'Who sits where next week', minutes: 15, done: false },
          { id: 'days', text: 'Days between the years', minutes: 10, done: false },
        ],
      },
    ],
    more: { place: 'Bench hall' },
  },
  {
    title: 'Ledger close',
    calendar: 'accounts',
    day: -90,
    at: '14:00',
    minutes: 120,
    rule: 'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1',
  },
  {
    title: 'Solder safety',
    calendar: 'training',
    day: -98,
    at: '15:00',
    minutes: 60,
    rule: 'FREQ=WEEKLY;BYDAY=MO;COUNT=18',
    more: { ...tentative, place: 'Upper store' },
  },
  {
    title: 'Barometer practice',
    calendar: 'training',
    day: -82,
    at: '10:30',
    minutes: 90,
    rule: 'FREQ=MONTHLY;BYDAY=1TH,3TH',
  },
  {
    title: 'Apprentice hour',
    calendar: 'apprentices',
    day: -111,
    at: '13:00',
    minutes: 60,
    rule: 'FREQ=WEEKLY;BYDAY=TU',
  },
  {
    title: 'Apprentice diary',
    calendar: 'apprentices',
    day: -108,
    at: '15:00',
    minutes: 30,
    rule: 'FREQ=WEEKLY;BYDAY=FR',
    more: free,
  },
  {
    title: 'Open workshop',
    calendar: 'workshop',
    day: -107,
    at: '10:00',
    minutes: 120,
    rule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=SA',
    more: { ...free, place: 'Front door' },
  },
  {
    title: 'Kiln firing',
    calendar: 'workshop',
    day: -95,
    at: '07:30',
    minutes: 45,
    rule: 'FREQ=MONTHLY;BYMONTHDAY=4,18',
  },
  {
    title: 'Fire door test',
    calendar: 'workshop',
    day: -112,
    at: '17:15',
    minutes: 15,
    rule: 'FREQ=MONTHLY;BYDAY=1MO',
  },
  {
    title: 'Insurance review',
    calendar: 'accounts',
    day: -70,
    at: '14:30',
    minutes: 60,
    rule: 'FREQ=MONTHLY;INTERVAL=3;BYDAY=2TU',
  },
  {
    title: 'Harbour board visit',
    calendar: 'clients',
    day: -109,
    at: '09:00',
    minutes: 180,
    rule: 'FREQ=WEEKLY;INTERVAL=4;BYDAY=TH',
    more: { place: 'Pilot station' },
  },
  {
    title: 'Tea with Mei',
    calendar: 'workshop',
    day: -108,
    at: '12:30',
    minutes: 30,
    rule: 'FREQ=WEEKLY;BYDAY=FR',
    more: { ...free, visibility: 'private' },
  },
  { title: 'Founders’ day', calendar: 'closures', day: 17, rule: 'FREQ=YEARLY' },
  { title: 'Quay closed', calendar: 'closures', day: -106, rule: 'FREQ=WEEKLY;BYDAY=SU' },
  {
    title: 'Rent due',
    calendar: 'accounts',
    day: -111,
    rule: 'FREQ=MONTHLY;BYMONTHDAY=1',
    more: free,
  },
  {
    title: 'Night watch rota',
    calendar: 'workshop',
    day: -101,
    at: '22:00',
    minutes: 480,
    rule: 'FREQ=WEEKLY;INTERVAL=3;BYDAY=FR',
    more: tentative,
  },
  // Nobody has come to this for years: an unending series to tidy.
  {
    title: 'Oil lamp circle',
    calendar: 'training',
    day: -1456,
    at: '17:30',
    minutes: 60,
    rule: 'FREQ=WEEKLY;BYDAY=TH',
    more: free,
    isOld: true,
  },
];
