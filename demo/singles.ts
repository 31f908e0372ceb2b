import type { CalendarEvent } from '@/core/model/event';

/** A single event of the demo; `day` counts from the Monday of this week. */
export interface SingleSpec {
  title: string;
  calendar: string;
  day: number;
  /** `HH:mm` and minutes; without them it lasts `days` whole days. */
  at?: string;
  minutes?: number;
  days?: number;
  zone?: string;
  more?: Partial<CalendarEvent>;
}

/** The weeks around now, written out. */
const NEAR: SingleSpec[] = [
  {
    title: 'Lamp 14 strip-down',
    calendar: 'workshop',
    day: 0,
    at: '13:00',
    minutes: 120,
    more: {
      place: 'Bench 2',
      notes: 'Port lamp of the *Grey Petrel*. Keep the wick holder; photograph each layer.',
    },
  },
  {
    title: 'Pilot station survey',
    calendar: 'clients',
    day: 1,
    at: '10:00',
    minutes: 60,
    more: {
      availability: 'tentative',
      place: 'Pilot station',
      notes:
        '## Before we go\n\n- Ask at the gate for **Mrs Amble**\n- [ ] Bring the long ladder\n- [x] Two lanterns\n\nThe stairs are steep: *no boxes*.',
      agenda: [
        { id: 'roof', text: 'Roof light and its wiring', minutes: 15, done: true },
        { id: 'glass', text: 'Cracks in the glass', minutes: 20, done: false },
        { id: 'stand', text: 'Stand for the new lantern', minutes: 15, done: false },
        { id: 'dates', text: 'When they can be without light', minutes: 10, done: false },
      ],
    },
  },
  { title: 'Quarter ledger review', calendar: 'accounts', day: 1, at: '10:30', minutes: 90 },
  {
    title: 'Barometer calibration',
    calendar: 'workshop',
    day: 1,
    at: '14:00',
    minutes: 145,
    more: {
      place: 'Pressure room',
      attendees: [
        {
          name: 'Ida Solberg',
          address: 'ida@lantern-quay.example',
          role: 'required',
          answer: 'accepted',
        },
        {
          name: 'Mei Lund',
          address: 'mei@lantern-quay.example',
          role: 'optional',
          answer: 'none',
        },
      ],
    },
  },
  { title: 'Invoice tool course', calendar: 'training', day: 2, at: '16:00', minutes: 60 },
  { title: 'Tomas away', calendar: 'leave', day: 3, days: 2, more: { availability: 'free' } },
  {
    title: 'Supplier terms',
    calendar: 'accounts',
    day: 3,
    at: '13:30',
    minutes: 30,
    more: { link: 'https://brassworks.example/terms', importance: 1 },
  },
  {
    title: 'Lens grinding slot',
    calendar: 'workshop',
    day: 3,
    at: '14:00',
    minutes: 180,
    more: { place: 'Grinding room' },
  },
  {
    title: 'Crate inspection',
    calendar: 'clients',
    day: 4,
    at: '11:00',
    minutes: 60,
    more: { place: 'Quay 3' },
  },
  {
    title: 'Lamp 14 reassembly',
    calendar: 'workshop',
    day: 7,
    at: '13:00',
    minutes: 180,
    more: { place: 'Bench 2' },
  },
  {
    title: 'Halifax: survey findings',
    calendar: 'clients',
    day: 8,
    at: '10:00',
    minutes: 60,
    zone: 'America/Halifax',
    more: { isQuiet: true },
  },
  {
    title: 'Lighthouse handover',
    calendar: 'clients',
    day: 9,
    at: '16:00',
    minutes: 60,
    more: {
      place: 'Saltmarsh light',
      importance: 1,
      travelBefore: 25,
      travelAfter: 25,
      reminders: [
        { minutes: 0, from: 'leave' },
        { minutes: -18 * 60, from: 'start', how: 'mail' },
      ],
    },
  },
  {
    title: 'Board papers due',
    calendar: 'accounts',
    day: 9,
    days: 1,
    more: { availability: 'free' },
  },
  { title: 'Ida away', calendar: 'leave', day: 14, days: 3, more: { availability: 'free' } },
  { title: 'Own leave', calendar: 'leave', day: 10, days: 2, more: { availability: 'away' } },
  { title: 'Winter closing', calendar: 'closures', day: 30, days: 6 },
  {
    title: 'Stocktake weekend',
    calendar: 'workshop',
    day: 12,
    at: '09:00',
    minutes: 1860,
    more: { place: 'Upper store' },
  },
  // An import that ran twice left these.
  { title: 'Gasket delivery', calendar: 'workshop', day: 2, at: '11:30', minutes: 30 },
  { title: 'Gasket delivery', calendar: 'workshop', day: 2, at: '11:30', minutes: 30 },
  { title: 'Gasket Delivery ', calendar: 'clients', day: 9, at: '11:30', minutes: 30 },
  { title: 'Gasket delivery', calendar: 'workshop', day: 9, at: '11:30', minutes: 30 },
  { title: '', calendar: 'clients', day: 10, at: '16:30', minutes: 30 },
  { title: '', calendar: 'workshop', day: -3, at: '09:30', minutes: 15 },
  { title: 'Tomas away', calendar: 'leave', day: 45, days: 5, more: { availability: 'free' } },
  { title: 'Junia away', calendar: 'leave', day: -18, days: 2, more: { availability: 'free' } },
  { title: 'Oskar away', calendar: 'leave', day: -54, days: 5, more: { availability: 'free' } },
];

/** What the rest of the eight months is made of, one after the other. */
const JOBS: Omit<SingleSpec, 'day'>[] = [
  {
    title: 'Binnacle glass fitting',
    calendar: 'workshop',
    at: '09:30',
    minutes: 150,
    more: { place: 'Bench 1' },
  },
  {
    title: 'Saltmarsh museum loan',
    calendar: 'clients',
    at: '11:00',
    minutes: 45,
    more: { place: 'Museum store' },
  },
  { title: 'Brass invoices', calendar: 'accounts', at: '14:00', minutes: 60 },
  {
    title: 'Fresnel alignment',
    calendar: 'workshop',
    at: '10:00',
    minutes: 240,
    more: { place: 'Lamp tower' },
  },
  { title: 'Client call: Marrow & Sons', calendar: 'clients', at: '15:30', minutes: 30 },
  {
    title: 'First aid refresher',
    calendar: 'training',
    at: '09:00',
    minutes: 180,
    more: { place: 'Harbour school' },
  },
  {
    title: 'Aneroid capsule test',
    calendar: 'workshop',
    at: '13:30',
    minutes: 120,
    more: { place: 'Pressure room' },
  },
  {
    title: 'Quote: pier lights',
    calendar: 'clients',
    at: '16:00',
    minutes: 45,
    more: { availability: 'tentative' },
  },
  { title: 'Tax folder', calendar: 'accounts', at: '11:00', minutes: 90 },
  {
    title: 'Lamp collection',
    calendar: 'workshop',
    at: '08:45',
    minutes: 75,
    more: { place: 'Ferry steps' },
  },
  {
    title: 'Interview: bench hand',
    calendar: 'apprentices',
    at: '14:30',
    minutes: 60,
    more: { visibility: 'private' },
  },
  {
    title: 'Chandlery visit',
    calendar: 'clients',
    at: '10:15',
    minutes: 105,
    more: { place: 'Chandlers’ row' },
  },
  { title: 'Wick cutting class', calendar: 'training', at: '13:00', minutes: 120 },
];

/** Weekdays (0 = Monday) on which the jobs of a week fall. */
const PATTERN = [0, 1, 1, 2, 3, 3, 4];

function filling(): SingleSpec[] {
  const specs: SingleSpec[] = [];
  for (let week = -17; week <= 17; week++) {
    if (week === 0) continue;
    PATTERN.slice(0, 4 + (Math.abs(week * 5) % 3)).forEach((weekday, i) => {
      const job = JOBS[Math.abs(week * 3 + i * 4) % JOBS.length]!;
      specs.push({ ...job, day: week * 7 + weekday });
    });
  }
  return specs;
}

export const SINGLES: SingleSpec[] = [...NEAR, ...filling()];
