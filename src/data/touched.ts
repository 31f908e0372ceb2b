import { outsideState } from './outsideState';

/** Events that are asked about at once. */
const MOST_ASKED = 20;

/** Events that were just changed here, whose guests may not know. */
const touched = outsideState<readonly string[]>([]);

export const useTouched = (): readonly string[] => touched.use();

/** Notes events of which guests may have to be told. */
export function noteTouched(ids: readonly string[]): void {
  if (ids.length) touched.put([...new Set([...ids, ...touched.get()])].slice(0, MOST_ASKED));
}

/** Puts the question about an event aside; it stands with the event still. */
export function putAside(eventId: string): void {
  touched.put(touched.get().filter((id) => id !== eventId));
}
