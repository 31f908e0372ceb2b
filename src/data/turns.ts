let last: Promise<unknown> = Promise.resolve();

/**
 * Runs what a person does one after the other, in the order in which they did it: an undo pressed
 * while a move is still on its way to the worker means that move.
 */
export function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const turn = last.then(work);
  last = turn.catch(() => undefined);
  return turn;
}
