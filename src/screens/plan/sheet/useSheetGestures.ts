import type { RefObject } from 'react';
import { useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { Span, Spot } from '@/core/layout/drag';
import { snapDown } from '@/core/layout/drag';
import type { Calendar } from '@/core/model/calendar';
import { personOfCalendarId } from '@/core/model/person';
import { DAY, MINUTE } from '@/core/time/civil';
import { putSheetTarget } from '@/data/sheetTarget';
import type { GhostHandle } from './Ghost';
import type { SheetGestures } from './sheetGestures';
import type { Axis } from '@/core/layout/press';
import { useSheetDrag } from './useSheetDrag';
import { useSheetKeys } from './useSheetKeys';

interface Surface {
  element: RefObject<HTMLElement | null>;
  ghost: RefObject<GhostHandle | null>;
  axis: Axis;
  occurrences: readonly Occurrence[];
  calendarOf: ReadonlyMap<string, Calendar>;
  /** What was laid out; a new one shows what was dropped at its place. */
  layout: object;
  /** Ids of the bars shown, by day, in order of time. */
  order: readonly (readonly string[])[];
  /** Minutes that moving snaps to, and that a new event lasts. */
  slot: number;
  newLength: number;
  spotAt(clientX: number, clientY: number): Spot | null;
}

/** Why an occurrence can't be moved by hand; null when it can. */
function refusalOf(o: Occurrence, calendar: Calendar | undefined): string | null {
  if (calendar && personOfCalendarId(o.calendarId) !== null)
    return `This is ${calendar.name}’s time: it can’t be changed here.`;
  if (calendar?.kind === 'followed')
    return `${calendar.name} is a followed calendar: its events can’t be changed here.`;
  return null;
}

/**
 * Moving, stretching and drawing on a form of the sheet by mouse, touch and keyboard. Returns the id
 * of the bar that is being dragged, which is pale meanwhile.
 */
export function useSheetGestures(
  surface: Surface,
  hands: SheetGestures,
): { draggedId: string | null } {
  const { element, ghost, axis, occurrences, calendarOf, layout, order, slot } = surface;
  const movedByKeys = useRef<string | null>(null);
  const byId = useMemo(() => new Map(occurrences.map((o) => [o.id, o])), [occurrences]);

  // A dragged bar is pale until the sheet is laid out anew.
  const [dragged, setDragged] = useState<{ id: string; layout: object } | null>(null);
  const draggedId = dragged?.layout === layout ? dragged.id : null;

  // The draft stays where it was dropped until the event itself is drawn there; what is held still
  // is drawn on the new layout, whatever came meanwhile.
  const held = useRef<Span | null>(null);
  useEffect(() => {
    if (held.current) ghost.current?.show(held.current);
    else ghost.current?.hide();
  }, [layout, ghost]);

  function target(id: string) {
    const o = byId.get(id);
    if (!o) return undefined;
    return {
      id,
      span: { start: o.start, end: o.end, wholeDay: o.wholeDay },
      refusal: refusalOf(o, calendarOf.get(o.calendarId)),
    };
  }

  function onDrag(id: string | null, span: Span) {
    if (id !== draggedId) setDragged(id === null ? null : { id, layout });
    held.current = span;
    ghost.current?.show(span);
  }

  function cancelDrag() {
    held.current = null;
    ghost.current?.hide();
    setDragged(null);
  }

  function drop(id: string | null, span: Span) {
    held.current = null;
    const o = id === null ? undefined : byId.get(id);
    if (o && (o.start !== span.start || o.end !== span.end)) hands.onDrop(o, span);
    else cancelDrag();
    if (id === null) {
      cancelDrag();
      hands.onDraw(span);
    }
  }

  const common = {
    slot,
    axis,
    target,
    onDrag,
    onDrop: drop,
    onCancel: cancelDrag,
    onRefuse: hands.onRefuse,
    onMenu: (id: string) => {
      cancelDrag();
      const o = byId.get(id);
      if (o) hands.onMenu(o);
    },
  };
  useSheetDrag(element, {
    ...common,
    spotAt: surface.spotAt,
    onPress: (spot) => {
      if (axis === 'days') return hands.onAddToDay(spot.day);
      const start = spot.day * DAY + snapDown(spot.minute, slot) * MINUTE;
      const end = start + surface.newLength * MINUTE;
      hands.onDraw({ start, end, wholeDay: false, lasts: true });
    },
    onSwipe: hands.onSwipe,
  });
  useSheetKeys(element, {
    ...common,
    order,
    onDrop: (id, span) => {
      movedByKeys.current = id;
      drop(id, span);
    },
  });

  // What lies beside the sheet can be put on it, too.
  const latest = useRef({ surface });
  useEffect(() => {
    latest.current = { surface };
  });
  useEffect(() => {
    putSheetTarget({
      axis,
      slot,
      spotAt: (x, y) => {
        const under = document.elementFromPoint(x, y);
        const isOver = under !== null && element.current?.contains(under);
        return isOver ? latest.current.surface.spotAt(x, y) : null;
      },
      show: (span) => {
        held.current = span;
        ghost.current?.show(span);
      },
      hide: () => {
        held.current = null;
        ghost.current?.hide();
      },
    });
    return () => putSheetTarget(null);
  }, [axis, slot, element, ghost]);

  // A bar that went to another day is drawn anew there; the keyboard stays with it. Before the page is
  // drawn: any later, what keeps the focus from getting lost has given it to something near.
  useLayoutEffect(() => {
    if (movedByKeys.current === null || document.activeElement !== document.body) return;
    element.current
      ?.querySelector<HTMLElement>(`[data-occ="${CSS.escape(movedByKeys.current)}"]`)
      ?.focus();
  }, [layout, element]);

  return { draggedId };
}
