import { UserError } from '@/core/userError';

let broken: Promise<never> | null = null;

/** Notes that a worker runs; the function that comes back is to be called once it broke. */
export function watchWorker(): () => void {
  let fail: (reason: Error) => void = () => undefined;
  broken = new Promise<never>((_, reject) => {
    fail = reject;
  });
  // Where nothing is asked of it, nobody waits.
  broken.catch(() => undefined);
  return () => {
    broken = null;
    fail(new UserError('interrupted', 'The app restarted before it was done.'));
  };
}

/**
 * An answer of the worker that runs; what was asked of a broken one would never be answered.
 * @throws UserError (interrupted) where the worker breaks first.
 */
export const orInterrupted = <T>(answer: Promise<T>): Promise<T> =>
  broken ? Promise.race([answer, broken]) : answer;
