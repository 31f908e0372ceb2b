import { useEffect, useRef } from 'react';
import { useMessages } from './messages';
import { useAreCalendarsOpen } from './queries';

/** What is said where something new has no calendar to lie on. */
export const NO_CALENDAR =
  'None of your own calendars is listed, so that this has none to lie on. Make or list one under Calendars.';

/**
 * Does what was pressed at once, or as soon as calendars are open, which is said. What was typed goes
 * with it: where that was changed while it waited, it stands there as it is by then, and nothing is done.
 */
export function useOnceOpen(act: () => unknown, typed = ''): () => void {
  const isOpen = useAreCalendarsOpen();
  const { say } = useMessages();
  const waiting = useRef<string | null>(null);
  useEffect(() => {
    const waited = waiting.current;
    if (!isOpen || waited === null) return;
    waiting.current = null;
    if (waited === typed) act();
  });
  return () => {
    if (isOpen) return void act();
    waiting.current = typed;
    say('Your calendars are still being opened: it is done as soon as they are.');
  };
}
