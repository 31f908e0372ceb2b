import type { TableColumn } from '../model/view';
import { DEFAULT_TABLE, TABLE_COLUMNS } from '../model/view';
import { newCalendar } from '../model/calendar';
import { at, timed, TODAY, wholeDays } from '../testing/occurrences';
import type { TableSetting } from './tableColumns';
import { cellText, narrowColumns, sortOccurrences } from './tableColumns';

const workshop = newCalendar({
  id: 'workshop',
  name: 'Workshop',
  ink: '#1F5A4C',
  mark: 'square',
  order: 0,
});
const setting: TableSetting = {
  calendarOf: new Map([['workshop', workshop]]),
  categoryOf: new Map([['lamps', { id: 'lamps', name: 'Lamps', ink: '#8A5A12', order: 0 }]]),
  wording: { locale: 'en-GB', hourCycle: '24' },
  clock: 'Europe/London',
  fromDay: TODAY,
  toDay: TODAY + 7,
};
const lamp = timed('Lamp 14', TODAY, at(13), at(15), {
  place: 'Bench 2',
  categoryIds: ['lamps', 'gone'],
  dateKey: '2026-11-24T13:00:00',
  changed: true,
});
const away = wholeDays('Away', TODAY + 1, 2, { availability: 'away' });
const texts = (o: typeof lamp) =>
  Object.fromEntries(TABLE_COLUMNS.map((column) => [column, cellText(o, column, setting)]));

test('cells say what an event is, in the words of the app', () => {
  expect(texts(lamp)).toEqual({
    date: expect.stringMatching(/^Tue,? 24 Nov$/),
    start: '13:00',
    end: '15:00',
    hours: '2 h',
    title: 'Lamp 14',
    calendar: 'Workshop',
    category: 'Lamps',
    place: 'Bench 2',
    leaveBy: '',
    reminder: '',
    importance: '',
    availability: 'busy',
    series: 'changed date',
  });
  expect(texts(away)).toMatchObject({
    start: 'whole day',
    end: expect.stringMatching(/^Thu,? 26 Nov$/),
    hours: '',
    series: '',
  });
});

test('cells say how an event is met: when to leave, its reminders or its calendar’s, how much it matters', () => {
  const met = timed('Visit', TODAY, at(9), at(10), {
    travelBefore: 25,
    importance: 1,
    reminders: [
      { minutes: 0, from: 'leave' },
      { minutes: -900, from: 'start', how: 'mail' },
    ],
  });
  expect(texts(met)).toMatchObject({
    leaveBy: '08:35',
    reminder: 'when it is time to leave; the day before, 18:00 by mail',
    importance: 'high',
  });
  const calendar = { ...workshop, defaultReminders: [{ minutes: -10, from: 'start' as const }] };
  const following = { ...setting, calendarOf: new Map([['workshop', calendar]]) };
  expect(cellText(lamp, 'reminder', following)).toBe('10 min before');
  const sorted = sortOccurrences(
    [lamp, met],
    { sortBy: 'importance', isDescending: false },
    setting,
  );
  expect(sorted.map(({ title }) => title)).toEqual(['Visit', 'Lamp 14']);
});

test.each<[TableColumn, boolean, string[]]>([
  ['date', false, ['Lamp 14', 'Late', 'Away']],
  ['date', true, ['Away', 'Late', 'Lamp 14']],
  ['hours', true, ['Lamp 14', 'Late', 'Away']],
  ['start', false, ['Away', 'Lamp 14', 'Late']],
  ['title', false, ['Away', 'Lamp 14', 'Late']],
  ['availability', false, ['Away', 'Lamp 14', 'Late']],
])('sorted by %s, downwards %s', (sortBy, isDescending, titles) => {
  const late = timed('Late', TODAY, at(18), at(19));
  const sorted = sortOccurrences([lamp, late, away], { sortBy, isDescending }, setting);
  expect(sorted.map(({ title }) => title)).toEqual(titles);
});

test('a narrow table begins with the title, and keeps what somebody chose', () => {
  expect(narrowColumns(DEFAULT_TABLE.columns)).toEqual(['title', 'date', 'start', 'hours']);
  expect(narrowColumns(['date', 'place', 'title'])).toEqual(['title', 'date', 'place']);
  expect(narrowColumns(['place', 'date'])).toEqual(['place', 'date']);
});
