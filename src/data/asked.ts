import { useRouter } from 'expo-router';
import { useSyncExternalStore } from 'react';
import type { View } from '@/core/model/view';
import type { DayNumber } from '@/core/time/units';

/** What another part of the app asks of the sheet. */
export type Asked =
  | { kind: 'add' }
  /** To show an event or a date of it, by its id; with `uncovers` also where it is hidden. */
  | { kind: 'event'; id: string; uncovers: boolean }
  /** To be seen in another way, around a day (day number). */
  | { kind: 'view'; fields: Partial<View>; day: DayNumber | null };

let asked: Asked | null = null;
const listeners = new Set<() => void>();

/** Puts down what the sheet is to do, once it can; null takes it away. */
export function putAsked(next: Asked | null): void {
  asked = next;
  for (const listener of listeners) listener();
}

/** Asks the sheet for something, wherever one is. */
export function useAskSheet(): (asked: Asked) => void {
  const router = useRouter();
  return (next) => {
    putAsked(next);
    if (window.location.pathname !== '/') router.navigate('/');
  };
}

/** What the sheet was asked for and has not done yet, and how it says that it took it up. */
export function useAsked(): [Asked | null, () => void] {
  const current = useSyncExternalStore(listen, () => asked);
  return [current, () => putAsked(null)];
}

function listen(listener: () => void) {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}
