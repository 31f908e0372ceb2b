import fc from 'fast-check';
import { newCalendar } from '../model/calendar';
import type { CalendarEvent } from '../model/event';
import { event, newEvent } from '../model/event';
import { INKS } from '../model/inks';
import { DEFAULT_SETTINGS } from '../model/others';
import { alikeInks, freeInk, inkName } from './inks';
import { mergedEvents, planMerge } from './merge';
import { calendarForNew, canShowAsBefore, reordered, showAsBefore, showOnly } from './showing';

const named = (id: string, fields: object = {}) =>
  newCalendar({ id, name: id, ink: INKS.Kelp, mark: 'square', order: 0, ...fields });
const three = [
  named('workshop', { order: 0 }),
  named('leave', { order: 1, shown: false }),
  named('quay', { order: 2, kind: 'followed' }),
];

/** Calendars after some of them were replaced. */
const after = <T extends { id: string }>(all: readonly T[], changed: readonly T[]): T[] =>
  all.map((one) => changed.find(({ id }) => id === one.id) ?? one);
const shownIds = (all: readonly { id: string; shown: boolean }[]) =>
  all.filter(({ shown }) => shown).map(({ id }) => id);

test('one is shown alone, another alone after it, and then what was shown before both', () => {
  const first = showOnly(three, 'leave', null);
  const alone = after(three, first.calendars);
  expect(shownIds(alone)).toEqual(['leave']);
  const second = showOnly(alone, 'workshop', first.shownBefore);
  const other = after(alone, second.calendars);
  expect(shownIds(other)).toEqual(['workshop']);
  expect(canShowAsBefore(other, { ...DEFAULT_SETTINGS, shownBefore: second.shownBefore })).toBe(
    true,
  );
  expect(after(other, showAsBefore(other, second.shownBefore))).toEqual(three);
  expect(canShowAsBefore(three, { ...DEFAULT_SETTINGS, shownBefore: ['quay'] })).toBe(false);
});

test('new events go to the one shown alone, else to the chosen one, never to a followed one', () => {
  expect(calendarForNew(three, 'leave')?.id).toBe('leave');
  expect(calendarForNew(three, null)?.id).toBe('workshop');
  const onlyWorkshop = after(three, showOnly(three, 'workshop', null).calendars);
  expect(calendarForNew(onlyWorkshop, 'leave')?.id).toBe('workshop');
  const onlyQuay = after(three, showOnly(three, 'quay', null).calendars);
  expect(calendarForNew(onlyQuay, 'leave')?.id).toBe('leave');
  expect(calendarForNew(onlyQuay, 'gone')?.id).toBe('workshop');
  expect(calendarForNew([], null)).toBeNull();
});

test('a calendar that is moved takes the place of another, and every place stays taken once', () => {
  expect(reordered(three, 'quay', 'workshop').map(({ id, order }) => [id, order])).toEqual([
    ['quay', 0],
    ['workshop', 1],
    ['leave', 2],
  ]);
  expect(reordered(three, 'quay', 'nobody')).toEqual([]);
  fc.assert(
    fc.property(fc.nat(7), fc.nat(7), (from, to) => {
      const all = Array.from({ length: 8 }, (_, order) => named(`c${order}`, { order }));
      const moved = after(all, reordered(all, `c${from}`, `c${to}`));
      expect(moved.map(({ order }) => order).sort((a, b) => a - b)).toEqual([
        0, 1, 2, 3, 4, 5, 6, 7,
      ]);
      expect(moved[from]!.order).toBe(to);
    }),
  );
});

test('look-alike inks are told with one that helps', () => {
  const [pair, ...others] = alikeInks([
    named('workshop'),
    named('clients', { ink: INKS.Ochre, mark: 'circle' }),
    named('apprentices', { ink: INKS.Fjord, mark: 'ring' }),
  ]);
  expect(others).toEqual([]);
  expect(pair).toMatchObject({ who: 'everyone', sameMark: false });
  expect(pair!.calendar.id).toBe('apprentices');
  expect(pair!.like.map(({ id }) => id)).toEqual(['workshop']);
  const mended = named('apprentices', { ink: pair!.better, mark: 'ring' });
  expect(alikeInks([named('workshop'), mended])).toEqual([]);
  expect(inkName(pair!.better)).not.toMatch(/^#/);
  expect(inkName('#abcdef')).toBe('#ABCDEF');
});

test('only the odd one out gets another ink, and none is given twice', () => {
  const kelp = INKS.Kelp;
  const three = [named('a'), named('b', { ink: kelp }), named('c', { ink: kelp })];
  const found = alikeInks(three.map((one) => ({ ...one, ink: kelp })));
  expect(found).toHaveLength(2);
  expect(new Set(found.map(({ better }) => better)).size).toBe(2);
  const mended = three.map((one) => ({
    ...one,
    ink: found.find(({ calendar }) => calendar.id === one.id)?.better ?? kelp,
  }));
  expect(alikeInks(mended)).toEqual([]);
});

test('a free ink is none of those taken, until all are', () => {
  const inks = Object.values(INKS);
  expect(inks.slice(0, 11)).not.toContain(freeInk(inks.slice(0, 11)));
  expect(inks).toContain(freeInk(inks));
});

const at = (id: string, calendarId: string, fields: Partial<CalendarEvent> = {}) =>
  newEvent(
    {
      id,
      calendarId,
      title: 'Crate inspection',
      start: { kind: 'zoned', local: '2026-11-24T09:00:00', zone: 'Europe/London' },
      end: { kind: 'zoned', local: '2026-11-24T10:00:00', zone: 'Europe/London' },
      ...fields,
    },
    0,
  );

test('of two calendars that merge, the same events are found once each, whatever their letters', () => {
  const going = [
    at('a', 'old', { title: 'crate  Inspection ' }),
    at('b', 'old'),
    at('c', 'old', { title: 'Other' }),
  ];
  const { moving, twins } = planMerge(going, [at('x', 'new')]);
  expect(moving).toHaveLength(3);
  expect(twins.map((twin) => [twin.going.id, twin.staying.id])).toEqual([['a', 'x']]);
  const otherTime = at('y', 'new', { rule: 'FREQ=DAILY' });
  expect(planMerge(going, [otherTime]).twins).toEqual([]);
});

test('twins that are joined hold what either held; others move, in their old ink if wished', () => {
  const going = [
    at('a', 'old', { notes: 'Bring the key', place: 'Quay 3', categoryIds: ['freight'] }),
    at('c', 'old', { title: 'Other' }),
  ];
  const staying = [at('x', 'new', { notes: 'Gate B', categoryIds: ['lamps'] })];
  const edits = mergedEvents(
    planMerge(going, staying),
    { ink: INKS.Moss },
    { id: 'new' },
    { join: true, keepInk: true },
    9,
  );
  const byId = new Map(edits.map((edit) => [edit.after.id, edit.after]));
  expect(byId.get('a')).toMatchObject({ removedAt: 9, calendarId: 'new' });
  expect(byId.get('x')).toMatchObject({
    place: 'Quay 3',
    notes: 'Gate B\n\nBring the key',
    categoryIds: ['lamps', 'freight'],
    revision: 1,
  });
  expect(byId.get('c')).toMatchObject({ calendarId: 'new', inkOverride: INKS.Moss });
  for (const one of byId.values()) expect(event.safeParse(one).success).toBe(true);
  const apart = mergedEvents(
    planMerge(going, staying),
    { ink: INKS.Moss },
    { id: 'new' },
    { join: false, keepInk: false },
    9,
  );
  expect(apart.map(({ after: { id, calendarId } }) => [id, calendarId])).toEqual([
    ['a', 'new'],
    ['c', 'new'],
  ]);
  expect(apart[1]!.after.inkOverride).toBeUndefined();
});

test('of a date that both twins changed, the one that stays counts; others come along', () => {
  const changed = (id: string, calendarId: string, dates: CalendarEvent['changedDates']) =>
    at(id, calendarId, { rule: 'FREQ=DAILY;COUNT=5', changedDates: dates });
  const [first, second, third] = ['24', '25', '26'].map((day) => `2026-11-${day}T09:00:00`) as [
    string,
    string,
    string,
  ];
  const going = [changed('a', 'old', { [first]: { title: 'Old' }, [second]: { title: 'Both' } })];
  const staying = [changed('x', 'new', { [first]: { title: 'New' }, [third]: { place: 'Pier' } })];
  const edits = mergedEvents(
    planMerge(going, staying),
    { ink: INKS.Moss },
    { id: 'new' },
    { join: true, keepInk: false },
    9,
  );
  expect(edits.find(({ after }) => after.id === 'x')!.after.changedDates).toEqual({
    [first]: { title: 'New' },
    [second]: { title: 'Both' },
    [third]: { place: 'Pier' },
  });
});
