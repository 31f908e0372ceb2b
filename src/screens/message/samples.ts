import { DAY, formatDate } from '@/core/time/civil';
import type { DayNumber } from '@/core/time/units';

const dayNamed = (day: DayNumber) =>
  new Date(day * DAY).toLocaleDateString('en-GB', {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    timeZone: 'UTC',
  });

/** Made-up messages of the demo's world, written on `today`, to try how they are read. */
export const samples = (today: DayNumber): { name: string; text: string }[] => [
  {
    name: 'Two dates and a task',
    text: [
      'From: Greta Amble <g.amble@pilotstation.example>',
      `Date: ${formatDate(today)} 09:12`,
      'Subject: Glass and stand',
      '',
      'Dear all,',
      '',
      `we have set two dates: ${dayNamed(today + 7)} at 10:00 for the glass, and ${dayNamed(today + 9)} at 14:00 for the stand. Please send us the drawings by ${dayNamed(today + 3)}.`,
      '',
      'Kind regards',
      'Greta Amble',
      'Pilot Station, Mon-Fri 9:00-17:00',
    ].join('\n'),
  },
  {
    name: 'A call by another clock',
    text: [
      'From: Fiona MacRae <fiona@halifax-pilots.example>',
      `Date: ${formatDate(today)} 08:40`,
      'Subject: Pilot board',
      '',
      `The board can take your call at 3pm Halifax on ${dayNamed(today + 3)}: https://rooms.example/pilots`,
    ].join('\n'),
  },
  {
    name: 'An answer',
    text: [
      'From: Ida Solberg <ida@lanternquay.example>',
      `Date: ${formatDate(today)} 09:50`,
      'Subject: Re: Crates',
      '',
      '16:30 would be better.',
      '',
      `On ${formatDate(today - 1)} 16:05, Tomas Reyl wrote:`,
      `> Could we pack the crates on ${dayNamed(today + 2)} at 15:00?`,
    ].join('\n'),
  },
];
