import type { CalendarEvent } from '@/core/model/event';
import { checkRecord } from '@/core/model/records';
import { isSeries } from '@/core/model/event';
import { findClashes } from '@/core/agenda/clashes';
import { EventIndex } from '@/core/agenda/eventIndex';
import { parseDate, startOfWeek } from '@/core/time/civil';
import { demoSeed } from './scenario';

const eventsOf = (today: string) =>
  demoSeed({ today: parseDate(today), now: 1 }).flatMap(({ type, record }) =>
    type === 'event' ? [record as CalendarEvent] : [],
  );

test.each(['2026-11-24', '2026-03-29', '2027-12-31', '2028-02-29'])(
  'begun on %s, every record is sound and this week is a full one',
  (today) => {
    for (const { type, record } of demoSeed({ today: parseDate(today), now: 1 }))
      expect(() => checkRecord(type, record)).not.toThrow();
    const index = new EventIndex();
    for (const event of eventsOf(today)) index.put(event);
    const monday = startOfWeek(parseDate(today));
    const week = index.query({ fromDay: monday, toDay: monday + 7, zone: 'Europe/London' }, null);
    expect(week.occurrences.length).toBeGreaterThan(20);
    expect(findClashes(week.occurrences).length).toBeGreaterThan(0);
    expect(week.cut).toEqual([]);
  },
);

test('the mess to tidy is there: doubles, empty titles, an old series without end', () => {
  const events = eventsOf('2026-11-24');
  const doubles = events.filter(({ title }) => /^gasket delivery/i.test(title));
  expect(doubles.length).toBeGreaterThanOrEqual(3);
  expect(events.filter(({ title }) => title === '')).toHaveLength(2);
  const old = events.find(({ title }) => title === 'Oil lamp circle')!;
  expect(isSeries(old)).toBe(true);
  expect(old.rule).not.toMatch(/UNTIL|COUNT/);
  expect(old.start.kind === 'zoned' && old.start.local < '2023').toBe(true);
});

test('no two records share an id or a UID', () => {
  const events = eventsOf('2026-11-24');
  expect(new Set(events.map(({ id }) => id)).size).toBe(events.length);
  expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
});
