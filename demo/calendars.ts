import type { Calendar } from '@/core/model/calendar';
import { newCalendar } from '@/core/model/calendar';
import { INKS } from '@/core/model/inks';
import type { Category } from '@/core/model/others';

/** The calendars of Lantern Quay Instruments' office coordinator. */
export const CALENDARS: Calendar[] = [
  newCalendar({ id: 'workshop', name: 'Workshop', ink: INKS.Kelp, mark: 'square', order: 0 }),
  newCalendar({
    id: 'clients',
    name: 'Clients',
    ink: INKS.Harbour,
    mark: 'circle',
    order: 1,
    defaultReminders: [{ minutes: -15, from: 'start' }],
    remindsOf: 'booked',
  }),
  newCalendar({ id: 'accounts', name: 'Accounts', ink: INKS.Ochre, mark: 'triangle', order: 2 }),
  newCalendar({ id: 'training', name: 'Training', ink: INKS.Damson, mark: 'diamond', order: 3 }),
  newCalendar({
    id: 'leave',
    name: 'Leave',
    ink: INKS.Brick,
    mark: 'hexagon',
    order: 4,
    defaultAvailability: 'away',
    // The day before, at 17:00.
    defaultWholeDayReminders: [{ minutes: -7 * 60, from: 'start' }],
  }),
  // Its ink is hard to tell from Workshop's: one of the things to tidy.
  newCalendar({ id: 'apprentices', name: 'Apprentices', ink: INKS.Fjord, mark: 'ring', order: 5 }),
  newCalendar({
    id: 'closures',
    name: 'Quay closures',
    description: 'When the quay office and its gates are shut',
    ink: INKS.Pewter,
    mark: 'cross',
    order: 6,
    kind: 'followed',
    isClosures: true,
    source: '/feeds/quay-closures.ics',
  }),
];

/** What the coordinator's events are about, across calendars, with words of titles that tell. */
export const CATEGORIES: { category: Category; words: RegExp }[] = [
  {
    category: { id: 'lamps', name: 'Lamps', ink: INKS.Ochre, order: 0 },
    words: /lamp|lens|wick|burner/i,
  },
  {
    category: { id: 'barometers', name: 'Barometers', ink: INKS.Gentian, order: 1 },
    words: /baromet|gauge|aneroid|mercury/i,
  },
  {
    category: { id: 'freight', name: 'Freight', ink: INKS.Harbour, order: 2 },
    words: /freight|crate|ferry|parcel|customs/i,
  },
  {
    category: { id: 'money', name: 'Money', ink: INKS.Moss, order: 3 },
    words: /invoice|cash|payroll|ledger|vat|bank|quote/i,
  },
  // Two to tidy: one that is spelled in two ways, and one that nothing has.
  {
    category: { id: 'baromters', name: 'Baromters', ink: INKS.Damson, order: 4 },
    words: /^capsule order$/i,
  },
  {
    category: { id: 'regatta', name: 'Regatta', ink: INKS.Clay, order: 5 },
    words: /^regatta$/i,
  },
];
