import fc from 'fast-check';
import type { Occurrence } from '../agenda/occurrence';
import { DAY, MINUTE } from '../time/civil';
import type { DayNumber } from '../time/units';
import { timed } from '../testing/occurrences';
import { packLanes } from './lanes';
import { tracksOf } from './tracks';
import type { RowsFrame } from './rows';
import { layoutRows, minuteOfX, rowAt, xOfMinute } from './rows';

/** An occurrence between minutes of day 0 on. */
const occurrence = (title: string, from: number, to: number, more: Partial<Occurrence> = {}) =>
  timed(title, 0, from, to, more);

const frame: RowsFrame = {
  tracks: tracksOf([0, 1, 2, 3, 4, 5, 6], null),
  fromMinute: 420,
  toMinute: 1140,
  width: 360,
  height: 600,
  minRowHeight: 56,
  laneHeight: 23,
  tallLaneHeight: null,
  topHeight: 20,
  padding: 4,
  countWidth: 66,
  labelWidth: ({ title }) => title.length * 7,
};

const at = (day: DayNumber, hour: number, minute = 0) => day * 1440 + hour * 60 + minute;

test('a bar has its true place and length, and its label shares no lane with a neighbour', () => {
  const { rows } = layoutRows(frame, [
    occurrence('Bench round of lamps', at(0, 9), at(0, 9, 30)),
    occurrence('Call', at(0, 10), at(0, 11)),
    occurrence('Late', at(0, 15), at(0, 16)),
  ]);
  expect(rows[0]!.bars.map(({ x, width, lane }) => [x, width, lane])).toEqual([
    [60, 15, 0],
    [90, 30, 1],
    [240, 30, 0],
  ]);
});

test('the way there and back is as long as it takes, within the hours, and no neighbour lies on it', () => {
  const { rows } = layoutRows(frame, [
    occurrence('A', at(0, 7, 10), at(0, 8), { travelBefore: 30 }),
    occurrence('B', at(0, 10), at(0, 11), { travelBefore: 40, travelAfter: 20 }),
    occurrence('C', at(0, 9), at(0, 9, 30)),
  ]);
  const by = Object.fromEntries(rows[0]!.bars.map((bar) => [bar.occurrence.title, bar]));
  expect(by['A']).toMatchObject({ wayBefore: 5, wayAfter: 0 });
  expect(by['B']).toMatchObject({ x: 90, wayBefore: 20, wayAfter: 10 });
  expect(by['C']!.lane).not.toBe(by['B']!.lane);
});

test('near the right edge the label goes to the left of its bar', () => {
  const { rows } = layoutRows(frame, [occurrence('A rather long title', at(1, 18), at(1, 19))]);
  expect(rows[1]!.bars[0]).toMatchObject({ x: 330, labelSide: 'left' });
});

test('whole days and long events lie on top of each of their days and wash it while busy', () => {
  const { rows } = layoutRows(frame, [
    occurrence('Leave', at(3, 0), at(5, 0), { wholeDay: true, availability: 'away' }),
    occurrence('Fair', at(4, 0), at(5, 0), { wholeDay: true, availability: 'free' }),
    occurrence('Voyage', at(5, 13), at(6, 15)),
  ]);
  const tops = rows.map((row) => row.tops.map((t) => `${t.occurrence.title} ${t.nth}/${t.of}`));
  expect(tops).toEqual([
    [],
    [],
    [],
    ['Leave 1/2'],
    ['Leave 2/2', 'Fair 1/1'],
    ['Voyage 1/2'],
    ['Voyage 2/2'],
  ]);
  expect(rows.map((row) => row.washes.length)).toEqual([0, 0, 0, 1, 1, 1, 1]);
  expect(rows[5]!.washes[0]).toEqual({ x: 180, width: 180 });
});

test('a long event that begins after the shown hours is on the sheet on its first day too', () => {
  const { rows } = layoutRows(frame, [occurrence('Night watch', at(3, 22), at(4, 23))]);
  const [first] = rows[3]!.tops;
  expect(first).toMatchObject({ nth: 1, of: 2 });
  expect(first!.x).toBeGreaterThanOrEqual(0);
  expect(first!.x + first!.width).toBeLessThanOrEqual(frame.width);
  expect(first!.width).toBeGreaterThanOrEqual(20);
});

test('events outside the shown hours are counted, those across an edge are cut', () => {
  const { rows } = layoutRows(frame, [
    occurrence('Early', at(0, 5), at(0, 6)),
    occurrence('Night', at(0, 22), at(1, 8)),
  ]);
  expect([rows[0]!.before.count, rows[0]!.after.count]).toEqual([1, 1]);
  expect(rows[1]!.bars[0]).toMatchObject({ x: 0, width: 30, cutStart: true, cutEnd: false });
});

test('the count of hidden events keeps clear of bars and labels', () => {
  const { rows } = layoutRows(frame, [
    occurrence('Close-out', at(0, 17), at(0, 18)),
    occurrence('Night', at(0, 22), at(0, 23)),
  ]);
  expect(rows[0]!.bars[0]!.lane).toBe(0);
  expect(rows[0]!.after).toEqual({ count: 1, lane: 1 });
  expect(rows[0]!.lanes).toBe(2);
});

test('rows share the height; a full row takes what it needs', () => {
  const many = Array.from({ length: 6 }, (_, i) => occurrence(`Event ${i}`, at(2, 9), at(2, 17)));
  const { rows, height } = layoutRows(frame, many);
  expect(height).toBe(600);
  expect(rows[2]!.height).toBeGreaterThanOrEqual(6 * 23 + 8);
  expect(layoutRows({ ...frame, height: 200 }, many).height).toBe(6 * 56 + 6 * 23 + 8);
});

test('labels are held shorter before rows outgrow the height, and get two lines when there is room', () => {
  const long = Array.from({ length: 3 }, (_, i) =>
    occurrence('A title that asks for much room', at(0, 8 + i * 4), at(0, 8 + i * 4, 30)),
  );
  const roomy = layoutRows({ ...frame, tallLaneHeight: 38 }, long);
  expect(roomy.rows[0]!.tall).toBe(true);
  const tight = layoutRows({ ...frame, height: 7 * 56 }, long);
  expect(tight.rows[0]!.tall).toBe(false);
  expect(tight.rows[0]!.lanes).toBeLessThan(layoutRows(frame, long).rows[0]!.lanes);
});

test('a row that has no room for two lines leaves those of the others alone', () => {
  const many = Array.from({ length: 9 }, (_, i) => occurrence(`Event ${i}`, at(2, 9), at(2, 17)));
  const one = occurrence('Call', at(1, 9), at(1, 10));
  const { rows } = layoutRows({ ...frame, height: 600, tallLaneHeight: 37 }, [one, ...many]);
  expect([rows[1]!.tall, rows[2]!.tall]).toEqual([true, false]);
});

test('no two items of a lane overlap, bar or label, wherever they lie', () => {
  const anyItem = fc.record({
    from: fc.integer({ min: 0, max: 350 }),
    length: fc.integer({ min: 5, max: 200 }),
    labelWidth: fc.integer({ min: 0, max: 300 }),
  });
  fc.assert(
    fc.property(fc.array(anyItem, { maxLength: 12 }), (specs) => {
      const items = specs
        .map(({ from, length, labelWidth }) => ({
          from,
          to: Math.min(360, from + length),
          labelWidth,
          labelOffset: 20,
        }))
        .sort((a, b) => a.from - b.from);
      const { places } = packLanes(items, 360);
      const spans = places.map((place, i) => {
        const item = items[i]!;
        const label = Math.max(0, Math.min(item.labelWidth, place.labelRoom));
        return place.side === 'left'
          ? { lane: place.lane, from: item.from - label, to: item.to }
          : { lane: place.lane, from: item.from, to: Math.max(item.to, item.from + 20 + label) };
      });
      spans.forEach((a, i) =>
        spans.slice(i + 1).forEach((b) => {
          if (a.lane === b.lane) expect(a.to <= b.from || b.to <= a.from).toBe(true);
        }),
      );
    }),
  );
});

test('a place on the sheet is a time and back', () => {
  expect(minuteOfX(frame, xOfMinute(frame, 555))).toBe(555);
  const { rows } = layoutRows(frame, []);
  expect(rowAt(rows, -5)!.day).toBe(0);
  expect(rowAt(rows, rows[3]!.y)!.day).toBe(3);
  expect(rowAt(rows, 99_999)!.day).toBe(6);
  expect(DAY).toBe(1440 * MINUTE);
});

test('a bar that is all ink has its label after it, where it can’t hold it', () => {
  const offsetOf = (title: string, to: number, more: Partial<Occurrence> = {}) =>
    layoutRows(frame, [occurrence(title, at(0, 9), to, more)]).rows[0]!.bars[0]!.labelOffset;
  const away = { availability: 'away' } as const;
  expect(offsetOf('Leave', at(0, 12), away)).toBe(21);
  expect(offsetOf('Leave', at(0, 10), away)).toBe(36);
  expect(offsetOf('Leave', at(0, 9, 10), away)).toBe(21);
  expect(offsetOf('Leave', at(0, 10))).toBe(21);
});

test('neighbours in a lane keep clear of each other', () => {
  const bare = (from: number, to: number) => ({ from, to, labelOffset: 0, labelWidth: 0 });
  const lanesOf = (from: number) =>
    packLanes([bare(0, 10), bare(from, from + 10)], 100).places.map(({ lane }) => lane);
  expect(lanesOf(14)).toEqual([0, 1]);
  expect(lanesOf(15)).toEqual([0, 0]);
  const [first] = packLanes([bare(0, 10), bare(60, 70)], 100).places;
  expect(first!.labelRoom).toBe(55);
});
