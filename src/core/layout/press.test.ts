import { DAY, MINUTE } from '../time/civil';
import type { DayNumber } from '../time/units';
import type { DragTarget, Press, PressEffect, PressEvent } from './press';
import { HOLD, pressed } from './press';

const SHEET = { slot: 15, axis: 'across' } as const;
const from = { x: 100, y: 100 };
const spot = { day: 4, minute: 540 };
const wall = (minute: number) => 4 * DAY + minute * MINUTE;
const bar: DragTarget = {
  id: 'call',
  span: { start: wall(540), end: wall(600), wholeDay: false },
  refusal: null,
};
const to = (minute: number) => ({ start: wall(minute), end: wall(minute + 60), wholeDay: false });

const mouse = (more: Partial<Press> = {}): PressEvent => ({
  kind: 'down',
  isTouch: false,
  from,
  spot,
  grip: 'move',
  target: bar,
  ...more,
});
const finger = (more: Partial<Press> = {}) => mouse({ isTouch: true, ...more });
const moved = (dx: number, minute: number | null, dy = 0): PressEvent => ({
  kind: 'moved',
  at: { x: 100 + dx, y: 100 + dy },
  spot: minute === null ? null : { day: 4, minute },
});
const released = (dx: number, dy = 0): PressEvent => ({
  kind: 'released',
  at: { x: 100 + dx, y: 100 + dy },
});

/** What a row of events has done, and whether a press is still under way. */
function play(events: PressEvent[], sheet: Parameters<typeof pressed>[2] = SHEET) {
  let press: Press | null = null;
  const effects: PressEffect[] = [];
  for (const event of events) {
    const step = pressed(press, event, sheet);
    press = step.press;
    effects.push(...step.effects);
  }
  return { effects, isOver: press === null };
}

test('a mouse that only wavers is a press; further on it drags, and drops where it got to', () => {
  expect(play([mouse(), moved(3, 570), released(3)])).toEqual({ effects: [], isOver: true });
  expect(play([mouse(), moved(30, 570), moved(60, null), moved(90, 630), released(90)])).toEqual({
    effects: [
      { do: 'takeHold' },
      { do: 'drag', id: 'call', span: to(540) },
      { do: 'drag', id: 'call', span: to(570) },
      { do: 'drag', id: 'call', span: to(630) },
      { do: 'drop', id: 'call', span: to(630) },
    ],
    isOver: true,
  });
});

test('a finger takes hold by resting, and until then scrolls; an end that is shown is taken at once', () => {
  expect(play([finger()]).effects).toEqual([{ do: 'waitForHold', ms: HOLD }]);
  expect(play([finger({ grip: 'end' })]).effects).toEqual([{ do: 'waitForHold', ms: 0 }]);
  // It went on before the time was over: what is held then is the page.
  const passed = play([finger(), moved(0, 570, 20), { kind: 'held' }, moved(0, 600, 40)]);
  expect(passed.effects).toEqual([{ do: 'waitForHold', ms: HOLD }]);
  const held = play([finger(), moved(5, 545), { kind: 'held' }, moved(80, 630), released(80)]);
  expect(held.effects.slice(1)).toEqual([
    { do: 'takeHold' },
    { do: 'drag', id: 'call', span: to(540) },
    { do: 'drag', id: 'call', span: to(630) },
    { do: 'drop', id: 'call', span: to(630) },
  ]);
});

test('a bar that was held and let go where it was opens its menu; a mouse only puts it down', () => {
  const still = [{ kind: 'held' }, released(0)] as PressEvent[];
  expect(play([finger(), ...still]).effects.at(-1)).toEqual({ do: 'menu', id: 'call' });
  const back = play([mouse(), moved(30, 600), moved(0, 540), released(0)]);
  expect(back.effects.at(-1)).toEqual({ do: 'drop', id: 'call', span: bar.span });
});

test.each([
  [-80, 10, 1],
  [80, -10, -1],
])('a finger that goes %d px across swipes', (dx, dy, direction) => {
  const swiped = play([
    finger({ target: null, grip: 'draw' }),
    moved(dx, 600, dy),
    released(dx, dy),
  ]);
  expect(swiped.effects.slice(1)).toEqual([{ do: 'swipe', direction }]);
  // As far up or down as across, it was a scroll; and a mouse draws.
  expect(play([finger(), moved(dx, 600, dx), released(dx, dx)]).effects).toHaveLength(1);
  const drawn = play([mouse({ target: null, grip: 'draw' }), moved(dx, 600), released(dx)]);
  expect(drawn.effects.at(-1)).toMatchObject({ do: 'drop', id: null });
});

test('what can’t be changed says why once, and follows nothing after that', () => {
  const target = { ...bar, refusal: 'It is followed.' };
  expect(play([mouse({ target }), moved(30, 570), moved(60, 600), released(60)])).toEqual({
    effects: [{ do: 'refuse', reason: 'It is followed.' }],
    isOver: true,
  });
  // Pressed alone, it is opened like any other.
  expect(play([mouse({ target }), released(0)]).effects).toEqual([]);
});

test('a drag that is cancelled lets go; a press that is cancelled was none', () => {
  const begun = [mouse(), moved(30, 600)];
  expect(play([...begun, { kind: 'cancelled' }]).effects.at(-1)).toEqual({ do: 'letGo' });
  expect(play([mouse(), { kind: 'cancelled' }]).effects).toEqual([]);
  expect(play([{ kind: 'held' }, moved(30, 600), released(30)])).toEqual({
    effects: [],
    isOver: true,
  });
});

test('an empty spot draws a time on its own day, or days where there are only days', () => {
  const draw = mouse({ target: null, grip: 'draw' });
  const on = (day: DayNumber): PressEvent => ({
    kind: 'moved',
    at: { x: 300, y: 100 },
    spot: { day, minute: 605 },
  });
  expect(play([draw, on(6)]).effects.at(-1)).toEqual({
    do: 'drag',
    id: null,
    span: { start: wall(540), end: wall(600), wholeDay: false },
  });
  expect(play([draw, on(6)], { slot: 15, axis: 'days' }).effects.at(-1)).toEqual({
    do: 'drag',
    id: null,
    span: { start: 4 * DAY, end: 7 * DAY, wholeDay: true },
  });
});

test('an end is stretched to the nearest step, and keeps at least one', () => {
  const end = mouse({ grip: 'end' });
  const spanOf = (minute: number) => play([end, moved(30, minute)]).effects.at(-1);
  expect(spanOf(637)).toMatchObject({ span: { start: wall(540), end: wall(630) } });
  expect(spanOf(300)).toMatchObject({ span: { start: wall(540), end: wall(555) } });
});
