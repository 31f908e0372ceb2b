import { useEffect } from 'react';

/** Elements that had the focus before, as far back as is remembered. */
const REMEMBERED = 16;
const FOCUSABLE =
  'a[href]:not(.skip-link), button:not(:disabled), input:not(:disabled), select, textarea, [tabindex="0"]:not([aria-disabled="true"])';
const MAIN = 'main';
/** What lies over the page, and goes away as a whole. */
const LAYER = 'dialog, [role="dialog"], [aria-live]';

const isUsable = (element: HTMLElement) =>
  element.isConnected &&
  !element.matches(':disabled, [aria-disabled="true"]') &&
  element.checkVisibility();

const focusOn = (element: HTMLElement | null | undefined) =>
  element?.focus({ preventScroll: true });

function ancestorsOf(element: Element): Element[] {
  const ancestors: Element[] = [];
  for (let up = element.parentElement; up; up = up.parentElement) ancestors.push(up);
  return ancestors;
}

/**
 * The first thing that can be used near where an element was, by what stood around it; of what the
 * page shows nothing else than that itself, where a new screen has nothing yet.
 */
function nearby(around: readonly Element[]): HTMLElement | undefined {
  for (const each of around) {
    if (!each.isConnected || each === document.body) continue;
    const found = [...each.querySelectorAll<HTMLElement>(FOCUSABLE)].find(isUsable);
    if (found) return found;
    if (each.id === MAIN) return each as HTMLElement;
  }
  return undefined;
}

/**
 * Keeps the focus from falling to the page's body, where letters are commands: when what has it goes
 * away or can't be used any more, it goes back where it came from (out of a dialog, a panel or a
 * message), or else to what is near.
 */
export function useKeptFocus(): void {
  useEffect(() => {
    let trail: HTMLElement[] = [];
    let around: Element[] = [];

    function onFocusIn({ target }: FocusEvent) {
      const element = target as HTMLElement;
      trail = [...trail.filter((each) => each !== element), element].slice(-REMEMBERED);
      around = ancestorsOf(element);
    }

    function look() {
      const last = trail.at(-1);
      if (document.activeElement !== document.body || !last || isUsable(last)) return;
      const layer = around.find((each) => each.matches(LAYER));
      const isLayerGone =
        layer !== undefined && !(layer.isConnected && layer.childElementCount > 0);
      const before = trail.findLast(isUsable);
      focusOn((isLayerGone ? before : (nearby(around) ?? before)) ?? document.getElementById(MAIN));
    }

    const observer = new MutationObserver(look);
    observer.observe(document.body, {
      childList: true,
      subtree: true,
      attributes: true,
      attributeFilter: ['disabled', 'aria-disabled'],
    });
    document.addEventListener('focusin', onFocusIn);
    return () => {
      observer.disconnect();
      document.removeEventListener('focusin', onFocusIn);
    };
  }, []);
}
