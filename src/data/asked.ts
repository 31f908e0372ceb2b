import { useRouter } from 'expo-router';
import type { Form, View } from '@/core/model/view';
import type { DayNumber } from '@/core/time/units';
import { outsideState } from './outsideState';

/** What the keys of the sheet do. */
export type SheetAction =
  | { kind: 'turn'; direction: -1 | 1 }
  | { kind: 'today' | 'add' | 'filter' | 'date' | 'view' | 'load' | 'find' | 'help' }
  | { kind: 'form'; form: Form }
  /** Larger by a factor; null is the usual size. */
  | { kind: 'zoom'; factor: number | null }
  | { kind: 'lens'; nth: number };

/** What another part of the app asks of the sheet. */
export type Asked =
  | { kind: 'add' }
  /** To show an event or a date of it, by its id; with `uncovers` also where it is hidden. */
  | { kind: 'event'; id: string; uncovers: boolean }
  /** To be seen in another way, around a day (day number). */
  | { kind: 'view'; fields: Partial<View>; day: DayNumber | null }
  /** To do what a key of it does. */
  | { kind: 'key'; action: SheetAction };

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
  return [waiting.useValue(), () => putAsked(null)];
}
