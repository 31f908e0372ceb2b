import { usePathname } from 'expo-router';
import { useCallback, useEffect, useState } from 'react';
import { usePreferences } from '@/data/preferences';
import { isTyping } from '@/ui/isTyping';

/** “?” looks keys up on every screen; the plan has that key among its own. */
export function useHelpKey(): [isOpen: boolean, close: () => void] {
  const { settings } = usePreferences();
  const isElsewhere = usePathname() !== '/';
  const [isOpen, setOpen] = useState(false);
  const isHeard = settings.hasKeys && isElsewhere;
  useEffect(() => {
    if (!isHeard) return;
    function onKeyDown(event: KeyboardEvent) {
      if (event.key !== '?' || event.ctrlKey || event.metaKey || isTyping(event.target)) return;
      event.preventDefault();
      setOpen(true);
    }
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [isHeard]);
  return [isOpen, useCallback(() => setOpen(false), [])];
}
