import type { EventCheck } from '../model/checks';
import type { CalendarEvent } from '../model/event';
import { newEvent } from '../model/event';
import type { Filter } from '../model/filter';
import { EMPTY_FILTER } from '../model/filter';
import { at, timed, TODAY, wholeDays } from '../testing/occurrences';
import { turnedRound, withoutPart } from './editFilter';
import { wholeTest } from './eventQuery';
import { readFilter, writeFilter } from './filterAddress';
import type { FoundIds, Subject, Whole } from './filterParts';
import { filterTest, partsSet, partsSetOf } from './filterParts';
import { sayFilter } from './sayFilter';

const NAMES: Readonly<Record<string, { name: string }>> = {
  lamps: { name: 'Lamps' },
  freight: { name: 'Freight' },
};

const NOTHING: FoundIds = { ids: new Set(), eventIds: new Set() };
const FOUND: Partial<Record<EventCheck, FoundIds>> = {
  clashing: { ids: new Set(['e@2026-11-24T09:00:00']), eventIds: new Set(['e']) },
  untitled: { ids: new Set(['e']), eventIds: new Set(['e']) },
};

const of = (event: CalendarEvent, calendar: Partial<Whole['calendar']> = {}): Whole => ({
  event,
  calendar: {
    name: 'Workshop',
    defaultReminders: [],
    defaultWholeDayReminders: [],
    remindsOf: 'all',
    ...calendar,
  },
  categoryOf: (id) => NAMES[id],
  foundBy: (check) => FOUND[check] ?? NOTHING,
});

const passes = (subject: Subject, whole: Whole, { filter, now }: { filter: Filter; now: number }) =>
  filterTest(filter, now)(subject, whole);

const event = (fields: Partial<CalendarEvent> = {}) =>
  newEvent(
    {
      id: 'e',
      calendarId: 'workshop',
      start: { kind: 'date', date: '2026-11-24' },
      end: { kind: 'date', date: '2026-11-25' },
      ...fields,
    },
    0,
  );

const lamp = timed('Lamp 14 strip-down', TODAY, at(13), at(15), {
  zone: 'Europe/London',
  place: 'Bench 2',
  categoryIds: ['lamps'],
});

test.each<[Partial<Filter>, boolean]>([
  [{}, true],
  [{ text: 'STRIP lamp' }, true],
  [{ text: 'lamp barometer' }, false],
  [{ text: 'brass wire' }, true],
  [{ place: 'bench' }, true],
  [{ weekdays: [1] }, true],
  [{ weekdays: [0, 2] }, false],
  [{ timeOfDay: { from: 13 * 60, to: 14 * 60 } }, true],
  [{ timeOfDay: { from: 12 * 60, to: 13 * 60 } }, false],
  [{ timeOfDay: { from: 22 * 60, to: 14 * 60 } }, true],
  [{ timeOfDay: { from: 22 * 60, to: 13 * 60 } }, false],
  [{ length: { from: 120, to: 120 } }, true],
  [{ length: { from: null, to: 119 } }, false],
  [{ length: { from: 121, to: null } }, false],
  [{ length: { from: null, to: 121 }, not: ['length'] }, false],
  [{ place: 'quay' }, false],
  [{ categoryIds: ['lamps', 'freight'] }, true],
  [{ categoryIds: ['freight'] }, false],
  [{ availability: ['free', 'away'] }, false],
  [{ kinds: ['single'] }, true],
  [{ kinds: ['series', 'reminder'] }, true],
  [{ kinds: ['wholeDay', 'series'] }, false],
  [{ kinds: ['wholeDay', 'others'] }, true],
  [{ categoryIds: ['lamps'], availability: ['free'] }, false],
  [{ importance: ['low', 'usual'] }, true],
  [{ importance: ['high'] }, false],
  // Letters are the same with and without accents and case, phrases stand together.
  [{ text: 'BRASS Wíre' }, true],
  [{ text: '"brass wire"' }, true],
  [{ text: '"wire brass"' }, false],
  [{ text: '“brass wire” lamp' }, true],
  [{ text: 'mei lund' }, true],
  [{ text: 'drawing' }, true],
  [{ text: 'polish' }, true],
  [{ text: 'workshop' }, false],
  [{ text: 'workshop', textIn: ['calendar'] }, true],
  [{ text: 'lamp', textIn: ['category'] }, true],
  [{ text: 'brass', textIn: ['title', 'place'] }, false],
  [{ people: 'Lund' }, true],
  [{ people: 'mei@saltmarsh' }, true],
  [{ people: 'Oskar' }, false],
  [{ calendarIds: ['workshop'] }, true],
  [{ calendarIds: ['clients'] }, false],
  [{ kinds: ['notes'] }, true],
  [{ kinds: ['link', 'travel', 'untitled'] }, false],
  [{ visibility: ['public'] }, true],
  [{ visibility: ['private'] }, false],
  [{ zones: ['Europe/London'] }, true],
  [{ zones: ['Asia/Tokyo'] }, false],
  [{ dates: { from: '2026-11-24', to: '2026-11-24' } }, true],
  [{ dates: { from: '2026-11-25', to: null } }, false],
  [{ dates: { from: null, to: '2026-11-23' } }, false],
  [{ changedSince: 500 }, true],
  [{ changedSince: 501 }, false],
  [{ broughtIn: 'ferry' }, true],
  [{ broughtIn: 'club' }, false],
  // Each part can be turned round by itself.
  [{ text: 'brass', not: ['words'] }, false],
  [{ text: 'anchor', not: ['words'] }, true],
  [{ text: 'brass', calendarIds: ['clients'], not: ['calendars'] }, true],
  [{ not: ['place', 'zones'] }, true],
])('the filter %j lets the lamp through: %s', (fields, isThrough) => {
  const own = event({
    notes: 'Bring brass wire',
    reminders: [{ minutes: 10, from: 'start' }],
    categoryIds: ['lamps'],
    attendees: [
      { name: 'Mei Lund', address: 'mei@saltmarsh.example', role: 'required', answer: 'none' },
    ],
    attachments: [{ id: 'f', name: 'Drawing.pdf', mediaType: 'application/pdf', bytes: 3 }],
    agenda: [{ id: 'a', text: 'Polish the lens', done: false, minutes: 10 }],
    updated: 500,
    broughtIn: 'ferry-office.ics',
  });
  expect(
    passes({ ...lamp, reminders: own.reminders }, of(own), {
      filter: { ...EMPTY_FILTER, ...fields },
      now: 0,
    }),
  ).toBe(isThrough);
});

test('an event that follows its calendar has a reminder where that has one for it', () => {
  const calendar = {
    defaultReminders: [{ minutes: -10, from: 'start' as const }],
    defaultWholeDayReminders: [],
    remindsOf: 'booked' as const,
  };
  const query = { filter: { ...EMPTY_FILTER, kinds: ['reminder' as const] }, now: 0 };
  const isThrough = (fields: Partial<typeof lamp>) =>
    passes({ ...lamp, ...fields }, of(event(), calendar), query);
  expect(isThrough({})).toBe(true);
  expect(isThrough({ availability: 'free' })).toBe(false);
  expect(isThrough({ wholeDay: true })).toBe(false);
  expect(isThrough({ reminders: [] })).toBe(false);
});

test('what is past is hidden once it has ended', () => {
  const query = { filter: { ...EMPTY_FILTER, isPastHidden: true }, now: lamp.endMs };
  expect(passes(lamp, of(event()), query)).toBe(false);
  expect(passes(lamp, of(event()), { ...query, now: lamp.endMs - 1 })).toBe(true);
});

test('kinds look at the event where the date does not say it', () => {
  const ask = (kind: Filter['kinds'][number], own: CalendarEvent, o = lamp) =>
    passes(o, of(own), { filter: { ...EMPTY_FILTER, kinds: [kind] }, now: 0 });
  const mei = { name: 'Mei Lund', address: '', role: 'required', answer: 'none' } as const;
  expect(ask('others', event({ attendees: [mei] }))).toBe(true);
  const file = { id: 'f', name: 'Plan.pdf', mediaType: 'application/pdf', bytes: 3 };
  expect(ask('attachment', event({ attachments: [file] }))).toBe(true);
  expect(ask('attachment', event())).toBe(false);
  expect(ask('wholeDay', event(), wholeDays('Rent due', TODAY, 1))).toBe(true);
  expect(ask('series', event(), { ...lamp, dateKey: '2026-11-24T13:00:00' })).toBe(true);
});

test('the parts of a filter that are set are counted', () => {
  expect(partsSet(EMPTY_FILTER)).toBe(0);
  expect(partsSet({ ...EMPTY_FILTER, place: '  ', isPastHidden: true, kinds: ['single'] })).toBe(2);
});

test('a date that has a title of its own is found by that, not by its series’ title', () => {
  const series = event({ title: 'Bench round', rule: 'FREQ=DAILY' });
  const date = { ...lamp, title: 'Quay round', place: '' };
  const ask = (text: string) =>
    passes(date, of(series), { filter: { ...EMPTY_FILTER, text }, now: 0 });
  expect(ask('quay')).toBe(true);
  expect(ask('bench')).toBe(false);
});

test('an event as a whole lies on days from its first date to its last', () => {
  const on = (from: string | null, to: string | null, fields: Partial<CalendarEvent>) =>
    wholeTest({ filter: { ...EMPTY_FILTER, dates: { from, to } }, now: 0 })(of(event(fields)));
  expect(on('2026-11-24', '2026-11-24', {})).toBe(true);
  expect(on('2026-11-25', '2026-11-30', {})).toBe(false);
  expect(on('2030-01-01', null, { rule: 'FREQ=DAILY' })).toBe(true);
  expect(on('2030-01-01', null, { rule: 'FREQ=DAILY;UNTIL=20261201' })).toBe(false);
  expect(on(null, '2026-11-20', { rule: 'FREQ=DAILY' })).toBe(false);
});

const SAID = {
  wording: { locale: 'en-GB', hourCycle: '24' as const },
  clock: 'Europe/London',
  calendarName: (id: string) => id,
  categoryName: (id: string) => NAMES[id]?.name ?? '',
};

const FULL: Filter = {
  ...EMPTY_FILTER,
  text: '"brass wire" lamp',
  textIn: ['notes', 'title'],
  calendarIds: ['workshop', 'clients'],
  categoryIds: ['lamps'],
  kinds: ['series', 'untitled'],
  dates: { from: '2026-11-24', to: '2026-11-30' },
  weekdays: [1, 3],
  timeOfDay: { from: 9 * 60, to: 12 * 60 },
  length: { from: null, to: 90 },
  changedSince: Date.parse('2026-11-20T00:00:00Z'),
  not: ['calendars', 'kinds'],
  isPastHidden: true,
};

test('a series as a whole is on the weekdays and at the times of any of its dates', () => {
  const shift = event({
    start: { kind: 'zoned', local: '2026-11-24T09:00:00', zone: 'Europe/London' },
    end: { kind: 'zoned', local: '2026-11-24T09:45:00', zone: 'Europe/London' },
    rule: 'FREQ=WEEKLY;BYDAY=TU,TH;BYHOUR=9,15',
  });
  const asks = (fields: Partial<Filter>, of_ = shift) =>
    wholeTest({ filter: { ...EMPTY_FILTER, ...fields }, now: 0 })(of(of_));
  expect([1, 3, 4].map((day) => asks({ weekdays: [day] }))).toEqual([true, true, false]);
  expect(asks({ timeOfDay: { from: 15 * 60, to: 16 * 60 } })).toBe(true);
  expect(asks({ timeOfDay: { from: 10 * 60, to: 15 * 60 } })).toBe(false);
  const since = { from: '2026-12-01', to: null };
  expect(asks({ dates: since, length: { from: 45, to: 45 } })).toBe(true);
  expect(asks({ dates: since, weekdays: [4] })).toBe(false);
  // A stay is on each of its days, and at no time of them.
  const stay = event({ end: { kind: 'date', date: '2026-11-27' } });
  expect([0, 1, 3, 4].map((day) => asks({ weekdays: [day] }, stay))).toEqual([
    ...[false, true, true, false],
  ]);
  expect(asks({ timeOfDay: { from: 0, to: 1440 } }, stay)).toBe(false);
  expect(asks({ length: { from: 3 * 1440, to: null } }, stay)).toBe(true);
});

test('what a check found is its dates, and as a whole the series of one', () => {
  const asks = (checks: EventCheck[]) => ({ filter: { ...EMPTY_FILTER, checks }, now: 0 });
  const series = event({ rule: 'FREQ=DAILY' });
  const rope = timed('Rope', TODAY, at(9), at(10));
  const found = { ...rope, dateKey: '2026-11-24T09:00:00' };
  const other = { ...found, dateKey: '2026-11-25T09:00:00' };
  expect([found, other].map((o) => passes(o, of(series), asks(['clashing'])))).toEqual([
    true,
    false,
  ]);
  expect(passes(other, of(series), asks(['files', 'untitled']))).toBe(true);
  expect(wholeTest(asks(['clashing']))(of(series))).toBe(true);
  expect(wholeTest(asks(['files']))(of(series))).toBe(false);
  expect(sayFilter(asks(['clashing', 'files']).filter, SAID)).toBe(
    'found by Tidy: Clashes or Files',
  );
});

test('a question is said in words', () => {
  expect(sayFilter(FULL, SAID)).toBe(
    '“brass wire” “lamp” in notes or title, not on workshop or clients, Lamps, ' +
      'not repeating or without a title, Tue, 24 Nov 2026 – Mon, 30 Nov 2026, ' +
      'on Tue or Thu, from 09:00 until 12:00, up to 1 h 30 min, ' +
      'changed since Fri, 20 Nov 2026, not over',
  );
  expect(sayFilter(EMPTY_FILTER, SAID)).toBe('');
});

test('a part is turned round and back, and taken away whole', () => {
  expect(turnedRound(turnedRound(FULL, 'words'), 'words')).toEqual(FULL);
  expect(turnedRound(FULL, 'calendars').not).toEqual(['kinds']);
  expect(withoutPart(FULL, 'words')).toEqual({ ...FULL, text: '', textIn: [] });
  expect(partsSetOf(withoutPart(FULL, 'kinds'))).not.toContain('kinds');
  expect(withoutPart(FULL, 'kinds').not).toEqual(['calendars']);
});

test('a question goes into an address and comes back; one that was cut asks for nothing', () => {
  expect(readFilter(writeFilter(FULL))).toEqual(FULL);
  expect(writeFilter(EMPTY_FILTER)).toBe('');
  expect(readFilter(writeFilter(FULL).slice(0, 30))).toEqual(EMPTY_FILTER);
  expect(readFilter('{"kinds":["nonsense"]}')).toEqual(EMPTY_FILTER);
  expect(readFilter('7')).toEqual(EMPTY_FILTER);
});

test.each([
  ['Söhne', 'soehne', true],
  ['Söhne', 'Söhne', true],
  ['Söhne', 'sohne', true],
  ['Soehne', 'söhne', true],
  ['Øst', 'oest', true],
  ['Sohne', 'soehne', false],
  ['blue lamp', 'blue', true],
  ['blur', 'blue', false],
])('“%s” is found by “%s”: %s', (title, text, isFound) => {
  const one = timed(title, TODAY, 540, 600);
  const whole = of(event({ title }));
  expect(passes(one, whole, { filter: { ...EMPTY_FILTER, text }, now: 0 })).toBe(isFound);
});

test('a phrase goes on over blanks and line breaks', () => {
  const notes = 'Bring the  brass\nwire';
  const one = timed('Lamp', TODAY, 540, 600);
  const found = (text: string) =>
    passes(one, of(event({ title: 'Lamp', notes })), { filter: { ...EMPTY_FILTER, text }, now: 0 });
  expect([found('"brass wire"'), found('"the brass"'), found('"wire brass"')]).toEqual([
    true,
    true,
    false,
  ]);
});
