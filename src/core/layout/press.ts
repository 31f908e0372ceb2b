import type { Span, Spot } from './drag';
import { daysBetween, moveSpan, spanBetween, stretchSpan } from './drag';

/** How long a finger rests before it takes hold, in ms. */
export const HOLD = 300;
/** How far a mouse goes before a press becomes a drag, and a finger before it becomes a scroll, in px. */
const MOUSE_SLACK = 4;
const TOUCH_SLACK = 9;
/** How far a finger swipes to turn to another period, in px. */
const SWIPE = 56;

/**
 * Where time runs on a form: across its rows, down its columns, or only from day to day. Bars that
 * lie across days always run across.
 */
export type Axis = 'across' | 'down' | 'days';

/** What is taken hold of: a bar, one of its ends, or an empty spot on which a new one is drawn. */
export type Grip = 'move' | 'start' | 'end' | 'draw';

export interface DragTarget {
  /** The occurrence's id. */
  id: string;
  span: Span;
  /** Why it can't be dragged, in words; null when it can. */
  refusal: string | null;
}

/** A place on the screen, in px. */
interface Point {
  x: number;
  y: number;
}

/** A pointer that went down on the sheet, and what it has come to. */
export interface Press {
  isTouch: boolean;
  from: Point;
  spot: Spot;
  grip: Grip;
  target: DragTarget | null;
  /** A finger that goes on before it has taken hold is `passing`: it scrolls, or swipes. */
  phase: 'resting' | 'passing' | 'dragging';
  /** Where what is dragged has got to. */
  span: Span | null;
}

export type PressEvent =
  | ({ kind: 'down' } & Pick<Press, 'isTouch' | 'from' | 'spot' | 'grip' | 'target'>)
  /** The time in which a finger takes hold is over. */
  | { kind: 'held' }
  | { kind: 'moved'; at: Point; spot: Spot | null }
  | { kind: 'released'; at: Point }
  | { kind: 'cancelled' };

/** What is to be done because of an event. */
export type PressEffect =
  | { do: 'waitForHold'; ms: number }
  | { do: 'takeHold' }
  | { do: 'drag' | 'drop'; id: string | null; span: Span }
  | { do: 'letGo' }
  | { do: 'menu'; id: string }
  | { do: 'swipe'; direction: -1 | 1 }
  | { do: 'refuse'; reason: string };

/** How the sheet reckons: minutes that a move snaps to, and where time runs. */
interface Sheet {
  slot: number;
  axis: Axis;
}

interface Outcome {
  press: Press | null;
  effects: PressEffect[];
}

const NOTHING: Outcome = { press: null, effects: [] };

/**
 * What becomes of a press on the sheet by what happens to it. The effects of an event that ends
 * anything but a plain press mean that the click which follows is not one.
 */
export function pressed(press: Press | null, event: PressEvent, sheet: Sheet): Outcome {
  if (event.kind === 'down') return down(event);
  if (!press) return NOTHING;
  switch (event.kind) {
    case 'held':
      return press.phase === 'resting' ? takeHold(press, sheet) : { press, effects: [] };
    case 'moved':
      return moved(press, event, sheet);
    case 'released':
      return { press: null, effects: released(press, event.at) };
    case 'cancelled':
      return { press: null, effects: press.phase === 'dragging' ? [{ do: 'letGo' }] : [] };
  }
}

function down({ kind: _, ...at }: PressEvent & { kind: 'down' }): Outcome {
  const ms = at.grip === 'start' || at.grip === 'end' ? 0 : HOLD;
  return {
    press: { ...at, phase: 'resting', span: null },
    effects: at.isTouch ? [{ do: 'waitForHold', ms }] : [],
  };
}

function takeHold(press: Press, sheet: Sheet): Outcome {
  const reason = press.target?.refusal;
  if (reason) return { press: null, effects: [{ do: 'refuse', reason }] };
  const held = follow({ ...press, phase: 'dragging' }, press.spot, sheet);
  return { ...held, effects: [{ do: 'takeHold' }, ...held.effects] };
}

function follow(press: Press, at: Spot, sheet: Sheet): Outcome {
  const span = spanAt(press, at, sheet);
  return {
    press: { ...press, span },
    effects: [{ do: 'drag', id: press.target?.id ?? null, span }],
  };
}

function spanAt({ grip, target, spot }: Press, at: Spot, { slot, axis }: Sheet): Span {
  if (grip === 'draw' || !target) {
    if (axis === 'days') return daysBetween(spot.day, at.day);
    return spanBetween(spot, { ...at, day: spot.day }, slot);
  }
  if (grip === 'move') return moveSpan(target.span, spot, at, slot);
  return stretchSpan(target.span, grip, at, slot);
}

function moved(press: Press, { at, spot }: PressEvent & { kind: 'moved' }, sheet: Sheet): Outcome {
  if (press.phase === 'dragging') return spot ? follow(press, spot, sheet) : { press, effects: [] };
  const far = Math.hypot(at.x - press.from.x, at.y - press.from.y);
  if (press.isTouch)
    return { press: far > TOUCH_SLACK ? { ...press, phase: 'passing' } : press, effects: [] };
  if (far <= MOUSE_SLACK) return { press, effects: [] };
  const held = takeHold(press, sheet);
  if (!held.press || !spot) return held;
  const on = follow(held.press, spot, sheet);
  return { ...on, effects: [...held.effects, ...on.effects] };
}

function released({ phase, isTouch, span, target, from }: Press, at: Point): PressEffect[] {
  if (phase === 'dragging' && span) {
    const isStill = target && span.start === target.span.start && span.end === target.span.end;
    if (isTouch && isStill) return [{ do: 'menu', id: target.id }];
    return [{ do: 'drop', id: target?.id ?? null, span }];
  }
  const dx = at.x - from.x;
  const isSwipe = isTouch && Math.abs(dx) > SWIPE && Math.abs(dx) > 2 * Math.abs(at.y - from.y);
  return isSwipe ? [{ do: 'swipe', direction: dx < 0 ? 1 : -1 }] : [];
}
