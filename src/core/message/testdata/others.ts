/** Sentences written on Tuesday 24 November 2026, 09:12, in Saltmarsh, with what they ask for, as in `messages.ts`. */
export const OTHERS: [text: string, ...expected: string[]][] = [
  [
    'The exam will be held from 09:00 until 12:00 on Saturday, 12 December 2026.',
    'E 2026-12-12T09:00/2026-12-12T12:00',
  ],
  [
    'The call has been rescheduled to Thursday, November 26 at 11:00 AM EST.',
    'E 2026-11-26T11:00@America/New_York',
  ],
  ['Due to fog the 06:40 ferry tomorrow will leave at 08:10.', 'E 2026-11-25T06:40?'],
  [
    'Doors open at 19:00, the talk starts 19:30 on Friday 11 December at Salt Hall.',
    'E 2026-12-11T19:00?',
    'E 2026-12-11T19:30',
  ],
  ['Please call me back on 01632 960 200 after 3pm today.', 'E 2026-11-24T15:00?'],
  ['The deadline has been extended to 15 January 2027.', 'T 2027-01-15'],
  ['Our shop opens 9-5 Monday to Friday.'],
  ['When: Tomorrow, 3 PM\nWhere: https://rooms.example/abc', 'E 2026-11-25T15:00'],
  ['Date: 12/1/2026\nTime: 10am', 'E 2026-12-01T10:00?'],
  ['Tuesday 1st December 2026 from 10am to noon', 'E 2026-12-01T10:00/2026-12-01T12:00'],
  ['Can you please check the lamps until tomorrow evening?', 'T 2026-11-25T18:00?'],
  [
    'Your parcel will be delivered tomorrow between 12:15 and 13:15.',
    'E 2026-11-25T12:15/2026-11-25T13:15',
  ],
  [
    'Please answer by 30 November for the supper on 4 December at 18:30.',
    'T 2026-11-30',
    'E 2026-12-04T18:30',
  ],
  ['Let’s speak on Friday the 27th, say 10ish?', 'E 2026-11-27?'],
  ['Tide gate closed 26/11/2026 22:00 - 27/11/2026 04:00.', 'E 2026-11-26T22:00/2026-11-27T04:00'],
  [
    'Board call Thursday, 3 Dec, 9-10 a.m. Halifax / 1-2 p.m. Saltmarsh',
    'E 2026-12-03T09:00/2026-12-03T10:00@America/Halifax',
  ],
  ['Tomás and I will visit you on the 10th at a quarter to nine.', 'E 2026-12-10T08:45'],
  ['The samples came on Monday. Let us look at them on Wednesday at 11.', 'E 2026-11-25T11:00'],
  ['Can we postpone until Monday 10:00?', 'E 2026-11-30T10:00'],
  ['Sorry for the late notice: today 17:00 instead of 16:00.', 'E 2026-11-24T17:00'],
  [
    'Let me know if Dec 3 at 2 works. Otherwise Dec 4 at 9:30.',
    'E 2026-12-03T14:00',
    'E 2026-12-04T09:30',
  ],
  ['Not before 1 January, please.'],
  ['I can’t do Tuesday, but Wednesday at 4 is fine.', 'E 2026-11-25T16:00'],
  [
    'It was good to see you on 20 November. Next time: 8 January 2027, 10:00.',
    'E 2027-01-08T10:00',
  ],
  ['It takes 2 to 3 weeks and costs £14.30.'],
];
