import { ALL_SHOWN, EVERYTHING } from '@/core/query/eventQuery';
import { parseDate } from '@/core/time/civil';
import { calendar, event, opened } from './testing/opened';

const DAY = parseDate('2026-11-25');
const WINDOW = { fromDay: DAY, toDay: DAY + 1, zone: 'Europe/London' };
const date = (text: string) => ({ kind: 'date', date: text }) as const;
const titles = (all: readonly { title: string }[]) => all.map(({ title }) => title);

test('facts of days are told by themselves, and are no events of the sheet', async () => {
  const engine = await opened([
    calendar('work'),
    calendar('days', { kind: 'followed', isFacts: true, order: 1 }),
    event('visit'),
    event('rain', {
      calendarId: 'days',
      start: date('2026-11-25'),
      end: date('2026-11-26'),
    }),
  ]);
  const { queries } = engine;
  expect(titles(queries.occurrences(WINDOW, ALL_SHOWN).occurrences)).toEqual(['visit']);
  expect(queries.dayLoads(WINDOW).booked).toEqual([60]);
  expect(titles(queries.facts(WINDOW, ['days']))).toEqual(['rain']);
  expect(queries.facts(WINDOW, [])).toEqual([]);
  // Whoever asks for everything finds them.
  expect(titles(queries.occurrences(WINDOW, EVERYTHING).occurrences).sort()).toEqual([
    'rain',
    'visit',
  ]);
});
