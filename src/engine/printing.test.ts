import { EMPTY_FILTER } from '@/core/model/filter';
import type { PrintSetup } from '@/core/model/print';
import { DEFAULT_PRINT } from '@/core/model/print';
import type { TypedRecord } from '@/core/model/records';
import { textOf } from '@/core/print/svg';
import { EVEN_WIDTHS } from '@/core/print/text';
import type { EventQuery } from '@/core/query/eventQuery';
import { EVERYTHING } from '@/core/query/eventQuery';
import { parseDate } from '@/core/time/civil';
import type { PrintedThing } from './printing/printer';
import { calendar, event, NOW, opened, zoned } from './testing/opened';

const MONDAY = parseDate('2026-11-23');
const WEEK = Array.from({ length: 7 }, (_, i) => MONDAY + i);
const on = (day: string) => ({ start: zoned(`${day}T09:00:00`), end: zoned(`${day}T10:00:00`) });

const SEED: TypedRecord[] = [
  calendar('work', { name: 'Workshop' }),
  calendar('clients', { name: 'Clients' }),
  event('lamp', { title: 'Lamp survey', notes: 'Bring the ladder', ...on('2026-11-24') }),
  event('dentist', {
    ...{ title: 'Dentist', notes: 'Upper left', place: 'Mill Lane', visibility: 'private' },
    ...on('2026-11-25'),
  }),
  event('visit', { title: 'Quay visit', calendarId: 'clients', ...on('2026-11-26') }),
];

/** What stands on the pages of a week. */
async function printed(
  setup: Partial<PrintSetup> = {},
  query: Partial<EventQuery> = {},
  what: PrintedThing = { kind: 'days', days: WEEK, query: { ...EVERYTHING, ...query } },
): Promise<string> {
  const engine = await opened(SEED);
  const pages = await engine.printer.pages({
    ...{ what, setup: { ...DEFAULT_PRINT, ...setup }, clock: 'Europe/London', firstWeekday: 0 },
    ...{ wording: { locale: 'en-GB', hourCycle: '24' }, today: MONDAY, now: NOW },
    widths: EVEN_WIDTHS,
  });
  return pages.map(textOf).join('\n');
}

test('what is private is on paper as booked, without a word of it, unless its title is asked for', async () => {
  const kept = await printed({ hasNotes: true });
  expect(kept).toMatch(/Booked/);
  expect(kept).not.toMatch(/Dentist|Upper left|Mill Lane/);
  const told = await printed({ hasNotes: true, hasPrivate: true });
  expect(told).toMatch(/Dentist/);
  expect(told).toMatch(/Mill Lane/);
});

test('notes stand with their event, or beside the days under its title, as it is chosen', async () => {
  const beside = await printed({ beside: 'notes', form: 'grid' });
  expect(beside).toMatch(/Tue,? 24 Nov\s+Lamp survey\s+Bring the ladder/);
  expect(beside).not.toMatch(/Upper left/);
  expect(await printed({ hasNotes: true, form: 'agenda' })).toMatch(/Bring the ladder/);
  expect(await printed({ form: 'agenda' })).not.toMatch(/Bring the ladder/);
});

test('only the calendars that are asked for are printed, and what a filter holds back is counted', async () => {
  const clients = await printed({}, { calendars: ['clients'] });
  expect(clients).toMatch(/Quay visit/);
  expect(clients).not.toMatch(/Lamp survey/);
  const lamps = await printed({}, { filter: { ...EMPTY_FILTER, text: 'lamp' } });
  expect(lamps).toMatch(/Lamp survey/);
  expect(lamps).toMatch(/2 events left out by the filter/);
});

test('an event’s page has all of it, and says so where it is gone', async () => {
  const page = await printed({}, {}, { kind: 'event', id: 'dentist' });
  expect(page).toMatch(/Dentist[^]*Workshop · Mill Lane[^]*Upper left/);
  expect(await printed({}, {}, { kind: 'event', id: 'nobody' })).toMatch(/not here any more/);
});
