import type { CalendarEvent } from '../model/event';
import { newEvent } from '../model/event';
import { INKS } from '../model/inks';
import { personCalendarId } from '../model/person';
import { DEFAULT_SETTINGS } from '../model/others';
import { nextWorkday } from '../model/workweek';
import { inkOf, NO_CATEGORY } from '../colour/inkOf';
import { parseDate } from '../time/civil';
import { inCalendarZone } from './newEvents';

const timed = (from: string, to: string, fields: Partial<CalendarEvent> = {}) =>
  newEvent(
    {
      id: 'a',
      calendarId: 'c',
      start: { kind: 'zoned', local: from, zone: 'Europe/London' },
      end: { kind: 'zoned', local: to, zone: 'Europe/London' },
      ...fields,
    },
    0,
  );

test('a calendar’s zone gives the same instants, unless that would be another day', () => {
  const noon = timed('2026-11-24T12:00:00', '2026-11-24T13:00:00');
  expect(inCalendarZone(noon, 'America/Halifax', true)).toMatchObject({
    start: { local: '2026-11-24T08:00:00', zone: 'America/Halifax' },
    end: { local: '2026-11-24T09:00:00' },
  });
  expect(inCalendarZone(noon, undefined, true)).toBe(noon);
  const night = timed('2026-11-24T02:00:00', '2026-11-24T03:00:00');
  expect(inCalendarZone(night, 'America/Halifax', true)).toBe(night);
  expect(inCalendarZone(night, 'America/Halifax', false)).not.toBe(night);
});

test('the ink of an occurrence: its own, its calendar’s, or its first category’s', () => {
  const inks = new Map([['lamps', INKS.Ochre]]);
  const calendarId = 'work';
  const own = { calendarId, ink: INKS.Brick, categoryIds: ['gone', 'lamps'] };
  const bare = { calendarId, categoryIds: [] };
  expect(inkOf(own, INKS.Kelp, null)).toBe(INKS.Brick);
  expect(inkOf(bare, INKS.Kelp, null)).toBe(INKS.Kelp);
  expect(inkOf(own, INKS.Kelp, inks)).toBe(INKS.Ochre);
  expect(inkOf(bare, INKS.Kelp, inks)).toBe(NO_CATEGORY);
  // Others' time keeps the ink that tells whose it is.
  const theirs = { ...bare, calendarId: personCalendarId('ida') };
  expect(inkOf(theirs, INKS.Gentian, inks)).toBe(INKS.Gentian);
});

test('the next working day skips the weekend and days off', () => {
  const { workweek } = DEFAULT_SETTINGS;
  const friday = parseDate('2026-11-27');
  expect(nextWorkday(friday, workweek)).toBe(parseDate('2026-11-30'));
  const shut = { ...workweek, exceptions: { '2026-11-30': { hours: null, workplace: '' } } };
  expect(nextWorkday(friday, shut)).toBe(parseDate('2026-12-01'));
  const never = { ...workweek, days: workweek.days.map((day) => ({ ...day, hours: null })) };
  expect(nextWorkday(friday, never)).toBe(parseDate('2026-11-28'));
});
