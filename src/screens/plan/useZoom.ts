import type { RefObject } from 'react';
import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import type { Settings } from '@/core/model/others';
import { zoomed } from '@/core/view/scale';
import { useDo } from '@/data/commands';

/** Zoom is kept once it has rested for this many ms. */
const REST = 400;
/** What a px of the wheel does to the zoom, and the most px that one turn of it counts for. */
const WHEEL = 0.0025;
const MOST_WHEEL = 60;
const PX_A_LINE = 16;

/** What lies under a finger or the mouse stays there while all around it grows. */
interface Anchor {
  scroller: HTMLElement;
  /** From the scroller's top, in px. */
  offset: number;
  top: number;
  height: number;
}

function anchorAt(target: HTMLElement, clientY: number): Anchor | null {
  for (let at: HTMLElement | null = target; at; at = at.parentElement) {
    const { overflowY } = getComputedStyle(at);
    if (overflowY !== 'auto' && overflowY !== 'scroll') continue;
    const { scrollTop: top, scrollHeight: height } = at;
    return { scroller: at, offset: clientY - at.getBoundingClientRect().top, top, height };
  }
  return null;
}

function spread({ touches }: TouchEvent) {
  const [a, b] = [touches[0]!, touches[1]!];
  return {
    distance: Math.hypot(a.clientX - b.clientX, a.clientY - b.clientY),
    middle: (a.clientY + b.clientY) / 2,
  };
}

/**
 * How large the sheet is drawn, changed by pinching, by Ctrl and the wheel, and by keys. It shows at
 * once, and is kept in the settings when it rests.
 */
export function useZoom(sheet: RefObject<HTMLElement | null>, settings: Settings, isOn: boolean) {
  const [live, setLive] = useState<number | null>(null);
  const act = useDo();
  const anchor = useRef<Anchor | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  // What another window kept holds at once; what was kept here, unless the hand has gone on since.
  const [asked, setAsked] = useState<number | null>(null);
  const [lastKept, setLastKept] = useState(settings.zoom);
  if (settings.zoom !== lastKept) {
    setLastKept(settings.zoom);
    if (settings.zoom !== asked || live === asked) setLive(null);
  }
  const zoom = live ?? settings.zoom;

  const latest = useRef({ zoom, settings, act });
  useEffect(() => {
    latest.current = { zoom, settings, act };
  });

  const keep = useCallback(() => {
    clearTimeout(timer.current);
    timer.current = undefined;
    const now = latest.current;
    setAsked(now.zoom);
    if (now.zoom === now.settings.zoom) setLive(null);
    else
      void now.act(
        {
          kind: 'setSettings',
          before: now.settings,
          fields: { zoom: now.zoom },
          label: 'Changed the size of the sheet',
        },
        { isQuiet: true },
      );
  }, []);

  const show = useCallback(
    (next: number) => {
      latest.current.zoom = next;
      setLive(next);
      clearTimeout(timer.current);
      timer.current = setTimeout(keep, REST);
    },
    [keep],
  );

  useEffect(() => () => (timer.current === undefined ? undefined : keep()), [keep]);

  useLayoutEffect(() => {
    const held = anchor.current;
    anchor.current = null;
    if (!held) return;
    const ratio = held.scroller.scrollHeight / held.height;
    held.scroller.scrollTop = (held.top + held.offset) * ratio - held.offset;
  }, [zoom]);

  useEffect(() => {
    const element = sheet.current;
    if (!element || !isOn) return;
    let pinch: { distance: number; zoom: number } | null = null;

    function onWheel(event: WheelEvent) {
      if (!event.ctrlKey) return;
      event.preventDefault();
      const px = event.deltaY * (event.deltaMode === WheelEvent.DOM_DELTA_LINE ? PX_A_LINE : 1);
      const held = Math.max(-MOST_WHEEL, Math.min(MOST_WHEEL, px));
      anchor.current = anchorAt(event.target as HTMLElement, event.clientY);
      show(zoomed(latest.current.zoom, Math.exp(-held * WHEEL)));
    }
    function onTouchStart(event: TouchEvent) {
      if (event.touches.length !== 2) return;
      pinch = { distance: spread(event).distance, zoom: latest.current.zoom };
    }
    function onTouchMove(event: TouchEvent) {
      if (!pinch || event.touches.length !== 2) return;
      event.preventDefault();
      const { distance, middle } = spread(event);
      anchor.current = anchorAt(event.target as HTMLElement, middle);
      show(zoomed(pinch.zoom, distance / pinch.distance));
    }
    function onTouchEnd() {
      if (pinch) keep();
      pinch = null;
    }
    element.addEventListener('wheel', onWheel, { passive: false });
    element.addEventListener('touchstart', onTouchStart, { passive: true });
    element.addEventListener('touchmove', onTouchMove, { passive: false });
    element.addEventListener('touchend', onTouchEnd);
    element.addEventListener('touchcancel', onTouchEnd);
    return () => {
      element.removeEventListener('wheel', onWheel);
      element.removeEventListener('touchstart', onTouchStart);
      element.removeEventListener('touchmove', onTouchMove);
      element.removeEventListener('touchend', onTouchEnd);
      element.removeEventListener('touchcancel', onTouchEnd);
    };
  }, [sheet, isOn, show, keep]);

  return {
    zoom,
    /** Larger by a factor, or with null back to the usual size. */
    by: (factor: number | null) => show(factor === null ? 1 : zoomed(zoom, factor)),
  };
}
