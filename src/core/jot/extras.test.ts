import { sayExtras, NO_EXTRAS } from './extras';
import { readJot } from './jot';
import { readReminder } from './reminders';
import { TUESDAY } from './testing/context';

test.each([
  ['Lamp check Thu 14:00 25 min to get there', { travelBefore: 25 }, '25 min to get there'],
  [
    'Lamp check Thu 14:00, 1 h to get there and 45 min back',
    { travelBefore: 60, travelAfter: 45 },
    '1 h to get there · 45 min back',
  ],
  ['Lamp check Thu 14:00 leave 20 min early', { travelBefore: 20 }, '20 min to get there'],
  ['Lamp check Thu 14:00, high importance', { importance: 1 }, 'high importance'],
  ['Lamp check Thu 14:00 low importance', { importance: 9 }, 'low importance'],
  ['Lamp check Thu 14:00, do not disturb', { isQuiet: true }, 'not to be disturbed'],
])('“%s” says how it is met', (line, extras, said) => {
  const jot = readJot(line, TUESDAY);
  expect([jot.title, jot.extras, jot.length]).toEqual(['Lamp check', extras, null]);
  expect(sayExtras({ ...NO_EXTRAS, ...jot.extras })).toBe(said);
});

test('a length is no way there, and words of a title stay', () => {
  expect(readJot('Lamp check Thu 14:00 for 25 min', TUESDAY)).toMatchObject({
    extras: {},
    length: 25,
  });
  expect(readJot('Importance of wicks Thu 14:00', TUESDAY)).toMatchObject({
    title: 'Importance of wicks',
    extras: {},
  });
});

const AT_NINE = { start: 9 * 60 * 60_000, wholeDay: false };
const context = { workHours: { from: 510, to: 1020 } };
const before = (minutes: number) => ({ minutes: -minutes, from: 'start' as const });

test.each([
  ['90 min before', before(90)],
  ['90 min', before(90)],
  ['2 h before it starts', before(120)],
  ['an hour before', before(60)],
  ['day before at 16:00', before(17 * 60)],
  ['at 4 pm the day before', before(17 * 60)],
  ['3 days before at 9', before(3 * 1440)],
  ['a week before at 8:30', before(7 * 1440 + 30)],
  ['the morning before', before(24 * 60 + 30)],
  ['on the day at 7', before(120)],
  ['15 min after it ends', { minutes: 15, from: 'end' }],
  ['10 min after it starts', { minutes: 10, from: 'start' }],
  ['when it ends', { minutes: 0, from: 'end' }],
  ['when it is time to leave', { minutes: 0, from: 'leave' }],
  ['10 min before I leave', { minutes: -10, from: 'leave' }],
  ['Remind me 20 min before by mail', { ...before(20), how: 'mail' }],
  ['with a text the evening before', { ...before(15 * 60), how: 'text' }],
])('in a field of its own “%s” is a reminder', (typed, reminder) => {
  expect(readReminder(typed, AT_NINE, context)).toEqual(reminder);
});

test('what says no time, or none that is known in general, is none', () => {
  for (const typed of [
    'sometime',
    '',
    '25:00 the day before',
    'the day before at 25:00',
    'no reminder',
  ])
    expect(readReminder(typed, AT_NINE, context)).toBeNull();
  const general = { start: null, wholeDay: false };
  expect(readReminder('the day before at 16:00', general, context)).toBeNull();
  expect(readReminder('the day before', general, context)).toEqual(before(1440));
  const day = { start: null, wholeDay: true };
  expect(readReminder('the day before at 16:00', day, context)).toEqual(before(8 * 60));
});
