import fc from 'fast-check';
import type { EventTime } from '../../model/common';
import { newEvent } from '../../model/event';
import type { Task } from '../../model/task';
import { newTask, TASK_STATUSES } from '../../model/task';
import { formatDate, formatLocal, MINUTE, parseLocal } from '../../time/civil';
import type { FileContents } from './readFile';
import { readCalendarFile } from './readFile';
import { planImport } from './plan';
import { planTasks } from './planTask';
import { takeCategories } from './categories';
import { writeCalendarFile } from './writeFile';

const RUNS = Number(process.env['PROPERTY_RUNS'] ?? 300);
const NOW = Date.parse('2026-11-24T10:00:00Z');

function read(text: string): FileContents {
  const reading = readCalendarFile(text, NOW);
  for (;;) {
    const { done, value } = reading.next();
    if (done) return value;
  }
}

const file = (...lines: string[]) =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', ...lines, 'END:VCALENDAR', ''].join('\r\n');
const todo = (...lines: string[]) =>
  file('BEGIN:VTODO', 'UID:t', 'DTSTAMP:20261101T080000Z', ...lines, 'END:VTODO');
const only = (text: string) => read(text).tasks[0]!;

const write = (tasks: readonly Task[]) =>
  writeCalendarFile({
    name: '',
    events: [],
    tasks,
    passthrough: [],
    categories: new Map([['lamps', 'Lamps']]),
    uidOf: (id) => `${id}@quay.example`,
    now: NOW,
  });

const linesOf = (text: string) => text.replaceAll('\r\n ', '').split('\r\n');

test('everything that a task says becomes a field', () => {
  expect(
    only(
      todo(
        'SUMMARY:Order shellac',
        'DESCRIPTION:Two tins',
        'URL:https://quay.example/shellac',
        'DTSTART;VALUE=DATE:20261120',
        'DUE;TZID=Europe/Lisbon:20261127T170000',
        'PRIORITY:2',
        'STATUS:IN-PROCESS',
        'PERCENT-COMPLETE:40',
        'ESTIMATED-DURATION:PT1H30M',
        'RRULE:FREQ=WEEKLY;BYDAY=FR',
        'SEQUENCE:3',
        'CREATED:20261001T080000Z',
        'BEGIN:VALARM',
        'ACTION:DISPLAY',
        'TRIGGER;RELATED=END:-PT30M',
        'END:VALARM',
      ),
    ),
  ).toMatchObject({
    title: 'Order shellac',
    notes: 'Two tins',
    link: 'https://quay.example/shellac',
    start: { kind: 'date', date: '2026-11-20' },
    due: { kind: 'zoned', local: '2026-11-27T17:00:00', zone: 'Europe/Lisbon' },
    importance: 2,
    status: 'started',
    percent: 40,
    estimate: 90,
    rule: 'FREQ=WEEKLY;BYDAY=FR',
    revision: 3,
    created: Date.parse('2026-10-01T08:00:00Z'),
    updated: Date.parse('2026-11-01T08:00:00Z'),
    reminders: [{ minutes: -30, from: 'end' }],
  });
});

test.each([
  ['done', ['STATUS:COMPLETED', 'COMPLETED:20261123T150000Z'], Date.parse('2026-11-23T15:00:00Z')],
  ['dropped', ['STATUS:CANCELLED'], null],
  ['open', ['STATUS:NEEDS-ACTION'], null],
  ['open', [], null],
])('one that is %s by %j is that', (status, lines, doneAt) => {
  expect(only(todo(...lines))).toMatchObject({ status, doneAt });
});

test('a length from its start is by when it is due', () => {
  expect(only(todo('DTSTART:20261124T090000', 'DURATION:PT2H')).due).toEqual({
    kind: 'floating',
    local: '2026-11-24T11:00:00',
  });
});

test('what the app has no word or no field for goes out as it came in', () => {
  const odd = [
    'STATUS:WAITING',
    'DUE:soon',
    'ESTIMATED-DURATION:long',
    'RELATED-TO;RELTYPE=CHILD:other@quay.example',
    'CONTACT:Ida Solberg',
    'X-LAMP;X-SIDE=left:port',
    'RRULE:FREQ=DAILY',
    'RRULE:FREQ=WEEKLY',
  ];
  let text = todo('SUMMARY:Order', ...odd);
  for (let times = 0; times < 2; times++) {
    text = write([{ ...only(text), id: 't' }]);
    for (const line of odd) expect(linesOf(text)).toContain(line);
  }
  const started = write([{ ...only(text), id: 't', status: 'started' }]);
  expect(linesOf(started).filter((line) => line.startsWith('STATUS'))).toEqual([
    'STATUS:IN-PROCESS',
  ]);
});

test('a repeat that can’t be read keeps the task out, and that is said', () => {
  const { tasks, skipped } = read(
    file(
      'BEGIN:VTODO',
      'UID:t',
      'SUMMARY:Odd',
      'RRULE:FREQ=OFTEN',
      'END:VTODO',
      'BEGIN:VTODO',
      'UID:u',
      'END:VTODO',
    ),
  );
  expect(tasks.map(({ uid }) => uid)).toEqual(['u']);
  expect(skipped[0]!.what).toMatch(/^The task “Odd” stays out: /);
});

const someTime: fc.Arbitrary<EventTime> = fc
  .record({
    minute: fc.integer({ min: 0, max: 500_000 }),
    kind: fc.constantFrom('date', 'floating', 'UTC', 'Europe/London', 'America/Halifax'),
  })
  .map(({ minute, kind }): EventTime => {
    const wall = parseLocal('2026-01-05T00:00:00') + minute * MINUTE;
    if (kind === 'date') return { kind, date: formatDate(Math.floor(wall / (24 * 60 * MINUTE))) };
    const local = formatLocal(wall);
    return kind === 'floating' ? { kind, local } : { kind: 'zoned', local, zone: kind };
  });

const someTask = fc.record({
  title: fc.constantFrom('', 'Order shellac', 'A; b, c\\d “e”'),
  notes: fc.constantFrom('', 'Two lines\nof notes'),
  link: fc.constantFrom('', 'https://quay.example/a?b=c;d'),
  start: fc.option(someTime),
  due: fc.option(someTime),
  estimate: fc.option(fc.integer({ min: 1, max: 4000 })),
  importance: fc.integer({ min: 0, max: 9 }),
  categoryIds: fc.subarray(['lamps']),
  reminders: fc.subarray([{ minutes: -30, from: 'end' as const }]),
  rule: fc.constantFrom(undefined, 'FREQ=MONTHLY;BYDAY=-1FR'),
  status: fc.constantFrom(...TASK_STATUSES),
  percent: fc.integer({ min: 0, max: 100 }),
  doneAt: fc.option(fc.integer({ min: 1_700_000_000, max: 1_900_000_000 }).map((s) => s * 1000)),
  eventId: fc.constantFrom(undefined, 'visit'),
  revision: fc.nat({ max: 50 }),
});

/** Without the names of fields that hold nothing. */
const defined = <T extends object>(value: T) =>
  Object.fromEntries(Object.entries(value).filter(([, one]) => one !== undefined));

test('a task that is written and read is the same', () => {
  fc.assert(
    fc.property(someTask, fc.boolean(), (fields, isOfDate) => {
      const { eventId } = fields;
      const eventDate = eventId && isOfDate ? '2026-11-24T09:00:00' : undefined;
      const made = newTask({ id: 't', calendarId: 'work', ...fields, eventDate }, NOW);
      const { contents } = takeCategories(
        read(write([made])),
        [{ id: 'lamps', name: 'Lamps', ink: '#000000', order: 0 }],
        () => {
          throw new Error('No category is new.');
        },
      );
      const present = {
        taskOf: () => undefined,
        eventIdOf: (uid: string) => uid.replace('@quay.example', ''),
      };
      const [planned] = planTasks(contents.tasks, 'work', present, () => 't');
      expect(defined(planned!.after)).toEqual(defined(made));
    }),
    { numRuns: RUNS },
  );
});

test('a task that is here is brought up to date; what says nothing new or is older changes nothing', () => {
  const before = newTask({ id: 'a', calendarId: 'clients', title: 'Order', eventId: 'visit' }, NOW);
  const present = {
    taskOf: (uid: string) => (uid === before.uid ? before : undefined),
    eventIdOf: () => undefined,
  };
  const planOf = (fields: Partial<Task>) =>
    planTasks([{ ...before, eventId: undefined, ...fields }], 'work', present, () => 'new');
  expect(planOf({})).toEqual([]);
  expect(planOf({ title: 'Order two', revision: 1 })).toEqual([
    { before, after: { ...before, title: 'Order two', revision: 1 } },
  ]);
  const newer = { ...before, revision: 4 };
  const newerHere = { ...present, taskOf: () => newer };
  expect(planTasks([{ ...before, title: 'Old' }], 'work', newerHere, () => 'new')).toEqual([]);
});

test('time for a task goes out and comes in as a part of it, and is the same the second time', () => {
  const zoned = (local: string) => ({ kind: 'zoned', local, zone: 'UTC' }) as const;
  const order = newTask({ id: 'order', title: 'Order' }, NOW);
  const times = { start: zoned('2026-11-24T14:00:00'), end: zoned('2026-11-24T15:00:00') };
  const block = newEvent({ id: 'block', calendarId: 'work', taskId: 'order', ...times }, NOW);
  const text = writeCalendarFile({
    name: '',
    events: [block],
    tasks: [order],
    passthrough: [],
    uidOfTask: () => order.uid,
    now: NOW,
  });
  expect(linesOf(text)).toContain(`RELATED-TO:${order.uid}`);
  const contents = read(text);
  let nth = 0;
  const elsewhere = { eventsOf: () => [], taskOf: () => undefined };
  const { events, tasks } = planImport(contents, 'work', elsewhere, () => `new${nth++}`);
  const taskId = tasks[0]!.after.id;
  expect(events.map(({ after }) => after)).toEqual([{ ...block, id: events[0]!.after.id, taskId }]);
  // Back where it came from it says nothing new.
  const here = {
    eventsOf: (uid: string) => (uid === block.uid ? [block] : []),
    taskOf: (uid: string) => (uid === order.uid ? order : undefined),
  };
  const again = planImport(contents, 'work', here, () => 'never');
  expect(again.events.map(({ fate, after }) => [fate, after.taskId])).toEqual([
    ['unchanged', 'order'],
  ]);
});

test('what is related to no task that is known stays as it came', () => {
  const text = file(
    'BEGIN:VEVENT',
    'UID:e',
    'DTSTAMP:20261101T080000Z',
    'DTSTART:20261124T140000Z',
    'RELATED-TO:elsewhere',
    'END:VEVENT',
  );
  const nobody = { eventsOf: () => [], taskOf: () => undefined };
  const [planned] = planImport(read(text), 'work', nobody, () => 'new').events;
  expect(planned?.after.taskId).toBeUndefined();
  expect(planned?.after.passthrough?.properties).toEqual([['related-to', {}, 'text', 'elsewhere']]);
});
