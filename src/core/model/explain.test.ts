import { newCalendar } from './calendar';
import { newEvent } from './event';
import { INKS } from './inks';
import { checkRecord } from './records';

const EVENT = newEvent(
  {
    id: 'call',
    calendarId: 'work',
    title: 'Call',
    start: { kind: 'date', date: '2026-11-25' },
    end: { kind: 'date', date: '2026-11-26' },
  },
  1,
);
const CALENDAR = newCalendar({
  id: 'work',
  name: 'Work',
  ink: INKS.Kelp,
  mark: 'square',
  order: 0,
});

test.each<[object, string]>([
  [{ title: 7 }, 'title is not a text'],
  [{ title: undefined }, 'title is missing'],
  [{ calendarId: '' }, 'its calendar is empty'],
  [{ availability: 'asleep' }, 'availability is not written as it must be'],
  [{ skippedDates: 'none' }, 'its skipped dates are not a list'],
  [{ created: 'long ago' }, 'created is not a number'],
  [{ start: { kind: 'date', date: '2026-13-01' } }, 'start'],
])('an event with %j is told in words', (fields, words) => {
  expect(() => checkRecord('event', { ...EVENT, ...fields })).toThrow(words);
});

test('what is too long or too large is told, and no more than three reasons', () => {
  expect(() => checkRecord('calendar', { ...CALENDAR, name: '' })).toThrow('name is empty');
  expect(() => checkRecord('calendar', { id: 7, name: 7, ink: 7, mark: 7, order: 'x' })).toThrow(
    /^[^;]+; [^;]+; [^;]+$/,
  );
});

test('no word of a machine is in it', () => {
  for (const field of Object.keys(EVENT))
    for (const value of [null, 7, 'x y', {}, [7]]) {
      let words = '';
      try {
        checkRecord('event', { ...EVENT, [field]: value });
      } catch (error) {
        words = (error as Error).message;
      }
      expect(words).not.toMatch(/[a-z][A-Z]|undefined|expected|received|Invalid|\.\d|null/);
    }
});
