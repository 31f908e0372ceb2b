import { newCalendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/event';
import { newEvent } from '@/core/model/event';
import { INKS } from '@/core/model/inks';
import { writeRecord } from '@/core/model/records';
import { EVERYTHING } from '@/core/query/eventQuery';
import { parseDate } from '@/core/time/civil';
import { demoSeed } from '../../demo/scenario';
import type { Edit } from './change';
import type { Engine } from './engine';
import { Windows } from './testing/windows';

const WEEK = {
  fromDay: parseDate('2026-11-23'),
  toDay: parseDate('2026-11-30'),
  zone: 'Europe/London',
};

function call(more: Partial<CalendarEvent> = {}): CalendarEvent {
  return newEvent(
    {
      id: 'call',
      calendarId: 'first',
      title: 'Call',
      start: { kind: 'zoned', local: '2026-11-24T09:00:00', zone: 'Europe/London' },
      end: { kind: 'zoned', local: '2026-11-24T10:00:00', zone: 'Europe/London' },
      ...more,
    },
    1,
  );
}

const add = (after: CalendarEvent): Edit => ({ type: 'event', before: null, after });
const edit = (before: CalendarEvent, fields: Partial<CalendarEvent>): Edit => ({
  type: 'event',
  before,
  after: { ...before, ...fields },
});
const commit = (engine: Engine, label: string, ...edits: Edit[]) =>
  engine.commands.keep({ label, at: 1, edits });
const titles = (engine: Engine) => engine.queries.occurrences(WEEK).occurrences.map((o) => o.title);
const icsFile = (text: string, name = 'file.ics') => Object.assign(new Blob([text]), { name });

test('a new store begins with one calendar, an opened one with what it holds', async () => {
  const windows = new Windows();
  const engine = await windows.open();
  expect(engine.queries.calendars().map(({ name }) => name)).toEqual(['My work']);
  await commit(engine, 'Added', add(call()));
  const later = await windows.open();
  expect(later.queries.calendars()).toHaveLength(1);
  expect(titles(later)).toEqual(['Call']);
});

test('one edit writes little: the record, the change and the history', async () => {
  const windows = new Windows();
  const engine = await windows.open();
  await commit(engine, 'Added', add(call()));
  const before = windows.store.written;
  await commit(engine, 'Renamed', edit(call(), { title: 'Long call' }));
  expect(windows.store.written - before).toBe(3);
});

test('changes are undone and done again in turn, in another window and after a reload too', async () => {
  const windows = new Windows();
  const engine = await windows.open();
  await commit(engine, 'Added Call', add(call()));
  await commit(engine, 'Renamed Call', edit(call(), { title: 'Long call' }));
  const later = await windows.open();
  expect(later.status()).toMatchObject({ undo: 'Renamed Call', redo: null });
  expect(await later.commands.step('undo')).toBe('Renamed Call');
  expect(titles(later)).toEqual(['Call']);
  expect(await later.commands.step('undo')).toBe('Added Call');
  expect(titles(later)).toEqual([]);
  expect(await later.commands.step('undo')).toBeNull();
  expect(await engine.commands.step('redo')).toBe('Added Call');
  expect(await engine.commands.step('redo')).toBe('Renamed Call');
  expect(titles(engine)).toEqual(['Long call']);
});

test('a new change ends what could be done again; the last hundred are kept', async () => {
  const windows = new Windows();
  const engine = await windows.open();
  let current = call();
  await commit(engine, 'Added', add(current));
  for (let i = 0; i < 105; i++) {
    await commit(engine, `Change ${i}`, edit(current, { title: `Title ${i}` }));
    current = engine.queries.event('call')!;
  }
  await engine.commands.step('undo');
  await commit(engine, 'Another', edit(engine.queries.event('call')!, { place: 'Quay 3' }));
  expect(await engine.commands.step('redo')).toBeNull();
  let undone = 0;
  while (await engine.commands.step('undo')) undone++;
  expect(undone).toBe(100);
  expect([...windows.store.texts.keys()].filter((key) => key.startsWith('change/'))).toHaveLength(
    100,
  );
});

test('edits of different fields in two windows both hold, and undo takes back its own alone', async () => {
  const windows = new Windows();
  const one = await windows.open();
  await commit(one, 'Added', add(call()));
  const two = await windows.open();
  const old = two.queries.event('call')!;
  await commit(one, 'Renamed', edit(one.queries.event('call')!, { title: 'Long call' }));
  await commit(two, 'Placed', edit(old, { place: 'Quay 3' }));
  await windows.settled();
  expect(one.queries.event('call')).toMatchObject({ title: 'Long call', place: 'Quay 3' });
  await one.commands.step('undo');
  await windows.settled();
  expect(two.queries.event('call')).toMatchObject({ title: 'Long call', place: '' });
});

test('edits that only make sense together are not torn apart', async () => {
  const windows = new Windows();
  const one = await windows.open();
  await commit(one, 'Added', add(call()));
  const two = await windows.open();
  const old = two.queries.event('call')!;
  const at = (local: string) => ({ kind: 'zoned', local, zone: 'Europe/London' }) as const;
  await commit(
    one,
    'Moved',
    edit(one.queries.event('call')!, {
      start: at('2026-11-24T15:00:00'),
      end: at('2026-11-24T16:00:00'),
    }),
  );
  await commit(two, 'Shortened', edit(old, { end: at('2026-11-24T09:30:00') }));
  // An end at 09:30 fits no start at 15:00: the later edit counts as it was meant.
  expect(two.queries.event('call')).toMatchObject({
    start: { local: '2026-11-24T09:00:00' },
    end: { local: '2026-11-24T09:30:00' },
  });
});

test('a record that would not fit changes nothing', async () => {
  const engine = await new Windows().open();
  const wrong = call({
    end: { kind: 'zoned', local: '2026-11-23T09:00:00', zone: 'Europe/London' },
  });
  await expect(commit(engine, 'Added', add(call({ id: 'good' })), add(wrong))).rejects.toThrow(
    'before the start',
  );
  expect(titles(engine)).toEqual([]);
  expect(engine.status().undo).toBeNull();
});

test('a failed write is told, holds in memory, and is written by the next try', async () => {
  const windows = new Windows();
  const engine = await windows.open();
  windows.store.failWriting = new DOMException('No room.', 'QuotaExceededError');
  await commit(engine, 'Added', add(call()));
  await commit(engine, 'Renamed', edit(engine.queries.event('call')!, { title: 'Long call' }));
  expect(titles(engine)).toEqual(['Long call']);
  expect(engine.status().unsaved).toEqual({
    changes: 2,
    reason: 'The browser’s storage for this page is full.',
  });
  expect((await engine.files.exportCalendars({ query: EVERYTHING })).text).toContain(
    'SUMMARY:Long call',
  );
  expect(await engine.commands.step('undo')).toBe('Renamed');
  expect(titles(engine)).toEqual(['Call']);
  windows.store.failWriting = null;
  await engine.retry();
  expect(engine.status()).toMatchObject({ unsaved: null, undo: 'Added' });
  expect(titles(await windows.open())).toEqual(['Call']);
});

test('a store that can’t be opened still lets the person work, and says so', async () => {
  const windows = new Windows();
  windows.store.failReading = new DOMException('Access is denied.', 'SecurityError');
  windows.store.failWriting = windows.store.failReading;
  const engine = await windows.open();
  expect(engine.queries.calendars()).toHaveLength(1);
  await commit(engine, 'Added', add(call()));
  expect(titles(engine)).toEqual(['Call']);
  expect(engine.status().unsaved?.reason).toBe(
    'The browser does not let this page store anything.',
  );
});

test('damaged and unknown records are set aside with their reason while the rest loads', async () => {
  const windows = new Windows();
  await windows.open();
  windows.store.texts.set('event/bad', '{"version":1,');
  windows.store.texts.set('event/newer', JSON.stringify({ version: 99, data: {} }));
  windows.store.texts.set('event/call', writeRecord('event', call()));
  const engine = await windows.open();
  expect(titles(engine)).toEqual(['Call']);
  expect(engine.queries.setAside().map(({ key, reason }) => `${key}: ${reason}`)).toEqual([
    'event/bad: the text is damaged',
    'event/newer: it was written by a newer version of the app',
  ]);
  expect(windows.store.texts.get('event/bad')).toBe('{"version":1,');
});

test('removed events wait, come back, or are cleared beyond undo', async () => {
  const engine = await new Windows().open();
  await commit(engine, 'Added', add(call()));
  await commit(engine, 'Removed', edit(call(), { removedAt: 5 }));
  expect(titles(engine)).toEqual([]);
  expect(engine.queries.removed().map(({ title }) => title)).toEqual(['Call']);
  await engine.commands.clearRemoved(9);
  expect(engine.queries.removed()).toEqual([]);
  await expect(engine.commands.step('undo')).rejects.toThrow('cleared for good');
  expect(titles(engine)).toEqual([]);
});

test('hidden calendars answer nothing, and weeks say how booked they are', async () => {
  const engine = await new Windows().open();
  await commit(engine, 'Added', add(call({ rule: 'FREQ=DAILY;COUNT=9' })));
  expect(engine.queries.weeklyLoad(WEEK.fromDay, 3, WEEK.zone)).toEqual([360, 180, 0]);
  const [calendar] = engine.queries.calendars();
  await commit(engine, 'Hid', {
    type: 'calendar',
    before: calendar!,
    after: { ...calendar!, shown: false },
  });
  expect(titles(engine)).toEqual([]);
});

test('many events come in from a file as one change', async () => {
  const engine = await new Windows().open();
  const entries = Array.from(
    { length: 450 },
    (_, i) =>
      `BEGIN:VEVENT\r\nUID:${i}@ferry.example\r\nSUMMARY:Crossing\r\nDTSTART:20261124T100000Z\r\nEND:VEVENT\r\n`,
  );
  const file = icsFile(
    `BEGIN:VCALENDAR\r\n${entries.join('')}END:VCALENDAR\r\n`,
    'ferry_times.ics',
  );
  const steps: number[] = [];
  const preview = await engine.files.previewImport([file], 1, ({ done }) => steps.push(done));
  expect(preview).toMatchObject({ calendarName: 'ferry times', fates: { new: 450 }, problems: 0 });
  expect(steps).toEqual([0, 100, 200, 300, 400, 450]);
  const ferry = newCalendar({ id: 'ferry', name: 'Ferry', ink: INKS.Moss, mark: 'drop', order: 1 });
  expect(await engine.files.applyImport({ newCalendar: ferry }, 1)).toEqual({
    added: 450,
    updated: 0,
    label: 'Imported ferry_times.ics',
  });
  expect(engine.queries.eventCounts()).toEqual({ ferry: 450 });
  await engine.commands.step('undo');
  expect(engine.queries.eventCounts()).toEqual({});
  expect(engine.queries.calendars()).toHaveLength(1);
});

test('an import that is stopped, or that brings nothing, changes nothing', async () => {
  const engine = await new Windows().open();
  const entries = Array.from(
    { length: 300 },
    (_, i) => `BEGIN:VEVENT\nUID:${i}\nDTSTART:20261124T100000Z\nEND:VEVENT\n`,
  );
  const text = `BEGIN:VCALENDAR\n${entries.join('')}END:VCALENDAR\n`;
  const reading = engine.files.previewImport([icsFile(text)], 1, () => undefined);
  engine.files.stopImport();
  await expect(reading).rejects.toThrow('Nothing was changed');
  await expect(engine.files.applyImport({ calendarId: 'first' }, 1)).rejects.toThrow(
    'Choose the file again',
  );
  await engine.files.previewImport(
    [icsFile('BEGIN:VCALENDAR\nEND:VCALENDAR\n')],
    1,
    () => undefined,
  );
  await engine.files.applyImport({ calendarId: 'first' }, 1);
  expect(engine.status().undo).toBeNull();
});

test('the demo holds what it promises, and all of it is sound', async () => {
  const today = parseDate('2026-11-24');
  const seed = () => demoSeed({ today, now: 1 });
  const engine = await new Windows().open(seed);
  const events = seed()
    .filter(({ type }) => type === 'event')
    .map(({ record }) => record as CalendarEvent);
  expect(engine.queries.setAside()).toEqual([]);
  expect(events.filter(({ rule }) => rule !== undefined)).toHaveLength(25);
  expect(events.length).toBeGreaterThan(190);
  expect(new Set(engine.queries.calendars().map(({ mark }) => mark)).size).toBe(7);
  const window = { fromDay: today - 120, toDay: today + 120, zone: 'Europe/London' };
  const weeks = new Set(
    engine.queries.occurrences(window).occurrences.map((o) => Math.floor(o.start / 604_800_000)),
  );
  expect(weeks.size).toBeGreaterThanOrEqual(34);
});

test('a window that can’t read what another wrote says so and goes on', async () => {
  const windows = new Windows();
  const one = await windows.open();
  const two = await windows.open();
  windows.store.failReading = new Error('the disk is gone');
  await two.hear(['event/call']);
  expect(two.status().unsaved?.reason).toBe(
    'The browser’s storage failed. What was kept before is safe: export it, and reload the page.',
  );
  windows.store.failReading = null;
  await commit(one, 'Added', add(call()));
  await two.retry();
  await windows.settled();
  expect(two.status().unsaved).toBeNull();
  expect(titles(two)).toEqual(['Call']);
});

test('an event of a followed calendar is not what a file updates', async () => {
  const engine = await new Windows().open();
  const closures = newCalendar({
    id: 'closures',
    name: 'Closures',
    ink: INKS.Pewter,
    mark: 'cross',
    order: 1,
    kind: 'followed',
  });
  await commit(
    engine,
    'Followed',
    { type: 'calendar', before: null, after: closures },
    add(call({ calendarId: 'closures', uid: 'a@ferry.example' })),
  );
  const text =
    'BEGIN:VCALENDAR\nBEGIN:VEVENT\nUID:a@ferry.example\nDTSTART:20261124T090000Z\nEND:VEVENT\nEND:VCALENDAR\n';
  expect(
    (await engine.files.previewImport([icsFile(text)], 1, () => undefined)).fates,
  ).toMatchObject({
    new: 1,
    updated: 0,
  });
});

test('tasks and the file’s own properties come in with the calendar and go out again', async () => {
  const engine = await new Windows().open();
  const text = [
    'BEGIN:VCALENDAR',
    'X-QUAY:7',
    'BEGIN:VTODO',
    'UID:t',
    'SUMMARY:Renew permit',
    'DUE;VALUE=DATE:20261130',
    'X-LAMP:port',
    'END:VTODO',
    'END:VCALENDAR',
    '',
  ].join('\r\n');
  const preview = await engine.files.previewImport([icsFile(text)], 1, () => undefined);
  expect(preview.counts.tasks).toBe(1);
  await engine.files.applyImport({ calendarId: 'first' }, 1);
  const { text: out } = await engine.files.exportCalendars({
    query: { ...EVERYTHING, calendars: ['first'] },
  });
  for (const line of ['X-QUAY:7', 'BEGIN:VTODO', 'SUMMARY:Renew permit', 'X-LAMP:port'])
    expect(out).toContain(`${line}\r\n`);
});

test('an import into a calendar that is gone changes nothing', async () => {
  const engine = await new Windows().open();
  await engine.files.previewImport(
    [icsFile('BEGIN:VEVENT\nUID:a\nDTSTART:20261124T090000Z\nEND:VEVENT\n')],
    1,
    () => undefined,
  );
  await expect(engine.files.applyImport({ calendarId: 'gone' }, 1)).rejects.toThrow(
    'The chosen calendar is gone',
  );
  expect(engine.status().undo).toBeNull();
});

test('what is cleared for good in one window is gone from the others', async () => {
  const windows = new Windows();
  const engine = await windows.open();
  await commit(engine, 'Added', add(call()));
  await commit(engine, 'Removed', edit(call(), { removedAt: 5 }));
  const other = await windows.open();
  expect(other.queries.removed()).toHaveLength(1);
  await engine.commands.clearRemoved(9);
  await new Promise(setImmediate);
  expect(other.queries.removed()).toEqual([]);
});
