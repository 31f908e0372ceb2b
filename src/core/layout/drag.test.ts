import { DAY, HOUR, MINUTE } from '../time/civil';
import { moveSpan, spanBetween, stretchSpan } from './drag';

const span = { start: 9 * HOUR + 10 * MINUTE, end: 10 * HOUR, wholeDay: false };
const leave = { start: 3 * DAY, end: 5 * DAY, wholeDay: true };

test('a moved span lands on the slot and keeps its length, on another day too', () => {
  const moved = moveSpan(span, { day: 0, minute: 560 }, { day: 2, minute: 644 }, 15);
  expect(moved).toEqual({
    start: 2 * DAY + 10.5 * HOUR,
    end: 2 * DAY + 11 * HOUR + 20 * MINUTE,
    wholeDay: false,
  });
});

test('a move straight down leaves the minutes alone', () => {
  const moved = moveSpan(span, { day: 0, minute: 560 }, { day: 1, minute: 563 }, 15);
  expect(moved.start).toBe(DAY + span.start);
});

test('whole days move by days', () => {
  expect(moveSpan(leave, { day: 4, minute: 0 }, { day: 5, minute: 700 }, 15)).toEqual({
    start: 4 * DAY,
    end: 6 * DAY,
    wholeDay: true,
  });
});

test('a stretched end keeps at least one slot, or one day', () => {
  expect(stretchSpan(span, 'end', { day: 0, minute: 692 }, 15).end).toBe(11.5 * HOUR);
  expect(stretchSpan(span, 'end', { day: 0, minute: 0 }, 15).end).toBe(span.start + 15 * MINUTE);
  expect(stretchSpan(span, 'start', { day: 0, minute: 900 }, 15).start).toBe(
    span.end - 15 * MINUTE,
  );
  expect(stretchSpan(leave, 'end', { day: 6, minute: 0 }, 15).end).toBe(7 * DAY);
  expect(stretchSpan(leave, 'start', { day: 9, minute: 0 }, 15).start).toBe(4 * DAY);
});

test('a span is drawn in either direction', () => {
  const forth = spanBetween({ day: 1, minute: 541 }, { day: 1, minute: 650 }, 30);
  expect(forth).toEqual({ start: DAY + 9 * HOUR, end: DAY + 11 * HOUR, wholeDay: false });
  expect(spanBetween({ day: 1, minute: 650 }, { day: 1, minute: 541 }, 30)).toEqual(forth);
  expect(spanBetween({ day: 1, minute: 541 }, { day: 1, minute: 541 }, 30).end).toBe(
    DAY + 9.5 * HOUR,
  );
});
