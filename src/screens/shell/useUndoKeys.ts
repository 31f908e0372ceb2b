import { useEffect } from 'react';
import { useActions } from '@/data/actions';

/** Whether keys go into a text, which has an undo of its own. */
function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
  );
}

/** Ctrl or Cmd with Z undoes, with Shift+Z does again. */
export function useUndoKeys(): void {
  const { step } = useActions();
  useEffect(() => {
    function onKeyDown(event: KeyboardEvent) {
      const isZ =
        event.key.toLowerCase() === 'z' && (event.ctrlKey || event.metaKey) && !event.altKey;
      if (!isZ || isTyping(event.target)) return;
      event.preventDefault();
      void step(event.shiftKey ? 'redo' : 'undo');
    }
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [step]);
}
