import { newCalendar } from '../model/calendar';
import { NO_REPEAT } from '../recurrence/repeat';
import { DAY, HOUR, parseDate } from '../time/civil';
import { sheetClock, travelBetween } from '../time/sheetClock';
import { draftOf } from './drafting';

const day = parseDate('2026-11-24');
const span = { start: day * DAY + 9 * HOUR, end: day * DAY + 10 * HOUR, wholeDay: false };
const clock = 'Europe/London';
const fields = { id: 'e', calendarId: 'clients', title: 'Call' };
const calendar = {
  ...newCalendar({ id: 'clients', name: 'Clients', ink: '#1F6F94', mark: 'circle', order: 0 }),
  defaultAvailability: 'tentative' as const,
  defaultReminders: [{ minutes: 10, from: 'start' as const }],
};
const base = {
  span,
  fields,
  calendar,
  repeat: NO_REPEAT,
  clock,
  workdays: [0, 1, 2, 3, 4] as const,
  now: 0,
};

test('a draft takes over what its calendar gives new events, and follows its reminders', () => {
  expect(draftOf(base)).toMatchObject({
    title: 'Call',
    availability: 'tentative',
    reminders: null,
    start: { kind: 'zoned', local: '2026-11-24T09:00:00', zone: 'Europe/London' },
  });
});

test('a draft of whole days has no hours; reminders of its own are kept', () => {
  const wholeDay = { start: day * DAY, end: (day + 1) * DAY, wholeDay: true };
  expect(draftOf({ ...base, span: wholeDay, reminders: [] })).toMatchObject({
    start: { kind: 'date', date: '2026-11-24' },
    reminders: [],
  });
});

test('on a day spent elsewhere a draft goes by the clock there', () => {
  const away = sheetClock(clock, [travelBetween(day, day + 3, 'America/Halifax')]);
  expect(draftOf({ ...base, clock: away }).start).toMatchObject({ zone: 'America/Halifax' });
});
