import { whileIdle } from './whileIdle';

/** The browser, idle for so many steps at a time when it is asked to. */
function idling() {
  const waiting = new Map<number, IdleRequestCallback>();
  let nth = 0;
  window.requestIdleCallback = (work) => {
    waiting.set(++nth, work);
    return nth;
  };
  window.cancelIdleCallback = (handle) => void waiting.delete(handle);
  return (steps: number) => {
    const [first] = waiting;
    if (!first) return;
    waiting.delete(first[0]);
    let left = steps;
    first[1]({ didTimeout: false, timeRemaining: () => --left });
  };
}

function* counting(done: number[]) {
  for (let i = 1; i <= 5; i++) {
    done.push(i);
    yield;
  }
}

test('work goes on by as many steps as the page is idle for, until it is done', () => {
  const idle = idling();
  const done: number[] = [];
  whileIdle(counting(done));
  expect(done).toEqual([]);
  idle(2);
  expect(done).toEqual([1, 2]);
  idle(1);
  expect(done).toEqual([1, 2, 3]);
  idle(9);
  idle(9);
  expect(done).toEqual([1, 2, 3, 4, 5]);
});

test('what is stopped does no more', () => {
  const idle = idling();
  const done: number[] = [];
  const stop = whileIdle(counting(done));
  idle(2);
  stop();
  idle(9);
  expect(done).toEqual([1, 2]);
});

test('a browser that never tells has it done piece by piece all the same', () => {
  Reflect.deleteProperty(window, 'requestIdleCallback');
  jest.useFakeTimers();
  const done: number[] = [];
  whileIdle(counting(done));
  jest.advanceTimersToNextTimer();
  expect(done).toEqual([1]);
  const stopped: number[] = [];
  whileIdle(counting(stopped))();
  jest.runAllTimers();
  expect([done, stopped]).toEqual([[1, 2, 3, 4, 5], []]);
  jest.useRealTimers();
});
