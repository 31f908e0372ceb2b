import fc from 'fast-check';
import { EventIndex } from '../agenda/eventIndex';
import type { CalendarEvent } from '../model/event';
import { newEvent } from '../model/event';
import { anySeries, HORIZON, naiveDates } from '../testing/naiveSeries';
import { DAY, HOUR } from '../time/civil';
import type { Occurrence } from '../agenda/occurrence';
import type { Filter } from '../model/filter';
import { EMPTY_FILTER } from '../model/filter';
import { hasTimes } from '../query/filterParts';
import type { FoundLine } from './results';
import { lineOf, sortedLines } from './results';

/** Tuesday 24 November 2026, 10:25. */
const NOW = Date.parse('2026-11-24T10:25:00Z');

const zoned = (local: string) => ({ kind: 'zoned', local: `${local}:00`, zone: 'UTC' }) as const;

const timed = (id: string, start: string, end: string, fields: Partial<CalendarEvent> = {}) =>
  newEvent({ id, calendarId: 'c', title: id, start: zoned(start), end: zoned(end), ...fields }, 0);

function settingOf(events: readonly CalendarEvent[], now: number) {
  const index = new EventIndex();
  for (const event of events) index.put(event);
  return { index, zone: 'UTC', now };
}

const sorted = (events: CalendarEvent[], most = 10) =>
  sortedLines(events, settingOf(events, NOW), most);

const titles = (lines: { event: CalendarEvent }[]) => lines.map(({ event }) => event.title);

test('what runs and comes stands before what is over, each the nearest first', () => {
  const { coming, over } = sorted([
    timed('Next month', '2026-12-20T09:00', '2026-12-20T10:00'),
    timed('Yesterday', '2026-11-23T09:00', '2026-11-23T10:00'),
    timed('Runs', '2026-11-24T10:00', '2026-11-24T11:00'),
    timed('Just over', '2026-11-24T10:00', '2026-11-24T10:25'),
    timed('Long ago', '2019-03-01T09:00', '2019-03-01T10:00'),
    timed('Since spring', '2026-04-01T09:00', '2027-01-20T10:00'),
  ]);
  expect(titles(coming.lines)).toEqual(['Since spring', 'Runs', 'Next month']);
  expect(titles(over.lines)).toEqual(['Just over', 'Yesterday', 'Long ago']);
});

test('of many the nearest are listed, and all are counted', () => {
  const days = ['01', '02', '03', '04', '05'];
  const { coming, over } = sorted(
    days.flatMap((day) => [
      timed(`To come ${day}`, `2026-12-${day}T09:00`, `2026-12-${day}T10:00`),
      timed(`Over ${day}`, `2026-11-${day}T09:00`, `2026-11-${day}T10:00`),
    ]),
    2,
  );
  expect([titles(coming.lines), coming.total]).toEqual([['To come 01', 'To come 02'], 5]);
  expect([titles(over.lines), over.total]).toEqual([['Over 05', 'Over 04'], 5]);
});

test('a series is shown by its dates at the times that are asked for', () => {
  const rounds = timed('Rounds', '2026-11-02T09:00', '2026-11-02T09:30', {
    rule: 'FREQ=WEEKLY;BYDAY=MO,TU,TH',
  });
  const setting = settingOf([rounds], NOW);
  const onMondays: Filter = { ...EMPTY_FILTER, weekdays: [0] };
  const shown = (filter: Filter) => {
    const isMeant = (date: Occurrence) => hasTimes(date, filter);
    const [line] = sortedLines([rounds], { ...setting, isMeant }, 1).coming.lines;
    return line && [line.next?.dateKey, line.last?.dateKey];
  };
  expect(shown(EMPTY_FILTER)).toEqual(['2026-11-26T09:00:00', '2026-11-24T09:00:00']);
  expect(shown(onMondays)).toEqual(['2026-11-30T09:00:00', '2026-11-23T09:00:00']);
  expect(shown({ ...onMondays, not: ['weekdays'] })).toEqual([
    ...['2026-11-26T09:00:00', '2026-11-24T09:00:00'],
  ]);
  expect(shown({ ...onMondays, length: { from: 60, to: null } })).toBeUndefined();
});

test('the next and the last date of a series are those of a plain reading', () => {
  const anyMoment = fc.integer({ min: 0, max: 3 * 366 * 24 }).map((hours) => hours * HOUR);
  fc.assert(
    fc.property(anySeries, anyMoment, (event, after) => {
      // What has no zone lies where UTC has it.
      const now = HORIZON * DAY - 4 * 366 * DAY + after;
      const until = Math.floor(now / DAY) + 2 * 366;
      const dates = naiveDates(event, until);
      const next = dates.find(({ to }) => to > now);
      const last = dates.findLast(({ to }) => to <= now);
      const found = sortedLines([event], settingOf([event], now), 1);
      const line = found.coming.lines[0] ?? found.over.lines[0];
      expect(line?.last?.startMs).toBe(last?.from);
      if (next) expect(line?.next?.startMs).toBe(next.from);
      else expect(line?.next?.startMs ?? Infinity).toBeGreaterThanOrEqual(until * DAY);
    }),
    { numRuns: Number(process.env['PROPERTY_RUNS'] ?? 300) },
  );
});

function line(fields: Partial<CalendarEvent>, ...words: string[]): FoundLine {
  const event = timed('Lens round', '2026-11-25T09:00', '2026-11-25T10:00', fields);
  const [placed] = sorted([event]).coming.lines;
  return lineOf(placed!, words);
}

/** A text with what was looked for in brackets. */
const said = (pieces: FoundLine['title']) =>
  pieces.map(({ text, isMatch }) => (isMatch ? `[${text}]` : text)).join('');

const MEI = {
  name: 'Mei Lund',
  address: 'mei@quay.example',
  role: 'required',
  answer: 'none',
} as const;

test.each<[string, Partial<CalendarEvent>, string]>([
  ['notes', { notes: 'Ask Oskar for the lamp' }, 'notes: Ask Oskar for the [lamp]'],
  [
    'notes without their signs',
    { notes: '## Before\n- [ ] **Lamp** to be cleaned' },
    'notes: Before ☐ [Lamp] to be cleaned',
  ],
  ['people', { attendees: [{ ...MEI, name: 'Lampert' }] }, 'people: [Lamp]ert'],
  [
    'who has no name',
    { attendees: [{ ...MEI, name: '', address: 'lamp@quay.example' }] },
    'people: [lamp]@quay.example',
  ],
  ['who asked', { organizer: { ...MEI, name: 'Ida Lamp' } }, 'people: Ida [Lamp]'],
  ['its link', { link: 'https://lamp.example/' }, 'link: https://[lamp].example/'],
  // The nearest to what a person wrote down comes first.
  ['of two', { link: 'https://lamp.example/', notes: 'Lamp 4' }, 'notes: [Lamp] 4'],
])('where a word stands beside title and place: %s', (_, fields, expected) => {
  const { where } = line(fields, 'lamp');
  expect(where && `${where.field}: ${said(where.pieces)}`).toBe(expected);
});

test('title and place are marked, and nothing else is shown where the word stands nowhere else', () => {
  const found = line({ place: 'Lens room' }, 'lens');
  expect([said(found.title), said(found.place), found.where]).toEqual([
    '[Lens] round',
    '[Lens] room',
    null,
  ]);
});

test('a series says its rule and how many dates it has; its next date’s own title is shown', () => {
  const found = line({
    rule: 'FREQ=WEEKLY;COUNT=4',
    changedDates: { '2026-11-25T09:00:00': { title: 'Long lens round' } },
  });
  expect(found).toMatchObject({
    isSeries: true,
    rule: 'FREQ=WEEKLY;COUNT=4',
    next: { dateKey: '2026-11-25T09:00:00' },
  });
  expect(said(found.title)).toBe('Long lens round');
  expect(found.dates).toEqual(expect.objectContaining({ count: 4 }));
});
