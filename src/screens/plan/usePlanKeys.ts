import { useEffect, useRef } from 'react';
import { isTyping } from '@/ui/isTyping';
import type { KeyAction } from '@/features/keys/keys';
import { actionOf } from '@/features/keys/keys';

/** Hears the keys of the Plan screen, unless they go into a text, a dialog or a panel. */
export function usePlanKeys(isOn: boolean, act: (action: KeyAction) => void): void {
  const latest = useRef(act);
  useEffect(() => {
    latest.current = act;
  });
  useEffect(() => {
    if (!isOn) return;
    function onKeyDown(event: KeyboardEvent) {
      if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
      const target = event.target as HTMLElement;
      if (isTyping(target) || target.closest?.('[role="dialog"], dialog, [role="slider"]')) return;
      const action = actionOf(event.key);
      if (!action) return;
      event.preventDefault();
      latest.current(action);
    }
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [isOn]);
}

/** Hears the key that removes, pressed on an event of the sheet; told of its occurrence's id. */
export function useRemoveKey(remove: (id: string) => void): void {
  const latest = useRef(remove);
  useEffect(() => {
    latest.current = remove;
  });
  useEffect(() => {
    function onKeyDown(event: KeyboardEvent) {
      if (event.key !== 'Delete' && event.key !== 'Backspace') return;
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      const id = (event.target as HTMLElement).closest<HTMLElement>('[data-occ]')?.dataset['occ'];
      if (id === undefined) return;
      event.preventDefault();
      latest.current(id);
    }
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, []);
}
