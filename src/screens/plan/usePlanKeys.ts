import { useEffect, useRef } from 'react';
import { isTyping } from '@/ui/isTyping';
import type { KeyAction } from './keys';
import { actionOf } from './keys';

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
