import { partsOfId } from '@/core/agenda/occurrence';
import { outsideState } from './outsideState';

/**
 * What is selected in this window, to be changed together: occurrences by their ids, and series
 * whole by their event's. It stays while the sheet turns, is drawn otherwise, or gives way to
 * another screen.
 */
const NONE: ReadonlySet<string> = new Set();
const selected = outsideState(NONE);
/** The one that was selected last, from which a stretch goes on. */
let anchor: string | null = null;

function put(next: ReadonlySet<string>, last: string | null): void {
  anchor = last;
  selected.put(next);
}

/** How the selection is changed. */
export const selection = {
  /** Takes one in, or out. */
  toggle(id: string): void {
    const next = new Set(selected.get());
    if (!next.delete(id)) next.add(id);
    put(next, id);
  },
  add(ids: Iterable<string>, last: string | null = anchor): void {
    put(new Set([...selected.get(), ...ids]), last);
  },
  set(ids: Iterable<string>): void {
    put(new Set(ids), null);
  },
  clear(): void {
    if (selected.get().size) put(NONE, null);
  },
  /** Those from the one that was selected last to another, in the order in which they are shown. */
  reach(id: string, order: readonly string[]): void {
    const [from, to] = [anchor === null ? -1 : order.indexOf(anchor), order.indexOf(id)];
    if (from < 0 || to < 0) return selection.add([id], id);
    selection.add(order.slice(Math.min(from, to), Math.max(from, to) + 1), anchor);
  },
  /** As it is now, where nothing is drawn by it. */
  get ids(): ReadonlySet<string> {
    return selected.get();
  },
};

/** The ids that are selected. */
export const useSelection = (): ReadonlySet<string> => selected.useValue();

/** Whether an occurrence is selected, by itself or with its series. */
export const useIsChosen = (id: string): boolean =>
  selected.useValue((ids) => ids.size > 0 && (ids.has(id) || ids.has(partsOfId(id).eventId)));
