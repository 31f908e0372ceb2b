import fc from 'fast-check';
import { edgeScroll, edgeSpeed } from './edgeScroll';

const BOX = { top: 100, bottom: 700 };

describe('how fast a drag scrolls', () => {
  test('not at all in the middle, up at the top, down at the bottom', () => {
    expect(edgeSpeed(400, BOX)).toBe(0);
    expect(edgeSpeed(101, BOX)).toBeLessThan(0);
    expect(edgeSpeed(699, BOX)).toBeGreaterThan(0);
  });

  test('the nearer the edge the faster, never faster than at it, and alike at both', () => {
    const height = fc.integer({ min: 0, max: 800 });
    fc.assert(
      fc.property(height, height, (a, b) => {
        const [upper, lower] = [Math.min(a, b), Math.max(a, b)];
        expect(edgeSpeed(upper, BOX)).toBeLessThanOrEqual(edgeSpeed(lower, BOX));
        expect(Math.abs(edgeSpeed(a, BOX))).toBeLessThanOrEqual(edgeSpeed(700, BOX));
        expect(edgeSpeed(a, BOX)).toBeCloseTo(-edgeSpeed(800 - a, BOX));
      }),
    );
  });

  test('what is low keeps a middle that stays still', () => {
    expect(edgeSpeed(110, { top: 100, bottom: 120 })).toBeCloseTo(0);
    expect(edgeSpeed(100, { top: 100, bottom: 100 })).toBe(0);
  });
});

describe('scrolling along with a drag', () => {
  const FRAME = 16;

  /** A bar in a box of 600 px that shows part of 2,000 px, and the frames that the browser draws. */
  function held(startY: number) {
    const scroller = document.createElement('div');
    const bar = document.createElement('div');
    scroller.append(bar);
    document.body.append(scroller);
    scroller.style.overflowY = 'auto';
    Object.defineProperty(scroller, 'scrollHeight', { value: 2000 });
    Object.defineProperty(scroller, 'clientHeight', { value: 600 });
    scroller.getBoundingClientRect = () => ({ ...BOX, height: 600 }) as DOMRect;
    const onScroll = jest.fn();
    const scrolling = edgeScroll(bar, startY, onScroll);
    const frames = (count: number) => jest.advanceTimersByTime(count * FRAME);
    return { scroller, scrolling, onScroll, frames };
  }

  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  test('goes on while it is held at the edge it was taken to, and ends with it', () => {
    const { scroller, scrolling, onScroll, frames } = held(400);
    scrolling.at(695);
    frames(10);
    const there = scroller.scrollTop;
    expect(there).toBeGreaterThan(0);
    expect(onScroll).toHaveBeenCalled();
    frames(10);
    expect(scroller.scrollTop).toBeGreaterThan(there);
    scrolling.stop();
    const end = scroller.scrollTop;
    frames(10);
    expect(scroller.scrollTop).toBe(end);
  });

  test('what lies at the edge already can be moved aside without scrolling', () => {
    const { scroller, scrolling, onScroll, frames } = held(690);
    scrolling.at(690);
    frames(10);
    scrolling.at(680);
    frames(10);
    expect(scroller.scrollTop).toBe(0);
    expect(onScroll).not.toHaveBeenCalled();
  });
});
