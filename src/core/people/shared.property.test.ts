import fc from 'fast-check';
import { EventIndex } from '../agenda/eventIndex';
import { writeCalendarFile } from '../files/ics/writeFile';
import type { CalendarEvent } from '../model/event';
import { newEvent } from '../model/event';
import { SHARE_LEVELS } from '../model/share';
import { parseDate } from '../time/civil';
import { sharedDays, sharedEvents } from './shared';

const LONDON = 'Europe/London';
const zoned = (local: string) => ({ kind: 'zoned', local, zone: LONDON }) as const;
const WINDOW = { fromDay: parseDate('2026-11-24'), toDay: parseDate('2026-11-29'), zone: LONDON };
const WORDING = { locale: 'en-GB', hourCycle: '24' } as const;

const visibility = fc.constantFrom('public', 'private');
const event = fc
  .record({ own: visibility, date: fc.option(visibility, { nil: undefined }) })
  .map(({ own, date }): CalendarEvent =>
    newEvent(
      {
        id: 'e',
        calendarId: 'c',
        title: 'ZqTitle',
        place: 'ZqPlace',
        notes: 'ZqNotes',
        start: zoned('2026-11-24T09:00:00'),
        end: zoned('2026-11-24T10:00:00'),
        rule: 'FREQ=DAILY;COUNT=4',
        visibility: own,
        attendees: [{ name: 'ZqGuest', address: '', role: 'required', answer: 'none' }],
        changedDates: {
          '2026-11-25T09:00:00': {
            title: 'ZqOther',
            place: 'ZqElsewhere',
            ...(date && { visibility: date }),
          },
        },
      },
      1,
    ),
  );

/** Everything that leaves of an event: its file, and its days on the page. */
function told(one: CalendarEvent, level: (typeof SHARE_LEVELS)[number]) {
  const events = sharedEvents([one], level);
  const index = new EventIndex();
  for (const seen of events) index.put(seen);
  const { occurrences } = index.query(WINDOW, null);
  const file = { name: '', events, tasks: [], passthrough: [], now: 1 };
  const days = sharedDays(occurrences, WINDOW, WORDING);
  return { text: writeCalendarFile(file) + JSON.stringify(days), days };
}

test('no word of what is private is in anything that leaves, at any level', () => {
  fc.assert(
    fc.property(event, fc.constantFrom(...SHARE_LEVELS), (one, level) => {
      const date = one.changedDates['2026-11-25T09:00:00']!;
      const isDatePrivate = (date.visibility ?? one.visibility) === 'private';
      const { text } = told(one, level);
      const words = new Set(text.match(/Zq\w+/g));
      const has = (word: string) => words.has(`Zq${word}`);
      const hasWords = level !== 'booked';
      const hasAll = level !== 'booked' && level !== 'titles';
      expect(has('Title')).toBe(hasWords && one.visibility === 'public');
      expect(has('Place')).toBe(hasAll && one.visibility === 'public');
      expect(has('Notes')).toBe(hasAll && one.visibility === 'public');
      // Of a series that is left out as private, its open date is left out with it.
      const isDateTold =
        hasWords && !isDatePrivate && !(level === 'open' && one.visibility === 'private');
      expect(has('Other')).toBe(isDateTold);
      expect(has('Elsewhere')).toBe(hasAll && isDateTold && one.visibility === 'public');
      expect(has('Guest')).toBe(false);
    }),
  );
});

const series = (fields: Partial<CalendarEvent>) =>
  newEvent(
    {
      id: 'e',
      calendarId: 'c',
      title: 'Lamp check',
      place: 'Bench 2',
      start: zoned('2026-11-24T09:00:00'),
      end: zoned('2026-11-24T10:00:00'),
      rule: 'FREQ=DAILY;COUNT=3',
      ...fields,
    },
    1,
  );

test('the page tells its days by level: private dates are left out, or told as taken', () => {
  const one = series({ changedDates: { '2026-11-25T09:00:00': { visibility: 'private' } } });
  const lines = (level: (typeof SHARE_LEVELS)[number]) =>
    told(one, level).days.map(({ name, lines: [line] }) => [
      name.split(',')[0],
      line!.when,
      line!.title,
      line!.place,
    ]);
  const at = '09:00 – 10:00';
  expect(lines('booked')).toEqual([
    ['Tuesday', at, 'Booked', ''],
    ['Wednesday', at, 'Booked', ''],
    ['Thursday', at, 'Booked', ''],
  ]);
  expect(lines('titles')[1]).toEqual(['Wednesday', at, 'Private', '']);
  expect(lines('all')).toEqual([
    ['Tuesday', at, 'Lamp check', 'Bench 2'],
    ['Wednesday', at, 'Private', ''],
    ['Thursday', at, 'Lamp check', 'Bench 2'],
  ]);
  expect(lines('open').map(([day]) => day)).toEqual(['Tuesday', 'Thursday']);
});

test('what lasts over midnight stands on each of its days, as far as they are shown', () => {
  const index = new EventIndex();
  index.put(
    newEvent(
      {
        id: 'n',
        calendarId: 'c',
        title: 'Night watch',
        start: zoned('2026-11-27T22:00:00'),
        end: zoned('2026-11-29T06:00:00'),
      },
      1,
    ),
  );
  const days = sharedDays(index.query(WINDOW, null).occurrences, WINDOW, WORDING);
  expect(days.map(({ name, lines }) => [name.split(',')[0], lines[0]!.when])).toEqual([
    ['Friday', '22:00 – …'],
    ['Saturday', '… – …'],
  ]);
});
