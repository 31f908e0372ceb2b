import { EMPTY_FILTER } from '@/core/model/filter';
import type { TypedRecord } from '@/core/model/records';
import type { EventQuery } from '@/core/query/eventQuery';
import { ALL_SHOWN, EVERYTHING, havingWords, wholeTest } from '@/core/query/eventQuery';
import { newEvent } from '@/core/model/event';
import { parseDate, parseLocal } from '@/core/time/civil';
import { instantFromWall } from '@/core/time/zones';
import { calendar, event, opened, zoned } from './testing/opened';

const MONDAY = parseDate('2026-11-23');
const TWO_WEEKS = { fromDay: MONDAY, toDay: MONDAY + 14, zone: 'Europe/London' };
const on = (day: string) => ({
  start: zoned(`${day}T09:00:00`),
  end: zoned(`${day}T10:00:00`),
});

const SEED: TypedRecord[] = [
  calendar('work', { name: 'Workshop' }),
  calendar('quay', { name: 'Quay', isClosures: true }),
  calendar('hidden', { shown: false }),
  calendar('gone', { removedAt: 1 }),
  event('check', {
    title: 'Lamp check',
    rule: 'FREQ=WEEKLY',
    place: 'Bench 2',
    ...on('2026-11-24'),
  }),
  event('old', { title: 'Lamp check', ...on('2025-11-24') }),
  event('call', { title: 'Call', notes: 'check LAMP 4', ...on('2026-11-25') }),
  event('away', { title: 'Lamp check', removedAt: 1, ...on('2026-11-26') }),
  event('behind', { title: 'Lamp check', calendarId: 'hidden', ...on('2026-11-26') }),
  event('lost', { title: 'Lamp check', calendarId: 'gone', ...on('2026-11-26') }),
  event('rope', { title: 'Rope', rule: 'FREQ=DAILY;COUNT=3', ...on('2026-11-24') }),
  event('closed', { calendarId: 'quay', ...on('2026-11-24') }),
  event('closed too', { calendarId: 'quay', ...on('2026-12-01') }),
];

/** Titles are not unique here: what each asker finds, by ids or by what it writes. */
async function askedEverywhere(query: EventQuery) {
  const engine = await opened(SEED);
  const { queries, files } = engine;
  const file = await files.exportCalendars({ query, period: TWO_WEEKS });
  const sweep = queries.sweep({
    query,
    blockerIds: ['quay'],
    ...TWO_WEEKS,
    action: 'skip',
    chosen: {},
  });
  return {
    sheet: queries.occurrences(TWO_WEEKS, query).occurrences.map(({ id }) => id),
    allTime: queries.findEvents(query, 99).map(({ id }) => id),
    lines: files.exportTable({ query, period: TWO_WEEKS, columns: ['title', 'startDate'] }).events,
    file: [...file.text.matchAll(/^UID:(\S+)@/gm)].map(([, id]) => id),
    swept: sweep.map(({ date }) => date.id),
  };
}

test('one question is answered alike by sheet, finding, table, export and sweep', async () => {
  expect(await askedEverywhere(havingWords('check lamp'))).toEqual({
    sheet: ['check@2026-11-24T09:00:00', 'call', 'behind', 'check@2026-12-01T09:00:00'],
    allTime: ['behind', 'call', 'check', 'old'],
    lines: 4,
    file: ['check', 'call', 'behind'],
    swept: ['check@2026-11-24T09:00:00', 'check@2026-12-01T09:00:00'],
  });
  expect(
    await askedEverywhere({ ...ALL_SHOWN, filter: { ...EMPTY_FILTER, kinds: ['series'] } }),
  ).toEqual({
    sheet: [
      'check@2026-11-24T09:00:00',
      'rope@2026-11-24T09:00:00',
      'rope@2026-11-25T09:00:00',
      'rope@2026-11-26T09:00:00',
      'check@2026-12-01T09:00:00',
    ],
    allTime: ['check', 'rope'],
    lines: 5,
    file: ['check', 'rope'],
    swept: ['check@2026-11-24T09:00:00', 'rope@2026-11-24T09:00:00', 'check@2026-12-01T09:00:00'],
  });
  expect(await askedEverywhere({ ...EVERYTHING, eventIds: ['rope', 'old'] })).toMatchObject({
    lines: 3,
    allTime: ['rope', 'old'],
    swept: ['rope@2026-11-24T09:00:00'],
  });
  expect(await askedEverywhere({ ...EVERYTHING, calendars: ['hidden'] })).toEqual({
    sheet: ['behind'],
    allTime: ['behind'],
    lines: 1,
    file: ['behind'],
    swept: [],
  });
});

test('an event is past once its last date may be over everywhere', () => {
  const isThere = (rule: string | undefined, now: string) =>
    wholeTest({
      filter: { ...EMPTY_FILTER, isPastHidden: true },
      now: instantFromWall(parseLocal(now), 'Europe/London'),
    })({
      event: newEvent({ id: 'e', calendarId: 'c', title: 'Rope', rule, ...on('2026-11-24') }, 0),
      calendar: undefined,
      categoryOf: () => undefined,
      foundBy: () => ({ ids: new Set(), eventIds: new Set() }),
    });
  expect(isThere(undefined, '2026-11-24T12:00:00')).toBe(true);
  expect(isThere(undefined, '2026-11-27T12:00:00')).toBe(false);
  expect(isThere('FREQ=DAILY', '2046-11-27T12:00:00')).toBe(true);
  expect(isThere('FREQ=DAILY;UNTIL=20261130T090000Z', '2026-12-01T09:00:00')).toBe(true);
  expect(isThere('FREQ=DAILY;UNTIL=20261130T090000Z', '2026-12-05T09:00:00')).toBe(false);
});
