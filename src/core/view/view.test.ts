import type { CalendarEvent } from '../model/event';
import { newEvent } from '../model/event';
import type { Filter, Lens } from '../model/view';
import { DEFAULT_VIEW, EMPTY_FILTER } from '../model/view';
import { at, timed, TODAY, wholeDays } from '../testing/occurrences';
import { formatDate, parseDate } from '../time/civil';
import { partsSet, passes } from '../query/eventQuery';
import { dayOfLens, isChanged, lensOf, movedLens } from './lenses';
import { shadeOf } from './shades';
import { typedDay } from './typedDate';

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
  place: 'Bench 2',
  categoryIds: ['lamps'],
});

test.each<[Partial<Filter>, boolean]>([
  [{}, true],
  [{ text: 'STRIP lamp' }, true],
  [{ text: 'lamp barometer' }, false],
  [{ text: 'brass wire' }, true],
  [{ place: 'bench' }, true],
  [{ place: 'quay' }, false],
  [{ categoryIds: ['lamps', 'freight'] }, true],
  [{ categoryIds: ['freight'] }, false],
  [{ availability: ['free', 'away'] }, false],
  [{ kinds: ['single'] }, true],
  [{ kinds: ['series', 'reminder'] }, true],
  [{ kinds: ['wholeDay', 'others'] }, false],
  [{ categoryIds: ['lamps'], availability: ['free'] }, false],
  [{ importance: ['low', 'usual'] }, true],
  [{ importance: ['high'] }, false],
])('the filter %j lets the lamp through: %s', (fields, isThrough) => {
  const own = event({ notes: 'Bring brass wire', reminders: [{ minutes: 10, from: 'start' }] });
  expect(
    passes(
      { ...lamp, reminders: own.reminders },
      { event: own, calendar: undefined },
      { filter: { ...EMPTY_FILTER, ...fields }, now: 0 },
    ),
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
    passes({ ...lamp, ...fields }, { event: event(), calendar }, query);
  expect(isThrough({})).toBe(true);
  expect(isThrough({ availability: 'free' })).toBe(false);
  expect(isThrough({ wholeDay: true })).toBe(false);
  expect(isThrough({ reminders: [] })).toBe(false);
});

test('what is past is hidden once it has ended', () => {
  const query = { filter: { ...EMPTY_FILTER, isPastHidden: true }, now: lamp.endMs };
  expect(passes(lamp, { event: event(), calendar: undefined }, query)).toBe(false);
  expect(
    passes(lamp, { event: event(), calendar: undefined }, { ...query, now: lamp.endMs - 1 }),
  ).toBe(true);
});

test('kinds look at the event where the date does not say it', () => {
  const ask = (kind: Filter['kinds'][number], own: CalendarEvent, o = lamp) =>
    passes(
      o,
      { event: own, calendar: undefined },
      { filter: { ...EMPTY_FILTER, kinds: [kind] }, now: 0 },
    );
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

const context = { today: TODAY, firstWeekday: 0 as const, isMonthFirst: false };
test.each([
  // Of two that are as good, the nearer one is meant.
  ['12 march', '2027-03-12'],
  ['12 october', '2026-10-12'],
  ['12 march 2027', '2027-03-12'],
  ['week 32', '2026-08-03'],
  ['Week 1 2027', '2027-01-04'],
  ['in 3 weeks', '2026-12-15'],
  ['tomorrow', '2026-11-25'],
  ['2027-02-28', '2027-02-28'],
  ['3/4/2027', '2027-04-03'],
])('“%s” means %s', (text, date) => {
  expect(formatDate(typedDay(text, context)!)).toBe(date);
});

test('what names no date gives none', () => {
  for (const text of ['', 'lamp', 'week 54', '2026-02-30'])
    expect(typedDay(text, context)).toBeNull();
  const months = { ...context, isMonthFirst: true };
  expect(typedDay('3/4/2027', months)).toBe(parseDate('2027-03-04'));
});

test('a lens is fixed to its days, or follows the day; and tells when the sheet was changed', () => {
  const fields = { id: 'l', name: 'Refit', icon: '', order: 0 };
  const fixed = lensOf(fields, DEFAULT_VIEW, parseDate('2026-03-01'));
  expect(dayOfLens(fixed, TODAY)).toBe(parseDate('2026-03-01'));
  expect(dayOfLens(lensOf(fields, DEFAULT_VIEW, null), TODAY)).toBe(TODAY);
  const { span, ...rest } = DEFAULT_VIEW;
  expect(isChanged(fixed, { ...rest, span })).toBe(false);
  expect(isChanged(fixed, { ...DEFAULT_VIEW, form: 'columns' })).toBe(true);
});

test('a lens changes places with its neighbour', () => {
  const lenses = ['a', 'b', 'c'].map((id, order): Lens => ({
    id,
    name: id,
    icon: '',
    order,
    view: DEFAULT_VIEW,
    day: null,
  }));
  expect(movedLens(lenses, 'c', -1).map(({ id, order }) => [id, order])).toEqual([
    ['c', 1],
    ['b', 2],
  ]);
  expect(movedLens(lenses, 'a', -1)).toEqual([]);
});

test('shades go from clear to a full day', () => {
  expect([0, 1, 120, 121, 480, 900].map(shadeOf)).toEqual([0, 1, 1, 2, 4, 4]);
});
