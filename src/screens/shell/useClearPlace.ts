import type { RefObject } from 'react';
import { useLayoutEffect, useState } from 'react';
import type { View } from 'react-native';
import { isTyping } from '@/ui/isTyping';

type Place = 'bottom' | 'top';

const overlaps = (a: DOMRect, b: DOMRect) =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

/** What must stay in sight: the field that is typed into, and on the sheet what the message is about. */
function thingsToSee(about: string | null): Element[] {
  const field = isTyping(document.activeElement) ? document.activeElement : null;
  const made =
    about === null ? [] : document.querySelectorAll(`[data-occ^="${CSS.escape(about)}"]`);
  return [...made, ...(field ? [field] : [])];
}

/** Where a bar covers neither a field in use nor what it is about: at the bottom, or else at the top. */
export function useClearPlace(bar: RefObject<View | null>, about: string | null): Place {
  const [place, setPlace] = useState<Place>('bottom');
  useLayoutEffect(() => {
    const element = bar.current as unknown as HTMLElement;
    const around = element.offsetParent;
    // Where it stands at the bottom, wherever it is at the moment.
    const home = element.getBoundingClientRect();
    let frame = 0;
    function look() {
      frame = 0;
      const isCovering = thingsToSee(about).some((one) =>
        overlaps(home, one.getBoundingClientRect()),
      );
      setPlace(isCovering ? 'top' : 'bottom');
    }
    const lookSoon = () => {
      frame ||= requestAnimationFrame(look);
    };
    look();
    // What was made is drawn a moment later, and a field may be gone to at any time.
    const observer = new MutationObserver(lookSoon);
    if (around?.parentElement)
      observer.observe(around.parentElement, { childList: true, subtree: true });
    document.addEventListener('focusin', lookSoon);
    window.addEventListener('resize', lookSoon);
    return () => {
      cancelAnimationFrame(frame);
      observer.disconnect();
      document.removeEventListener('focusin', lookSoon);
      window.removeEventListener('resize', lookSoon);
    };
  }, [bar, about]);
  return place;
}
