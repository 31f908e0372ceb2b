/** Not every browser tells when it is idle; there a piece is done between what else there is to do. */
const tellsIdle = () => typeof requestIdleCallback === 'function';
const NO_TIME = { timeRemaining: () => 0 };

/**
 * Does work step by step while the page has nothing else to do: at least a step each time that it is
 * idle, and more as long as it says so. What is returned stops it.
 */
export function whileIdle(work: Iterator<unknown>): () => void {
  let handle: ReturnType<typeof setTimeout> | number;
  const go = (idle: Pick<IdleDeadline, 'timeRemaining'>) => {
    do {
      if (work.next().done) return;
    } while (idle.timeRemaining() > 0);
    wait();
  };
  const wait = () => {
    handle = tellsIdle() ? requestIdleCallback(go) : setTimeout(() => go(NO_TIME));
  };
  wait();
  return () => {
    if (tellsIdle()) cancelIdleCallback(handle as number);
    else clearTimeout(handle);
  };
}
