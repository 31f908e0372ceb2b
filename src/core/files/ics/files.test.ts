import fc from 'fast-check';
import type { CalendarEvent } from '../../model/event';
import { newEvent } from '../../model/event';
import { formatLocal, MINUTE, parseLocal } from '../../time/civil';
import { offsetAt } from '../../time/zones';
import { takeCategories } from './categories';
import { decodeText } from './decode';
import type { Present } from './plan';
import { planImport, withFileExtras } from './plan';
import type { FileContents } from './readFile';
import { readCalendarFile } from './readFile';
import { FileError, scanComponents } from './scan';
import { writeCalendarFile } from './writeFile';
import { zoneLines } from './writeZone';
import { FileZones } from './zoneOfFile';
import { INKS } from '../../model/inks';
import { newCalendar } from '../../model/calendar';

function read(text: string): FileContents {
  const reader = readCalendarFile(text, 0);
  for (;;) {
    const step = reader.next();
    if (step.done) return step.value;
  }
}

const wrap = (...lines: string[]) =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', ...lines, 'END:VCALENDAR', ''].join('\r\n');
const vevent = (...lines: string[]) => ['BEGIN:VEVENT', ...lines, 'END:VEVENT'];
const nothing: Present = { eventsOf: () => [], taskOf: () => undefined };
const holding = (...events: CalendarEvent[]): Present => ({
  eventsOf: (uid) => events.filter((event) => event.uid === uid),
  taskOf: () => undefined,
});
const withIds = (contents: FileContents) =>
  planImport(contents, 'workshop', nothing, counter()).events.map((planned) => planned.after);
function counter() {
  let n = 0;
  return () => `id-${++n}`;
}
const NOW = Date.UTC(2026, 10, 24);

const write = (events: CalendarEvent[], name = '') =>
  writeCalendarFile({ name, events, tasks: [], passthrough: [], now: NOW });

const SERIES = wrap(
  ...vevent(
    'UID:round@lantern-quay.example',
    'SUMMARY:Bench round',
    'DTSTART;TZID=Europe/London:20261019T090000',
    'DTEND;TZID=Europe/London:20261019T100000',
    'RRULE:FREQ=WEEKLY;BYDAY=MO',
    'EXDATE;TZID=Europe/London:20261026T090000',
    'SEQUENCE:2',
    'X-LAMP;X-SIDE=port:14\\, red',
    'ATTENDEE;CN="Solberg, Ida":mailto:ida@lantern-quay.example',
    'BEGIN:VALARM',
    'ACTION:DISPLAY',
    'TRIGGER:-PT10M',
    'DESCRIPTION:Soon',
    'END:VALARM',
  ),
  ...vevent(
    'UID:round@lantern-quay.example',
    'RECURRENCE-ID;TZID=Europe/London:20261102T090000',
    'SUMMARY:Bench round (late)',
    'DTSTART;TZID=Europe/London:20261102T140000',
    'DTEND;TZID=Europe/London:20261102T150000',
  ),
);

test('a series comes in with its skipped and its changed dates', () => {
  const { events, counts } = read(SERIES);
  expect(counts).toEqual({ events: 2, tasks: 0, overrides: 1 });
  expect(events).toHaveLength(1);
  expect(events[0]).toMatchObject({
    rule: 'FREQ=WEEKLY;BYDAY=MO',
    skippedDates: ['2026-10-26T09:00:00'],
    changedDates: { '2026-11-02T09:00:00': { title: 'Bench round (late)' } },
    revision: 2,
  });
});

test('what goes out comes in again unchanged, unknown properties and alarms included', () => {
  const before = withIds(read(SERIES));
  const text = write(before, 'Workshop, main; floor');
  expect(text).toContain('X-LAMP;X-SIDE=port:14\\, red');
  expect(text).toContain('TRIGGER:-PT10M');
  expect(text).toContain('ATTENDEE;CN="Solberg, Ida":mailto:ida@lantern-quay.example');
  const again = read(text);
  expect(again.name).toBe('Workshop, main; floor');
  expect(withIds(again)).toEqual(before);
});

test('a written file keeps to the form: CRLF, folded at 75 octets, a VTIMEZONE for each TZID', () => {
  const event = newEvent(
    {
      id: 'a',
      calendarId: 'c',
      title: 'Öle und Lampen '.repeat(12),
      notes: 'one\ntwo; three, four\\five',
      start: { kind: 'zoned', local: '2026-11-23T09:00:00', zone: 'America/Halifax' },
      end: { kind: 'zoned', local: '2026-11-23T10:00:00', zone: 'Asia/Tokyo' },
    },
    0,
  );
  const late = { kind: 'zoned', local: '2026-11-23T23:00:00', zone: 'Asia/Tokyo' } as const;
  const text = write([{ ...event, end: late }]);
  expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
  for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
  expect(text.match(/^TZID:.*$/gm)).toEqual(
    ['TZID:America/Halifax\r', 'TZID:Asia/Tokyo\r'].map((l) => l.trim()),
  );
  expect(read(text).events[0]).toMatchObject({ title: event.title, notes: event.notes, end: late });
});

test.each([
  'Europe/London',
  'America/Halifax',
  'Asia/Tokyo',
  'Australia/Lord_Howe',
  'Africa/Casablanca',
])('the VTIMEZONE of %s behaves as the zone does', (zone) => {
  const lines = zoneLines(zone, 2023, 2027);
  const unnamed = lines.map((line) => (line.startsWith('TZID:') ? 'TZID:Saltmarsh' : line));
  const [definition] = scanComponents(wrap(...unnamed))[0]!.children;
  const found = new FileZones([definition!]).zoneFor('Saltmarsh');
  expect(found).not.toBeNull();
  for (let week = 0; week < 52; week++) {
    const at = parseLocal('2024-01-03T12:00:00') + week * 7 * 24 * 60 * MINUTE;
    expect(offsetAt(at, found!)).toBe(offsetAt(at, zone));
  }
});

const text = fc
  .string({ unit: 'grapheme', maxLength: 120 })
  .map((t) => t.replaceAll(/\p{C}/gu, ' '));
const anyTimes = fc
  .record({
    kind: fc.constantFrom('date', 'zoned', 'floating', 'utc'),
    start: fc.integer({ min: 0, max: 1_000_000 }),
    length: fc.integer({ min: 1, max: 10_000 }),
  })
  .map(({ kind, start, length }) => {
    const at = (minutes: number) => formatLocal(parseLocal('2026-01-01') + minutes * MINUTE);
    const time = (minutes: number) =>
      kind === 'date'
        ? ({ kind, date: at(minutes * 1440).slice(0, 10) } as const)
        : kind === 'floating'
          ? ({ kind, local: at(minutes) } as const)
          : ({
              kind: 'zoned',
              local: at(minutes),
              zone: kind === 'utc' ? 'UTC' : 'Asia/Tokyo',
            } as const);
    return kind === 'date'
      ? { start: time(start % 9000), end: time((start % 9000) + (length % 30) + 1) }
      : { start: time(start), end: time(start + length) };
  });

test('any event survives the way out and in', () => {
  const anyEvent = fc.record({
    times: anyTimes,
    title: text,
    place: text,
    notes: fc.array(text).map((lines) => lines.join('\n')),
    availability: fc.constantFrom('free', 'tentative', 'busy', 'away'),
    visibility: fc.constantFrom('public', 'private'),
    importance: fc.integer({ min: 0, max: 9 }),
  });
  fc.assert(
    fc.property(fc.array(anyEvent, { maxLength: 5 }), (specs) => {
      const events = specs.map(({ times, ...fields }, i) =>
        newEvent(
          { id: `id-${i + 1}`, calendarId: 'workshop', ...times, ...(fields as object) },
          1_700_000_000_000,
        ),
      );
      expect(withIds(read(write(events)))).toEqual(events);
    }),
  );
});

test('the same UID updates in place; what is the same or older changes nothing', () => {
  const [here] = withIds(read(SERIES));
  const mine = { ...here!, calendarId: 'clients', inkOverride: INKS.Moss };
  const plan = (file: string) => planImport(read(file), 'workshop', holding(mine), counter());
  expect(plan(SERIES).counts).toEqual({ new: 0, updated: 0, unchanged: 1, older: 0 });
  expect(plan(SERIES.replace('SEQUENCE:2', 'SEQUENCE:1')).counts.older).toBe(1);
  const changed = plan(SERIES.replace('SUMMARY:Bench round\r', 'SUMMARY:Bench walk\r'));
  expect(changed.counts.updated).toBe(1);
  expect(changed.events[0]!.after).toMatchObject({
    id: mine.id,
    title: 'Bench walk',
    calendarId: 'clients',
    inkOverride: INKS.Moss,
  });
});

test('changed dates alone find their series, and stand alone without it', () => {
  const dates = ['20261109', '20261116'].flatMap((day) =>
    vevent(
      'UID:round@lantern-quay.example',
      `RECURRENCE-ID;TZID=Europe/London:${day}T090000`,
      `DTSTART;TZID=Europe/London:${day}T110000`,
      'DURATION:PT30M',
      'SUMMARY:Moved',
    ),
  );
  const [series] = withIds(read(SERIES));
  const joined = planImport(read(wrap(...dates)), 'workshop', holding(series!), counter());
  expect(joined.events).toHaveLength(1);
  expect(Object.keys(joined.events[0]!.after.changedDates)).toEqual([
    '2026-11-02T09:00:00',
    '2026-11-09T09:00:00',
    '2026-11-16T09:00:00',
  ]);
  const alone = withIds(read(wrap(...dates)));
  expect(alone).toHaveLength(2);
  expect(write(alone)).toContain('RECURRENCE-ID;TZID=Europe/London:20261109T090000');
});

test.each([
  ['', 'empty'],
  ['Dear Ida, the lamps are ready.', 'not a calendar'],
  [SERIES.slice(0, 300), 'never ends'],
  [
    wrap('BEGIN:VEVENT', 'END:VALARM', 'END:VEVENT').replace('END:VALARM', 'END:VCALENDAR'),
    'Line 5',
  ],
  [wrap(...vevent('SUMMARY:No start')), 'Line 3'],
])('a file that is no good is refused with its reason', (file, reason) => {
  expect(() => read(file)).toThrow(FileError);
  expect(() => read(file)).toThrow(reason);
});

test('one wrong entry or line is named and the rest comes in', () => {
  const { events, skipped } = read(
    wrap(
      ...vevent('UID:a', 'SUMMARY:Bad date', 'DTSTART:20260230T090000'),
      ...vevent('UID:b', 'SUMMARY:Bad line', 'DTSTART:20260220T090000', 'COMMENT without a colon'),
      ...vevent('UID:c', 'SUMMARY:Good', 'DTSTART;VALUE=DATE:20260220'),
      ...vevent('UID:d', 'SUMMARY:Bad repeat', 'DTSTART:20260220T090000', 'RRULE:FREQ=NEVER'),
    ),
  );
  expect(events.map((event) => event.title)).toEqual(['Bad line', 'Good']);
  expect(skipped.map(({ line }) => line)).toEqual([3, 12, 19]);
  expect(skipped[0]!.what).toContain('“Bad date” stays out');
});

test('byte-order marks, other encodings, odd line ends and cut characters are read', () => {
  const file = wrap(...vevent('UID:a', 'SUMMARY:Öl für Lampe', 'DTSTART:20260220T090000'));
  const title = (bytes: Uint8Array) => read(decodeText(bytes).text).events[0]!.title;
  const utf8 = Buffer.from(file);
  expect(title(Buffer.concat([Buffer.from([0xef, 0xbb, 0xbf]), utf8]))).toBe('Öl für Lampe');
  expect(title(Buffer.from(`\ufeff${file}`, 'utf16le'))).toBe('Öl für Lampe');
  expect(title(Buffer.from(file, 'latin1'))).toBe('Öl für Lampe');
  expect(title(Buffer.from(file.replaceAll('\r\n', '\r')))).toBe('Öl für Lampe');
  const cut = utf8.indexOf(0xc3) + 1;
  const fold = Buffer.from('\r\n ');
  expect(title(Buffer.concat([utf8.subarray(0, cut), fold, utf8.subarray(cut)]))).toBe(
    'Öl für Lampe',
  );
});

test('zones are known by Windows names and by how they behave; others float and say so', () => {
  const at = (tzid: string) =>
    read(wrap(...vevent('UID:a', `DTSTART;TZID=${tzid}:20260720T090000`))).events[0]!.start;
  expect(at('Tokyo Standard Time')).toMatchObject({ zone: 'Asia/Tokyo' });
  expect(at('/maker.example/2026_1/Europe/Lisbon')).toMatchObject({ zone: 'Europe/Lisbon' });
  expect(at('"(UTC-05:00) Eastern Time (US & Canada)"')).toMatchObject({
    zone: 'America/New_York',
  });
  expect(at('US-Eastern')).toMatchObject({ zone: 'US/Eastern' });
  expect(at('"UTC+05:00"')).toMatchObject({ zone: 'Etc/GMT-5' });
  const lost = read(wrap(...vevent('UID:a', 'DTSTART;TZID=Harbour:20260720T090000')));
  expect(lost.events[0]!.start).toEqual({ kind: 'floating', local: '2026-07-20T09:00:00' });
  expect(lost.notes[0]).toContain('Harbour');
});

test('what a calendar file holds besides entries is kept once', () => {
  const contents = read(wrap('X-COLOUR:amber', 'BEGIN:VJOURNAL', 'UID:j', 'END:VJOURNAL'));
  const calendar = newCalendar({ id: 'w', name: 'W', ink: INKS.Kelp, mark: 'square', order: 0 });
  const once = withFileExtras(calendar, contents);
  expect(withFileExtras(once, contents)).toEqual(once);
  const out = writeCalendarFile({
    name: 'W',
    events: [],
    tasks: [],
    passthrough: [once.passthrough!],
    now: NOW,
  });
  expect(out).toContain('X-COLOUR:amber');
  expect(out).toContain('BEGIN:VJOURNAL\r\nUID:j');
});

test('an event’s ink, icon, reminders and categories go out and come back', () => {
  const made = newEvent(
    {
      id: 'a',
      calendarId: 'workshop',
      title: 'Lamp, 14',
      start: { kind: 'zoned', local: '2026-11-24T09:00:00', zone: 'Europe/London' },
      end: { kind: 'zoned', local: '2026-11-24T10:00:00', zone: 'Europe/London' },
      rule: 'FREQ=DAILY;COUNT=3',
      inkOverride: INKS.Gentian,
      icon: 'ferry',
      categoryIds: ['lamps', 'sea'],
      reminders: [
        { minutes: -15, from: 'start' },
        { minutes: 0, from: 'start' },
        { minutes: 5, from: 'end' },
      ],
      changedDates: { '2026-11-25T09:00:00': { categoryIds: ['sea'] } },
    },
    0,
  );
  const names = new Map([
    ['lamps', 'Lamps, brass'],
    ['sea', 'Sea'],
  ]);
  const text = writeCalendarFile({
    name: '',
    events: [made],
    tasks: [],
    passthrough: [],
    categories: names,
    now: NOW,
  });
  expect(text).toContain('TRIGGER:-PT15M');
  expect(text).toContain('TRIGGER:PT0M');
  expect(text).toContain('TRIGGER;RELATED=END:PT5M');
  const present = [...names].map(([id, name], order) => ({ id, name, ink: INKS.Kelp, order }));
  const { contents, made: others } = takeCategories(read(text), present, () => {
    throw new Error('No category is new.');
  });
  expect(others).toEqual([]);
  const [back] = withIds(contents);
  expect(back).toMatchObject({
    inkOverride: INKS.Gentian,
    icon: 'ferry',
    categoryIds: ['lamps', 'sea'],
    reminders: made.reminders,
    changedDates: { '2026-11-25T09:00:00': { categoryIds: ['sea'] } },
  });
  expect(back!.passthrough).toBeUndefined();
});
