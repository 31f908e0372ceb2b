import type { EpochMs } from '@/core/time/units';

/** So near to an edge of what scrolls, in px, a drag takes it along. */
const ZONE = 40;
/** How fast at the very edge, in px a millisecond. */
const MOST = 0.9;
/** How far a drag goes before it can be towards an edge, in px. */
const LEAST_WAY = 8;
/** Frames that come late don't make it jump, in ms. */
const LONGEST_FRAME = 50;

/**
 * How fast a drag at a height scrolls what lies between `top` and `bottom` (all in px of the page), in
 * px a millisecond: up is negative, and the nearer the edge the faster.
 */
export function edgeSpeed(y: number, { top, bottom }: { top: number; bottom: number }): number {
  // What is too low for two zones has narrower ones, so that its middle stays still.
  const zone = Math.min(ZONE, (bottom - top) / 4);
  if (zone <= 0) return 0;
  const into = (distance: number) => Math.min(1, Math.max(0, (zone - distance) / zone));
  return MOST * (into(bottom - y) - into(y - top));
}

/** The nearest element around one that scrolls up and down; null when none does. */
function scrollerAround(element: Element): Element | null {
  for (let each: Element | null = element; each; each = each.parentElement) {
    const { overflowY } = getComputedStyle(each);
    if ((overflowY === 'auto' || overflowY === 'scroll') && each.scrollHeight > each.clientHeight)
      return each;
  }
  return null;
}

/**
 * Scrolls along with a drag that is held near an edge, frame by frame, until it is stopped. It has to
 * have gone towards that edge from where it began, `startY` (px of the page): what lies there already
 * can be moved aside in peace.
 */
export function edgeScroll(from: Element, startY: number, onScroll: () => void) {
  const scroller = scrollerAround(from);
  let y = startY;
  let last = performance.now();
  let frame = requestAnimationFrame(step);

  function step(now: EpochMs) {
    const passed = Math.max(0, Math.min(LONGEST_FRAME, now - last));
    last = now;
    const gone = Math.abs(y - startY) < LEAST_WAY ? 0 : Math.sign(y - startY);
    if (scroller && gone !== 0) {
      const before = scroller.scrollTop;
      const speed = edgeSpeed(y, scroller.getBoundingClientRect());
      if (Math.sign(speed) === gone) scroller.scrollTop += speed * passed;
      if (scroller.scrollTop !== before) onScroll();
    }
    frame = requestAnimationFrame(step);
  }

  return {
    /** The pointer is at this height now, in px of the page. */
    at(clientY: number) {
      y = clientY;
    },
    stop() {
      cancelAnimationFrame(frame);
    },
  };
}
