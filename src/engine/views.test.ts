import { newEvent } from '@/core/model/event';
import type { CalendarEvent } from '@/core/model/event';
import { EMPTY_FILTER } from '@/core/model/filter';
import { DEFAULT_VIEW } from '@/core/model/view';
import { formatDate, parseDate } from '@/core/time/civil';
import type { DayNumber } from '@/core/time/units';
import { ALL_SHOWN } from '@/core/query/eventQuery';
import { agendaPage } from './queries/agendaPages';
import type { Engine } from './engine';
import { firstSeed } from './firstSeed';
import { calendar, event as record, opened } from './testing/opened';

const TODAY = parseDate('2026-11-24');
const WEEK = { fromDay: TODAY - 1, toDay: TODAY + 6, zone: 'Europe/London' };

function event(id: string, day: DayNumber, fields: Partial<CalendarEvent> = {}): CalendarEvent {
  const time = (clock: string) =>
    ({ kind: 'zoned', local: `${formatDate(day)}T${clock}:00`, zone: 'Europe/London' }) as const;
  return newEvent(
    { id, calendarId: 'first', title: id, start: time('09:00'), end: time('10:30'), ...fields },
    0,
  );
}

const date = (day: string) => ({ kind: 'date', date: day }) as const;

async function engineWith(events: readonly CalendarEvent[]): Promise<Engine> {
  const engine = await opened(firstSeed());
  await engine.commands.keep({
    label: 'Added',
    at: 0,
    edits: events.map((after) => ({ type: 'event', before: null, after })),
  });
  return engine;
}

test('a filter holds back what it does not let through, and says how much', async () => {
  const engine = await engineWith([
    event('Lamp', TODAY, { place: 'Bench 2' }),
    event('Call', TODAY, { notes: 'about the lamp' }),
    event('Rope', TODAY),
  ]);
  const query = { ...ALL_SHOWN, filter: { ...EMPTY_FILTER, text: 'lamp' } };
  const seen = engine.queries.occurrences(WEEK, query);
  expect(seen.occurrences.map(({ title }) => title).sort()).toEqual(['Call', 'Lamp']);
  expect(seen.hidden).toBe(1);
  expect(engine.queries.dayLoads(WEEK, query)).toMatchObject({
    events: [0, 2, 0, 0, 0, 0, 0],
    hidden: 1,
  });
  expect(engine.queries.occurrences(WEEK).hidden).toBe(0);
});

test('a window may show other calendars than those that are shown everywhere', async () => {
  const engine = await engineWith([event('Lamp', TODAY)]);
  const [calendar] = engine.queries.calendars();
  await engine.commands.keep({
    label: 'Hid',
    at: 0,
    edits: [{ type: 'calendar', before: calendar!, after: { ...calendar!, shown: false } }],
  });
  expect(engine.queries.occurrences(WEEK).occurrences).toEqual([]);
  const own = { ...ALL_SHOWN, calendars: ['first'] };
  expect(engine.queries.occurrences(WEEK, own).occurrences).toHaveLength(1);
});

test('lenses are kept, undone, and come in their order', async () => {
  const engine = await engineWith([]);
  const lens = (id: string, order: number) => ({
    id,
    name: id,
    icon: '',
    order,
    view: DEFAULT_VIEW,
    day: null,
  });
  await engine.commands.keep({
    label: 'Made the lens b',
    at: 0,
    edits: [{ type: 'lens', before: null, after: lens('b', 1) }],
  });
  await engine.commands.keep({
    label: 'Made the lens a',
    at: 0,
    edits: [{ type: 'lens', before: null, after: lens('a', 0) }],
  });
  expect(engine.queries.lenses().map(({ id }) => id)).toEqual(['a', 'b']);
  await engine.commands.step('undo');
  expect(engine.queries.lenses().map(({ id }) => id)).toEqual(['b']);
  const backup = JSON.parse(await (await engine.files.backup(0)).file.text()) as {
    records: Record<string, unknown[]>;
  };
  expect(JSON.stringify(backup)).toContain('"b"');
});

test('the agenda looks over empty months for its next events, and back', async () => {
  const engine = await engineWith([
    event('Near', TODAY),
    event('Far', TODAY + 300),
    event('Before', TODAY - 200),
  ]);
  const zone = 'Europe/London';
  const on = engine.queries.agendaPage({ day: TODAY, direction: 'on', zone });
  expect(on.occurrences.map(({ title }) => title)).toEqual(['Near', 'Far']);
  expect(on.toDay).toBeGreaterThan(TODAY + 300);
  const back = engine.queries.agendaPage({ day: TODAY, direction: 'back', zone });
  expect(back.occurrences.map(({ title }) => title)).toEqual(['Before']);
  expect(back.fromDay).toBeLessThan(TODAY - 200);
});

test('a page of the agenda ends once it is full, and the next begins where it ended', () => {
  const asked: number[] = [];
  const query = ({ fromDay }: { fromDay: DayNumber }) => {
    asked.push(fromDay);
    const occurrences = Array.from({ length: 25 }, (_, i) => ({ id: `${fromDay} ${i}` }) as never);
    return { occurrences, hidden: 3 };
  };
  const first = agendaPage({ day: 0, direction: 'on', zone: 'UTC' }, query);
  expect(first.occurrences).toHaveLength(50);
  expect(first.hidden).toBe(6);
  const next = agendaPage({ day: first.toDay, direction: 'on', zone: 'UTC' }, query);
  expect(next.fromDay).toBe(first.toDay);
  expect(new Set(asked).size).toBe(asked.length);
});

test('an event that reaches over the edge of two windows is on a page once', () => {
  const query = () => ({ occurrences: [{ id: 'Refit' } as never], hidden: 0 });
  const page = agendaPage({ day: 0, direction: 'back', zone: 'UTC' }, query);
  expect(page.occurrences).toHaveLength(1);
});

test('days of closures are named, and what an event of the same title had is found again', async () => {
  const whole = { start: date('2026-12-11'), end: date('2026-12-12') };
  const engine = await opened([
    calendar('work'),
    calendar('quay', { isClosures: true, kind: 'followed' }),
    record('gate', { calendarId: 'quay', title: 'Tide-gate service', ...whole }),
    record('leave', { title: 'Leave', ...whole }),
    record('old', { title: 'Lens fitting', place: 'Hut', updated: 1 }),
    record('new', { title: ' lens Fitting ', place: 'Quay 3', updated: 2 }),
    record('gone', { title: 'Lens fitting', place: 'Loft', updated: 3, removedAt: 4 }),
  ]);
  expect(engine.queries.namedDays(TODAY, 'Europe/London')).toEqual([
    { name: 'Tide-gate service', day: parseDate('2026-12-11') },
  ]);
  expect(engine.queries.lastLike('Lens fitting')).toEqual({
    calendarId: 'work',
    place: 'Quay 3',
    minutes: 60,
  });
  expect(engine.queries.lastLike('leave')?.minutes).toBeNull();
  // What is followed is no habit of one's own.
  expect(engine.queries.lastLike('Tide-gate service')).toBeNull();
});
