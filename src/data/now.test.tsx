import { act, renderHook } from '@testing-library/react';
import { useNow } from './now';

const at = (clock: string) => Date.parse(`2026-11-24T${clock}Z`);

/** The machine sleeps: time goes on, and no timer does. */
const sleepUntil = (clock: string) => jest.setSystemTime(at(clock));

const shown = ({ result }: { result: { current: number } }) =>
  new Date(result.current).toISOString().slice(11, 16);

beforeEach(() => jest.useFakeTimers({ now: at('10:25:40.000') }));
afterEach(() => jest.useRealTimers());

test('it goes on with each full minute, for all parts of the page at once', () => {
  const [one, other] = [renderHook(useNow), renderHook(useNow)];
  act(() => jest.advanceTimersByTime(19_999));
  expect([shown(one), shown(other)]).toEqual(['10:25', '10:25']);
  act(() => jest.advanceTimersByTime(1));
  expect([shown(one), shown(other)]).toEqual(['10:26', '10:26']);
  act(() => jest.advanceTimersByTime(60_000));
  expect([shown(one), shown(other)]).toEqual(['10:27', '10:27']);
});

test.each([
  ['seen again', () => document.dispatchEvent(new Event('visibilitychange'))],
  ['come back to', () => window.dispatchEvent(new Event('focus'))],
])('after a sleep it is right as soon as the page is %s', (_, wake) => {
  const hook = renderHook(useNow);
  sleepUntil('13:05:10');
  act(() => void wake());
  expect(shown(hook)).toBe('13:05');
  act(() => jest.advanceTimersByTime(50_000));
  expect(shown(hook)).toBe('13:06');
});

test('what is drawn after a sleep takes the right time, and so does what was there', () => {
  const before = renderHook(useNow);
  sleepUntil('13:05:10');
  const after = renderHook(useNow);
  before.rerender();
  expect([shown(before), shown(after)]).toEqual(['13:05', '13:05']);
});

test('within a minute it stays the same, whatever is drawn', () => {
  const hook = renderHook(useNow);
  const first = hook.result.current;
  sleepUntil('10:25:59.999');
  hook.rerender();
  expect(hook.result.current).toBe(first);
});

test('it rests when nothing follows it', () => {
  const hooks = [renderHook(useNow), renderHook(useNow)];
  hooks[0]!.unmount();
  expect(jest.getTimerCount()).toBe(1);
  hooks[1]!.unmount();
  expect(jest.getTimerCount()).toBe(0);
});
