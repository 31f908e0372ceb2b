import { draftOf } from '../editing/drafting';
import { readJot } from '../jot/jot';
import { newCalendar } from '../model/calendar';
import { INKS } from '../model/inks';
import { DAY, HOUR, parseDate } from '../time/civil';
import { asEventLine, startIn, taskOfJot } from './jotTask';

const LONDON = 'Europe/London';
const TODAY = parseDate('2026-11-24');
const NOW = TODAY * DAY + 10 * HOUR;
const WORK = newCalendar({
  id: 'work',
  name: 'Workshop',
  ink: INKS.Kelp,
  mark: 'square',
  order: 0,
});

function taskOf(line: string) {
  const jot = readJot(asEventLine(line), {
    now: NOW,
    day: TODAY,
    calendars: [WORK, { ...WORK, id: 'clients', name: 'Clients' }],
    categories: [{ id: 'lamps', name: 'Lamps' }],
    defaultCalendarId: 'work',
    defaultLength: 30,
    workdays: [0, 1, 2, 3, 4],
    workHours: { from: 510, to: 1020 },
    isMonthFirst: false,
    namedDays: [],
  });
  const span = { start: jot.start, end: jot.end, wholeDay: jot.wholeDay };
  const event = draftOf({
    span,
    fields: { id: 'line', calendarId: jot.calendarId },
    calendar: WORK,
    repeat: jot.repeat,
    clock: LONDON,
    zone: jot.zone,
    workdays: [0, 1, 2, 3, 4],
    now: 0,
  });
  return taskOfJot(jot, event);
}

const on = (date: string) => ({ kind: 'date', date });

test.each([
  [
    'due Friday: order shellac, 30 min #Lamps',
    { title: 'order shellac', due: on('2026-11-27'), estimate: 30, categoryIds: ['lamps'] },
  ],
  ['order shellac by Friday', { title: 'order shellac', due: on('2026-11-27'), estimate: null }],
  ['Order shellac', { title: 'Order shellac', due: null, estimate: null }],
  ['Order shellac 45 min', { title: 'Order shellac', due: null, estimate: 45 }],
  [
    'Send quotes until tomorrow 17:00 in Clients',
    {
      title: 'Send quotes',
      due: { kind: 'zoned', local: '2026-11-25T17:00:00', zone: LONDON },
      calendarId: 'clients',
    },
  ],
  [
    'Backup every Friday for 15 min',
    { title: 'Backup', due: on('2026-11-27'), estimate: 15, rule: 'FREQ=WEEKLY;BYDAY=FR' },
  ],
  ['Quote by Monica and by Marrow', { title: 'Quote by Monica and by Marrow', due: null }],
  ['Order by March 5', { title: 'Order', due: on('2027-03-05') }],
  ['Pay the ferry office by the 30th', { title: 'Pay the ferry office', due: on('2026-11-30') }],
  ['Order by Thursday', { title: 'Order', due: on('2026-11-26') }],
  ['Stand by the crates', { title: 'Stand by the crates', due: null }],
])('“%s” is understood', (line, task) => {
  expect(taskOf(line)).toMatchObject(task);
});

test('what is looked at keeps its place in the line', () => {
  const line = 'due Friday: order, by 5 pm';
  expect(asEventLine(line)).toHaveLength(line.length);
});

test.each([
  ['start Monday, due Friday: plan', 'Monday', 'due Friday: plan'],
  ['plan the move, starting on 3 Dec, due 10 Dec', '3 Dec', 'plan the move, , due 10 Dec'],
  ['task: plan, begin tomorrow and due Friday', 'tomorrow', 'task: plan, due Friday'],
  ['due Friday: plan, start Monday 9:00', 'Monday 9:00', 'due Friday: plan,'],
])('“%s” can be begun “%s”', (line, start, rest) => {
  const parted = startIn(line)!;
  expect([parted.start, parted.rest.trim().replaceAll(/\s+/g, ' ')]).toEqual([start, rest]);
  // Every word stands where it stood.
  expect(parted.rest).toHaveLength(line.length);
});

test.each(['start the kiln, due Friday', 'plan by Friday', 'restart Monday'])(
  '“%s” says no start',
  (line) => expect(startIn(line)).toBeNull(),
);

test.each([
  'start Monday, due Friday: plan the move',
  'plan the move, starting on 3 Dec, due Friday',
  'plan the move, start tomorrow and due Friday',
])('with its start blanked “%s” is read as ever', (line) =>
  expect(taskOf(startIn(line)!.rest)).toMatchObject({
    title: 'plan the move',
    due: on('2026-11-27'),
  }),
);
