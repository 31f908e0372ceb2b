import { EMPTY_FILTER } from '@/core/model/filter';
import { ALL_SHOWN } from '@/core/query/eventQuery';
import { calendar, event, opened, zoned } from './testing/opened';

const LONDON = 'Europe/London';
const SEED = [
  calendar('work'),
  calendar('hidden', { shown: false }),
  event('call', { calendarId: 'hidden' }),
  event('gone', { removedAt: 5 }),
  event('round', {
    rule: 'FREQ=WEEKLY',
    skippedDates: ['2026-12-02T09:00:00'],
    changedDates: {
      '2026-12-09T09:00:00': {
        start: zoned('2026-12-20T15:00:00'),
        end: zoned('2026-12-20T16:00:00'),
        title: 'Long round',
      },
    },
  }),
  event('late', { rule: 'FREQ=YEARLY;BYMONTH=6;BYMONTHDAY=1' }),
  event('note', {
    start: { kind: 'date', date: '2026-11-27' },
    end: { kind: 'date', date: '2026-11-28' },
  }),
];
const where = async (id: string, zone = LONDON, query = ALL_SHOWN) =>
  (await opened(SEED)).queries.whereabouts(id, zone, query);

test.each([
  ['call', 'call', '2026-11-25T09:00'],
  ['note', 'note', '2026-11-27T00:00'],
  ['round', 'round@2026-11-25T09:00:00', '2026-11-25T09:00'],
  ['round@2026-12-16T09:00:00', 'round@2026-12-16T09:00:00', '2026-12-16T09:00'],
  ['round@2026-12-09T09:00:00', 'round@2026-12-09T09:00:00', '2026-12-20T15:00'],
  ['late', 'late@2027-06-01T09:00:00', '2027-06-01T09:00'],
])('%s is found as %s at %s', async (id, occurrenceId, start) => {
  const found = await where(id);
  expect(found?.occurrence.id).toBe(occurrenceId);
  expect(new Date(found!.occurrence.start).toISOString().slice(0, 16)).toBe(start);
});

test.each([
  'gone',
  'never',
  'round@2026-12-02T09:00:00',
  'round@2026-12-03T09:00:00',
  'round@tomorrow',
  'call@2026-11-25T09:00:00',
])('%s is not there', async (id) => {
  expect(await where(id)).toBeNull();
});

test('it is told what of a sight holds an event back', async () => {
  const seen = async (id: string, query = ALL_SHOWN) => {
    const { isCalendarShown, passesFilter } = (await where(id, LONDON, query))!;
    return { isCalendarShown, passesFilter };
  };
  expect(await seen('note')).toEqual({ isCalendarShown: true, passesFilter: true });
  expect(await seen('call')).toEqual({ isCalendarShown: false, passesFilter: true });
  const filter = { ...EMPTY_FILTER, text: 'lamp' };
  expect(await seen('note', { ...ALL_SHOWN, filter })).toEqual({
    isCalendarShown: true,
    passesFilter: false,
  });
  const here = { ...ALL_SHOWN, calendars: ['hidden'] };
  expect(await seen('call', here)).toEqual({ isCalendarShown: true, passesFilter: true });
  expect(await seen('note', here)).toEqual({ isCalendarShown: false, passesFilter: true });
});

test('a date is found on the clock that looks at it', async () => {
  const found = await where('call', 'Pacific/Kiritimati');
  expect(new Date(found!.occurrence.start).toISOString()).toBe('2026-11-25T23:00:00.000Z');
});
