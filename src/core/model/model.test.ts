import { calendar, newCalendar } from './calendar';
import { dayOf, eventTime, wallOf, zoneOf } from './common';
import { durationOf, event, isSeries, isWholeDay, lastsForward, newEvent } from './event';
import { changedDate } from './eventFields';
import { INKS, MARKS, nextInkAndMark } from './inks';
import { DEFAULT_SETTINGS, settings } from './others';
import { person } from './person';
import { newTask, task } from './task';
import { DEFAULT_VIEW, lens } from './view';
import { workdayOf } from './workweek';
import { DAY, HOUR, parseDate, parseLocal } from '../time/civil';

const zoned = (local: string, zone = 'Europe/London') => ({ kind: 'zoned', local, zone }) as const;
const date = (text: string) => ({ kind: 'date', date: text }) as const;

test('a time is a date, a time in a zone, or one that floats', () => {
  const floating = { kind: 'floating', local: '2026-11-24T09:00:00' } as const;
  for (const time of [date('2026-11-24'), zoned('2026-11-24T09:00:00'), floating])
    expect(eventTime.parse(time)).toEqual(time);
  expect([wallOf(date('2026-11-24')), dayOf(floating)]).toEqual([
    parseLocal('2026-11-24'),
    parseDate('2026-11-24'),
  ]);
  expect([zoneOf(floating), zoneOf(zoned('2026-11-24T09:00:00'))]).toEqual([null, 'Europe/London']);
});

test.each([
  [{ kind: 'date', date: '2026-02-30' }, 'not exist|exists'],
  [{ kind: 'zoned', local: '2026-11-24', zone: 'Europe/London' }, 'date and time'],
  [{ kind: 'zoned', local: '2026-11-24T09:00:00', zone: 'Quay/3' }, 'known time zone'],
  [{ kind: 'someday' }, 'Invalid'],
])('%j is no time', (time, reason) => {
  const result = eventTime.safeParse(time);
  expect(result.success).toBe(false);
  expect(result.error!.issues[0]!.message).toMatch(new RegExp(reason));
});

test('how long an event lasts is the time that passes', () => {
  const overChange = { start: zoned('2026-10-25T00:00:00'), end: zoned('2026-10-25T03:00:00') };
  expect(durationOf(overChange)).toBe(4 * HOUR);
  expect(durationOf({ start: date('2026-11-24'), end: date('2026-11-26') })).toBe(2 * DAY);
  const flight = {
    start: zoned('2026-11-24T10:00:00'),
    end: zoned('2026-11-24T09:00:00', 'America/Halifax'),
  };
  expect(durationOf(flight)).toBe(3 * HOUR);
  expect(lastsForward(flight.start, flight.end)).toBe(true);
});

test('a whole day ends after it begins; a time may last no time at all', () => {
  expect(lastsForward(date('2026-11-24'), date('2026-11-24'))).toBe(false);
  expect(lastsForward(zoned('2026-11-24T09:00:00'), zoned('2026-11-24T09:00:00'))).toBe(true);
  expect(lastsForward(zoned('2026-11-24T09:00:00'), zoned('2026-11-24T08:59:00'))).toBe(false);
});

test('what is new is sound, and says what it is', () => {
  const made = newEvent(
    { id: 'a', calendarId: 'c', start: date('2026-11-24'), end: date('2026-11-25') },
    5,
  );
  expect(event.parse(made)).toEqual(made);
  expect(made).toMatchObject({ uid: 'a@orderly-week', created: 5, updated: 5, revision: 0 });
  expect([isWholeDay(made), isSeries(made)]).toEqual([true, false]);
  expect(isSeries({ ...made, rule: 'FREQ=DAILY' })).toBe(true);
  expect(isSeries({ ...made, extraDates: [{ start: date('2026-11-30') }] })).toBe(true);
});

test('a start and an end are of one kind', () => {
  const mixed = newEvent(
    { id: 'a', calendarId: 'c', start: date('2026-11-24'), end: zoned('2026-11-25T09:00:00') },
    5,
  );
  expect(event.safeParse(mixed).error!.issues[0]).toMatchObject({ path: ['end'] });
});

test('a changed date holds only what differs', () => {
  expect(changedDate.parse({ title: 'Late', andLater: true })).toEqual({
    title: 'Late',
    andLater: true,
  });
  expect(changedDate.safeParse({ importance: 12 }).success).toBe(false);
});

test.each(['', 'two words', 'a/b', 'x'.repeat(81)])('“%s” is no id', (id) => {
  const made = newCalendar({ id, name: 'A', ink: INKS.Kelp, mark: 'square', order: 0 });
  expect(calendar.safeParse(made).success).toBe(false);
});

test('calendars get inks and marks that no other has, until all are taken', () => {
  const taken: { ink: string; mark: (typeof MARKS)[number] }[] = [];
  for (let i = 0; i < MARKS.length; i++) taken.push(nextInkAndMark(taken));
  expect(new Set(taken.map(({ mark }) => mark)).size).toBe(MARKS.length);
  expect(new Set(taken.map(({ ink }) => ink)).size).toBe(MARKS.length);
  expect(MARKS).toContain(nextInkAndMark(taken).mark);
});

test('the usual settings are sound, and a day may have hours of its own', () => {
  expect(settings.parse(DEFAULT_SETTINGS)).toEqual(DEFAULT_SETTINGS);
  const { workweek } = DEFAULT_SETTINGS;
  const closed = { ...workweek, exceptions: { '2026-11-24': { hours: null, workplace: '' } } };
  expect(workdayOf(parseDate('2026-11-24'), workweek).hours).toEqual({ from: 510, to: 1020 });
  expect(workdayOf(parseDate('2026-11-24'), closed).hours).toBeNull();
  expect(workdayOf(parseDate('2026-11-28'), workweek).hours).toBeNull();
});

test('the parts of the model that no screen uses yet are checked as well', () => {
  const made = newTask({ id: 't', title: 'Renew crane permit', due: date('2026-11-30') }, 1);
  expect(task.parse(made)).toEqual(made);
  expect(task.safeParse({ ...made, due: 'soon' }).success).toBe(false);
  expect(task.safeParse({ ...made, rule: 'FREQ=OFTEN' }).success).toBe(false);
  expect(
    person
      .safeParse({
        id: 'ida',
        name: 'Ida Solberg',
        zone: 'Quay/3',
        ink: '#1F5A4C',
        mark: 'ring',
        workweek: DEFAULT_SETTINGS.workweek,
      })
      .error?.issues.map(({ path }) => path.join('.')),
  ).toEqual(['zone']);
  const week = {
    id: 'l',
    name: 'My working week',
    icon: '',
    order: 0,
    view: DEFAULT_VIEW,
    day: null,
  };
  expect(lens.parse(week)).toEqual(week);
  const longWeek = { ...DEFAULT_VIEW, span: { kind: 'days', count: 9 } };
  expect(lens.safeParse({ ...week, view: longWeek }).success).toBe(false);
});
