import type { Occurrence } from '../agenda/occurrence';
import { DAY, MINUTE } from '../time/civil';
import type { DayNumber } from '../time/units';
import { DRAWN_A_DAY, drawable } from './drawable';

const begins = (day: DayNumber, minute: number) =>
  ({ id: `${day}/${minute}`, start: day * DAY + minute * MINUTE }) as Occurrence;
const crowd = (day: DayNumber, many: number) =>
  Array.from({ length: many }, (_, minute) => begins(day, minute));

test('a crowded day leaves the other days whole', () => {
  const quiet = crowd(101, 5);
  const { drawn, tooMany } = drawable([...crowd(100, DRAWN_A_DAY + 40), ...quiet], 100);
  expect(tooMany).toBe(40);
  expect(drawn.slice(DRAWN_A_DAY)).toEqual(quiet);
  expect(drawn.slice(0, DRAWN_A_DAY)).toEqual(crowd(100, DRAWN_A_DAY));
});

test('what began before the sheet counts to its first day', () => {
  const before = [...crowd(90, 200), ...crowd(91, 200)];
  expect(drawable(before, 100).tooMany).toBe(400 - DRAWN_A_DAY);
});

test('what can all be drawn stays the same list', () => {
  const all = [...crowd(100, DRAWN_A_DAY), ...crowd(101, DRAWN_A_DAY)];
  expect(drawable(all, 100).drawn).toBe(all);
});
