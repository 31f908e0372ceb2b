import { usePathname, useRouter } from 'expo-router';
import { useCallback, useEffect, useState } from 'react';
import { usePreferences } from '@/data/preferences';
import { isTyping } from '@/ui/isTyping';

/** Keys that do the same on every screen: “?” looks keys up, F finds. The plan has them among its own. */
export function useEverywhereKeys(): [isHelpOpen: boolean, closeHelp: () => void] {
  const { settings } = usePreferences();
  const pathname = usePathname();
  const router = useRouter();
  const [isOpen, setOpen] = useState(false);
  const isHeard = settings.hasKeys && pathname !== '/';
  useEffect(() => {
    if (!isHeard) return;
    function onKeyDown(event: KeyboardEvent) {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      const isFind = event.key.toLowerCase() === 'f';
      if (event.key !== '?' && !isFind) return;
      event.preventDefault();
      if (isFind) router.navigate('/find');
      else setOpen(true);
    }
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [isHeard, router]);
  return [isOpen, useCallback(() => setOpen(false), [])];
}
