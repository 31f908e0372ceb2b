import fc from 'fast-check';
import { newTask } from '../model/task';
import { DAY, formatDate, HOUR, MINUTE, parseDate } from '../time/civil';
import type { PlacedTask, PlacingWishes } from './placing';
import { placeTasks } from './placing';

const RUNS = Number(process.env['PROPERTY_RUNS'] ?? 300);
const LONDON = 'Europe/London';
const FROM = parseDate('2026-11-24');
const DAYS = 4;

const someTask = fc.record({
  minutes: fc.integer({ min: 1, max: 20 }).map((n) => n * 15),
  due: fc.option(fc.nat({ max: DAYS })),
  start: fc.option(fc.nat({ max: DAYS })),
  importance: fc.constantFrom(0, 1, 9),
});

/** Clear stretches of each day, in quarter hours from 8:00, apart from each other. */
const someDay = fc
  .array(fc.nat({ max: 32 }), { maxLength: 6 })
  .map((marks) => [...new Set(marks)].sort((a, b) => a - b));

const dateOf = (offset: number | null) =>
  offset === null ? null : { kind: 'date' as const, date: formatDate(FROM + offset) };

function setUp(
  drafts: (typeof someTask extends fc.Arbitrary<infer T> ? T : never)[],
  days: number[][],
) {
  const tasks = drafts.map(({ minutes, due, start, importance }, i): PlacedTask => ({
    task: newTask({ id: `t${i}`, due: dateOf(due), start: dateOf(start), importance }, 0),
    minutes,
  }));
  const clearOn = (day: number) => {
    const marks = days[day - FROM] ?? [];
    return marks.flatMap((from, i) => {
      const to = marks[i + 1];
      if (i % 2 === 1 || to === undefined) return [];
      const at = (quarter: number) => day * DAY + 8 * HOUR + quarter * 15 * MINUTE;
      return [{ start: at(from), end: at(to) }];
    });
  };
  return { tasks, clearOn };
}

const wishesOf = (clearOn: PlacingWishes['clearOn'], mostADay: number): PlacingWishes => ({
  fromDay: FROM,
  toDay: FROM + DAYS,
  slot: 15,
  mostADay,
  clock: LONDON,
  clearOn,
});

const someDays = fc.array(someDay, { minLength: DAYS + 1, maxLength: DAYS + 1 });

test('blocks lie in clear time, never overlap, keep to the day’s measure, and say when they are late', () => {
  fc.assert(
    fc.property(
      fc.array(someTask, { minLength: 1, maxLength: 6 }),
      someDays,
      fc.constantFrom(60, 120, 600),
      (drafts, days, mostADay) => {
        const { tasks, clearOn } = setUp(drafts, days);
        const { blocks, unplaced } = placeTasks(tasks, wishesOf(clearOn, mostADay));
        const given = new Map<number, number>();
        blocks.forEach((block, i) => {
          const day = Math.floor(block.start / DAY);
          const clear = clearOn(day);
          expect(clear.some(({ start, end }) => start <= block.start && block.end <= end)).toBe(
            true,
          );
          expect(block.start % (15 * MINUTE)).toBe(0);
          if (i > 0) expect(blocks[i - 1]!.end).toBeLessThanOrEqual(block.start);
          given.set(day, (given.get(day) ?? 0) + (block.end - block.start) / MINUTE);
          const { due, start } = drafts[Number(block.taskId.slice(1))]!;
          expect(block.isLate).toBe(due !== null && block.end > (FROM + due + 1) * DAY);
          expect(block.start).toBeGreaterThanOrEqual((FROM + (start ?? 0)) * DAY);
        });
        for (const minutes of given.values()) expect(minutes).toBeLessThanOrEqual(mostADay);
        for (const { task, minutes } of tasks) {
          const placed = blocks
            .filter(({ taskId }) => taskId === task.id)
            .reduce((sum, { start, end }) => sum + (end - start) / MINUTE, 0);
          const left = unplaced.find(({ taskId }) => taskId === task.id)?.minutes ?? 0;
          expect(placed + left).toBe(minutes);
        }
      },
    ),
    { numRuns: RUNS },
  );
});

test('a task that fits whole somewhere in time is placed in time, at the first such place', () => {
  fc.assert(
    fc.property(someTask, someDays, (draft, days) => {
      const { tasks, clearOn } = setUp([draft], days);
      const { blocks } = placeTasks(tasks, wishesOf(clearOn, 600));
      // Quarter by quarter: where do so many clear ones follow each other?
      const quarters = draft.minutes / 15;
      const isClear = (at: number) =>
        clearOn(Math.floor(at / DAY)).some(({ start, end }) => start <= at && at < end);
      const last = (FROM + Math.min(draft.due ?? DAYS, DAYS) + 1) * DAY;
      let first: number | null = null;
      for (
        let at = (FROM + (draft.start ?? 0)) * DAY;
        at + draft.minutes * MINUTE <= last && first === null;
        at += 15 * MINUTE
      ) {
        const all = Array.from({ length: quarters }, (_, i) => at + i * 15 * MINUTE);
        const isOneStretch = clearOn(Math.floor(at / DAY)).some(
          ({ start, end }) => start <= at && at + draft.minutes * MINUTE <= end,
        );
        if (all.every(isClear) && isOneStretch) first = at;
      }
      if (first === null) return;
      expect(blocks).toEqual([
        { taskId: 't0', start: first, end: first + draft.minutes * MINUTE, isLate: false },
      ]);
    }),
    { numRuns: RUNS },
  );
});
