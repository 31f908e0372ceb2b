import { PLAIN } from '../../testing/occurrences';
import fc from 'fast-check';
import type { Occurrence } from '../../agenda/occurrence';
import { durationOf, newEvent } from '../../model/event';
import { DAY, dayOfWall, formatDate, formatLocal, MINUTE, parseDate } from '../../time/civil';
import { instantFromWall } from '../../time/zones';
import type { WallMs } from '../../time/units';
import type { FileContents } from '../ics/readFile';
import { recallColumns, rememberColumns, signatureOf } from './columns';
import { guessColumns } from './guessColumns';
import { dateOrderOf, isOrderAsked, readDate } from './dates';
import type { TableReading } from './rows';
import { readLength, readRows } from './rows';
import { readTable } from './table';
import type { OutColumn } from './write';
import { OUT_COLUMNS, writeTable } from './write';

const LONDON = 'Europe/London';

function read(text: string, more: Partial<TableReading> = {}): FileContents {
  const table = readTable(text);
  const columns = guessColumns(table.columns);
  const base = { order: 'day' as const, zone: LONDON, defaultLength: 30, now: 0 };
  return readRows(table, { columns, ...base, ...more });
}

test('rows become events, whatever stands between the columns', () => {
  const text =
    'Subject;Start date;Start time;End time;Location\nFog bell;24/11/2026;9:15;10:45;Pier';
  const { events, skipped } = read(text);
  expect(skipped).toEqual([]);
  expect(events[0]).toMatchObject({
    title: 'Fog bell',
    place: 'Pier',
    start: { local: '2026-11-24T09:15:00', zone: LONDON },
    end: { local: '2026-11-24T10:45:00' },
  });
});

test('a row that can’t be read is named with its line, also after a cell with line ends, and the rest comes in', () => {
  const text =
    'Title,Date,Time,Notes\nOne,24/11/2026,9:00,"two\nlines"\n\nTwo,31/02/2026,9:00,\nThree,25/11/2026,25:99,\nFour,26/11/2026,2pm,';
  const { events, skipped } = read(text);
  expect(events.map(({ title }) => title)).toEqual(['One', 'Four']);
  expect(events[0]!.notes).toBe('two\nlines');
  expect(skipped).toEqual([
    { line: 5, what: '“Two” stays out: “31/02/2026” is not a date.' },
    { line: 6, what: '“Three” stays out: “25:99” is not a time.' },
  ]);
});

test.each([
  ['Title,Date\nStocktaking,24/11/2026', '2026-11-24', '2026-11-25'],
  ['Title,From,Until\nFair,24/11/2026,26/11/2026', '2026-11-24', '2026-11-27'],
  ['Title,Date,Time,Whole day\nFair,24/11/2026,9:00,yes', '2026-11-24', '2026-11-25'],
])('rows without hours last whole days: %j', (text, start, end) => {
  expect(read(text).events[0]).toMatchObject({
    start: { kind: 'date', date: start },
    end: { kind: 'date', date: end },
  });
});

test('lengths, dates with times in one cell, availability and categories', () => {
  const text =
    'What,Start,Duration,Show as,Tags\nTide check,2026-11-24 07:30,45,Tentative,"Lamps; Freight"';
  expect(read(text).events[0]).toMatchObject({
    start: { local: '2026-11-24T07:30:00' },
    end: { local: '2026-11-24T08:15:00' },
    availability: 'tentative',
    passthrough: { properties: [['categories', {}, 'text', 'Lamps', 'Freight']] },
  });
});

test('an end before the start and a missing date stay out', () => {
  const text =
    'Title,Date,Start time,End time\nA,24/11/2026,10:00,9:00\nB,,10:00,11:00\nC,24/11/2026,8:00,9:00';
  expect(read(text).skipped.map(({ line, what }) => `${line} ${what}`)).toEqual([
    '2 “A” stays out: the end is before the start.',
    '3 “B” stays out: there is no start date.',
  ]);
});

test('the same row gets the same UID in another file', () => {
  const head = 'Title,Date\n';
  const [first] = read(`${head}A,24/11/2026`).events;
  const [, again] = read(`${head}B,24/11/2026\nA,24/11/2026`).events;
  expect(again!.uid).toBe(first!.uid);
});

test('a table without rows is refused', () => {
  expect(() => readTable('Title,Date\n')).toThrow('no rows');
  expect(() => readTable('')).toThrow('no rows');
});

test.each([
  ['24/11/2026', 'day', '2026-11-24'],
  ['11/24/2026', 'month', '2026-11-24'],
  ['2026-11-24', 'month', '2026-11-24'],
  ['24.11.26', 'day', '2026-11-24'],
  ['24 November 2026', 'month', '2026-11-24'],
  ['Tue, 24 Nov 2026', 'day', '2026-11-24'],
  ['Nov 24th, 2026', 'day', '2026-11-24'],
  ['29/02/2027', 'day', null],
  ['13/13/2026', 'day', null],
  ['soon', 'day', null],
] as const)('%s (%s first) is %s', (text, order, date) => {
  expect(readDate(text, order)).toBe(date === null ? null : parseDate(date));
});

test('a column tells its order by dates that fit one way only', () => {
  expect(dateOrderOf(['03/04/2026', '24/11/2026'])).toBe('day');
  expect(dateOrderOf(['03/04/2026', '11/24/2026'])).toBe('month');
  expect(dateOrderOf(['03/04/2026', '2026-11-24'])).toBeNull();
});

test('columns are guessed by their names, each once, and remembered by them', () => {
  const columns = ['Subject', 'Start Date', 'Start_Time', 'End Date', 'Where', 'Cost'];
  const map = guessColumns(columns);
  expect(map).toEqual({ title: 0, startDate: 1, startTime: 2, endDate: 3, place: 4 });
  const kept = rememberColumns(columns, { ...map, notes: 5 });
  expect(recallColumns(['Cost', 'Subject'], kept)).toEqual({ notes: 0, title: 1 });
  expect(recallColumns(columns, undefined)).toBeNull();
  expect(signatureOf(columns)).not.toBe(signatureOf(columns.slice(1)));
});

function occurrence(start: number, minutes: number, wholeDay: boolean, title: string): Occurrence {
  const end = wholeDay ? start + DAY : start + minutes * MINUTE;
  return {
    id: 'a',
    eventId: 'a',
    calendarId: 'work',
    dateKey: null,
    changed: false,
    title,
    place: '=1+1',
    wholeDay,
    availability: 'busy',
    visibility: 'public',
    ...PLAIN,
    categoryIds: [],
    zone: LONDON,
    start,
    end,
    startMs: instantFromWall(start, LONDON),
    endMs: instantFromWall(end, LONDON),
  };
}

/** Texts that are rich in what separates, quotes and runs. */
const hardText = fc
  .array(fc.constantFrom(...'=+-@＝;,"\'\t\n \u00a0aÉ1', '\r\n', '|'), { maxLength: 12 })
  .map((signs) => signs.join(''));
const name = hardText.map((text) => text.trim()).filter(Boolean);

test('what goes out as a table comes back in, letter by letter', () => {
  const columns = Object.keys(OUT_COLUMNS) as OutColumn[];
  fc.assert(
    fc.property(
      fc.integer({ min: 20_000, max: 24_000 }),
      fc.integer({ min: 0, max: 1439 }),
      fc.integer({ min: 0, max: 3000 }),
      fc.boolean(),
      fc.record({ title: hardText, place: hardText }),
      fc.record({ notes: hardText, link: hardText }),
      name,
      fc.uniqueArray(name, { maxLength: 3 }),
      (day, minute, length, wholeDay, shown, more, calendar, categories) => {
        const start = day * DAY + (wholeDay ? 0 : minute * MINUTE);
        const o = { ...occurrence(start, length, wholeDay, ''), ...shown };
        // Clocks that go back may put the end of a short event before its start; that is told.
        fc.pre(o.endMs >= o.startMs);
        const date = (wall: WallMs) => ({
          kind: 'date' as const,
          date: formatDate(dayOfWall(wall)),
        });
        const zoned = (wall: WallMs) => ({
          kind: 'zoned' as const,
          local: formatLocal(wall),
          zone: LONDON,
        });
        const times = wholeDay
          ? { start: date(o.start), end: date(o.end) }
          : { start: zoned(o.start), end: zoned(o.end) };
        const held = newEvent({ id: 'a', calendarId: 'work', ...times, ...shown, ...more }, 0);
        const row = { occurrence: o, event: held, calendar, categories, minutes: 0 };
        const { events, skipped, calendarNames } = read(writeTable([row], columns));
        expect(skipped).toEqual([]);
        const { uid, ...back } = events[0]!;
        const properties = [['categories', {}, 'text', ...categories]];
        const named = categories.length ? { passthrough: { properties, components: [] } } : {};
        const { id: _id, calendarId: _calendar, uid: _uid, ...sent } = held;
        expect(back).toEqual({ ...sent, ...named });
        expect(calendarNames.get(uid)).toBe(calendar);
      },
    ),
  );
});

test('rows that say the same each come in, the same way whenever they are read', () => {
  const text = `Title,Date\n${'Bell,24/11/2026\n'.repeat(3)}Bell ,24/11/2026`;
  const { events, notes, skipped } = read(text);
  expect(skipped).toEqual([]);
  expect(new Set(events.map(({ uid }) => uid)).size).toBe(4);
  expect(read(text).events).toEqual(events);
  expect(notes).toEqual(['Lines 3, 4 say the same as lines before them. All come in.']);
});

test('blanks after separators belong to a file whose first row has them, else to the texts', () => {
  expect(read('Title, Date\n Bell , 24/11/2026').events[0]!.title).toBe('Bell');
  expect(read('Title,Date\n Bell , 24/11/2026').events[0]!.title).toBe(' Bell ');
});

test('cells that a spreadsheet would run are kept from that', () => {
  const o = occurrence(parseDate('2026-11-24') * DAY, 30, false, '=HYPERLINK("x")');
  const time = { kind: 'date' as const, date: '2026-11-24' };
  const times = { start: time, end: { ...time, date: '2026-11-25' } };
  const held = newEvent({ id: 'a', calendarId: 'work', ...times }, 0);
  const text = writeTable(
    [{ occurrence: o, event: held, calendar: '', categories: [], minutes: 0 }],
    ['title'],
  );
  expect(text).toBe('Title\r\n"\'=HYPERLINK(""x"")"');
});

test.each([
  ['45', 45],
  ['45 min', 45],
  ['1:30', 90],
  ['1:30 h', 90],
  ['1.5 h', 90],
  ['1,5 hours', 90],
  ['1 h 30 min', 90],
  ['2 days', 2880],
  ['1:75', null],
  ['soon', null],
  ['45 lamps', null],
])('a length of %j is %s minutes', (text, minutes) => {
  expect(readLength(text)).toBe(minutes);
});

test('an end past midnight needs no date, and one that would be most of a day stays out', () => {
  const { events, skipped } = read(
    'Title,Date,Start,End\nWatch,24/11/2026,23:30,00:30\nOdd,24/11/2026,10:00,9:00',
    { columns: guessColumns(['Title', 'Date', 'Start', 'End'], [['', '', '23:30', '00:30']]) },
  );
  expect(events[0]).toMatchObject({
    start: { local: '2026-11-24T23:30:00' },
    end: { local: '2026-11-25T00:30:00' },
  });
  expect(skipped).toHaveLength(1);
});

test('“Start” and “End” are times where they hold times, and dates where they hold dates', () => {
  const columns = ['Date', 'Start', 'End', 'What'];
  expect(
    guessColumns(columns, [
      ['24/11/2026', '9:00', '10.30', 'A'],
      ['', '14:00', '', 'B'],
    ]),
  ).toEqual({ startDate: 0, startTime: 1, endTime: 2, title: 3 });
  expect(guessColumns(['Start', 'End'], [['24/11/2026', '25/11/2026']])).toEqual({
    startDate: 0,
    endDate: 1,
  });
  // A slip among times makes no dates of them; dates with their times are dates.
  const slip = [
    ['24/11/2026', '9:00', '', 'A'],
    ['24/11/2026', '25:00', '', 'B'],
  ];
  expect(guessColumns(columns, slip)).toMatchObject({ startDate: 0, startTime: 1 });
  expect(guessColumns(['Start'], [['2026-11-24 09:00'], ['9:00']])).toEqual({ startDate: 0 });
});

test('rows in a night when clocks change last as long as they say, or end when a clock does', () => {
  const { events, skipped } = read(
    'Title,Date,Start,End,Length\nA,29/03/2026,01:30,,30\nB,29/03/2026,01:30,02:00,\nC,25/10/2026,01:30,,30\nD,25/10/2026,01:30,02:00,',
    {
      columns: guessColumns(
        ['Title', 'Date', 'Start', 'End', 'Length'],
        [['', '', '1:30', '2:00', '']],
      ),
      zone: 'Europe/London',
    },
  );
  expect(skipped).toEqual([]);
  expect(events.map((event) => durationOf(event) / 60_000)).toEqual([30, 30, 30, 90]);
});

test('rows say whether they are free by whole words, and which calendar they are of', () => {
  const { events, calendarNames } = read(
    'Title,Date,Show as,Calendar\nA,24/11/2026,Unavailable,Clients\nB,25/11/2026,Available,\nC,26/11/2026,Out of office,Leave',
  );
  expect(events.map(({ availability }) => availability)).toEqual(['busy', 'free', 'away']);
  expect([...calendarNames.values()]).toEqual(['Clients', 'Leave']);
});

test('the order of dates is asked only where it makes another day', () => {
  expect(isOrderAsked(['2026-11-24', '24 Nov 2026', '24/11/2026', '05/05/2026'])).toBe(false);
  expect(isOrderAsked(['24/11/2026', '05/06/2026'])).toBe(true);
});

test('whole days that end before they begin stay out', () => {
  const text = 'Title,From,Until\nFair,26/11/2026,24/11/2026\nDay,26/11/2026,26/11/2026';
  const { events, skipped } = read(text);
  expect(events.map(({ title }) => title)).toEqual(['Day']);
  expect(skipped).toEqual([
    { line: 2, what: '“Fair” stays out: the last day is before the first.' },
  ]);
});

/** Titles with their times of a table whose columns were guessed by their names and cells. */
function guessed(text: string): string[] {
  const table = readTable(text);
  const columns = guessColumns(
    table.columns,
    table.rows.map(({ cells }) => cells),
  );
  const { events, skipped } = read(text, { columns });
  return [
    ...events.map(({ title, start, end }) =>
      [start, end].reduce(
        (said, time) => `${said} ${time.kind === 'date' ? time.date : time.local.slice(0, 16)}`,
        title,
      ),
    ),
    ...skipped.map(({ line, what }) => `${line}: ${what}`),
  ];
}

test.each([
  [
    'names in another tongue',
    'Betreff;Beginn;Ende\nFair;24.11.2026 09:00;24.11.2026 10:00',
    ['Fair 2026-11-24T09:00 2026-11-24T10:00'],
  ],
  [
    'no names at all',
    'Fair,24/11/2026,9:00,10:00\nTalk,25/11/2026,9:00,10:00',
    ['Fair 2026-11-24T09:00 2026-11-24T10:00', 'Talk 2026-11-25T09:00 2026-11-25T10:00'],
  ],
  [
    'a line that says the separator',
    'sep=|\nTitle|Date\nA;B|24/11/2026',
    ['A;B 2026-11-24 2026-11-25'],
  ],
  [
    'times and days from one to another in a cell',
    'Event,Date\nFair,24/11/2026 - 26/11/2026\nTalk,24/11/2026 9:00-10:30',
    ['Fair 2026-11-24 2026-11-27', 'Talk 2026-11-24T09:00 2026-11-24T10:30'],
  ],
  [
    'a column of hours from one to another',
    'What\tWhen\tTime\nTalk\t24/11/2026\t9:00-10:30\nWalk\t24/11/2026\t9',
    ['Talk 2026-11-24T09:00 2026-11-24T10:30', 'Walk 2026-11-24T09:00 2026-11-24T09:30'],
  ],
  [
    'instants of any offset',
    'title,start,end\nA,2026-07-24T09:00:00Z,2026-07-24T10:00:00Z\nB,2026-11-24T09:00:00+01:00,2026-11-24T10:00:00+01:00',
    ['A 2026-07-24T10:00 2026-07-24T11:00', 'B 2026-11-24T08:00 2026-11-24T09:00'],
  ],
  [
    'lengths as devices write them',
    'Title,Date,Time,Length\nA,24/11/2026,9:00,PT45M\nB,24/11/2026,9:00,P',
    ['A 2026-11-24T09:00 2026-11-24T09:45', '3: “B” stays out: “P” is not a length.'],
  ],
])('%s', (_what, text, said) => expect(guessed(text)).toEqual(said));

test('a row may say the zone that its times are on', () => {
  const text =
    'Title,Date,Start,Time zone\nA,24/11/2026,9:00,America/Halifax\nB,24/11/2026,9:00,Osaka\nC,24/11/2026,9:00,Nowhere\nD,24/11/2026,9:00,';
  const { columns, rows } = readTable(text);
  const found = guessColumns(
    columns,
    rows.map(({ cells }) => cells),
  );
  const { events, skipped } = read(text, { columns: found });
  expect(events.map(({ start }) => start)).toEqual(
    ['America/Halifax', 'Asia/Tokyo', LONDON].map((zone) => ({
      ...{ kind: 'zoned', local: '2026-11-24T09:00:00', zone },
    })),
  );
  expect(skipped).toEqual([
    { line: 4, what: '“C” stays out: “Nowhere” is not a time zone that is known.' },
  ]);
});
