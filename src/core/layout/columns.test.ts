import fc from 'fast-check';
import { at, timed, TODAY, wholeDays } from '../testing/occurrences';
import type { ColumnsFrame } from './columns';
import { layoutColumns, minuteOfY, yOfMinute } from './columns';
import { tracksOf } from './tracks';

const frame: ColumnsFrame = {
  tracks: tracksOf([TODAY, TODAY + 1], null),
  fromMinute: at(7),
  toMinute: at(19),
  height: 720,
  minBlock: 18,
};

test('a block stands where its time is, as tall as it lasts', () => {
  const [today] = layoutColumns(frame, [timed('Call', TODAY, at(9), at(10, 30))]);
  expect(today!.blocks[0]).toMatchObject({ y: 120, height: 90, left: 0, width: 1 });
});

test('the way there and back stands above and below, within the hours, and shares the width', () => {
  const [today] = layoutColumns(frame, [
    timed('Early', TODAY, at(7, 10), at(8), { travelBefore: 30 }),
    timed('Visit', TODAY, at(10), at(11), { travelBefore: 30, travelAfter: 15 }),
    timed('Call', TODAY, at(9), at(9, 40)),
    timed('Round', TODAY, at(11, 15), at(12)),
  ]);
  const by = Object.fromEntries(today!.blocks.map((b) => [b.occurrence.title, b]));
  expect(by['Early']).toMatchObject({ wayBefore: 10, wayAfter: 0 });
  expect(by['Visit']).toMatchObject({ y: 180, height: 60, wayBefore: 30, wayAfter: 15 });
  expect(by['Visit']!.width).toBe(1 / 2);
  expect(by['Call']!.width).toBe(1 / 2);
  expect(by['Round']!.width).toBe(1);
});

test('what overlaps shares the width; what stands clear of a neighbour takes what is free', () => {
  const [today] = layoutColumns(frame, [
    timed('Long', TODAY, at(9), at(12)),
    timed('One', TODAY, at(9), at(10)),
    timed('Two', TODAY, at(9, 30), at(10, 30)),
    timed('Late', TODAY, at(11), at(12)),
    timed('Alone', TODAY, at(14), at(15)),
  ]);
  const by = Object.fromEntries(today!.blocks.map((b) => [b.occurrence.title, b]));
  expect(by['Long']).toMatchObject({ left: 0, width: 1 / 3 });
  expect(by['One']).toMatchObject({ left: 1 / 3, width: 1 / 3 });
  expect(by['Two']).toMatchObject({ left: 2 / 3, width: 1 / 3 });
  expect(by['Late']).toMatchObject({ left: 1 / 3, width: 2 / 3 });
  expect(by['Alone']).toMatchObject({ left: 0, width: 1 });
});

test('whole days stand on top and wash the day; what lies beyond the hours is counted', () => {
  const [today, tomorrow] = layoutColumns(frame, [
    wholeDays('Away', TODAY, 2, { availability: 'away' }),
    wholeDays('Rent due', TODAY, 1, { availability: 'free' }),
    timed('Early', TODAY, at(5), at(6)),
    timed('Late', TODAY, at(20), at(21)),
    timed('Night', TODAY, at(18), at(32)),
  ]);
  expect(today!.tops.map(({ nth, of }) => [nth, of])).toEqual([
    [1, 2],
    [1, 1],
  ]);
  expect(today!.washes.map(({ title }) => title)).toEqual(['Away']);
  expect([today!.before, today!.after]).toEqual([1, 1]);
  expect(today!.blocks[0]).toMatchObject({ cutStart: false, cutEnd: true });
  expect(tomorrow!.tops[0]).toMatchObject({ nth: 2, of: 2 });
  expect(tomorrow!.before).toBe(0);
  expect(tomorrow!.blocks[0]).toMatchObject({ y: 0, height: 60, cutStart: true });
});

test('a column of a calendar holds that calendar alone', () => {
  const tracks = tracksOf([TODAY], ['workshop', 'clients']);
  const columns = layoutColumns({ ...frame, tracks }, [
    timed('Bench', TODAY, at(9), at(10)),
    timed('Call', TODAY, at(9), at(10), { calendarId: 'clients' }),
  ]);
  expect(columns.map(({ blocks }) => blocks.map(({ occurrence }) => occurrence.title))).toEqual([
    ['Bench'],
    ['Call'],
  ]);
  expect(columns[1]!.blocks[0]!.width).toBe(1);
});

test('no two blocks of a day lie over each other, and none leaves its column', () => {
  const some = fc.array(
    fc.tuple(fc.integer({ min: at(6), max: at(19) }), fc.integer({ min: 5, max: 240 })),
    { maxLength: 25 },
  );
  fc.assert(
    fc.property(some, (spans) => {
      const occurrences = spans.map(([from, length], i) =>
        timed(`e${i}`, TODAY, from, Math.min(1440, from + length)),
      );
      const { blocks } = layoutColumns(frame, occurrences)[0]!;
      for (const [i, a] of blocks.entries()) {
        expect(a.left).toBeGreaterThanOrEqual(0);
        expect(a.left + a.width).toBeLessThanOrEqual(1 + 1e-9);
        expect(a.y + a.height).toBeLessThanOrEqual(frame.height + 1e-9);
        for (const b of blocks.slice(i + 1)) {
          const meet = a.y < b.y + b.height - 1e-9 && b.y < a.y + a.height - 1e-9;
          const side = a.left + a.width <= b.left + 1e-9 || b.left + b.width <= a.left + 1e-9;
          expect(!meet || side).toBe(true);
        }
      }
    }),
  );
});

test('places and minutes go both ways', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1440 }), (minute) => {
      expect(minuteOfY(frame, yOfMinute(frame, minute))).toBeCloseTo(minute, 6);
    }),
  );
});
