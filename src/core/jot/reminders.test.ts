import { sayReminders } from '../reminders/words';
import { readJot } from './jot';
import { TUESDAY } from './testing/context';

const before = (minutes: number) => ({ minutes: -minutes, from: 'start' as const });
const WORDING = { hourCycle: '24', locale: 'en-GB', clock: 'Europe/London' } as const;

test.each([
  ['Lamp check Thu 14:00 remind me 20 min before', [before(20)], 'Reminder 20 min before'],
  ['Lamp check Thu 14:00 with a reminder 1.5 h ahead', [before(90)], 'Reminder 1 h 30 min before'],
  ['Lamp check Thu 14:00, remind me an hour before', [before(60)], 'Reminder 1 h before'],
  ['Lamp check Thu 14:00 remind me a day before', [before(1440)], 'Reminder 1 day before'],
  [
    'Lamp check Thu 14:00 remind me when it starts',
    [{ minutes: 0, from: 'start' as const }],
    'Reminder at the start',
  ],
  [
    'Lamp check Thu 14:00 remind me 15 min after it ends',
    [{ minutes: 15, from: 'end' }],
    'Reminder 15 min after the end',
  ],
  [
    'Lamp check Thu 14:00 remind me the evening before',
    [before(20 * 60)],
    'Reminder the day before, 18:00',
  ],
  [
    'Lamp check Thu 14:00 reminder the day before at 16:00 and remind me 10 min before',
    [before(22 * 60), before(10)],
    'Reminder the day before, 16:00 and 10 min before',
  ],
  [
    'Lamp check Thu remind me the day before at 4 pm',
    [{ minutes: -8 * 60, from: 'start' }],
    'Reminder the day before, 16:00',
  ],
  ['Lamp check Thu 14:00 no reminder', [], 'No reminder'],
  ['Lamp check Thu 14:00 without a reminder', [], 'No reminder'],
])('“%s” asks for its reminders', (line, reminders, said) => {
  const jot = readJot(line, TUESDAY);
  expect(jot.title).toBe('Lamp check');
  expect(jot.reminders).toEqual(reminders);
  expect(jot.length).toBeNull();
  expect(sayReminders(jot.reminders!, jot, WORDING)).toBe(said);
});

test('a line that says nothing of reminders leaves them to the calendar', () => {
  for (const line of ['Remind Ida of the lamps Thu 14:00', 'Lamps 20 min before the tide', 'Lamps'])
    expect(readJot(line, TUESDAY)).toMatchObject({ reminders: null });
});
