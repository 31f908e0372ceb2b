import { readBackup } from '@/core/files/backup';
import { FileError } from '@/core/files/ics/scan';
import { INKS } from '@/core/model/inks';
import type { TypedRecord } from '@/core/model/records';
import { EVERYTHING } from '@/core/query/eventQuery';
import { MINUTE, parseDate } from '@/core/time/civil';
import type { Engine, Outside } from './engine';
import type { AskFeed } from './feeds/feedSync';
import { MemoryStore } from './testing/memoryStore';
import { calendar, done, event, fileOf, NOW, opened, zoned } from './testing/opened';
import { outside } from './testing/outside';

const SEED = [
  calendar('work'),
  calendar('old', { ink: INKS.Moss, order: 1 }),
  { type: 'category', record: { id: 'lamps', name: 'Lamps', ink: INKS.Ochre, order: 0 } },
  event('crate'),
  event('twin', { calendarId: 'old', title: 'crate', notes: 'Gate B' }),
  event('visit', { calendarId: 'old', categoryIds: ['lamps'] }),
] as TypedRecord[];

async function open(seed = SEED, around?: Outside) {
  const store = new MemoryStore();
  return { engine: await opened(seed, { store, around }), store };
}

const titles = (engine: Engine) =>
  engine.queries
    .findEvents(EVERYTHING, 99)
    .map(({ title, calendarId }) => `${title} in ${calendarId}`)
    .sort();
const textOf = async (engine: Engine, now = 0) => (await engine.files.backup(now)).file.text();
const recordsOf = async (engine: Engine) =>
  (await readBackup((await engine.files.backup(0)).file)).records;

test('a calendar goes with its events and comes back with them; undo does the same', async () => {
  const { engine } = await open();
  const before = await recordsOf(engine);
  expect(await done(engine, { kind: 'removeCalendar', id: 'old' }, NOW)).toBe(
    'Removed old with 2 events',
  );
  expect(engine.queries.calendars().map(({ id }) => id)).toEqual(['work']);
  expect(titles(engine)).toEqual(['crate in work']);
  expect(engine.queries.removed()).toEqual([]);
  expect(engine.queries.removedCalendars()).toMatchObject([{ calendar: { id: 'old' }, events: 2 }]);
  await engine.commands.step('undo');
  expect(await recordsOf(engine)).toEqual(before);
  await done(engine, { kind: 'removeCalendar', id: 'old' }, NOW);
  await done(engine, { kind: 'bringBackCalendar', id: 'old' }, NOW + 1);
  expect(titles(engine)).toEqual(['crate in old', 'crate in work', 'visit in old']);
});

test('an event that was removed before its calendar stays removed when that comes back', async () => {
  const { engine } = await open();
  const before = engine.queries.event('visit')!;
  const edits = [{ type: 'event' as const, before, after: { ...before, removedAt: NOW - 5 } }];
  await engine.commands.keep({ label: 'Removed visit', at: NOW, edits });
  expect(await done(engine, { kind: 'removeCalendar', id: 'old' }, NOW)).toBe(
    'Removed old with 1 event',
  );
  expect(engine.queries.removedCalendars()).toMatchObject([{ events: 1 }]);
  await done(engine, { kind: 'bringBackCalendar', id: 'old' }, NOW + 1);
  expect(titles(engine)).toEqual(['crate in old', 'crate in work']);
  expect(engine.queries.removed().map(({ id }) => id)).toEqual(['visit']);
});

test('a calendar that was hidden or not listed is seen when it is brought back', async () => {
  const { engine } = await open();
  const [before] = engine.queries.calendars().filter(({ id }) => id === 'old');
  const after = { ...before!, shown: false, listed: false };
  const edits = [{ type: 'calendar' as const, before: before!, after }];
  await engine.commands.keep({ label: 'Hid old', at: NOW, edits });
  await done(engine, { kind: 'removeCalendar', id: 'old' }, NOW);
  await done(engine, { kind: 'bringBackCalendar', id: 'old' }, NOW);
  expect(engine.queries.calendars().find(({ id }) => id === 'old')).toEqual(before);
});

test('clearing for good takes removed calendars too', async () => {
  const { engine, store } = await open();
  await done(engine, { kind: 'removeCalendar', id: 'old' }, NOW);
  await engine.commands.clearRemoved(NOW);
  expect(store.texts.has('calendar/old')).toBe(false);
  expect(store.texts.has('event/visit')).toBe(false);
  expect(titles(engine)).toEqual(['crate in work']);
});

test('merging joins twins, is looked at first, and is undone at once', async () => {
  const { engine } = await open();
  const before = await recordsOf(engine);
  expect(engine.queries.mergePreview('old', 'work')).toMatchObject({
    events: 2,
    series: 0,
    twins: [{ title: 'crate' }],
  });
  const choice = { join: true, keepInk: true };
  const label = await done(
    engine,
    { kind: 'mergeCalendars', from: 'old', into: 'work', choice },
    NOW,
  );
  expect(label).toBe('Merged old into work: 2 events, 1 joined');
  expect(titles(engine)).toEqual(['crate in work', 'visit in work']);
  expect(engine.queries.event('crate')!.notes).toBe('Gate B');
  expect(engine.queries.event('visit')!.inkOverride).toBe(INKS.Moss);
  await engine.commands.step('undo');
  expect(await recordsOf(engine)).toEqual(before);
});

test('a duplicate has copies of its own, another name, ink and mark', async () => {
  const { engine } = await open();
  await done(engine, { kind: 'duplicateCalendar', id: 'old' }, NOW);
  await done(engine, { kind: 'duplicateCalendar', id: 'old' }, NOW);
  const [, old, copy, second] = engine.queries.calendars();
  expect([copy!.name, second!.name]).toEqual(['old copy', 'old copy 2']);
  expect(copy!.ink).not.toBe(old!.ink);
  const copies = engine.queries
    .findEvents(EVERYTHING, 99)
    .filter(({ calendarId }) => calendarId === copy!.id);
  expect(copies.map(({ title }) => title).sort()).toEqual(['crate', 'visit']);
  expect(copies.every(({ id, uid }) => uid.startsWith(id))).toBe(true);
});

test('a category goes from events and from dates changed by hand, and comes back by undo', async () => {
  const key = '2026-11-26T09:00:00';
  const dated = event('round', {
    rule: 'FREQ=DAILY;COUNT=3',
    changedDates: { [key]: { categoryIds: ['lamps'] } },
  });
  const { engine } = await open([...SEED, dated]);
  const label = await done(engine, { kind: 'removeCategory', id: 'lamps' }, NOW);
  expect(label).toBe('Removed the category Lamps from 2 events');
  expect(engine.queries.event('visit')!.categoryIds).toEqual([]);
  expect(engine.queries.event('round')!.changedDates[key]!.categoryIds).toEqual([]);
  expect(engine.queries.categories()).toEqual([]);
  await engine.commands.step('undo');
  expect(engine.queries.event('round')!.changedDates[key]!.categoryIds).toEqual(['lamps']);
  expect(engine.queries.categories()).toHaveLength(1);
});

test('what is about something gone is refused, and changes nothing', async () => {
  const { engine } = await open();
  await expect(done(engine, { kind: 'removeCalendar', id: 'nobody' }, NOW)).rejects.toThrow(
    'not here any more',
  );
  expect(engine.status().undo).toBeNull();
});

const ics = (...events: string[]) =>
  ['BEGIN:VCALENDAR', ...events, 'END:VCALENDAR', ''].join('\r\n');
const vevent = (uid: string, title: string) =>
  `BEGIN:VEVENT\r\nUID:${uid}\r\nSUMMARY:${title}\r\nDTSTART;VALUE=DATE:20261224\r\nEND:VEVENT`;

/** A feed that answers with what it holds at the time. */
function feed() {
  const held = { text: ics(vevent('a', 'Shut'), vevent('b', 'Half day')), down: false, asked: '' };
  const askFeed: AskFeed = (_address, etag) => {
    held.asked = etag ?? 'without a tag';
    if (held.down) return Promise.reject(new FileError('No server answers at that address.'));
    if (etag === held.text) return Promise.resolve({ isSame: true });
    const bytes = new TextEncoder().encode(held.text);
    return Promise.resolve({ isSame: false, bytes, etag: held.text });
  };
  return { held, around: { ...outside(), askFeed } };
}

const FOLLOWED = calendar('quay', {
  kind: 'followed',
  feed: { address: 'http://quay.example/shut.ics', everyMinutes: 60, news: [] },
});
const feedOf = (engine: Engine) =>
  engine.queries.calendars().find(({ id }) => id === 'quay')!.feed!;

test('a calendar that is cleared away while its feed is asked stays away', async () => {
  const { around } = feed();
  const asking = { answer: () => undefined as void };
  const held = new Promise<void>((resolve) => (asking.answer = resolve));
  const { engine, store } = await open([...SEED, FOLLOWED], {
    ...around,
    askFeed: (address, etag) => held.then(() => around.askFeed(address, etag)),
  });
  const refreshed = engine.feeds.refresh('quay', NOW);
  await done(engine, { kind: 'removeCalendar', id: 'quay' }, NOW);
  await engine.commands.clearRemoved(NOW);
  asking.answer();
  await refreshed;
  expect(store.texts.has('calendar/quay')).toBe(false);
  expect(titles(engine)).not.toContain('Half day in quay');
});

test('a feed is followed: what it brings, changes and takes away; and its tag is shown to it', async () => {
  const { held, around } = feed();
  const { engine } = await open([...SEED, FOLLOWED], around);
  expect(await engine.feeds.lookAt('http://quay.example/shut.ics', NOW)).toEqual({
    name: '',
    events: 2,
  });
  await engine.feeds.refresh('quay', NOW);
  expect(titles(engine)).toContain('Half day in quay');
  expect(feedOf(engine)).toMatchObject({ checked: NOW, updated: NOW, news: [] });

  await engine.feeds.refresh('quay', NOW + 1);
  expect(held.asked).toBe(held.text);
  expect(feedOf(engine)).toMatchObject({ checked: NOW + 1, updated: NOW });

  held.text = ics(vevent('a', 'Shut all day'), vevent('c', 'Crane'));
  await engine.feeds.refresh('quay', NOW + 2);
  expect(feedOf(engine).news.map(({ what, title }) => `${what} ${title}`)).toEqual([
    'new Crane',
    'changed Shut all day',
    'gone Half day',
  ]);
  expect(engine.status().undo).toBeNull();
});

test('a feed that is away keeps its last copy and says why; then it goes on', async () => {
  const { held, around } = feed();
  const { engine } = await open([...SEED, FOLLOWED], around);
  await engine.feeds.refresh('quay', NOW);
  held.down = true;
  await engine.feeds.refresh('quay', NOW + 5);
  expect(feedOf(engine)).toMatchObject({
    checked: NOW + 5,
    updated: NOW,
    problem: 'No server answers at that address.',
  });
  expect(titles(engine)).toContain('Shut in quay');
  held.down = false;
  held.text = 'not a calendar';
  await engine.feeds.refresh('quay', NOW + 6);
  expect(feedOf(engine).problem).toBeDefined();
  held.text = ics(vevent('a', 'Shut'));
  await engine.feeds.refresh('quay', NOW + 7);
  expect(feedOf(engine).problem).toBeUndefined();
});

test('feeds are looked at when their time has come', async () => {
  const { held, around } = feed();
  const { engine } = await open([...SEED, FOLLOWED], around);
  await engine.feeds.refreshDue(NOW);
  expect(feedOf(engine).checked).toBe(NOW);
  held.text = ics(vevent('a', 'Later'));
  await engine.feeds.refreshDue(NOW + 59 * MINUTE);
  expect(feedOf(engine).checked).toBe(NOW);
  await engine.feeds.refreshDue(NOW + 60 * MINUTE);
  expect(titles(engine)).toContain('Later in quay');
  // A look that lies ahead was at a clock that was wrong.
  await engine.feeds.refreshDue(NOW);
  expect(feedOf(engine).checked).toBe(NOW);
});

test('a backup is everything; restored into an empty store it gives the same, files too', async () => {
  const around = outside();
  const { engine } = await open(SEED, around);
  const kept = await engine.files.keepFile(fileOf('photo', 'lamp.txt'), NOW);
  const crate = engine.queries.event('crate')!;
  const after = { ...crate, attachments: [kept] };
  const edits = [{ type: 'event' as const, before: crate, after }];
  await engine.commands.keep({ label: 'Attached', at: NOW, edits });
  const text = await textOf(engine, NOW);

  const { engine: empty } = await open([calendar('first')]);
  const preview = await empty.files.previewRestore(fileOf(text, 'backup.json'));
  expect(preview.kinds.find(({ type }) => type === 'event')).toMatchObject({ added: 3, gone: 0 });
  expect(preview.kinds.find(({ type }) => type === 'calendar')).toMatchObject({
    added: 2,
    gone: 1,
  });
  await empty.files.restore(NOW);
  expect(await textOf(empty, NOW)).toBe(text);
  expect(await (await empty.files.fileContent(kept.id))!.text()).toBe('photo');
  await empty.commands.step('undo');
  expect(empty.queries.calendars().map(({ id }) => id)).toEqual(['first']);
  expect(titles(empty)).toEqual([]);
});

test('records of a backup that do not fit stay out, named; what is no backup is refused', async () => {
  const { engine } = await open();
  const text = await textOf(engine, NOW);
  const broken = text
    .replace('"title":"visit"', '"title":7')
    .replace('"lamps","name"', '"l/","name"');
  const { bad } = await engine.files.previewRestore(fileOf(broken, 'backup.json'));
  expect(bad.map(({ what }) => what)).toEqual([
    'category “Lamps”: its key is not written as it must be',
    'event “7”: title is not a text',
  ]);
  const newer = text.replace(/"version": \d+/, '"version": 9');
  await expect(engine.files.previewRestore(fileOf(newer, 'b.json'))).rejects.toThrow(
    'newer version',
  );
  await expect(engine.files.previewRestore(fileOf('{}', 'b.json'))).rejects.toThrow('not a backup');
  await expect(engine.files.previewRestore(fileOf('{"a', 'b.json'))).rejects.toThrow('damaged');
});

test('files have a limit, and what no event has any more is cleared with the removed', async () => {
  const around = outside();
  const { engine } = await open(SEED, around);
  const huge = { size: 26 * 1024 * 1024, name: 'film.mov' } as File;
  await expect(engine.files.keepFile(huge, NOW)).rejects.toThrow('film.mov is 26 MB');
  const used = await engine.files.keepFile(fileOf('a', 'a.txt'), NOW);
  await engine.files.keepFile(fileOf('b', 'b.txt'), NOW);
  const crate = engine.queries.event('crate')!;
  const after = { ...crate, attachments: [used] };
  const edits = [{ type: 'event' as const, before: crate, after }];
  await engine.commands.keep({ label: 'Attached', at: NOW, edits });
  expect(engine.queries.attachments()).toMatchObject([
    { name: 'a.txt', bytes: 1, eventTitle: 'crate' },
  ]);
  // The event that b is for may be open in another window, and not be kept yet.
  await engine.commands.clearRemoved(NOW + 60 * MINUTE);
  expect(await around.files.ids()).toHaveLength(2);
  await engine.commands.clearRemoved(NOW + 25 * 60 * MINUTE);
  expect(await around.files.ids()).toEqual([used.id]);
});

test('several files come in as one; what stays out is said with its file', async () => {
  const { engine } = await open();
  const files = [
    fileOf(ics(vevent('a', 'Shut')), 'one.ics'),
    fileOf(ics(vevent('a', 'Shut'), vevent('b', 'Half'), 'BEGIN:VEVENT\r\nEND:VEVENT'), 'two.ics'),
  ];
  const preview = await engine.files.previewImport(files, NOW, () => undefined);
  expect(preview).toMatchObject({ fileName: '2 files', fates: { new: 2 }, problems: 2 });
  const { inFile, comesIn, leftOut } = preview.sums;
  expect(inFile).toBe(comesIn + leftOut);
  expect(preview.skipped[0]!.what).toMatch(/^two\.ics: /);
  // A bad one is named, and keeps none of the others out.
  const bad = fileOf('x', 'three.ics');
  const some = await engine.files.previewImport([files[0]!, bad], NOW, () => undefined);
  expect([some.counts.events, some.skipped[0]!.what]).toEqual([
    1,
    expect.stringMatching(/^three\.ics stays out: /),
  ]);
  await expect(engine.files.previewImport([bad, bad], NOW, () => undefined)).rejects.toThrow(
    'three.ics',
  );
});

test('categories of a file become the app’s, and go out by their names', async () => {
  const { engine } = await open();
  const text = ics(vevent('a', 'Shut').replace('SUMMARY', 'CATEGORIES:lamps,Freight\r\nSUMMARY'));
  await engine.files.previewImport([fileOf(text, 'a.ics')], NOW, () => undefined);
  await engine.files.applyImport({ calendarId: 'work' }, NOW);
  expect(engine.queries.categories().map(({ name }) => name)).toEqual(['Lamps', 'Freight']);
  expect(
    (await engine.files.exportCalendars({ query: { ...EVERYTHING, calendars: ['work'] } })).text,
  ).toContain('CATEGORIES:Lamps,Freight');
  const again = await engine.files.previewImport([fileOf(text, 'a.ics')], NOW, () => undefined);
  expect(again.fates).toMatchObject({ unchanged: 1, updated: 0 });
});

test('a table is opened, read and kept; the same table brings nothing new', async () => {
  const { engine } = await open();
  const file = fileOf('Title,Date,Time\nFog bell,24/11/2026,9:00\nBad,never,', 'rows.csv');
  const look = await engine.files.openTable(file);
  expect(look).toMatchObject({ rows: 2, order: 'day', guessed: { title: 0, startDate: 1 } });
  const reading = {
    columns: look.guessed,
    order: 'day' as const,
    zone: 'Europe/London',
    defaultLength: 30,
    now: NOW,
  };
  expect(engine.files.previewTable(reading)).toMatchObject({ fates: { new: 1 }, problems: 1 });
  await engine.files.applyImport({ calendarId: 'work' }, NOW);
  expect(titles(engine)).toContain('Fog bell in work');
  await engine.files.openTable(file);
  expect(engine.files.previewTable(reading).fates).toMatchObject({ new: 0, unchanged: 1 });
});

test('what goes out is narrowed by calendar, by event and by time', async () => {
  const later = event('later', {
    start: zoned('2027-02-01T09:00:00'),
    end: zoned('2027-02-01T10:00:00'),
  });
  const { engine } = await open([...SEED, later]);
  const period = {
    fromDay: parseDate('2027-01-01'),
    toDay: parseDate('2028-01-01'),
    zone: 'Europe/London',
  };
  expect(await engine.files.exportCalendars({ query: EVERYTHING })).toMatchObject({ events: 4 });
  expect(await engine.files.exportCalendars({ query: EVERYTHING, period })).toMatchObject({
    name: 'All calendars 2027-01-01 to 2027-12-31',
    events: 1,
  });
  expect(
    await engine.files.exportCalendars({ query: { ...EVERYTHING, eventIds: ['visit'] } }),
  ).toMatchObject({
    name: 'visit',
    events: 1,
  });
  const table = engine.files.exportTable({
    query: { ...EVERYTHING, calendars: ['work'] },
    period,
    columns: ['title', 'hours'],
  });
  expect(table.text).toBe('Title,Hours\r\nlater,1');
});
