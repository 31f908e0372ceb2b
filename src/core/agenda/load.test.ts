import { PLAIN } from '../testing/occurrences';
import fc from 'fast-check';
import { DAY, HOUR, MINUTE } from '../time/civil';
import { bookedMinutes } from './booked';
import { clashesWith, findClashes, MOST_CLASHES } from './clashes';
import type { Occurrence } from './occurrence';
import { byStart } from './occurrence';

function occurrence(
  id: string,
  start: number,
  end: number,
  more: Partial<Occurrence> = {},
): Occurrence {
  const times = {
    start: start * MINUTE,
    end: end * MINUTE,
    startMs: start * MINUTE,
    endMs: end * MINUTE,
  };
  return {
    id,
    eventId: id,
    calendarId: 'c',
    dateKey: null,
    changed: false,
    title: id,
    place: '',
    wholeDay: false,
    availability: 'busy',
    visibility: 'public',
    ...PLAIN,
    categoryIds: [],
    zone: null,
    ...times,
    ...more,
  };
}

const anyOccurrences = fc
  .array(
    fc.record({
      start: fc.integer({ min: 0, max: 4000 }),
      length: fc.integer({ min: 0, max: 600 }),
      travelBefore: fc.constantFrom(0, 0, 25),
      travelAfter: fc.constantFrom(0, 0, 40),
    }),
    { maxLength: 12 },
  )
  .map((specs) =>
    specs.map(({ start, length, ...travel }, i) =>
      occurrence(`e${i}`, start, start + length, travel),
    ),
  );

/** Whether an occurrence, with the way there and back, has a minute (ms). */
const hasMinute = (o: Occurrence, at: number) =>
  o.start - o.travelBefore * MINUTE <= at && o.end + o.travelAfter * MINUTE > at;

test('booked time is the number of minutes in which something is on', () => {
  fc.assert(
    fc.property(anyOccurrences, (occurrences) => {
      const days = bookedMinutes(occurrences, 0, 4, 'UTC');
      const counted = [0, 1, 2, 3].map((day) => {
        let minutes = 0;
        for (let minute = day * 1440; minute < (day + 1) * 1440; minute++) {
          const at = minute * MINUTE;
          if (occurrences.some((o) => hasMinute(o, at))) minutes++;
        }
        return minutes;
      });
      expect(days).toEqual(counted);
    }),
    { numRuns: 50 },
  );
});

/** Whether two take the person at once, the way there and back with them. */
function overlaps(a: Occurrence, b: Occurrence): boolean {
  const from = (o: Occurrence) => o.start - o.travelBefore * MINUTE;
  const to = (o: Occurrence) => o.end + o.travelAfter * MINUTE;
  return from(a) < to(b) && from(b) < to(a);
}

test('clashes are all the pairs that overlap, each once', () => {
  fc.assert(
    fc.property(anyOccurrences, (occurrences) => {
      const expected = occurrences.flatMap((a, i) =>
        occurrences
          .slice(i + 1)
          .filter((b) => a.end > a.start && b.end > b.start && overlaps(a, b))
          .map((b) => [a.id, b.id].sort().join(' ')),
      );
      const found = findClashes(occurrences).map(({ first, second }) =>
        [first.id, second.id].sort().join(' '),
      );
      expect(found.sort()).toEqual(expected.sort());
    }),
  );
});

test('of a crowd only so many pairs are looked for', () => {
  const crowd = Array.from({ length: 60 }, (_, i) => occurrence(`e${i}`, 540, 600));
  const clashes = findClashes(crowd);
  expect(clashes).toHaveLength(MOST_CLASHES);
  expect(clashes[0]).toMatchObject({ first: { id: 'e0' }, second: { id: 'e1' } });
});

test('a clash says when both are on', () => {
  const [clash] = findClashes([occurrence('a', 540, 660), occurrence('b', 600, 720)]);
  expect(clash).toMatchObject({ start: 10 * HOUR, end: 11 * HOUR });
});

test.each([
  ['free time', { availability: 'free' as const }],
  ['a whole day', { wholeDay: true }],
])('%s clashes with nothing', (_what, more) => {
  expect(findClashes([occurrence('a', 540, 660), occurrence('b', 600, 720, more)])).toEqual([]);
});

test('events that only touch do not clash', () => {
  expect(findClashes([occurrence('a', 540, 600), occurrence('b', 600, 660)])).toEqual([]);
});

test('an event does not clash with itself while it is edited', () => {
  const around = [occurrence('a', 540, 660), occurrence('b', 600, 720)];
  const span = { startMs: 9 * HOUR, endMs: 11 * HOUR };
  expect(clashesWith(around, span, 'a').map(({ id }) => id)).toEqual(['b']);
});

test('the order is by start, whole days and longer ones first', () => {
  const whole = occurrence('whole', 0, 1440, { wholeDay: true });
  const list = [
    occurrence('later', 30, 60),
    occurrence('short', 0, 30),
    occurrence('long', 0, 90),
    whole,
  ];
  expect(list.sort(byStart).map(({ id }) => id)).toEqual(['whole', 'long', 'short', 'later']);
});

test('a day outside the asked ones counts nothing', () => {
  expect(bookedMinutes([occurrence('a', 540, 600)], 3, 5, 'UTC')).toEqual([0, 0]);
  expect(bookedMinutes([occurrence('night', 1380, 1500)], 0, 2, 'UTC')).toEqual([60, 60]);
  expect(bookedMinutes([], 5, 5, 'UTC')).toEqual([]);
  expect(DAY).toBe(1440 * MINUTE);
});
