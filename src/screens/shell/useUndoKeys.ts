import { useEffect } from 'react';
import { useHistory } from '@/data/history';
import { isTyping } from '@/ui/isTyping';

/** Ctrl or Cmd with Z undoes, with Shift+Z does again. */
export function useUndoKeys(): void {
  const { step } = useHistory();
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
