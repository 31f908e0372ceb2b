import type { RefObject } from 'react';
import { useEffect, useRef } from 'react';
import type { Span } from '@/core/layout/drag';
import type { KeyStep } from '@/core/layout/nudge';
import { ARROWS, nudge, stepOf } from '@/core/layout/nudge';
import type { Axis, DragTarget } from '@/core/layout/press';

export interface KeyCallbacks {
  slot: number;
  axis: Axis;
  /** Ids of the bars shown, by day, in order of time. */
  order: readonly (readonly string[])[];
  target(occurrenceId: string): DragTarget | undefined;
  onDrag(id: string, span: Span): void;
  onDrop(id: string, span: Span): void;
  onCancel(): void;
  onRefuse(reason: string): void;
}

/** The bar to go to from one: the next of its day, or the one at the like place of the next day that has any. */
export function neighbour(
  order: KeyCallbacks['order'],
  id: string,
  step: { along: number; across: number },
): string | null {
  const day = order.findIndex((ids) => ids.includes(id));
  const ids = order[day];
  if (!ids) return null;
  const at = ids.indexOf(id);
  if (step.along) return ids[at + step.along] ?? null;
  for (let other = day + step.across; other >= 0 && other < order.length; other += step.across) {
    const found = order[other]!;
    if (found.length) return found[Math.min(at, found.length - 1)]!;
  }
  return null;
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

    function nudgeBar(id: string, step: KeyStep, isStretch: boolean) {
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
      const arrow = ARROWS[event.key];
      if (!id || !arrow || event.ctrlKey || event.metaKey) return;
      event.preventDefault();
      if (event.altKey) {
        nudgeBar(id, stepOf(arrow, latest.current.axis), event.shiftKey);
        return;
      }
      const { x, y } = arrow;
      const way =
        latest.current.axis === 'across' ? { along: x, across: y } : { along: y, across: x };
      const next = neighbour(latest.current.order, id, way);
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
