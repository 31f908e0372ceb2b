import type { RefObject } from 'react';
import { useEffect } from 'react';
import { isOfOthers } from '@/core/model/person';
import { selection } from '@/data/selection';

/** The occurrence that an event meets; none where it is of somebody else's time, which nothing is done to. */
function chosenOf(event: Event): string | undefined {
  const id = (event.target as HTMLElement).closest<HTMLElement>('[data-occ]')?.dataset['occ'];
  return id === undefined || isOfOthers(id) ? undefined : id;
}

const ownBars = (element: HTMLElement) =>
  [...element.querySelectorAll<HTMLElement>('[data-occ]')].filter(
    ({ dataset }) => !isOfOthers(dataset['occ']!),
  );

/** Ids of what is drawn, in the order in which it stands. */
const orderOf = (element: HTMLElement) => ownBars(element).map(({ dataset }) => dataset['occ']!);

/** How far the mouse goes before a frame is drawn, in px. */
const FRAME_FROM = 6;

interface Point {
  x: number;
  y: number;
}

const boxOf = (a: Point, b: Point) => ({
  left: Math.min(a.x, b.x),
  top: Math.min(a.y, b.y),
  right: Math.max(a.x, b.x),
  bottom: Math.max(a.y, b.y),
});

/** Ids of what a frame touches. */
function framed(element: HTMLElement, from: Point, to: Point): string[] {
  const frame = boxOf(from, to);
  return ownBars(element).flatMap((bar) => {
    const box = bar.getBoundingClientRect();
    const isTouched =
      box.left < frame.right &&
      box.right > frame.left &&
      box.top < frame.bottom &&
      box.bottom > frame.top;
    return isTouched ? [bar.dataset['occ']!] : [];
  });
}

/**
 * Selecting among what an element shows: by Ctrl, Cmd or Shift with a press or with Space, by a frame
 * drawn with one of them held, and by a plain press once something is selected. It listens before
 * what is inside, which moves and opens.
 */
export function useSelecting(within: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    const element = within.current;
    if (!element) return;
    const listening = new AbortController();
    const { signal } = listening;
    const capture = { capture: true, signal };
    let isFraming = false;

    function take(id: string, event: MouseEvent | KeyboardEvent) {
      event.preventDefault();
      event.stopPropagation();
      if (event.shiftKey) selection.reach(id, orderOf(element!));
      else selection.toggle(id);
    }

    function onClick(event: MouseEvent) {
      if (isFraming) {
        isFraming = false;
        event.preventDefault();
        event.stopPropagation();
        return;
      }
      const id = chosenOf(event);
      const isAsked = event.ctrlKey || event.metaKey || event.shiftKey;
      if (id === undefined) {
        // A frame that was not drawn is no wish to add something.
        const isControl = (event.target as HTMLElement).closest('button,a,input,[role]');
        if (isAsked && !isControl) event.stopPropagation();
        return;
      }
      // A press by key opens also while something is selected: Space with Ctrl selects.
      if (isAsked || (selection.ids.size > 0 && event.detail > 0)) take(id, event);
    }

    function onKeyDown(event: KeyboardEvent) {
      if (event.key === 'Escape' && selection.ids.size > 0) {
        event.stopPropagation();
        selection.clear();
        return;
      }
      const id = chosenOf(event);
      if (id === undefined || event.key !== ' ') return;
      if (event.ctrlKey || event.metaKey || event.shiftKey) take(id, event);
    }

    function onPointerDown(event: PointerEvent) {
      isFraming = false;
      const isAsked = event.ctrlKey || event.metaKey || event.shiftKey;
      if (!isAsked || event.button !== 0 || event.pointerType !== 'mouse') return;
      // What is moved by a press would be moved by this one.
      event.stopPropagation();
      if (chosenOf(event) !== undefined) return;
      event.preventDefault();
      drawFrame(element!, { x: event.clientX, y: event.clientY }, () => (isFraming = true));
    }

    // A stretch of text that gets selected meanwhile is nobody's wish.
    function onMouseDown(event: MouseEvent) {
      if (event.shiftKey && chosenOf(event) !== undefined) event.preventDefault();
    }

    element.addEventListener('mousedown', onMouseDown, capture);
    element.addEventListener('click', onClick, capture);
    element.addEventListener('keydown', onKeyDown, capture);
    element.addEventListener('pointerdown', onPointerDown, capture);
    return () => listening.abort();
  }, [within]);
}

/** Draws a frame from a point to wherever the mouse is, and selects what it touches. */
function drawFrame(element: HTMLElement, from: Point, onDrawn: () => void): void {
  const over = new AbortController();
  const { signal } = over;
  const frame = document.createElement('div');
  frame.className = 'select-frame';
  let to = from;

  function onMove({ clientX: x, clientY: y }: PointerEvent) {
    to = { x, y };
    if (Math.hypot(x - from.x, y - from.y) < FRAME_FROM && !frame.isConnected) return;
    if (!frame.isConnected) document.body.append(frame);
    const { left, top, right, bottom } = boxOf(from, to);
    frame.style.cssText = `left:${left}px;top:${top}px;width:${right - left}px;height:${bottom - top}px`;
  }

  function end(isTaken: boolean) {
    over.abort();
    if (!frame.isConnected) return;
    frame.remove();
    onDrawn();
    if (isTaken) selection.add(framed(element, from, to));
  }

  window.addEventListener('pointermove', onMove, { signal });
  window.addEventListener('pointerup', () => end(true), { signal });
  window.addEventListener('pointercancel', () => end(false), { signal });
  window.addEventListener('keydown', ({ key }) => key === 'Escape' && end(false), { signal });
}
