/**
 * Does something once the mouse button that asked for it is let go: what opens under a pressed
 * button would get its release. By key, or where browsers ask on release, at once.
 */
export function afterRelease({ buttons }: { buttons: number }, then: () => void): void {
  if (buttons === 0) then();
  else window.addEventListener('pointerup', () => setTimeout(then, 0), { once: true });
}

/**
 * Does something once the finger or button that was held is let go: what opens under it would get
 * the click that browsers make of the release. Nothing happens when the hold becomes a scroll.
 */
export function afterHold(then: () => void): void {
  const over = new AbortController();
  const { signal } = over;
  window.addEventListener('touchend', (event) => event.preventDefault(), {
    passive: false,
    signal,
  });
  window.addEventListener('pointercancel', () => over.abort(), { signal });
  window.addEventListener(
    'pointerup',
    () =>
      setTimeout(() => {
        over.abort();
        then();
      }),
    { signal },
  );
}
