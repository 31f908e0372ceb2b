import fc from 'fast-check';
import { at, timed, TODAY, wholeDays } from '../testing/occurrences';
import { layoutGrid } from './grid';

const MONDAY = TODAY - 1;
const WHOLE = [0, 1, 2, 3, 4, 5, 6];
const frame = { fromDay: MONDAY, weeks: 2, lines: 3, openWeek: null, offsets: WHOLE };

test('a long event lies on one line across its days, and is cut where the week ends', () => {
  const [first, second] = layoutGrid(frame, [
    timed('Call', TODAY, at(9), at(10)),
    wholeDays('Refit', MONDAY + 5, 4),
  ]);
  expect(first!.bars.find(({ occurrence }) => occurrence.title === 'Refit')).toMatchObject({
    column: 5,
    columns: 2,
    line: 0,
    cutStart: false,
    cutEnd: true,
  });
  expect(second!.bars[0]).toMatchObject({ column: 0, columns: 2, cutStart: true, cutEnd: false });
});

test('without weekends what lies on them alone has no cell, and what goes over them is cut short', () => {
  const weekdays = { ...frame, offsets: [0, 1, 2, 3, 4] };
  const [first, second] = layoutGrid(weekdays, [
    timed('Saturday market', MONDAY + 5, at(9), at(10)),
    wholeDays('Refit', MONDAY + 4, 5),
  ]);
  expect(first!.bars).toMatchObject([
    { occurrence: { title: 'Refit' }, column: 4, columns: 1, cutEnd: true },
  ]);
  expect(second!.bars).toMatchObject([{ column: 0, columns: 2, cutStart: true }]);
  expect(first!.more).toHaveLength(5);
});

test('a week that begins on Sunday has its working days in the middle', () => {
  const [week] = layoutGrid({ ...frame, fromDay: MONDAY - 1, offsets: [1, 2, 3, 4, 5] }, [
    wholeDays('Refit', MONDAY - 1, 2),
    timed('Call', MONDAY + 1, at(9), at(10)),
  ]);
  expect(week!.bars).toMatchObject([
    { column: 0, columns: 1, cutStart: false },
    { column: 1, columns: 1 },
  ]);
});

const five = Array.from({ length: 5 }, (_, i) => timed(`e${i}`, TODAY, at(9 + i), at(10 + i)));

test('where lines run out, the last one says how many more there are', () => {
  const [week] = layoutGrid(frame, five);
  expect(week!.bars).toHaveLength(2);
  expect(week!.more).toEqual([0, 3, 0, 0, 0, 0, 0]);
  expect(layoutGrid({ ...frame, lines: 5 }, five)[0]!.more[1]).toBe(0);
});

test('an opened week shows everything', () => {
  const [week] = layoutGrid({ ...frame, openWeek: 0 }, five);
  expect(week).toMatchObject({ lines: 5, more: [0, 0, 0, 0, 0, 0, 0] });
  expect(week!.bars).toHaveLength(5);
});

test('each date of a week is shown or counted in each of its cells, and no two share a place', () => {
  const some = fc.array(
    fc.tuple(fc.integer({ min: -3, max: 15 }), fc.integer({ min: 1, max: 6 }), fc.boolean()),
    { maxLength: 40 },
  );
  fc.assert(
    fc.property(some, fc.integer({ min: 1, max: 6 }), (events, lines) => {
      const occurrences = events.map(([day, days, isLong], i) =>
        isLong
          ? wholeDays(`e${i}`, MONDAY + day, days)
          : timed(`e${i}`, MONDAY + day, at(9), at(10)),
      );
      for (const week of layoutGrid({ ...frame, lines }, occurrences)) {
        const taken = new Set<string>();
        for (let column = 0; column < 7; column++) {
          const day = week.day + column;
          const here = occurrences.filter(
            (o) => o.start < (day + 1) * 864e5 && o.end > day * 864e5,
          );
          const shown = week.bars.filter(
            (bar) => bar.column <= column && column < bar.column + bar.columns,
          );
          expect(shown.length + week.more[column]!).toBe(here.length);
          for (const { line } of shown) {
            expect(taken.has(`${column} ${line}`)).toBe(false);
            taken.add(`${column} ${line}`);
            expect(line).toBeLessThan(lines);
            if (week.more[column]! > 0) expect(line).toBeLessThan(Math.max(1, lines - 1));
          }
        }
      }
    }),
  );
});
