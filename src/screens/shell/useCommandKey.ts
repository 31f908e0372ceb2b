import { useCallback, useEffect, useState } from 'react';
import { usePreferences } from '@/data/preferences';
import { loadCommandBox } from '@/features/commands/later';
import { isTyping } from '@/ui/isTyping';

/** Once the page has settled, in ms, the box is fetched: it opens at once then. */
const SETTLED = 3000;

/** The key “/” opens the box of everything that can be done, on every screen. */
export function useCommandKey(): [isOpen: boolean, close: () => void] {
  const { settings } = usePreferences();
  const [isOpen, setOpen] = useState(false);
  const isHeard = settings.hasKeys;
  useEffect(() => {
    if (!isHeard) return;
    const timer = setTimeout(() => void loadCommandBox(), SETTLED);
    return () => clearTimeout(timer);
  }, [isHeard]);
  useEffect(() => {
    if (!isHeard) return;
    function onKeyDown(event: KeyboardEvent) {
      if (event.key !== '/' || event.ctrlKey || event.metaKey || event.altKey) return;
      const target = event.target as HTMLElement;
      if (isTyping(target) || target.closest?.('[role="dialog"], dialog')) return;
      event.preventDefault();
      setOpen(true);
    }
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [isHeard]);
  return [isOpen, useCallback(() => setOpen(false), [])];
}
