import fc from 'fast-check';
import '../../testing/properties';
import { userErrorCode } from '../../userError';
import type { FileContents } from './readFile';
import { readCalendarFile } from './readFile';

const NOW = Date.UTC(2026, 10, 24);

function read(...lines: string[]): FileContents {
  const reader = readCalendarFile(lines.join('\r\n'), NOW);
  let step = reader.next();
  while (!step.done) step = reader.next();
  return step.value;
}

const body = (uid: string, ...more: string[]) => [
  ...[
    `UID:${uid}`,
    `SUMMARY:${uid}`,
    'DTSTART:20261124T090000Z',
    'DTEND:20261124T100000Z',
    ...more,
  ],
];
const event = (uid: string, ...more: string[]) => [
  'BEGIN:VEVENT',
  ...body(uid, ...more),
  'END:VEVENT',
];
const titles = ({ events, looseDates, tasks }: FileContents) =>
  [...events, ...looseDates.map(({ draft }) => draft), ...tasks].map(({ title }) => title).sort();
const sum = ({ counts, leftOut, entriesOf }: FileContents) => ({
  inFile: counts.events + counts.tasks,
  accounted: [...entriesOf.values()].reduce((all, one) => all + one, 0) + leftOut,
});

test.each<[string, string[], string[]]>([
  [
    'a missing END',
    ['BEGIN:VCALENDAR', 'BEGIN:VEVENT', ...body('a'), ...event('b'), 'END:VCALENDAR'],
    ['a', 'b'],
  ],
  [
    'the last END missing',
    ['BEGIN:VCALENDAR', ...event('a'), 'BEGIN:VEVENT', ...body('b'), 'END:VCALENDAR'],
    ['a', 'b'],
  ],
  [
    'a calendar in a calendar',
    [
      'BEGIN:VCALENDAR',
      'BEGIN:VCALENDAR',
      ...event('a'),
      'END:VCALENDAR',
      ...event('b'),
      'END:VCALENDAR',
    ],
    ['a', 'b'],
  ],
  [
    'an event in a task',
    [
      'BEGIN:VCALENDAR',
      'BEGIN:VTODO',
      'UID:t',
      'SUMMARY:t',
      ...event('a'),
      'END:VTODO',
      'END:VCALENDAR',
    ],
    ['a', 't'],
  ],
  [
    'an event in something unknown',
    ['BEGIN:VCALENDAR', 'BEGIN:X-BOX', 'X-A:1', ...event('a'), 'END:X-BOX', 'END:VCALENDAR'],
    ['a'],
  ],
  [
    'many ENDs missing',
    [
      'BEGIN:VCALENDAR',
      ...Array.from({ length: 30 }, (_, i) => ['BEGIN:VEVENT', ...body(`e${10 + i}`)]).flat(),
      'END:VCALENDAR',
    ],
    Array.from({ length: 30 }, (_, i) => `e${10 + i}`),
  ],
])('%s loses no entry, and is told', (_, lines, expected) => {
  const contents = read(...lines);
  expect(titles(contents)).toEqual(expected);
  expect(contents.notes.length + (lines[1] === 'BEGIN:VCALENDAR' ? 1 : 0)).toBeGreaterThan(0);
  expect(sum(contents).accounted).toBe(sum(contents).inFile);
});

test.each(['soon', 'VALUE=DATE:00000000', '20261301', '20261124T250000Z'])(
  'a date of a series that is none (“%s”) keeps out its entry alone',
  (value) => {
    const line = value.startsWith('VALUE') ? `RECURRENCE-ID;${value}` : `RECURRENCE-ID:${value}`;
    const contents = read(
      'BEGIN:VCALENDAR',
      ...event('a', 'RRULE:FREQ=DAILY;COUNT=3'),
      ...event('a', line),
      ...event('b'),
      'END:VCALENDAR',
    );
    expect(titles(contents)).toEqual(['a', 'b']);
    expect(contents.leftOut).toBe(1);
    expect(contents.skipped[0]!.what).toContain('“a” stays out');
  },
);

test('whatever stands in a file, each entry comes in or is told of', () => {
  const line = fc.constantFrom(
    ...[
      'BEGIN:VCALENDAR',
      'END:VCALENDAR',
      'BEGIN:VEVENT',
      'END:VEVENT',
      'BEGIN:VTODO',
      'END:VTODO',
    ],
    ...['BEGIN:X-BOX', 'END:X-BOX', 'BEGIN:VALARM', 'END:VALARM', 'UID:a', 'UID:b', 'SUMMARY:s'],
    ...[
      'DTSTART:20261124T090000Z',
      'DTSTART:soon',
      'RECURRENCE-ID:20261125T090000Z',
      'RECURRENCE-ID:x',
    ],
    ...['RRULE:FREQ=DAILY', 'SEQUENCE:2'],
  );
  fc.assert(
    fc.property(fc.array(line, { maxLength: 40 }), (lines) => {
      let contents: FileContents;
      try {
        contents = read('BEGIN:VCALENDAR', ...event('z'), ...lines, 'END:VCALENDAR');
      } catch (error) {
        expect(userErrorCode(error)).toBe('file');
        return;
      }
      expect(sum(contents).accounted).toBe(sum(contents).inFile);
      expect(contents.skipped.length).toBeGreaterThanOrEqual(contents.leftOut);
    }),
    { numRuns: Number(process.env['PROPERTY_RUNS'] ?? 2000) },
  );
});
