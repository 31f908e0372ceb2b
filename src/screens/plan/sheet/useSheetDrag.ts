import type { RefObject } from 'react';
import { useEffect, useRef } from 'react';
import type { Span, Spot } from '@/core/layout/drag';
import { afterRelease } from '@/ui/afterRelease';
import { edgeScroll } from './edgeScroll';
import { daysBetween, moveSpan, spanBetween, stretchSpan } from '@/core/layout/drag';

/** How long a finger rests before it takes hold, in ms. */
const HOLD = 300;
/** How far a mouse goes before a press becomes a drag, and a finger before it becomes a scroll, in px. */
const MOUSE_SLACK = 4;
const TOUCH_SLACK = 9;
/** How far a finger swipes to turn to another week, in px. */
const SWIPE = 56;
/** Near its end a bar is stretched by the mouse, in px; narrower bars are only moved. */
const EDGE_ZONE = 6;
const EDGE_MIN_BAR = 24;

/**
 * Where time runs on a form: across its rows, down its columns, or only from day to day. Bars that
 * lie across days always run across.
 */
export type Axis = 'across' | 'down' | 'days';

export interface DragTarget {
  /** The occurrence's id. */
  id: string;
  span: Span;
  /** Why it can't be dragged, in words; null when it can. */
  refusal: string | null;
}

export interface DragCallbacks {
  slot: number;
  axis: Axis;
  spotAt(clientX: number, clientY: number): Spot | null;
  target(occurrenceId: string): DragTarget | undefined;
  /** Told of each new span while dragging; `id` is null for a new one. */
  onDrag(id: string | null, span: Span): void;
  onDrop(id: string | null, span: Span): void;
  onCancel(): void;
  onRefuse(reason: string): void;
  /** A bar that was held and let go, pressed with the right button, or asked for by the menu key. */
  onMenu(id: string): void;
  /** A press on an empty spot. */
  onPress(spot: Spot): void;
  onSwipe(direction: -1 | 1): void;
}

type Kind = 'move' | 'start' | 'end' | 'draw';

interface Press {
  pointerId: number;
  isTouch: boolean;
  x: number;
  y: number;
  /** Where the pointer is now. */
  lastX: number;
  lastY: number;
  spot: Spot;
  kind: Kind;
  target: DragTarget | undefined;
  isDragging: boolean;
  span: Span | null;
  timer: ReturnType<typeof setTimeout> | undefined;
  /** What was pressed, and what scrolls along with it at the edges. */
  element: Element;
  scrolling: ReturnType<typeof edgeScroll> | null;
}

function kindOf(
  event: PointerEvent,
  bar: HTMLElement | null,
  axis: Axis,
  isWholeDay: boolean,
): Kind {
  const handle = (event.target as HTMLElement).closest<HTMLElement>('[data-handle]')?.dataset[
    'handle'
  ];
  if (handle === 'start' || handle === 'end') return handle;
  if (!bar) return 'draw';
  if (axis === 'days' && !isWholeDay) return 'move';
  const box = bar.getBoundingClientRect();
  const [at, end, length] =
    axis === 'down' && !isWholeDay
      ? [event.clientY, box.bottom, box.height]
      : [event.clientX, box.right, box.width];
  const isAtEnd = at <= end && at > end - EDGE_ZONE;
  return event.pointerType === 'mouse' && isAtEnd && length >= EDGE_MIN_BAR ? 'end' : 'move';
}

function spanAt(press: Press, at: Spot, { slot, axis }: DragCallbacks): Span {
  if (press.kind === 'draw' || !press.target) {
    if (axis === 'days') return daysBetween(press.spot.day, at.day);
    return spanBetween(press.spot, { ...at, day: press.spot.day }, slot);
  }
  if (press.kind === 'move') return moveSpan(press.target.span, press.spot, at, slot);
  return stretchSpan(press.target.span, press.kind, at, slot);
}

/**
 * Dragging on the sheet with mouse and touch, by listeners on the element itself: what React offers
 * is cancelled by the browser's scrolling. A finger takes hold by resting; until then it scrolls.
 */
export function useSheetDrag(sheet: RefObject<HTMLElement | null>, callbacks: DragCallbacks): void {
  const latest = useRef(callbacks);
  useEffect(() => {
    latest.current = callbacks;
  });

  useEffect(() => {
    const element = sheet.current;
    if (!element) return;
    let press: Press | null = null;
    let swallowClick = false;
    // What a held bar opens would get the click that follows a finger's release.
    let swallowTouchEnd = false;

    function begin() {
      if (!press || press.isDragging) return;
      if (press.target?.refusal) {
        const { refusal } = press.target;
        end();
        swallowClick = true;
        latest.current.onRefuse(refusal);
        return;
      }
      press.isDragging = true;
      element!.setPointerCapture(press.pointerId);
      press.scrolling = edgeScroll(
        press.element,
        press.y,
        () => press && followTo(press.lastX, press.lastY),
      );
      follow(press.spot);
    }

    /** What is dragged goes to where the pointer is. */
    function followTo(clientX: number, clientY: number) {
      const at = latest.current.spotAt(clientX, clientY);
      if (at) follow(at);
    }

    function follow(at: Spot) {
      if (!press) return;
      press.span = spanAt(press, at, latest.current);
      latest.current.onDrag(press.target?.id ?? null, press.span);
    }

    function end() {
      clearTimeout(press?.timer);
      press?.scrolling?.stop();
      press = null;
    }

    function cancel() {
      if (!press) return;
      const wasDragging = press.isDragging;
      end();
      if (!wasDragging) return;
      swallowClick = true;
      latest.current.onCancel();
    }

    function onPointerDown(event: PointerEvent) {
      swallowClick = false;
      // A second finger makes it a pinch.
      if (!event.isPrimary) cancel();
      if (event.button !== 0 || !event.isPrimary) return;
      if ((event.target as HTMLElement).closest('[data-nodrag]')) return;
      const spot = latest.current.spotAt(event.clientX, event.clientY);
      if (!spot) return;
      const bar = (event.target as HTMLElement).closest<HTMLElement>('[data-occ]');
      const isTouch = event.pointerType !== 'mouse';
      const target = bar ? latest.current.target(bar.dataset['occ']!) : undefined;
      press = {
        pointerId: event.pointerId,
        isTouch,
        x: event.clientX,
        y: event.clientY,
        spot,
        kind: kindOf(event, bar, latest.current.axis, target?.span.wholeDay ?? false),
        target,
        isDragging: false,
        span: null,
        timer: undefined,
        lastX: event.clientX,
        lastY: event.clientY,
        element: event.target as Element,
        scrolling: null,
      };
      if (isTouch)
        press.timer = setTimeout(begin, press.kind === 'start' || press.kind === 'end' ? 0 : HOLD);
    }

    function onPointerMove(event: PointerEvent) {
      if (!press || event.pointerId !== press.pointerId) return;
      const far = Math.hypot(event.clientX - press.x, event.clientY - press.y);
      if (!press.isDragging) {
        if (press.isTouch && far > TOUCH_SLACK) clearTimeout(press.timer);
        if (press.isTouch || far <= MOUSE_SLACK) return;
        begin();
      }
      press.lastX = event.clientX;
      press.lastY = event.clientY;
      press.scrolling?.at(event.clientY);
      followTo(event.clientX, event.clientY);
    }

    function onPointerUp(event: PointerEvent) {
      if (!press || event.pointerId !== press.pointerId) return;
      const { isDragging, isTouch, span, target, x, y } = press;
      end();
      if (isDragging) {
        swallowClick = true;
        const isHeldStill =
          isTouch && target && span?.start === target.span.start && span.end === target.span.end;
        swallowTouchEnd = Boolean(isHeldStill);
        if (isHeldStill) latest.current.onMenu(target.id);
        else if (span) latest.current.onDrop(target?.id ?? null, span);
        return;
      }
      const dx = event.clientX - x;
      if (isTouch && Math.abs(dx) > SWIPE && Math.abs(dx) > 2 * Math.abs(event.clientY - y)) {
        swallowClick = true;
        latest.current.onSwipe(dx < 0 ? 1 : -1);
      }
    }

    function onClick(event: MouseEvent) {
      if (swallowClick) {
        swallowClick = false;
        event.stopPropagation();
        event.preventDefault();
        return;
      }
      if ((event.target as HTMLElement).closest('[data-occ],[data-nodrag],[role="button"]')) return;
      const spot = latest.current.spotAt(event.clientX, event.clientY);
      if (spot) latest.current.onPress(spot);
    }

    function onTouchMove(event: TouchEvent) {
      if (press?.isDragging) event.preventDefault();
    }

    function onTouchEnd(event: TouchEvent) {
      if (swallowTouchEnd) event.preventDefault();
      swallowTouchEnd = false;
    }

    function onContextMenu(event: MouseEvent) {
      const bar = (event.target as HTMLElement).closest<HTMLElement>('[data-occ]');
      if (press?.isTouch || bar) event.preventDefault();
      if (bar && !press?.isTouch) {
        cancel();
        const id = bar.dataset['occ']!;
        afterRelease(event, () => latest.current.onMenu(id));
      }
    }

    function onKeyDown(event: KeyboardEvent) {
      if (event.key !== 'Escape' || !press?.isDragging) return;
      event.stopPropagation();
      cancel();
    }

    element.addEventListener('pointerdown', onPointerDown);
    element.addEventListener('pointermove', onPointerMove);
    element.addEventListener('pointerup', onPointerUp);
    element.addEventListener('pointercancel', cancel);
    element.addEventListener('click', onClick, { capture: true });
    element.addEventListener('touchmove', onTouchMove, { passive: false });
    element.addEventListener('touchend', onTouchEnd, { passive: false });
    element.addEventListener('contextmenu', onContextMenu);
    window.addEventListener('keydown', onKeyDown, { capture: true });
    return () => {
      end();
      element.removeEventListener('pointerdown', onPointerDown);
      element.removeEventListener('pointermove', onPointerMove);
      element.removeEventListener('pointerup', onPointerUp);
      element.removeEventListener('pointercancel', cancel);
      element.removeEventListener('click', onClick, { capture: true });
      element.removeEventListener('touchmove', onTouchMove);
      element.removeEventListener('touchend', onTouchEnd);
      element.removeEventListener('contextmenu', onContextMenu);
      window.removeEventListener('keydown', onKeyDown, { capture: true });
    };
  }, [sheet]);
}
