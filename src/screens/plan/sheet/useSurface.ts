import type { RefObject } from 'react';
import { useMemo, useRef } from 'react';
import type { ScrollView, View } from 'react-native';
import type { Spot } from '@/core/layout/drag';
import type { Axis } from '@/core/layout/press';
import type { FormProps } from './formProps';
import type { GhostHandle } from './Ghost';
import { useRoom } from './useRoom';
import { useSheetGestures } from './useSheetGestures';

const elementOf = (ref: RefObject<View | null>) => ref as unknown as RefObject<HTMLElement | null>;

/**
 * What a form that days and bars are drawn on stands on: its parts, and the room that it has.
 * `isHeadHeard`: bars stand above what is scrolled too, so that hands are heard around both.
 */
export function useSurface({ look }: Pick<FormProps, 'look'>, isHeadHeard = false) {
  const around = useRef<View>(null);
  const body = useRef<View>(null);
  const hearing = isHeadHeard ? around : body;
  const scroller = useRef<ScrollView>(null);
  const ghost = useRef<GhostHandle>(null);
  const { room, onLayout } = useRoom();
  const { calendars } = look;
  const calendarOf = useMemo(() => new Map(calendars.map((c) => [c.id, c])), [calendars]);
  return { around, body, hearing, scroller, ghost, room, onLayout, calendarOf };
}

export type Surface = ReturnType<typeof useSurface>;

interface Laid {
  axis: Axis;
  /** What was laid out; a new one shows what was dropped at its place. */
  layout: object;
  /** Ids of the bars shown, by day, in order of time. */
  order: readonly (readonly string[])[];
  /** Where a point of the body, in px from its corner, is on the sheet. */
  spotAt(x: number, y: number): Spot | null;
}

/** Mouse, touch and keyboard on a surface; the bars that are pale, and that Tab stops at, for it. */
export function useHands(
  surface: Surface,
  { content, look, hands }: FormProps,
  { axis, layout, order, spotAt }: Laid,
): { draggedId: string | null; tabStopId: string | undefined } {
  const { draggedId } = useSheetGestures(
    {
      element: elementOf(surface.hearing),
      ghost: surface.ghost,
      axis,
      occurrences: content.occurrences,
      calendarOf: surface.calendarOf,
      layout,
      order,
      slot: look.preferences.settings.slot,
      newLength: look.newLength,
      spotAt: (clientX, clientY) => {
        const box = elementOf(surface.body).current?.getBoundingClientRect();
        return box ? spotAt(clientX - box.left, clientY - box.top) : null;
      },
    },
    hands,
  );
  const ids = order.flat();
  const { selectedId } = look;
  const isThere = selectedId !== null && ids.includes(selectedId);
  return { draggedId, tabStopId: isThere ? selectedId : ids[0] };
}
