import { newEvent } from '../../model/event';
import { guestsOfOld } from '../../model/guestsOfOld';
import { readCalendarFile } from './readFile';
import { writeCalendarFile } from './writeFile';

const WHEN = ['DTSTART:20261125T090000Z', 'DTEND:20261125T100000Z'];
const ORGANIZER =
  'ORGANIZER;CN=Ida Solberg;SENT-BY="mailto:desk@quay.example":mailto:ida@quay.example';
const GUESTS = [
  'ATTENDEE;CN=Tomas Reyl;ROLE=OPT-PARTICIPANT;PARTSTAT=TENTATIVE;RSVP=TRUE:mailto:tomas@quay.example',
  'ATTENDEE;CUTYPE=ROOM;CN=Net Loft;SCHEDULE-AGENT=CLIENT;SCHEDULE-STATUS=1.2:mailto:loft@quay.example',
  'ATTENDEE;PARTSTAT=DELEGATED;DELEGATED-TO="mailto:mei@quay.example":mailto:oskar@quay.example',
  'ATTENDEE;ROLE=X-GUEST;PARTSTAT=X-LATER:urn:uuid:4f2c',
  'ATTENDEE;CN=Nobody known:invalid:nomail',
];

const file = (lines: readonly string[], more: readonly string[] = []) =>
  [
    'BEGIN:VCALENDAR',
    'BEGIN:VEVENT',
    'UID:a',
    'DTSTAMP:20261101T000000Z',
    ...WHEN,
    ...lines,
    'END:VEVENT',
    ...more,
    'END:VCALENDAR',
    '',
  ].join('\r\n');

function read(text: string) {
  const reader = readCalendarFile(text, 1);
  for (;;) {
    const step = reader.next();
    if (step.done) return step.value.events[0]!;
  }
}

const written = (draft: ReturnType<typeof read>) =>
  writeCalendarFile({
    name: '',
    events: [{ ...draft, id: 'a', calendarId: 'c' }],
    tasks: [],
    passthrough: [],
    now: 1,
  })
    .replaceAll('\r\n ', '')
    .split('\r\n');

test('guests and who asked are fields, and go out as they came in', () => {
  const draft = read(file([ORGANIZER, ...GUESTS]));
  expect(draft.organizer).toMatchObject({ name: 'Ida Solberg', address: 'ida@quay.example' });
  expect(
    draft.attendees.map(({ name, address, role, answer }) => [name, address, role, answer]),
  ).toEqual([
    ['Tomas Reyl', 'tomas@quay.example', 'optional', 'tentative'],
    ['Net Loft', 'loft@quay.example', 'required', 'none'],
    ['', 'oskar@quay.example', 'required', 'delegated'],
    ['', 'urn:uuid:4f2c', 'required', 'none'],
    ['Nobody known', '', 'required', 'none'],
  ]);
  expect(draft.passthrough).toBeUndefined();
  expect(written(draft)).toEqual(expect.arrayContaining([ORGANIZER, ...GUESTS]));
});

test('what is changed of a guest is written, and all else of theirs stays', () => {
  const draft = read(file(GUESTS.slice(0, 2)));
  const [tomas, loft] = draft.attendees;
  const lines = written({
    ...draft,
    attendees: [
      { ...tomas!, answer: 'accepted', role: 'required' },
      { ...loft!, name: 'Loft' },
    ],
  });
  expect(lines).toContain(
    'ATTENDEE;CN=Tomas Reyl;ROLE=REQ-PARTICIPANT;PARTSTAT=ACCEPTED;RSVP=TRUE:mailto:tomas@quay.example',
  );
  expect(lines).toContain(GUESTS[1]!.replace('CN=Net Loft', 'CN=Loft'));
});

test('a date of a series has its own guests', () => {
  const date = [
    'BEGIN:VEVENT',
    'UID:a',
    'DTSTAMP:20261101T000000Z',
    'RECURRENCE-ID:20261126T090000Z',
    'DTSTART:20261126T090000Z',
    'DTEND:20261126T100000Z',
    GUESTS[1]!,
    'END:VEVENT',
  ];
  const draft = read(file(['RRULE:FREQ=DAILY;COUNT=3', ...GUESTS.slice(0, 2)], date));
  const change = draft.changedDates['2026-11-26T09:00:00']!;
  expect(change.attendees?.map(({ name }) => name)).toEqual(['Net Loft']);
  expect(written(draft).filter((line) => line.startsWith('ATTENDEE'))).toEqual([
    ...GUESTS.slice(0, 2),
    GUESTS[1],
  ]);
});

test('guests that passed through before become fields, of dates too', () => {
  const { events } = { events: [read(file([ORGANIZER, ...GUESTS]))] };
  const [now] = events;
  const as = (line: string) => {
    const { attendees, organizer } = read(file([line]));
    const [one] = organizer ? [organizer] : attendees;
    const name = organizer ? 'organizer' : 'attendee';
    const address = one!.address;
    const uri =
      address === '' ? 'invalid:nomail' : address.includes(':') ? address : `mailto:${address}`;
    return [name, one!.parameters ?? {}, 'cal-address', uri];
  };
  const other = ['comment', {}, 'text', 'Stays'];
  const event = newEvent({ id: 'a', calendarId: 'c', start: now!.start, end: now!.end }, 1);
  const old = {
    ...event,
    passthrough: { properties: [as(ORGANIZER), other, ...GUESTS.map(as)], components: [] },
    changedDates: {
      '2026-11-26': { passthrough: { properties: [as(GUESTS[0]!)], components: [] } },
      '2026-11-27': { title: 'Other' },
    },
  };
  expect(guestsOfOld(old)).toEqual({
    ...event,
    attendees: now!.attendees,
    organizer: now!.organizer,
    passthrough: { properties: [other], components: [] },
    changedDates: {
      '2026-11-26': {
        attendees: now!.attendees.slice(0, 1),
        passthrough: { properties: [], components: [] },
      },
      '2026-11-27': { title: 'Other' },
    },
  });
  expect(guestsOfOld({ title: 'None' })).toEqual({ title: 'None' });
});
