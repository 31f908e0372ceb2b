import type { RefObject } from 'react';
import { useEffect, useRef } from 'react';
import type { Span, Spot } from '@/core/layout/drag';
import type { Axis, DragTarget, Grip, Press, PressEffect, PressEvent } from '@/core/layout/press';
import { pressed } from '@/core/layout/press';
import { afterRelease } from '@/ui/afterRelease';
import { edgeScroll } from './edgeScroll';

/** Near its end a bar is stretched by the mouse, in px; narrower bars are only moved. */
const EDGE_ZONE = 6;
const EDGE_MIN_BAR = 24;

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

function gripOf(
  event: PointerEvent,
  bar: HTMLElement | null,
  axis: Axis,
  isWholeDay: boolean,
): Grip {
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

const barOf = (event: Event) => (event.target as HTMLElement).closest<HTMLElement>('[data-occ]');

/** What a pointer that is down goes by, besides the press itself. */
interface Pointer {
  id: number;
  /** Where it is now. */
  x: number;
  y: number;
  /** What was pressed, and what scrolls along with it at the edges. */
  element: Element;
  timer?: ReturnType<typeof setTimeout>;
  scrolling?: ReturnType<typeof edgeScroll>;
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
    let pointer: Pointer | null = null;
    let swallowClick = false;
    // What a held bar opens would get the click that follows a finger's release.
    let swallowTouchEnd = false;

    function run(event: PressEvent) {
      const step = pressed(press, event, latest.current);
      press = step.press;
      if (!press) stop();
      for (const effect of step.effects) carryOut(effect);
    }

    function stop() {
      clearTimeout(pointer?.timer);
      pointer?.scrolling?.stop();
      pointer = null;
    }

    function carryOut(effect: PressEffect) {
      switch (effect.do) {
        case 'waitForHold':
          pointer!.timer = setTimeout(() => run({ kind: 'held' }), effect.ms);
          return;
        case 'takeHold':
          element!.setPointerCapture(pointer!.id);
          pointer!.scrolling = edgeScroll(pointer!.element, pointer!.y, move);
          return;
        case 'drag':
          return latest.current.onDrag(effect.id, effect.span);
        default:
          swallowClick = true;
          return finish(effect);
      }
    }

    function finish(effect: Exclude<PressEffect, { do: 'waitForHold' | 'takeHold' | 'drag' }>) {
      const { current } = latest;
      switch (effect.do) {
        case 'drop':
          return current.onDrop(effect.id, effect.span);
        case 'menu':
          swallowTouchEnd = true;
          return current.onMenu(effect.id);
        case 'swipe':
          return current.onSwipe(effect.direction);
        case 'refuse':
          return current.onRefuse(effect.reason);
        case 'letGo':
          return current.onCancel();
      }
    }

    /** What is dragged goes to where the pointer is, also when the sheet went on below it. */
    function move() {
      if (!pointer) return;
      const { x, y } = pointer;
      run({ kind: 'moved', at: { x, y }, spot: latest.current.spotAt(x, y) });
    }

    const cancel = () => run({ kind: 'cancelled' });

    function onPointerDown(event: PointerEvent) {
      swallowClick = false;
      // A second finger makes it a pinch.
      if (!event.isPrimary) cancel();
      if (event.button !== 0 || !event.isPrimary) return;
      if ((event.target as HTMLElement).closest('[data-nodrag]')) return;
      const { clientX: x, clientY: y } = event;
      const spot = latest.current.spotAt(x, y);
      if (!spot) return;
      const bar = barOf(event);
      const target = (bar && latest.current.target(bar.dataset['occ']!)) ?? null;
      const grip = gripOf(event, bar, latest.current.axis, target?.span.wholeDay ?? false);
      const isTouch = event.pointerType !== 'mouse';
      stop();
      pointer = { id: event.pointerId, x, y, element: event.target as Element };
      run({ kind: 'down', isTouch, from: { x, y }, spot, grip, target });
    }

    function onPointerMove(event: PointerEvent) {
      if (event.pointerId !== pointer?.id) return;
      pointer.x = event.clientX;
      pointer.y = event.clientY;
      pointer.scrolling?.at(event.clientY);
      move();
    }

    function onPointerUp(event: PointerEvent) {
      if (event.pointerId !== pointer?.id) return;
      swallowTouchEnd = false;
      run({ kind: 'released', at: { x: event.clientX, y: event.clientY } });
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
      if (press?.phase === 'dragging') event.preventDefault();
    }

    function onTouchEnd(event: TouchEvent) {
      if (swallowTouchEnd) event.preventDefault();
      swallowTouchEnd = false;
    }

    function onContextMenu(event: MouseEvent) {
      const bar = barOf(event);
      if (press?.isTouch || bar) event.preventDefault();
      if (bar && !press?.isTouch) {
        cancel();
        const id = bar.dataset['occ']!;
        afterRelease(event, () => latest.current.onMenu(id));
      }
    }

    function onKeyDown(event: KeyboardEvent) {
      if (event.key !== 'Escape' || press?.phase !== 'dragging') return;
      event.stopPropagation();
      cancel();
    }

    const listening = new AbortController();
    const { signal } = listening;
    element.addEventListener('pointerdown', onPointerDown, { signal });
    element.addEventListener('pointermove', onPointerMove, { signal });
    element.addEventListener('pointerup', onPointerUp, { signal });
    element.addEventListener('pointercancel', cancel, { signal });
    element.addEventListener('click', onClick, { capture: true, signal });
    element.addEventListener('touchmove', onTouchMove, { passive: false, signal });
    element.addEventListener('touchend', onTouchEnd, { passive: false, signal });
    element.addEventListener('contextmenu', onContextMenu, { signal });
    window.addEventListener('keydown', onKeyDown, { capture: true, signal });
    return () => {
      stop();
      listening.abort();
    };
  }, [sheet]);
}
