type Work = () => Promise<void>;

/**
 * For what one window of a browser does at a time, under a name. While another window is at it, it is not
 * done here; what is asked for while this window is at it is done once more afterwards, so that nothing
 * that came in between waits for the next time.
 */
export function inOneWindow(name: string): (work: Work) => Promise<void> {
  let isAtIt = false;
  let next: Work | null = null;
  return async (asked) => {
    next = asked;
    if (isAtIt) return;
    isAtIt = true;
    try {
      while (next) {
        const work: Work = next;
        next = null;
        await navigator.locks.request(name, { ifAvailable: true }, (lock) =>
          lock ? work() : undefined,
        );
      }
    } finally {
      isAtIt = false;
    }
  };
}
