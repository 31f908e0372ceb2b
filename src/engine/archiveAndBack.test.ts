import { demoSeed } from '@/../demo/scenario';
import type { Calendar } from '@/core/model/calendar';
import { newCalendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/event';
import { INKS } from '@/core/model/inks';
import type { Task } from '@/core/model/task';
import { EVERYTHING } from '@/core/query/eventQuery';
import { parseDate } from '@/core/time/civil';
import type { Engine } from './engine';
import { done, fileOf, NOW, opened } from './testing/opened';

/** What files say of an event; what of a guest or a date says the same twice is left out. */
const saidInFiles = ({ attendees, changedDates, ...event }: CalendarEvent) => {
  const {
    id: _id,
    calendarId: _calendarId,
    categoryIds: _categoryIds,
    broughtIn: _broughtIn,
    attachments: _attachments,
    ...rest
  } = event;
  const guest = ({ parameters: _parameters, ...one }: CalendarEvent['attendees'][number]) => one;
  const dates = Object.entries(changedDates).map(([key, { revision = 0, ...date }]) => [
    key,
    { revision, ...date },
  ]);
  return { ...rest, attendees: attendees.map(guest), changedDates: Object.fromEntries(dates) };
};

/** Everything in a store, also what no question shows. */
const recordsOf = (engine: Engine) => engine.invitations['parts'].records;

/** All that a file can say of a store, with names in place of ids. */
function contentOf(engine: Engine, ids: readonly string[]) {
  const calendars = engine.queries.calendars();
  const nameOf = (id: string | undefined) => calendars.find((one) => one.id === id)?.name;
  const look = ({ name, ink, mark, defaultReminders, defaultAvailability }: Calendar) => ({
    ...{ name, ink, mark, defaultReminders, defaultAvailability },
  });
  const events = ids.map((uid) => {
    const event = recordsOf(engine)
      .all('event')
      .find((one) => one.uid === uid)!;
    return { ...saidInFiles(event), calendar: nameOf(event.calendarId) };
  });
  const tasks = recordsOf(engine)
    .all('task')
    .map((task: Task) => [task.uid, task.title, nameOf(task.calendarId)])
    .sort();
  return {
    calendars: calendars
      .filter(({ kind }) => kind === 'own')
      .map(look)
      .sort((a, b) => (a.name < b.name ? -1 : 1)),
    events,
    tasks,
  };
}

test('all calendars go out and come back into an empty store with nothing lost', async () => {
  const seed = demoSeed({ today: parseDate('2026-11-24'), now: NOW });
  const here = await opened(seed);
  const own = new Set(
    here.queries.calendars().flatMap(({ id, kind }) => (kind === 'own' ? [id] : [])),
  );
  const { text } = await here.files.exportCalendars({
    query: { ...EVERYTHING, calendars: [...own] },
  });
  const there = await opened([]);
  const preview = await there.files.previewImport([fileOf(text, 'all.ics')], NOW, () => undefined);
  expect(preview.sums).toEqual({
    inFile: preview.sums.comesIn,
    comesIn: preview.sums.comesIn,
    leftOut: 0,
  });
  expect(preview.calendars).toHaveLength(own.size);
  const target = newCalendar({ id: 'x', name: 'all', ink: INKS.Kelp, mark: 'ring', order: 9 });
  await there.files.applyImport({ newCalendar: target }, NOW);
  const uids = recordsOf(here)
    .all('event')
    .filter(({ calendarId, removedAt }) => own.has(calendarId) && removedAt === undefined)
    .map(({ uid }) => uid);
  expect(contentOf(there, uids)).toEqual(contentOf(here, uids));
});

test('archived events of several calendars come back on theirs', async () => {
  const here = await opened(demoSeed({ today: parseDate('2026-11-24'), now: NOW }));
  const own = new Set(
    here.queries.calendars().flatMap(({ id, kind }) => (kind === 'own' ? [id] : [])),
  );
  const chosen = recordsOf(here)
    .all('event')
    .filter(({ calendarId, removedAt }) => own.has(calendarId) && removedAt === undefined)
    .slice(0, 72);
  const query = { ...EVERYTHING, eventIds: chosen.map(({ id }) => id) };
  const { text } = await here.files.exportCalendars({ query });
  await done(here, { kind: 'removeEvents', ids: query.eventIds });
  await here.commands.clearRemoved(NOW);
  await here.files.previewImport([fileOf(text, 'archive.ics')], NOW, () => undefined);
  const target = newCalendar({ id: 'x', name: 'archive', ink: INKS.Kelp, mark: 'ring', order: 9 });
  await here.files.applyImport({ newCalendar: target }, NOW);
  expect(here.queries.calendars().some(({ name }) => name === 'archive')).toBe(false);
  const back = new Map(
    recordsOf(here)
      .all('event')
      .map((one) => [one.uid, one.calendarId]),
  );
  expect(chosen.map(({ uid }) => back.get(uid))).toEqual(chosen.map((one) => one.calendarId));
});
