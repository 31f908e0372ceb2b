import fc from 'fast-check';
import { writeCalendarFile } from '../files/ics/writeFile';
import type { CalendarEvent, ChangedDate } from '../model/event';
import { newEvent } from '../model/event';
import { seenFields } from './seeing';

const zoned = (local: string) => ({ kind: 'zoned', local, zone: 'Europe/London' }) as const;
/** A word that nothing else of a file holds. */
const secret = (name: string) => `Zq${name}`;

/** What of an event, or of a date of it, holds words; each word is told from all others. */
const wordsOf = (mark: string) =>
  ({
    title: secret(`title${mark}`),
    place: secret(`place${mark}`),
    notes: secret(`notes${mark}`),
    link: `https://quay.example/${secret(`link${mark}`)}`,
    room: `https://quay.example/${secret(`room${mark}`)}`,
    agenda: [{ id: 'p', text: secret(`point${mark}`), minutes: 0, done: false }],
    attendees: [
      { name: secret(`guest${mark}`), address: '', role: 'required' as const, answer: 'none' },
    ],
    passthrough: {
      properties: [['comment', {}, 'text', secret(`comment${mark}`)]],
      components: [],
    },
  }) satisfies ChangedDate;

const visibility = fc.constantFrom('public', 'private');
const event = fc
  .record({
    own: visibility,
    date: fc.option(visibility, { nil: undefined }),
    availability: fc.constantFrom('busy', 'tentative', 'away', 'free'),
  })
  .map(({ own, date, availability }): CalendarEvent =>
    newEvent(
      {
        id: 'e',
        calendarId: 'c',
        ...wordsOf('Own'),
        start: zoned('2026-11-24T09:00:00'),
        end: zoned('2026-11-24T10:00:00'),
        rule: 'FREQ=DAILY;COUNT=4',
        availability,
        visibility: own,
        categoryIds: ['k'],
        attachments: [{ id: 'f', name: secret('file'), mediaType: 'text/plain', bytes: 3 }],
        organizer: { name: secret('organizer'), address: '' },
        changedDates: {
          '2026-11-25T09:00:00': { ...wordsOf('Date'), ...(date && { visibility: date }) },
          '2026-11-26T09:00:00': { availability: 'free' },
        },
      },
      1,
    ),
  );

const written = (one: CalendarEvent, seeing: 'titles' | 'all') =>
  writeCalendarFile({
    name: '',
    events: [newEvent(seenFields(one, seeing), 1)],
    tasks: [],
    passthrough: [],
    categories: new Map([['k', secret('category')]]),
    now: 1,
  }).replaceAll('\r\n ', '');

test('no word of what is private goes out, and of the rest only what its level names', () => {
  fc.assert(
    fc.property(event, fc.constantFrom('titles' as const, 'all' as const), (one, seeing) => {
      const text = written(one, seeing);
      const date = one.changedDates['2026-11-25T09:00:00']!;
      const open = [
        ...(one.visibility === 'public' ? ['Own'] : []),
        ...((date.visibility ?? one.visibility) === 'public' ? ['Date'] : []),
      ];
      const may = open.flatMap((mark) => [
        secret(`title${mark}`),
        // Of a date that is open in a series that is not, only the title is told.
        ...(seeing === 'all' && one.visibility === 'public'
          ? ['place', 'notes', 'link'].map((field) => secret(`${field}${mark}`))
          : []),
      ]);
      expect([...new Set(text.match(/Zq\w+/g))].sort()).toEqual([...may].sort());
      // When it is, and how it stands, is what others are told for.
      expect(text).toContain('RRULE:FREQ=DAILY;COUNT=4');
    }),
  );
});
