import { demoFile } from './files';
import type { SingleSpec } from './singles';

/** What a year leaves behind, so that each check of Tidy has something to find. Away from the weeks around now. */
export const MESS: SingleSpec[] = [
  // A time in the title of a whole day.
  { title: '10:30 crate visit', calendar: 'clients', day: -38 },
  { title: 'Museum van at 2.15 pm', calendar: 'clients', day: 52 },
  // A place in the title, and links in the notes.
  {
    title: 'Wick talk at Harbour school',
    calendar: 'training',
    day: -33,
    at: '11:00',
    minutes: 60,
  },
  {
    title: 'Supplier terms, second round',
    calendar: 'accounts',
    day: 53,
    at: '13:30',
    minutes: 30,
    more: {
      notes: 'Join at https://rooms.example/brassworks\nBring the old terms.',
      attachments: [demoFile('demo.terms', 'Lens terms.txt')],
    },
  },
  // Typed by London's clock, and meant by Osaka's.
  { title: 'Lens freight call', calendar: 'clients', day: 54, at: '02:00', minutes: 45 },
  // No length.
  { title: 'Pick up gaskets', calendar: 'workshop', day: -31, at: '09:15', minutes: 0 },
  // Information that takes the whole day.
  { title: 'Mei’s birthday', calendar: 'workshop', day: -47 },
  { title: 'Oskar on leave', calendar: 'training', day: -61, days: 3 },
  // Reminders of what is over.
  {
    title: 'Rope delivery',
    calendar: 'workshop',
    day: -26,
    at: '08:45',
    minutes: 15,
    more: {
      reminders: [{ minutes: -10, from: 'start' }],
      attachments: [demoFile('demo.termsAgain', 'Lens terms.txt')],
    },
  },
  // Private, and shown to whoever sees the calendar.
  { title: 'Dentist', calendar: 'workshop', day: -19, at: '16:15', minutes: 45 },
  // With a category that is spelled otherwise.
  { title: 'Capsule order', calendar: 'workshop', day: -40, at: '11:15', minutes: 20 },
];
