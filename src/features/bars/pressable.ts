import type { HTMLAttributes, KeyboardEvent } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { BarState } from './barState';

/**
 * What makes an element a bar of the sheet: a button to press, which the sheet's own listeners find
 * by its attribute.
 */
export function pressable(
  o: Occurrence,
  isTabStop: boolean,
  onOpen: (o: Occurrence) => void,
  { waits, isChosen }: BarState,
): HTMLAttributes<HTMLElement> & { 'data-occ': string } {
  return {
    'data-occ': o.id,
    ...(waits && { 'data-draft': '' }),
    ...(isChosen && { 'data-chosen': '' }),
    role: 'button',
    tabIndex: isTabStop ? 0 : -1,
    onClick: () => onOpen(o),
    onKeyDown: (event: KeyboardEvent) => {
      if ((event.key !== 'Enter' && event.key !== ' ') || event.altKey) return;
      event.preventDefault();
      onOpen(o);
    },
  };
}
