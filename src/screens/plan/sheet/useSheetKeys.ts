import type { RefObject } from 'react';
import { useEffect, useRef } from 'react';
import type { Span } from '@/core/layout/drag';
import { stretchSpan } from '@/core/layout/drag';
import { DAY, dayOfWall, MINUTE } from '@/core/time/civil';
import type { DragTarget } from './useSheetDrag';

export interface KeyCallbacks {
  slot: number;
  /** Ids of the bars shown, by row, in order of time. */
  order: readonly (readonly string[])[];
  target(occurrenceId: string): DragTarget | undefined;
  onDrag(id: string, span: Span): void;
  onDrop(id: string, span: Span): void;
  onCancel(): void;
  onRefuse(reason: string): void;
}

const ARROWS: Record<string, { x: number; y: number }> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

/** The bar to go to from one: the next in its row, or the one at the like place of the next row that has any. */
export function neighbour(
  order: KeyCallbacks['order'],
  id: string,
  step: { x: number; y: number },
): string | null {
  const row = order.findIndex((ids) => ids.includes(id));
  const ids = order[row];
  if (!ids) return null;
  const at = ids.indexOf(id);
  if (step.x) return ids[at + step.x] ?? null;
  for (let other = row + step.y; other >= 0 && other < order.length; other += step.y) {
    const found = order[other]!;
    if (found.length) return found[Math.min(at, found.length - 1)]!;
  }
  return null;
}

/** A span after one press of an arrow: moved, or with its end stretched. */
export function nudge(
  span: Span,
  step: { x: number; y: number },
  slot: number,
  isStretch: boolean,
): Span {
  if (isStretch) {
    const day = dayOfWall(span.end - 1) + (span.wholeDay ? step.x || step.y : step.y);
    const minute = (span.end - dayOfWall(span.end) * DAY) / MINUTE;
    if (span.wholeDay) return stretchSpan(span, 'end', { day, minute }, slot);
    const end = Math.max(
      span.start + slot * MINUTE,
      span.end + step.x * slot * MINUTE + step.y * DAY,
    );
    return { ...span, end };
  }
  const ms = span.wholeDay ? (step.x || step.y) * DAY : step.x * slot * MINUTE + step.y * DAY;
  return { ...span, start: span.start + ms, end: span.end + ms };
}

/**
 * The sheet by keyboard: arrows go from event to event, Alt+arrows move the one in focus,
 * Alt+Shift+arrows stretch it. Letting go of Alt drops it there; Escape takes it back.
 */
export function useSheetKeys(sheet: RefObject<HTMLElement | null>, callbacks: KeyCallbacks): void {
  const latest = useRef(callbacks);
  useEffect(() => {
    latest.current = callbacks;
  });

  useEffect(() => {
    const element = sheet.current;
    if (!element) return;
    let held: { id: string; span: Span } | null = null;

    function drop() {
      if (!held) return;
      const { id, span } = held;
      held = null;
      latest.current.onDrop(id, span);
    }

    function nudgeBar(id: string, step: { x: number; y: number }, isStretch: boolean) {
      const target = latest.current.target(id);
      if (!target) return;
      if (target.refusal) {
        latest.current.onRefuse(target.refusal);
        return;
      }
      const from = held?.id === id ? held.span : target.span;
      held = { id, span: nudge(from, step, latest.current.slot, isStretch) };
      latest.current.onDrag(id, held.span);
    }

    function onKeyDown(event: KeyboardEvent) {
      const bar = (event.target as HTMLElement).closest<HTMLElement>('[data-occ]');
      const id = bar?.dataset['occ'];
      if (event.key === 'Escape' && held) {
        held = null;
        event.stopPropagation();
        latest.current.onCancel();
        return;
      }
      const step = ARROWS[event.key];
      if (!id || !step || event.ctrlKey || event.metaKey) return;
      event.preventDefault();
      if (event.altKey) {
        nudgeBar(id, step, event.shiftKey);
        return;
      }
      const next = neighbour(latest.current.order, id, step);
      if (next) element!.querySelector<HTMLElement>(`[data-occ="${CSS.escape(next)}"]`)?.focus();
    }

    function onKeyUp(event: KeyboardEvent) {
      if (event.key === 'Alt') drop();
    }

    element.addEventListener('keydown', onKeyDown);
    window.addEventListener('keyup', onKeyUp);
    window.addEventListener('blur', drop);
    return () => {
      element.removeEventListener('keydown', onKeyDown);
      window.removeEventListener('keyup', onKeyUp);
      window.removeEventListener('blur', drop);
    };
  }, [sheet]);
}
