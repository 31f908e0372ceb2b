import { TUESDAY } from '../jot/testing/context';
import { newEvent } from '../model/event';
import { formatLocal } from '../time/civil';
import { readMessage } from './candidates';
import { arrivalOn, journeyZones, withArrival } from './journeys';
import { textMessage } from './message';

const READER = { ...TUESDAY, now: Date.parse('2026-11-24T10:25:00Z'), zone: 'Europe/London' };
const read = (text: string) => readMessage(textMessage(text), READER).candidates;

test.each([
  ['Flight on 3 Dec dep London 9:10 arr Halifax 12:05', 'Europe/London', 'America/Halifax', false],
  ['It departs at 9:10 and arrives in Osaka at 7:30', null, 'Asia/Tokyo', false],
  ['dep 9:10 (London), arr 12:05 (Halifax)', 'Europe/London', 'America/Halifax', false],
  ['Flight to Halifax, dep 9:10, arr 12:05', null, 'America/Halifax', true],
  ['from Osaka to London, dep 11:00, arr 15:30', 'Asia/Tokyo', 'Europe/London', true],
])('“%s” leaves and arrives by its own clocks', (sentence, from, to, isGuess) =>
  expect(journeyZones(sentence)).toEqual({ from, to, isGuess }),
);

test.each(['Train dep 7:12 arr 8:55', 'We meet in Osaka at 9', 'arr 8:55 at Harbour Road'])(
  '“%s” names no other clock',
  (sentence) => expect(journeyZones(sentence)).toBeNull(),
);

test('a journey is one event, over as long as it really takes', () => {
  const [flight, another] = read('Your flight on 3 Dec: dep London 9:10, arr Halifax 12:05.');
  expect([flight!.title, another]).toEqual(['Flight', undefined]);
  expect([flight!.start, flight!.end].map(formatLocal)).toEqual([
    ...['2026-12-03T09:10:00', '2026-12-03T16:05:00'],
  ]);
  expect([flight!.zone, flight!.endZone]).toEqual([null, 'America/Halifax']);
  const [back] = read('Flight on 9 Dec, dep Halifax 21:40, arr London 7:20.');
  expect([back!.zone, back!.endZone, formatLocal(back!.end)]).toEqual([
    ...['America/Halifax', 'Europe/London', '2026-12-10T03:20:00'],
  ]);
});

test('who flies west arrives on the same day, who flies east maybe on the next', () => {
  const wall = (text: string) => Date.parse(`${text}Z`);
  const at = (zone: string, text: string) => ({ zone, wall: wall(text) });
  const arrival = (from: [string, string], to: [string, string]) =>
    formatLocal(arrivalOn(at(...from), at(...to)));
  expect(
    arrival(['Asia/Tokyo', '2026-12-03T11:00:00'], ['Europe/London', '2026-12-03T15:30:00']),
  ).toBe('2026-12-04T00:30:00');
  expect(
    arrival(['Europe/London', '2026-12-03T13:00:00'], ['Asia/Tokyo', '2026-12-03T10:00:00']),
  ).toBe('2026-12-04T01:00:00');
  // Over the date line it is the same morning there.
  expect(
    arrival(['Asia/Tokyo', '2026-12-03T17:00:00'], ['Pacific/Honolulu', '2026-12-03T05:00:00']),
  ).toBe('2026-12-04T00:00:00');
});

test('an event of a journey ends by the clock of where it goes', () => {
  const zoned = (local: string, zone: string) => ({ kind: 'zoned', local, zone }) as const;
  const [flight] = read('Flight on 9 Dec, dep Halifax 21:40, arr London 7:20.');
  const event = newEvent(
    {
      id: 'e',
      calendarId: 'c',
      start: zoned('2026-12-09T21:40:00', 'America/Halifax'),
      end: zoned('2026-12-10T03:20:00', 'America/Halifax'),
    },
    0,
  );
  expect(withArrival(event, flight!, 'Europe/London')).toEqual({
    ...event,
    end: zoned('2026-12-10T07:20:00', 'Europe/London'),
  });
  expect(withArrival(event, { ...flight!, endZone: undefined }, 'Europe/London')).toBe(event);
});

test('a programme is one event, and its lines are its points with what each is given', () => {
  const [day] = read(
    'Programme for Thursday 3 December:\n9:00 Welcome\n9:15 Lens tour\n11:00 Questions\n12:30 End',
  );
  expect(formatLocal(day!.end).slice(0, 16)).toBe('2026-12-03T12:30');
  expect(day!.points).toEqual([
    { text: 'Welcome', minutes: 15 },
    { text: 'Lens tour', minutes: 105 },
    { text: 'Questions', minutes: 90 },
  ]);
});

test('a last point that is none of the end has no length said', () => {
  const [day] = read('On Friday 4 December:\n11:00 Arrival\n12:00 Lunch\n1:30 Walk to the light');
  expect(day!.points).toEqual([
    { text: 'Arrival', minutes: 60 },
    { text: 'Lunch', minutes: 90 },
    { text: 'Walk to the light', minutes: 0 },
  ]);
});
