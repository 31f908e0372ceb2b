import { readCalendarFile } from './readFile';
import type { FileContents } from './readFile';

/** Entries that were made to break a reader, each beside one that is sound. */

function read(text: string): FileContents {
  const reader = readCalendarFile(text, 0);
  for (;;) {
    const step = reader.next();
    if (step.done) return step.value;
  }
}

const file = (...lines: string[]) =>
  ['BEGIN:VCALENDAR', ...lines, 'END:VCALENDAR', ''].join('\r\n');
const START = 'DTSTART:20261124T090000Z';
const entry = (...lines: string[]) =>
  file(
    ...['BEGIN:VEVENT', 'UID:a', 'SUMMARY:Odd', START, ...lines, 'END:VEVENT'],
    ...['BEGIN:VEVENT', 'UID:b', 'SUMMARY:Sound', START, 'END:VEVENT'],
  );
const titles = ({ events }: FileContents) => events.map(({ title }) => title);
const times = <T>(n: number, make: (i: number) => T) =>
  Array.from({ length: n }, (_, i) => make(i));

test.each([
  ['a rule of what is left out', ['RRULE:FREQ=DAILY', 'EXRULE:FREQ=WEEKLY']],
  ['a name of the language', ['CONSTRUCTOR:x']],
  ['another one', ['__PROTO__:x']],
  ['a type of the language', ['X-A;VALUE=CONSTRUCTOR:x']],
  ['a parameter of the language', ['X-A;__PROTO__=1:x']],
  ['a component of the language', ['BEGIN:CONSTRUCTOR', 'X:1', 'END:CONSTRUCTOR']],
  [
    'components in components, 20,000 deep',
    [...times(20_000, () => 'BEGIN:VALARM'), ...times(20_000, () => 'END:VALARM')],
  ],
  ['20,000 lines that are none', times(20_000, (i) => `no colon ${i}`)],
  ['what should be a file', ['ATTACH;ENCODING=BASE64;VALUE=BINARY:%%%']],
])('an entry with %s comes in, and the others do', (_what, lines) => {
  expect(titles(read(entry(...lines)))).toEqual(['Odd', 'Sound']);
});

test.each([
  [
    'more added dates than can be kept',
    [`RDATE:${times(20_001, () => '20261124T090000Z').join(',')}`],
    'An entry with 20001 added or left-out dates stays out: it can have 20000',
  ],
  [
    'a length of centuries',
    ['RRULE:FREQ=DAILY', 'DTEND:40211124T090000Z'],
    '“Odd” stays out: it lasts longer than 50 years',
  ],
  [
    'an added date that there is not',
    ['RDATE:20261399T000000Z'],
    '“Odd” stays out: an added date “20261399T000000Z” is no date or time',
  ],
  [
    'a date of its series that there is not',
    ['RECURRENCE-ID:99999999T999999Z'],
    '“Odd” stays out: the date of its series “99999999T999999Z” is no date or time',
  ],
  [
    'a length beyond all years',
    ['DURATION:P99999999999D'],
    '“Odd” stays out: it lasts longer than 50 years',
  ],
])('an entry with %s stays out by name, and the others come in', (_what, lines, said) => {
  const contents = read(entry(...lines));
  expect(titles(contents)).toEqual(['Sound']);
  expect(contents.skipped).toEqual([{ line: 2, what: expect.stringMatching(said) as string }]);
});

test('of more changed dates than can be kept the first come in', () => {
  const dates = times(5001, (i) => {
    const id = new Date(Date.UTC(2026, 0, 1, 9) + i * 86_400_000).toISOString();
    return [
      'BEGIN:VEVENT',
      'UID:a',
      `SUMMARY:Day ${i}`,
      `RECURRENCE-ID:${id.replaceAll(/[-:]|\.000/g, '')}`,
      START,
      'END:VEVENT',
    ];
  });
  const series = ['BEGIN:VEVENT', 'UID:a', 'SUMMARY:Odd', START, 'RRULE:FREQ=DAILY', 'END:VEVENT'];
  const { events, skipped } = read(file(...series, ...dates.flat()));
  expect(Object.keys(events[0]!.changedDates)).toHaveLength(5000);
  expect(skipped.map(({ what }) => what)).toEqual([
    '“Day 5000” has more than 5000 changed dates: this one stays out',
  ]);
});

test.each(['20261341', '2026', '00000000'])(
  'a task that is due on %s comes in without that',
  (due) => {
    const task = ['BEGIN:VTODO', 'UID:t', 'SUMMARY:Order', `DUE;VALUE=DATE:${due}`, 'END:VTODO'];
    expect(read(file(...task)).tasks).toMatchObject([
      { title: 'Order', status: 'open', due: null },
    ]);
  },
);

test('a start that is none is told of by its words', () => {
  const odd = ['BEGIN:VEVENT', 'UID:a', 'SUMMARY:Odd', 'DTSTART:2026-13-45T09:00', 'END:VEVENT'];
  const sound = ['BEGIN:VEVENT', 'UID:b', 'SUMMARY:Sound', START, 'END:VEVENT'];
  expect(read(file(...odd, ...sound)).skipped).toEqual([
    { line: 2, what: '“Odd” stays out: its start “2026-13-45T09:00” is no date or time' },
  ]);
});

test.each(['in the evening', '19970701T10300Z', '20261301'])(
  'an end “%s” is left out, and told',
  (end) => {
    const contents = read(entry(`DTEND:${end}`));
    expect(contents.events[0]).toMatchObject({ title: 'Odd', end: contents.events[0]!.start });
    expect(contents.notes).toEqual([
      'Line 2: “Odd”: it comes in without its end, which is no date or time.',
    ]);
  },
);
