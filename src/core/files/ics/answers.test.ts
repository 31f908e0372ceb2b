import fc from 'fast-check';
import type { CalendarEvent } from '../../model/event';
import { newEvent } from '../../model/event';
import { planImport } from './plan';
import { readCalendarFile } from './readFile';

const zoned = (local: string) => ({ kind: 'zoned', local, zone: 'Europe/London' }) as const;
const guest = (name: string) => ({
  name,
  address: `${name}@quay.example`,
  role: 'required' as const,
  answer: 'none' as const,
  parameters: { rsvp: 'TRUE' },
});
const meeting = (fields: Partial<CalendarEvent> = {}) =>
  newEvent(
    {
      id: 'm',
      uid: 'meeting',
      calendarId: 'work',
      title: 'Lens order',
      notes: 'Mine',
      start: zoned('2026-11-26T09:00:00'),
      end: zoned('2026-11-26T10:00:00'),
      attendees: [guest('ida'), guest('tomas')],
      revision: 7,
      ...fields,
    },
    1,
  );

interface Reply {
  who: string;
  answer: string;
  /** Seconds of its minute at which it was given. */
  at: number;
  uid?: string;
  date?: string;
  comment?: string;
  method?: string;
}
const reply = ({ who, answer, at, uid = 'meeting', date, comment, method = 'REPLY' }: Reply) =>
  [
    'BEGIN:VCALENDAR',
    `METHOD:${method}`,
    'BEGIN:VEVENT',
    `UID:${uid}`,
    `DTSTAMP:20261124T1000${String(at).padStart(2, '0')}Z`,
    'SEQUENCE:2',
    'SUMMARY:Lens order',
    'DTSTART:20261126T090000Z',
    'DTEND:20261126T100000Z',
    ...(date ? [`RECURRENCE-ID:${date}`] : []),
    ...(comment ? [`COMMENT:${comment}`] : []),
    `ATTENDEE;PARTSTAT=${answer}:MAILTO:${who.toUpperCase()}@quay.example`,
    'END:VEVENT',
    'END:VCALENDAR',
    '',
  ].join('\r\n');

function contentsOf(text: string) {
  const reader = readCalendarFile(text, 1);
  for (;;) {
    const step = reader.next();
    if (step.done) return step.value;
  }
}
const plan = (one: Reply, event: CalendarEvent | null) =>
  planImport(
    contentsOf(reply(one)),
    'work',
    { eventsOf: (uid) => (event?.uid === uid ? [event] : []), taskOf: () => undefined },
    () => 'new',
  );
const after = (one: Reply, event: CalendarEvent) => plan(one, event).events[0]!.after;
const ida = { who: 'ida', answer: 'ACCEPTED', at: 10 };
const INSTANT = (at: number) => Date.UTC(2026, 10, 24, 10, 0, at);

test('an answer changes what its guest answered, and nothing else of the event', () => {
  const event = meeting();
  const { events, counts } = plan({ ...ida, comment: 'With pleasure' }, event);
  expect(counts).toEqual({ new: 0, updated: 1, unchanged: 0, older: 0 });
  expect(events[0]!.after).toEqual({
    ...event,
    attendees: [
      { ...guest('ida'), answer: 'accepted', answeredAt: INSTANT(10), line: 'With pleasure' },
      guest('tomas'),
    ],
  });
});

test('an earlier answer, one told twice, and one of nobody who was asked bring nothing', () => {
  const event = after(ida, meeting());
  expect(after({ ...ida, answer: 'DECLINED', at: 9 }, event)).toBe(event);
  expect(after(ida, event)).toBe(event);
  expect(plan({ ...ida, who: 'stranger', at: 50 }, event).counts.unchanged).toBe(1);
});

test('an answer to what is not here is told, and makes no event', () => {
  const { events, notes } = plan({ ...ida, uid: 'other' }, meeting());
  expect(events).toEqual([]);
  expect(notes).toEqual(['IDA@quay.example answered “Lens order”, which is not here.']);
});

test('an answer to one date is that date’s alone', () => {
  const event = meeting({ rule: 'FREQ=DAILY;COUNT=3' });
  const { attendees, changedDates } = after({ ...ida, date: '20261127T090000Z' }, event);
  expect(attendees).toEqual(event.attendees);
  expect(changedDates['2026-11-27T09:00:00']?.attendees?.map(({ answer }) => answer)).toEqual([
    'accepted',
    'none',
  ]);
});

test('a proposal of another time is told of, and moves nothing', () => {
  const proposal = reply({ ...ida, method: 'COUNTER' });
  const { events, skipped, proposals } = contentsOf(proposal);
  expect(events).toEqual([]);
  expect(skipped.map(({ what }) => what)).toEqual([
    '“Lens order” proposes another time: open it under Invitations to look at that',
  ]);
  expect(proposals.map(({ draft }) => draft.uid)).toEqual(['meeting']);
});

test('answers end in the same state in whatever order they come, and however often', () => {
  const answers = fc.array(
    fc.record({
      who: fc.constantFrom('ida', 'tomas'),
      answer: fc.constantFrom('ACCEPTED', 'DECLINED', 'TENTATIVE', 'DELEGATED'),
      at: fc.integer({ min: 0, max: 5 }),
    }),
    { minLength: 1, maxLength: 8 },
  );
  const all = (replies: readonly Reply[]) =>
    replies.reduce((event, one) => after(one, event), meeting());
  fc.assert(
    fc.property(
      answers.chain((replies) =>
        fc.tuple(
          fc.constant(replies),
          fc.shuffledSubarray([...replies, ...replies], {
            minLength: 2 * replies.length,
            maxLength: 2 * replies.length,
          }),
        ),
      ),
      ([replies, shuffled]) => {
        expect(all(shuffled)).toEqual(all(replies));
      },
    ),
  );
});
