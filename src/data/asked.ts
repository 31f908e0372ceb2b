import { useRouter } from 'expo-router';
import type { View } from '@/core/model/view';
import type { DayNumber } from '@/core/time/units';
import { outsideState } from './outsideState';

/** What another part of the app asks of the sheet. */
export type Asked =
  | { kind: 'add' }
  /** To show an event or a date of it, by its id; with `uncovers` also where it is hidden. */
  | { kind: 'event'; id: string; uncovers: boolean }
  /** To be seen in another way, around a day (day number). */
  | { kind: 'view'; fields: Partial<View>; day: DayNumber | null };

const waiting = outsideState<Asked | null>(null);

/** Puts down what the sheet is to do, once it can; null takes it away. */
export const putAsked = (next: Asked | null): void => waiting.put(next);

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
  return [waiting.use(), () => putAsked(null)];
}
