import { outsideState } from './outsideState';

/** The task whose page lies over the screen; null for none. */
const opened = outsideState<string | null>(null);

/** Shows a task, on whichever screen. */
export const openTask = (id: string): void => opened.put(id);
export const closeTask = (): void => opened.put(null);
export const useOpenedTask = (): string | null => opened.useValue();
