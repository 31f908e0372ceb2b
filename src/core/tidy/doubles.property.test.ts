import fc from 'fast-check';
import type { CalendarEvent } from '../model/event';
import { newEvent, isWholeDay } from '../model/event';
import { wallOf } from '../model/common';
import { dayOfWall, formatDate, formatLocal, HOUR, parseLocal } from '../time/civil';
import { CHOSEN_FIELDS, findDoubles, joinDoubles, keptOf } from './doubles';
import { isNear } from '../query/near';
import { isSameTitle, plain } from './likeness';

const RUNS = Number(process.env['PROPERTY_RUNS'] ?? 200);
const START = parseLocal('2026-11-24T00:00:00');

const some = fc.record({
  hour: fc.integer({ min: 0, max: 30 }),
  isWhole: fc.boolean(),
  calendarId: fc.constantFrom('work', 'clients'),
  title: fc.constantFrom(
    'Gasket delivery',
    'Gasket Delivery ',
    'Gasket delivrey',
    'Lamp 14',
    'Lamp 15',
    '',
  ),
  place: fc.constantFrom('', 'Quay 3', 'Quay'),
  link: fc.constantFrom('', 'https://a.example'),
  notes: fc.constantFrom('', 'Wire', 'Wire and brass'),
  categoryIds: fc.subarray(['x', 'y']),
  rule: fc.constantFrom(undefined, undefined, 'FREQ=DAILY;COUNT=3'),
  updated: fc.integer({ min: 0, max: 9 }),
  availability: fc.constantFrom('busy' as const, 'free' as const),
});

function eventOf(
  { hour, isWhole, ...fields }: typeof some extends fc.Arbitrary<infer D> ? D : never,
  i: number,
) {
  const wall = START + hour * HOUR;
  const date = (day: number) => ({ kind: 'date' as const, date: formatDate(day) });
  const zoned = (at: number) => ({ kind: 'zoned', local: formatLocal(at), zone: 'UTC' }) as const;
  const times = isWhole
    ? { start: date(dayOfWall(wall)), end: date(dayOfWall(wall) + 1) }
    : { start: zoned(wall), end: zoned(wall + HOUR) };
  return newEvent({ id: `e${i}`, ...times, ...fields, rule: isWhole ? undefined : fields.rule }, i);
}

const dayOf = (event: CalendarEvent) => dayOfWall(wallOf(event.start));

/** Whether two events are one, read from the issue's own words. */
function areTwins(a: CalendarEvent, b: CalendarEvent): boolean {
  const [one, other] = [plain(a.title), plain(b.title)];
  if (!one || !other) return false;
  if (isWholeDay(a) !== isWholeDay(b))
    return dayOf(a) === dayOf(b) && one === other && !a.rule && !b.rule;
  const isSameTime = wallOf(a.start) === wallOf(b.start) && wallOf(a.end) === wallOf(b.end);
  const isAlike = a.calendarId === b.calendarId ? isSameTitle(a.title, b.title) : one === other;
  return isSameTime && a.rule === b.rule && isAlike;
}

/** Groups by looking at every pair until nothing changes. */
function naiveGroups(events: readonly CalendarEvent[]): string[] {
  const group = events.map((_, i) => i);
  for (let changed = true; changed;) {
    changed = false;
    for (const [i, a] of events.entries())
      for (const [j, b] of events.entries())
        if (group[i]! < group[j]! && areTwins(a, b)) {
          group[j] = group[i]!;
          changed = true;
        }
  }
  const names = [...new Set(group)].map((g) =>
    events
      .flatMap(({ id }, i) => (group[i] === g ? [id] : []))
      .sort()
      .join(' '),
  );
  return names.filter((name) => name.includes(' ')).sort();
}

test('doubles are what looking at every pair finds', () => {
  fc.assert(
    fc.property(fc.array(some, { maxLength: 14 }), (drafts) => {
      const events = drafts.map(eventOf);
      const found = findDoubles(events, dayOf).map((group) =>
        group
          .map(({ id }) => id)
          .sort()
          .join(' '),
      );
      expect(found.sort()).toEqual(naiveGroups(events));
    }),
    { numRuns: RUNS },
  );
});

test('on a day with very many events, those of the very same title are still found', () => {
  const many = Array.from({ length: 200 }, (_, i) =>
    eventOf(
      {
        hour: 9,
        isWhole: false,
        calendarId: 'work',
        title: `Lamp ${i % 100}`,
        place: '',
        link: '',
        notes: '',
        categoryIds: [],
        rule: undefined,
        updated: 0,
        availability: 'busy',
      } as never,
      i,
    ),
  );
  expect(findDoubles(many, dayOf)).toHaveLength(100);
});

test('joined doubles lose no value, whoever is chosen', () => {
  const choice = fc.record(
    Object.fromEntries(CHOSEN_FIELDS.map((field) => [field, fc.nat({ max: 3 })])) as Record<
      (typeof CHOSEN_FIELDS)[number],
      fc.Arbitrary<number>
    >,
    { requiredKeys: [] },
  );
  fc.assert(
    fc.property(fc.array(some, { minLength: 2, maxLength: 4 }), choice, (drafts, picks) => {
      const events = drafts.map(eventOf);
      const choices = Object.fromEntries(
        Object.entries(picks).map(([field, nth]) => [field, events[nth % events.length]!.id]),
      );
      const joined = joinDoubles(events, choices, 50);
      expect(joined).toMatchObject({ id: keptOf(events).id, updated: 50 });
      const said = `${joined.title}\n${joined.place}\n${joined.link}\n${joined.notes}`;
      for (const { title, place, link, notes, categoryIds } of events) {
        for (const text of [title, place, link, notes]) expect(plain(said)).toContain(plain(text));
        expect(joined.categoryIds).toEqual(expect.arrayContaining([...categoryIds]));
      }
      for (const [field, id] of Object.entries(choices))
        if (field !== 'start' && field !== 'end')
          expect(joined[field as 'title']).toEqual(
            events.find((one) => one.id === id)![field as 'title'],
          );
      // Its times are those of one of them, never of two.
      expect(
        events.some(
          ({ start, end }) =>
            JSON.stringify([start, end]) === JSON.stringify([joined.start, joined.end]),
        ),
      ).toBe(true);
    }),
    { numRuns: RUNS },
  );
});

test('what is proposed is what says most', () => {
  const [bare, full] = [
    eventOf(
      {
        hour: 9,
        isWhole: false,
        calendarId: 'work',
        title: 'Gasket delivery',
        place: '',
        link: '',
        notes: '',
        categoryIds: [],
        rule: undefined,
        updated: 9,
        availability: 'busy',
      } as never,
      0,
    ),
    eventOf(
      {
        hour: 9,
        isWhole: false,
        calendarId: 'work',
        title: 'Gasket delivery',
        place: 'Quay 3',
        link: '',
        notes: '',
        categoryIds: [],
        rule: undefined,
        updated: 1,
        availability: 'free',
      } as never,
      1,
    ),
  ];
  const joined = joinDoubles([bare!, full!], {}, 50);
  expect(joined).toMatchObject({ place: 'Quay 3', availability: 'busy', notes: '' });
});

/** Plain distance by all ways, for short words. */
function distance(a: string, b: string): number {
  const table = Array.from({ length: a.length + 1 }, (_, i) =>
    Array.from({ length: b.length + 1 }, (__, j) => (i === 0 ? j : j === 0 ? i : 0)),
  );
  for (let i = 1; i <= a.length; i++)
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1] ? 0 : 1;
      let best = Math.min(
        table[i - 1]![j]! + 1,
        table[i]![j - 1]! + 1,
        table[i - 1]![j - 1]! + same,
      );
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        best = Math.min(best, table[i - 2]![j - 2]! + 1);
      table[i]![j] = best;
    }
  return table[a.length]![b.length]!;
}

test('words are near by the letters that differ', () => {
  const word = fc.stringMatching(/^[abc]{0,7}$/);
  fc.assert(
    fc.property(word, word, fc.nat({ max: 3 }), (a, b, most) => {
      expect(isNear(a, b, most)).toBe(distance(a, b) <= most);
    }),
    { numRuns: RUNS },
  );
  expect(isSameTitle('Lamp 14 strip-down', 'Lamp 15 strip-down')).toBe(false);
  expect(isSameTitle('Gasket delivery', 'Gasket  Delivrey!')).toBe(true);
});
