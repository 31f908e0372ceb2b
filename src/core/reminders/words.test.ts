import type { Reminder } from '../model/common';
import { parseLocal } from '../time/civil';
import { isSameTime, sayReminder, sayReminders, usualReminders, withReminder } from './words';
import { capital } from '../time/words';

const wording = { locale: 'en-GB', hourCycle: '24', clock: 'Europe/London' } as const;
const HOURS = { wholeDay: false, start: parseLocal('2026-11-25T09:00:00') };
const DAY = { wholeDay: true };
const of = (minutes: number, from: 'start' | 'end' | 'leave' = 'start') => ({ minutes, from });

test.each([
  [of(0), HOURS, 'at the start'],
  [of(-20), HOURS, '20 min before'],
  [of(15), HOURS, '15 min after the start'],
  [of(0, 'end'), HOURS, 'at the end'],
  [of(-5, 'end'), HOURS, '5 min before the end'],
  [of(15, 'end'), HOURS, '15 min after the end'],
  [of(0, 'leave'), HOURS, 'when it is time to leave'],
  [of(-10, 'leave'), HOURS, '10 min before leaving'],
  [of(10, 'leave'), HOURS, '10 min after leaving'],
  [of(-1440), HOURS, '1 day before'],
  [of(-2880), HOURS, '2 days before'],
  // Half a day and more before it: the time says more than how many hours it is.
  [of(-720), HOURS, '12 h before'],
  [of(-721), HOURS, 'the day before, 20:59'],
  [of(-16 * 60), HOURS, 'the day before, 17:00'],
  [of(-721), { wholeDay: false }, '12 h 1 min before'],
  [of(8 * 60), DAY, 'that day, 08:00'],
  [of(0), DAY, 'that day, 00:00'],
  [of(-7 * 60), DAY, 'the day before, 17:00'],
  [of(-2 * 1440 + 540), DAY, '2 days before, 09:00'],
  [of(1440 + 540), DAY, '1 day after, 09:00'],
  [of(-30, 'end'), DAY, '30 min before the end'],
  [{ ...of(-20), how: 'mail' }, HOURS, '20 min before by mail'],
  [
    { ...of(-20), how: 'text', repeat: { times: 2, every: 5 } },
    HOURS,
    '20 min before by text message, and 2 × again',
  ],
  [{ at: Date.parse('2026-11-24T16:30:00Z') }, HOURS, 'Tue, 24 Nov 2026, 16:30'],
] as [Reminder, typeof HOURS, string][])('%j of %j is said as “%s”', (reminder, reminded, said) => {
  expect(sayReminder(reminder, reminded, wording)).toBe(said);
});

test('several are said in one, none is said too', () => {
  expect(sayReminders([], HOURS, wording)).toBe('No reminder');
  expect(sayReminders([of(-20), of(0)], HOURS, wording)).toBe(
    'Reminder 20 min before and at the start',
  );
  expect([capital('at the start'), capital('')]).toEqual(['At the start', '']);
});

test('those to choose from are the ones that suit', () => {
  const said = (wholeDay: boolean, hasTravel: boolean) =>
    usualReminders(wholeDay, hasTravel).map((one) => sayReminder(one, { wholeDay }, wording));
  expect(said(true, true)).toEqual([
    'that day, 08:00',
    'the day before, 17:00',
    '2 days before, 09:00',
    '7 days before, 09:00',
  ]);
  const hours = ['at the start', '5 min before', '10 min before', '15 min before', '30 min before'];
  expect(said(false, false)).toEqual([...hours, '1 h before', '1 day before']);
  expect(said(false, true)[0]).toBe('when it is time to leave');
  expect(said(false, true).slice(1)).toEqual(said(false, false));
});

test('one more goes to its place in time; the same one counts once, but in another way', () => {
  const at = { at: 5 };
  const list = withReminder([of(0), at, of(-5, 'end')], of(-10));
  expect(list).toEqual([of(-10), of(0), of(-5, 'end'), at]);
  expect(withReminder(list, of(0))).toEqual(list);
  expect(withReminder([of(0)], { ...of(0), how: 'mail' })).toHaveLength(2);
  expect(isSameTime(at, { at: 5 })).toBe(true);
  expect(isSameTime(at, { at: 6 })).toBe(false);
  expect(isSameTime(at, of(0))).toBe(false);
  expect(isSameTime(of(0), of(0, 'end'))).toBe(false);
});
