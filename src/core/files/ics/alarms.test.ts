import fc from 'fast-check';
import type { Reminder } from '../../model/common';
import type { CalendarEvent } from '../../model/event';
import { newEvent } from '../../model/event';
import type { CalendarReminders } from '../../reminders/following';
import { readCalendarFile } from './readFile';
import { writeCalendarFile } from './writeFile';

const RUNS = Number(process.env['PROPERTY_RUNS'] ?? 100);
const NOW = Date.UTC(2026, 10, 24);

function readOne(text: string) {
  const reading = readCalendarFile(text, NOW);
  let step = reading.next();
  while (!step.done) step = reading.next();
  expect(step.value.skipped).toEqual([]);
  return step.value.events[0]!;
}

const write = (event: CalendarEvent, calendar?: CalendarReminders) =>
  writeCalendarFile({
    name: '',
    events: [event],
    tasks: [],
    passthrough: [],
    now: NOW,
    mail: 'office@quay.example',
    ...(calendar && { calendars: new Map([[event.calendarId, calendar]]) }),
  });

const event = (fields: Partial<CalendarEvent>) =>
  newEvent(
    {
      id: 'a',
      calendarId: 'c',
      title: 'Lamp, check',
      start: { kind: 'zoned', local: '2026-11-24T09:00:00', zone: 'Europe/London' },
      end: { kind: 'zoned', local: '2026-11-24T10:00:00', zone: 'Europe/London' },
      ...fields,
    },
    0,
  );

/** An event of another program with these alarms, each given by its lines. */
const file = (...alarms: string[][]) =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Quay//Elsewhere//EN',
    'BEGIN:VEVENT',
    'UID:a@quay.example',
    'DTSTAMP:20261101T000000Z',
    'SUMMARY:Lamp check',
    'DTSTART:20261124T090000Z',
    'DTEND:20261124T100000Z',
    ...alarms.flatMap((lines) => ['BEGIN:VALARM', ...lines, 'END:VALARM']),
    'END:VEVENT',
    'END:VCALENDAR',
    '',
  ].join('\r\n');

const plain = (reminders: CalendarEvent['reminders']) =>
  reminders?.map(({ alarm: _alarm, ...rest }) => rest) ?? null;

test.each<[string, string[], Partial<Reminder>]>([
  ['before the start', ['ACTION:DISPLAY', 'TRIGGER:-PT15M'], { minutes: -15, from: 'start' }],
  [
    'a sound, after the end',
    ['ACTION:AUDIO', 'TRIGGER;RELATED=END:PT5M'],
    { minutes: 5, from: 'end' },
  ],
  [
    'a mail, days before',
    [
      'ACTION:EMAIL',
      'TRIGGER:-P1DT2H',
      'SUMMARY:Soon',
      'DESCRIPTION:Soon',
      'ATTENDEE:mailto:a@b.example',
    ],
    { minutes: -1560, from: 'start', how: 'mail' },
  ],
  [
    'at an instant',
    ['ACTION:DISPLAY', 'TRIGGER;VALUE=DATE-TIME:20261123T160000Z'],
    { at: Date.UTC(2026, 10, 23, 16) },
  ],
  [
    'again and again, until it was acknowledged',
    [
      'ACTION:DISPLAY',
      'TRIGGER:-PT30M',
      'REPEAT:2',
      'DURATION:PT10M',
      'ACKNOWLEDGED:20261124T083500Z',
    ],
    {
      minutes: -30,
      from: 'start',
      repeat: { times: 2, every: 10 },
      acknowledged: Date.UTC(2026, 10, 24, 8, 35),
    },
  ],
  [
    'with seconds, the earlier minute',
    ['ACTION:DISPLAY', 'TRIGGER:-PT90S'],
    { minutes: -2, from: 'start' },
  ],
  ['weeks before', ['ACTION:DISPLAY', 'TRIGGER:-P2W'], { minutes: -20160, from: 'start' }],
])('an alarm of another program: %s', (_, lines, reminder) => {
  const read = readOne(file([...lines, 'X-LAMP:port']));
  expect(plain(read.reminders)).toEqual([reminder]);
  // It goes out as it came in, whole.
  const out = write({ ...event({}), ...read, id: 'a', calendarId: 'c' });
  for (const line of [...lines, 'X-LAMP:port']) expect(out.replaceAll('\r\n ', '')).toContain(line);
  expect(out.match(/BEGIN:VALARM/g)).toHaveLength(1);
  expect(readOne(out).reminders).toEqual(read.reminders);
});

test.each([
  ['a program that is to be run', ['ACTION:PROCEDURE', 'TRIGGER:-PT15M', 'ATTACH:file:///x']],
  ['an alarm without a time', ['ACTION:DISPLAY', 'DESCRIPTION:Soon']],
  ['a time that is none', ['ACTION:DISPLAY', 'TRIGGER:soon']],
])('%s is no reminder, and goes out again', (_, lines) => {
  const read = readOne(file(lines));
  expect(read.reminders).toBeNull();
  const out = write({ ...event({}), ...read, id: 'a', calendarId: 'c' });
  for (const line of lines) expect(out).toContain(line);
});

const someReminder: fc.Arbitrary<Reminder> = fc
  .record({
    when: fc.oneof(
      fc.record({
        minutes: fc.integer({ min: -40_000, max: 40_000 }),
        from: fc.constantFrom('start' as const, 'end' as const, 'leave' as const),
      }),
      fc.record({ at: fc.integer({ min: 0, max: 2 ** 32 }).map((s) => s * 1000) }),
    ),
    how: fc.option(fc.constantFrom('mail' as const, 'text' as const), { nil: undefined }),
    repeat: fc.option(
      fc.record({
        times: fc.integer({ min: 1, max: 50 }),
        every: fc.integer({ min: 1, max: 3000 }),
      }),
      { nil: undefined },
    ),
    acknowledged: fc.option(
      fc.integer({ min: 0, max: 2 ** 32 }).map((s) => s * 1000),
      {
        nil: undefined,
      },
    ),
  })
  .map(({ when, how, repeat, acknowledged }) => ({
    ...when,
    ...(how && { how }),
    ...(repeat && { repeat }),
    ...(acknowledged !== undefined && { acknowledged }),
  }));

test('any reminders, and the way there, come back as they went out', () => {
  const fields = fc.record({
    reminders: fc.option(fc.array(someReminder, { maxLength: 4 })),
    travelBefore: fc.integer({ min: 0, max: 300 }),
    travelAfter: fc.integer({ min: 0, max: 300 }),
    isQuiet: fc.boolean(),
    importance: fc.integer({ min: 0, max: 9 }),
  });
  fc.assert(
    fc.property(fields, (given) => {
      const back = readOne(write(event(given)));
      expect(back).toMatchObject(given);
      expect(back.reminders).toEqual(given.reminders);
      expect(back.passthrough).toBeUndefined();
    }),
    { numRuns: RUNS },
  );
});

test('the reminders of its calendar go along for other devices, and are the calendar’s when they come back', () => {
  const calendar: CalendarReminders = {
    defaultReminders: [{ minutes: -20, from: 'start' }],
    defaultWholeDayReminders: [],
    remindsOf: 'all',
  };
  const out = write(event({ reminders: null }), calendar);
  expect(out).toContain('TRIGGER:-PT20M');
  expect(readOne(out).reminders).toBeNull();
  expect(write(event({ reminders: [] }), calendar)).not.toContain('VALARM');
});

test('where another program has set an alarm otherwise, that counts', () => {
  const out = write(event({ reminders: [{ minutes: -20, from: 'start' }] }));
  const changed = readOne(out.replace('TRIGGER:-PT20M', 'TRIGGER:-PT45M'));
  expect(plain(changed.reminders)).toEqual([{ minutes: -45, from: 'start' }]);
});

test('a mail says to whom, and goes to the address that is known', () => {
  const out = write(event({ reminders: [{ minutes: -20, from: 'start', how: 'mail' }] }));
  expect(out).toContain('ACTION:EMAIL');
  expect(out).toContain('ATTENDEE:mailto:office@quay.example');
  expect(out).toContain('SUMMARY:Lamp\\, check');
});
