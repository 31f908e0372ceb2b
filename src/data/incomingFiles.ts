import { outsideState } from './outsideState';

/** Calendar files that another screen found, for the one that brings files in. */
const waiting = outsideState<readonly File[] | null>(null);

export const putIncoming = (files: readonly File[] | null): void => waiting.put(files);
export const useIncoming = (): readonly File[] | null => waiting.useValue();
