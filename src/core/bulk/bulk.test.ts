import { UserError } from '../userError';
import type { CalendarEvent } from '../model/event';
import { newEvent } from '../model/event';
import { sheetClock } from '../time/sheetClock';
import { readyStep, applied } from './apply';
import { differencesOf } from './differences';
import { joined } from './joining';
import { asSeries } from './seriesOfEvents';
import type { BulkStep } from '../model/bulkSteps';
import { replacer } from './texts';

const LONDON = 'Europe/London';
const zoned = (local: string, zone = LONDON) => ({ kind: 'zoned', local, zone }) as const;
const date = (day: string) => ({ kind: 'date', date: day }) as const;

const event = (fields: Partial<CalendarEvent> = {}) =>
  newEvent(
    {
      id: 'e',
      calendarId: 'c',
      title: 'Lamp check',
      start: zoned('2026-11-24T09:10:00'),
      end: zoned('2026-11-24T10:00:00'),
      ...fields,
    },
    0,
  );
const DAYS = { start: date('2026-11-24'), end: date('2026-11-26') };

const CALENDAR = {
  name: 'Workshop',
  defaultReminders: [{ minutes: -10, from: 'start' as const }],
  defaultWholeDayReminders: [],
  remindsOf: 'all' as const,
};
const CONTEXT = { viewZone: LONDON, nth: 2, calendar: CALENDAR };

const after = (step: BulkStep, fields: Partial<CalendarEvent> = {}) =>
  applied(event(fields), [readyStep(step)], CONTEXT);

const times = ({ start, end }: CalendarEvent) =>
  [start, end].map((time) => (time.kind === 'date' ? time.date : time.local.slice(5, 16)));

test.each<[BulkStep, string[]]>([
  [{ kind: 'shiftDays', days: 7 }, ['12-01T09:10', '12-01T10:00']],
  [{ kind: 'shiftMinutes', minutes: -25 }, ['11-24T08:45', '11-24T09:35']],
  [{ kind: 'setStart', minute: 14 * 60 }, ['11-24T14:00', '11-24T14:50']],
  [{ kind: 'setLength', minutes: 90 }, ['11-24T09:10', '11-24T10:40']],
  [{ kind: 'round', slot: 15 }, ['11-24T09:15', '11-24T10:00']],
  [{ kind: 'round', slot: 60 }, ['11-24T09:00', '11-24T10:00']],
  [{ kind: 'wholeDay' }, ['2026-11-24', '2026-11-25']],
  [{ kind: 'hours', minute: 0, minutes: 5 }, ['11-24T09:10', '11-24T10:00']],
  [{ kind: 'zone', zone: 'Asia/Tokyo', keeps: 'clock' }, ['11-24T09:10', '11-24T10:00']],
  [{ kind: 'zone', zone: 'Asia/Tokyo', keeps: 'instant' }, ['11-24T18:10', '11-24T19:00']],
])('%j puts an event at %j', (step, expected) => {
  expect(times(after(step).after)).toEqual(expected);
});

test('hours that became a whole day come back, on the day where it is then', () => {
  const steps = [
    readyStep({ kind: 'wholeDay' }),
    readyStep({ kind: 'shiftDays', days: 1 }),
    readyStep({ kind: 'hours', minute: 0, minutes: 5 }),
  ];
  const { after: back } = applied(event(), steps, CONTEXT);
  expect(times(back)).toEqual(['11-25T09:10', '11-25T10:00']);
  expect(back).not.toHaveProperty('keptHours');
});

test('a whole day without hours of its own gets those that are said, on its first day', () => {
  const { after: timed } = after({ kind: 'hours', minute: 540, minutes: 45 }, DAYS);
  expect(timed).toMatchObject({
    start: zoned('2026-11-24T09:00:00'),
    end: zoned('2026-11-24T09:45:00'),
  });
});

test.each<BulkStep>([
  { kind: 'shiftMinutes', minutes: 5 },
  { kind: 'setStart', minute: 5 },
  { kind: 'setLength', minutes: 5 },
  { kind: 'round', slot: 5 },
  { kind: 'zone', zone: 'Asia/Tokyo', keeps: 'clock' },
])('%j can’t be done to whole days, which says why and leaves the rest', (step) => {
  const steps = [readyStep(step), readyStep({ kind: 'prefix', text: 'New: ' })];
  expect(applied(event(DAYS), steps, CONTEXT)).toEqual({
    after: event({ ...DAYS, title: 'New: Lamp check' }),
    refusals: ['It lasts whole days and has no hours.'],
  });
});

test('an end in another zone that would come before its start is refused', () => {
  const flight = { end: zoned('2026-11-24T09:30:00', 'Europe/Lisbon') };
  const step = { kind: 'zone', zone: 'Asia/Tokyo', keeps: 'clock' } as const;
  expect(after(step, flight).after).toMatchObject({
    end: zoned('2026-11-24T09:30:00', 'Asia/Tokyo'),
  });
  expect(after(step, { start: zoned('2026-11-24T09:40:00'), ...flight }).refusals).toEqual([
    'Its end would lie before its start.',
  ]);
});

test.each<[BulkStep, Partial<CalendarEvent>, Partial<CalendarEvent>]>([
  [{ kind: 'calendar', calendarId: 'd' }, {}, { calendarId: 'd' }],
  [
    { kind: 'categories', add: ['x', 'y'], remove: ['z'], isReplaced: false },
    { categoryIds: ['z', 'x', 'w'] },
    { categoryIds: ['x', 'w', 'y'] },
  ],
  [
    { kind: 'categories', add: ['x'], remove: [], isReplaced: true },
    { categoryIds: ['z'] },
    { categoryIds: ['x'] },
  ],
  [{ kind: 'ink', ink: '#112233' }, {}, { inkOverride: '#112233' }],
  [{ kind: 'availability', availability: 'free' }, {}, { availability: 'free' }],
  [{ kind: 'visibility', visibility: 'private' }, {}, { visibility: 'private' }],
  [{ kind: 'importance', importance: 'high' }, { importance: 3 }, { importance: 3 }],
  [{ kind: 'importance', importance: 'low' }, { importance: 3 }, { importance: 9 }],
  [{ kind: 'text', field: 'place', text: 'Quay 3' }, {}, { place: 'Quay 3' }],
  [{ kind: 'suffix', text: '!' }, {}, { title: 'Lamp check!' }],
  [{ kind: 'trim' }, { title: '  Lamp   check ' }, { title: 'Lamp check' }],
  [{ kind: 'number', from: 5 }, {}, { title: 'Lamp check 7' }],
  [
    { kind: 'removeFiles' },
    { attachments: [{ id: 'f', name: 'a', mediaType: 'b', bytes: 1 }] },
    { attachments: [] },
  ],
])('%j changes only what it says', (step, before, expected) => {
  expect(after(step, before).after).toEqual(event({ ...before, ...expected }));
});

test('an own ink and an icon are taken away whole', () => {
  const dressed = { inkOverride: '#112233', icon: 'anchor' };
  const steps = [readyStep({ kind: 'ink', ink: null }), readyStep({ kind: 'icon', icon: null })];
  const { after: plain } = applied(event(dressed), steps, CONTEXT);
  expect(Object.keys(plain)).not.toContain('inkOverride');
  expect(Object.keys(plain)).not.toContain('icon');
});

test('reminders are set, added to those of the calendar, cleared, or given back to it', () => {
  const ten = { minutes: -10, from: 'start' as const };
  const hour = { minutes: -60, from: 'start' as const };
  const ask = (how: 'set' | 'add' | 'clear' | 'follow', own: CalendarEvent['reminders']) =>
    after({ kind: 'reminders', how, reminders: [hour] }, { reminders: own }).after.reminders;
  expect(ask('set', [ten])).toEqual([hour]);
  expect(ask('add', [])).toEqual([hour]);
  expect(ask('add', null)).toEqual([ten, hour]);
  expect(ask('add', [hour])).toEqual([hour]);
  expect(ask('clear', null)).toEqual([]);
  expect(ask('follow', [ten])).toBeNull();
});

test.each([
  ['cafe', 'Bar', 'any', 'Café CAFE cafeteria', 'Bar Bar Barteria'],
  ['Cafe', 'Bar', 'case', 'Café Cafe cafe', 'Café Bar cafe'],
  ['lamp', '$&', 'words', 'Lamp lamps lamp.', '$& lamps $&.'],
  ['a+b', 'c', 'words', 'a+b aa+b', 'c aa+b'],
  ['(\\d+) min', '$1 minutes', 'pattern', '5 min, 10 min', '5 minutes, 10 minutes'],
  ['', 'x', 'case', 'ab', 'xaxbx'],
] as const)('“%s” by “%s” (%s) in “%s” gives “%s”', (find, by, matching, text, expected) => {
  expect(replacer(find, by, matching)(text)).toBe(expected);
});

test.each([
  ['(a+)+$', 'The pattern repeats a repeat, which can take for ever. Say it otherwise.'],
  ['(unclosed', 'The pattern can’t be read: a bracket or a sign before it is missing.'],
  ['a'.repeat(301), 'The pattern is too long to be checked.'],
])('the pattern %s is refused', (pattern, reason) => {
  expect(() => replacer(pattern, '', 'pattern')).toThrow(new UserError('refused', reason));
});

test('a pattern looks through texts of four thousand characters, and leaves longer ones', () => {
  const text = (length: number) => 'a'.repeat(length);
  expect(replacer('a', 'b', 'pattern')(text(4000))).toBe('b'.repeat(4000));
  expect(replacer('a', 'b', 'pattern')(text(4001))).toBe(text(4001));
});

const SAID = {
  locale: 'en-GB',
  hourCycle: '24' as const,
  clock: LONDON,
  home: LONDON,
  calendarOf: (id: string) => ({ ...CALENDAR, name: id === 'c' ? 'Workshop' : 'Clients' }),
  categoryName: (id: string) => id,
};

test('what differs is said, and nothing else', () => {
  const changed = event({
    title: '',
    calendarId: 'd',
    end: zoned('2026-11-24T10:30:00'),
    categoryIds: ['Lamps'],
    reminders: [],
    inkOverride: '#1F5A4C',
  });
  expect(differencesOf(event(), changed, SAID)).toEqual([
    { name: 'Title', before: 'Lamp check', after: '—' },
    {
      name: 'When',
      before: 'Tue 24 Nov, 09:10 – 10:00',
      after: 'Tue 24 Nov, 09:10 – 10:30',
    },
    { name: 'Length', before: '50 min', after: '1 h 20 min' },
    { name: 'Calendar', before: 'Workshop', after: 'Clients' },
    { name: 'Categories', before: '—', after: 'Lamps' },
    { name: 'Reminders', before: 'as Workshop has it', after: 'No reminder' },
    { name: 'Ink', before: 'of its calendar', after: 'Kelp' },
  ]);
  expect(differencesOf(event(), event(), SAID)).toEqual([]);
});

test('on days of travel the clock of the place is named', () => {
  const clock = sheetClock(LONDON, [
    { from: '2026-11-25', to: '2026-11-25', zone: 'America/Halifax' },
  ]);
  const { after: moved } = after({ kind: 'shiftDays', days: 1 });
  expect(differencesOf(event(), moved, { ...SAID, clock })).toEqual([
    {
      name: 'When',
      before: 'Tue 24 Nov, 09:10 – 10:00',
      after: 'Wed 25 Nov, 05:10 – 06:00 in Halifax',
    },
  ]);
});

test('joined events keep everything that any of them says', () => {
  const mei = { name: 'Mei', address: 'mei@x', role: 'required', answer: 'none' } as const;
  const first = event({ id: 'a', title: '', notes: 'Wire', categoryIds: ['x'], attendees: [mei] });
  const second = event({
    id: 'b',
    title: 'Lens',
    place: 'Quay',
    notes: 'Wire and brass',
    start: zoned('2026-11-24T10:00:00'),
    end: zoned('2026-11-24T12:00:00'),
    categoryIds: ['x', 'y'],
    attendees: [{ ...mei, name: 'Mei Lund', address: 'MEI@x' }],
  });
  const third = event({ id: 'c', title: 'Lantern', place: 'Shed', notes: 'Oil' });
  const one = joined([second, first, third]);
  expect(one).toMatchObject({
    title: 'Lantern',
    place: 'Shed',
    start: first.start,
    end: second.end,
    notes: 'Oil\n\nWire and brass\n\nLens\n\nQuay',
    categoryIds: ['x', 'y'],
    reminders: null,
  });
  expect(one.attendees).toHaveLength(1);
  expect(() => joined([first, event(DAYS)])).toThrow('can’t be joined');
});

test('what is private stays so when joined, what matters most counts, and every room is kept', () => {
  const open = event({ id: 'a', room: 'https://rooms.example/a', importance: 5 });
  const hidden = event({
    id: 'b',
    start: zoned('2026-11-24T11:00:00'),
    end: zoned('2026-11-24T12:00:00'),
    visibility: 'private',
    room: 'https://rooms.example/b',
    importance: 1,
  });
  expect(joined([open, hidden])).toMatchObject({
    visibility: 'private',
    importance: 1,
    room: 'https://rooms.example/a',
    notes: 'https://rooms.example/b',
  });
  expect(joined([open, event({ id: 'c', importance: 0 })])).toMatchObject({
    visibility: 'public',
    importance: 5,
  });
});

test('what events of a series-to-be say otherwise than the first stays with their dates', () => {
  const on = (day: string, fields: Partial<CalendarEvent> = {}) =>
    event({
      id: day,
      start: zoned(`2026-11-${day}T09:00:00`),
      end: zoned(`2026-11-${day}T10:00:00`),
      icon: 'boat',
      ...fields,
    });
  const { changedDates } = asSeries([
    on('24', { place: 'Quay' }),
    on('25', { place: 'Shed', visibility: 'private' }),
    on('26', { place: 'Quay', icon: undefined }),
  ]);
  expect(changedDates).toEqual({
    '2026-11-25T09:00:00': { place: 'Shed', visibility: 'private' },
    '2026-11-26T09:00:00': { icon: null },
  });
});

test.each([
  [['24', '25', '26'], 'FREQ=DAILY;COUNT=3'],
  [['01', '08', '15'], 'FREQ=WEEKLY;COUNT=3'],
  [['10', '24'], 'FREQ=WEEKLY;INTERVAL=2;COUNT=2'],
])('events on %j November become a series: %s', (days, rule) => {
  const events = days.map((day) =>
    event({
      id: day,
      start: zoned(`2026-11-${day}T09:00:00`),
      end: zoned(`2026-11-${day}T10:00:00`),
    }),
  );
  expect(asSeries(events.toReversed())).toEqual({ ...events[0], rule });
});

test('events that lie unevenly become a series of dates; unequal ones can’t', () => {
  const on = (day: string, minutes = '00') =>
    event({
      start: zoned(`2026-11-${day}T09:00:00`),
      end: zoned(`2026-11-${day}T10:${minutes}:00`),
    });
  expect(asSeries([on('24'), on('26'), on('30')])).toEqual({
    ...on('24'),
    extraDates: [{ start: on('26').start }, { start: on('30').start }],
  });
  expect(() => asSeries([on('24'), on('25', '30')])).toThrow('differently long');
  expect(() => asSeries([on('24'), on('24')])).toThrow('at the same time');
  expect(() => asSeries([on('24')])).toThrow('two events or more');
  expect(() => asSeries([on('24'), { ...on('25'), rule: 'FREQ=DAILY' }])).toThrow(
    'a series already',
  );
});
