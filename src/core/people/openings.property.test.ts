import fc from 'fast-check';
import type { Workweek } from '../model/others';
import { workdayOf } from '../model/workweek';
import { DAY, dayOfWall, MINUTE, minuteOfDay, parseLocal } from '../time/civil';
import type { EpochMs } from '../time/units';
import { instantFromWall, wallFromInstant } from '../time/zones';
import type { Hindrance, Participant } from './hindrances';
import type { OpeningWishes } from './openings';
import { openings } from './openings';

const ZONES = ['Europe/London', 'Europe/Lisbon', 'America/Halifax', 'Asia/Tokyo'] as const;
/** The clocks of London and Halifax change in these weeks, on different days. */
const FROM = Date.parse('2026-10-19T00:00:00Z');
const DAYS = 16;

const workday = fc.record({
  hours: fc.option(
    fc
      .tuple(fc.integer({ min: 0, max: 23 }), fc.integer({ min: 1, max: 12 }))
      .map(([from, length]) => ({ from: from * 60, to: Math.min(1440, (from + length) * 60) })),
    { nil: null },
  ),
  workplace: fc.constantFrom('workshop', 'home'),
});
const workweek: fc.Arbitrary<Workweek> = fc.record({
  days: fc.array(workday, { minLength: 7, maxLength: 7 }),
  exceptions: fc.dictionary(fc.constantFrom('2026-10-20', '2026-10-26', '2026-11-02'), workday, {
    noNullPrototype: true,
  }),
});
const busy = fc
  .record({
    at: fc.integer({ min: -600, max: DAYS * 1440 }),
    minutes: fc.integer({ min: 1, max: 900 }),
    taken: fc.constantFrom('tentative', 'busy', 'away'),
  })
  .map(({ at, minutes, taken }) => ({
    start: FROM + at * MINUTE,
    end: FROM + (at + minutes) * MINUTE,
    taken,
  }));
const participants = fc.array(
  fc.record({
    isRequired: fc.boolean(),
    zone: fc.constantFrom(...ZONES),
    workweek,
    busy: fc.array(busy, { maxLength: 14 }),
  }),
  { minLength: 1, maxLength: 4 },
);
const wishes = fc
  .record({
    day: fc.integer({ min: 0, max: DAYS - 2 }),
    days: fc.integer({ min: 1, max: 3 }),
    minutes: fc.integer({ min: 5, max: 180 }),
    slot: fc.constantFrom(15, 30, 60),
    clock: fc.constantFrom(...ZONES),
    travel: fc.constantFrom(0, 20, 45),
    place: fc.constantFrom('', 'workshop', 'home'),
  })
  .map(({ day, days, ...rest }): OpeningWishes => ({
    ...rest,
    from: FROM + day * DAY,
    to: FROM + (day + days) * DAY,
  }));

/** What stands in somebody's way in one minute, found by asking everything again. */
function inMinute(one: Participant, at: EpochMs, place: string): Set<Hindrance> {
  const found = new Set<Hindrance>();
  for (const { start, end, taken } of one.busy)
    if (start < at + MINUTE && end > at) found.add(taken);
  const wall = wallFromInstant(at, one.zone);
  const { hours, workplace } = workdayOf(dayOfWall(wall), one.workweek);
  const minute = minuteOfDay(wall);
  if (!hours || minute < hours.from || minute >= hours.to) found.add('outside');
  if (hours && place !== '' && workplace !== place) found.add('elsewhere');
  return found;
}

function during(one: Participant, from: EpochMs, to: EpochMs, place: string): Set<Hindrance> {
  const all = new Set<Hindrance>();
  for (let at = from; at < to; at += MINUTE)
    for (const why of inMinute(one, at, place)) all.add(why);
  return all;
}

function reasonOf(one: Participant, start: EpochMs, wishes: OpeningWishes): Hindrance | null {
  const { minutes, travel, place } = wishes;
  const end = start + minutes * MINUTE;
  const within = during(one, start, end, place);
  const way = within.has('elsewhere') ? travel * MINUTE : 0;
  const around = during(one, start - way, end + way, place);
  if (around.has('away')) return 'away';
  if (around.has('busy')) return 'busy';
  if (within.has('outside')) return 'outside';
  if (around.has('tentative')) return 'tentative';
  return within.has('elsewhere') ? 'elsewhere' : null;
}

/** Minute by minute: does one begin here by the clock, does it fit, and whom does it not suit? */
function naive(people: readonly Participant[], wishes: OpeningWishes) {
  const found: { start: EpochMs; inTheWay: { id: string; why: Hindrance }[] }[] = [];
  const { from, to, minutes, slot, clock } = wishes;
  for (let start = from; start + minutes * MINUTE <= to; start += MINUTE) {
    const wall = wallFromInstant(start, clock);
    // Of an hour that comes twice the first counts.
    if (minuteOfDay(wall) % slot || instantFromWall(wall, clock) !== start) continue;
    found.push({
      start,
      inTheWay: people.flatMap((one) => {
        const why = reasonOf(one, start, wishes);
        return why ? [{ id: one.id, why }] : [];
      }),
    });
  }
  return found;
}

test('every opening, and whom it does not suit, are as a look at every minute finds them', () => {
  fc.assert(
    fc.property(participants, wishes, (people, asked) => {
      const named = people.map((one, i) => ({ ...one, id: `p${i}` }));
      expect(openings(named, asked).map(({ start, inTheWay }) => ({ start, inTheWay }))).toEqual(
        naive(named, asked),
      );
    }),
    { numRuns: Number(process.env['PROPERTY_RUNS'] ?? 24) },
  );
});

test('the hour that a clock leaves out is offered once, the one that it has twice too', () => {
  const always: Participant = {
    id: 'p',
    isRequired: true,
    zone: 'Europe/London',
    workweek: {
      days: Array.from({ length: 7 }, () => ({ hours: { from: 0, to: 1440 }, workplace: '' })),
      exceptions: {},
    },
    busy: [],
  };
  const on = (date: string) =>
    openings([always], {
      from: instantFromWall(parseLocal(`${date}T00:00:00`), 'Europe/London'),
      to: instantFromWall(parseLocal(`${date}T04:00:00`), 'Europe/London'),
      minutes: 60,
      slot: 60,
      clock: 'Europe/London',
      travel: 0,
      place: '',
    }).map(({ start }) => new Date(start).toISOString().slice(11, 16));
  expect(on('2026-03-29')).toEqual(['00:00', '01:00', '02:00']);
  expect(on('2026-10-25')).toEqual(['23:00', '00:00', '02:00', '03:00']);
});
