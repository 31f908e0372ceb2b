import { useSyncExternalStore } from 'react';

/** Whether a media query holds now. */
function useMedia(query: string): boolean {
  return useSyncExternalStore(
    (listener) => {
      const list = window.matchMedia(query);
      list.addEventListener('change', listener);
      return () => list.removeEventListener('change', listener);
    },
    () => window.matchMedia(query).matches,
  );
}

/** Whether the person wants as little motion as can be. */
export const useIsStill = (): boolean => useMedia('(prefers-reduced-motion: reduce)');

/** Whether things are pressed by fingers, which need 40 px for each. */
export const useHasFingers = (): boolean => useMedia('(pointer: coarse)');

/** Whether the system asks for a dark page; also where it changed while the page was opening. */
export const useSystemIsDark = (): boolean => useMedia('(prefers-color-scheme: dark)');
