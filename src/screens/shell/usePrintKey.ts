import { usePathname, useRouter } from 'expo-router';
import { useEffect } from 'react';

/** Where what a screen shows is put on paper; the sheet, as it was last, from every other screen. */
function printAddress(pathname: string, search: string): string {
  const said = new URLSearchParams(search);
  const asked = new URLSearchParams();
  if (pathname === '/tasks') asked.set('what', 'tasks');
  if (pathname === '/event') {
    asked.set('what', 'event');
    asked.set('event', said.get('of') ?? '');
  }
  if (pathname === '/find' && said.get('q')) {
    asked.set('what', 'found');
    asked.set('q', said.get('q')!);
  }
  return `/print${asked.size ? `?${asked.toString()}` : ''}`;
}

/** Ctrl (or Cmd) and P lead to the pages as they will be printed, on every screen but that of the pages itself. */
export function usePrintKey(): void {
  const pathname = usePathname();
  const router = useRouter();
  useEffect(() => {
    if (pathname === '/print') return;
    function onKeyDown(event: KeyboardEvent) {
      const isPrint = (event.ctrlKey || event.metaKey) && !event.shiftKey && !event.altKey;
      if (!isPrint || event.key.toLowerCase() !== 'p') return;
      event.preventDefault();
      router.navigate(printAddress(pathname, window.location.search) as '/print');
    }
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [pathname, router]);
}
