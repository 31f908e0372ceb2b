import { outsideState } from './outsideState';

/** Events that are asked about at once. */
const MOST_ASKED = 20;

/** Events that were just changed here, whose guests may not know. */
const touched = outsideState<readonly string[]>([]);

export const useTouched = (): readonly string[] => touched.useValue();

/** Notes events of which guests may have to be told. */
export function noteTouched(ids: readonly string[]): void {
  later.put(later.get().filter((id) => !ids.includes(id)));
  if (ids.length) touched.put([...new Set([...ids, ...touched.get()])].slice(0, MOST_ASKED));
}

/** Puts the question about an event aside; it stays with the event. */
export function putAside(eventId: string): void {
  touched.put(touched.get().filter((id) => id !== eventId));
}

/** What of events is not sent and was put aside in this window: asked again once the event changes. */
const later = outsideState<readonly string[]>([]);

export const useAskedLater = (): readonly string[] => later.useValue();

export function askLater(eventId: string): void {
  later.put([...later.get().filter((id) => id !== eventId), eventId]);
}
