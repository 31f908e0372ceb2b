import fc from 'fast-check';
import type { CalendarEvent } from '../model/event';
import { durationOf, newEvent, revised } from '../model/event';
import { DEFAULT_SETTINGS } from '../model/others';
import { placed } from '../agenda/series';
import { EventIndex } from '../agenda/eventIndex';
import { DAY, HOUR, MINUTE, parseDate, parseLocal } from '../time/civil';
import { instantFromWall } from '../time/zones';
import { consequencesOf } from './consequences';
import { copyTo, eventOver } from './edits';
import type { EventForm } from './form';
import { eventFromForm, formOf, timesProblem, withStart } from './form';
import { movedTimes, stretchedTimes } from './times';

const LONDON = 'Europe/London';
const HOURS = { startMinute: 540, length: 30, zone: LONDON };

function call(more: Partial<CalendarEvent> = {}): CalendarEvent {
  return newEvent(
    {
      id: 'call',
      calendarId: 'clients',
      title: 'Osaka call',
      start: { kind: 'zoned', local: '2026-11-23T18:00:00', zone: 'Asia/Tokyo' },
      end: { kind: 'zoned', local: '2026-11-23T19:00:00', zone: 'Asia/Tokyo' },
      ...more,
    },
    0,
  );
}

test('an event of another zone is moved by the clock of the one who looks', () => {
  expect(movedTimes(call(), parseLocal('2026-11-24T10:00:00'), LONDON)).toEqual({
    start: { kind: 'zoned', local: '2026-11-24T19:00:00', zone: 'Asia/Tokyo' },
    end: { kind: 'zoned', local: '2026-11-24T20:00:00', zone: 'Asia/Tokyo' },
  });
});

test('a move keeps the length, whatever zones and clock changes it crosses', () => {
  const zones = fc.constantFrom(LONDON, 'Asia/Tokyo', 'America/Halifax', 'UTC');
  fc.assert(
    fc.property(
      zones,
      zones,
      fc.integer({ min: 0, max: 20_000 }),
      fc.integer({ min: 0, max: 3000 }),
      (own, view, at, length) => {
        const event = eventOver(
          {
            start: parseLocal('2026-01-01') + at * 20 * MINUTE,
            end: parseLocal('2026-01-01') + (at * 20 + length) * MINUTE,
            wholeDay: false,
          },
          { id: 'a', calendarId: 'c' },
          own,
          0,
        );
        const wall = parseLocal('2026-03-28') + at * MINUTE;
        const moved = movedTimes(event, wall, view);
        expect(durationOf(moved)).toBe(durationOf(event));
        expect(placed(moved).from).toBe(instantFromWall(wall, view));
      },
    ),
  );
});

test('one end is stretched, the other stays', () => {
  const stretched = stretchedTimes(call(), 'end', parseLocal('2026-11-23T11:30:00'), LONDON);
  expect(stretched.start).toEqual(call().start);
  expect(stretched.end).toMatchObject({ local: '2026-11-23T20:30:00' });
});

test('a copy of a date of a series is one event, with what that date had changed', () => {
  const series = call({
    rule: 'FREQ=DAILY',
    changedDates: { '2026-11-24T18:00:00': { title: 'Osaka call (short)', revision: 3 } },
  });
  const start = parseLocal('2026-11-24T09:00:00');
  const to = {
    day: parseDate('2026-12-01'),
    calendarId: 'workshop',
    id: 'copy',
    viewZone: LONDON,
    now: 5,
  };
  const copy = copyTo(series, { dateKey: '2026-11-24T18:00:00', start }, to);
  expect(copy).toMatchObject({
    id: 'copy',
    uid: 'copy@orderly-week',
    calendarId: 'workshop',
    title: 'Osaka call (short)',
    changedDates: {},
    start: { local: '2026-12-01T18:00:00', zone: 'Asia/Tokyo' },
    revision: 0,
    created: 5,
  });
  expect(copy.rule).toBeUndefined();
});

test('whole day and back finds the hours again', () => {
  const event = call();
  const whole = eventFromForm({ ...formOf(event, HOURS), wholeDay: true }, event);
  expect(whole).toMatchObject({ start: { date: '2026-11-23' }, end: { date: '2026-11-24' } });
  const back = eventFromForm({ ...formOf(whole, HOURS), wholeDay: false }, whole);
  expect(back).toEqual(event);
});

test('the end follows the start, over midnight too', () => {
  const form = withStart(formOf(call(), HOURS), parseDate('2026-11-25'), 23 * 60 + 30);
  expect(form).toMatchObject({ endDay: parseDate('2026-11-26'), endMinute: 30 });
  expect(timesProblem(form)).toBeNull();
});

test.each([
  [{ endMinute: 17 * 60 }, 'The end is before the start.'],
  [{ endDay: parseDate('2026-11-22') }, 'The last day is before the first.'],
])('an end before the start is told', (fields, problem) => {
  expect(timesProblem({ ...formOf(call(), HOURS), ...fields })).toBe(problem);
});

test('a form that changes nothing gives the same event back', () => {
  const kinds: Partial<CalendarEvent>[] = [
    {},
    {
      start: { kind: 'floating', local: '2026-11-23T18:00:00' },
      end: { kind: 'floating', local: '2026-11-25T01:00:00' },
    },
    { start: { kind: 'date', date: '2026-11-23' }, end: { kind: 'date', date: '2026-11-26' } },
  ];
  for (const kind of kinds) {
    const event = call(kind);
    expect(eventFromForm(formOf(event, HOURS), event)).toEqual(event);
  }
});

test('what is written into any field of the form reaches the event', () => {
  const event = call({});
  const form: EventForm = {
    ...formOf(event, HOURS),
    title: 'Other',
    calendarId: 'other',
    place: 'Pier',
    notes: 'Bring lamps',
    link: 'https://quay.example/plan',
    room: 'https://quay.example/room',
    attendees: [{ name: 'Ida', address: 'ida@quay.example', role: 'optional', answer: 'none' }],
    availability: 'tentative',
    visibility: 'private',
    categoryIds: ['lamps'],
    reminders: [],
    importance: 1,
    isQuiet: true,
    travelBefore: 5,
    travelAfter: 10,
    icon: 'anchor',
    inkOverride: '#112233',
  };
  expect(formOf(eventFromForm(form, event), HOURS)).toEqual(form);
});

test('an edit raises the revision', () => {
  expect(revised(call({ revision: 4 }), { title: 'New' }, 9)).toMatchObject({
    title: 'New',
    revision: 5,
    updated: 9,
  });
});

test('consequences name what the new time meets', () => {
  const index = new EventIndex();
  index.put(
    call({
      start: { kind: 'floating', local: '2026-11-23T09:00:00' },
      end: { kind: 'floating', local: '2026-11-23T10:00:00' },
    }),
  );
  index.put(
    call({
      id: 'leave',
      title: 'Leave',
      start: { kind: 'date', date: '2026-11-23' },
      end: { kind: 'date', date: '2026-11-24' },
    }),
  );
  const day = parseDate('2026-11-23');
  const around = index.query({ fromDay: day, toDay: day + 1, zone: 'UTC' }, null).occurrences;
  const start = day * DAY + 9.5 * HOUR;
  const span = {
    start,
    end: start + HOUR,
    startMs: start,
    endMs: start + HOUR,
    wholeDay: false,
    isBooked: true,
  };
  const { workweek } = DEFAULT_SETTINGS;
  expect(consequencesOf(span, around, null, workweek)).toEqual([
    'Overlaps “Osaka call”',
    '“Leave” lasts all that day',
  ]);
  expect(consequencesOf(span, around, 'call', workweek)).toEqual(['“Leave” lasts all that day']);
  const evening = { ...span, start: span.start + 9 * HOUR, end: span.end + 9 * HOUR };
  expect(consequencesOf(evening, [], null, workweek)).toEqual(['Outside working hours']);
  const sunday = { ...span, start: start + 6 * DAY, end: start + 6 * DAY + HOUR };
  expect(consequencesOf(sunday, [], null, workweek)).toEqual(['On a day off']);
});
