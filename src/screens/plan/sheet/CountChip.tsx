import type { CSSProperties, ReactNode } from 'react';
import { count } from '@/core/time/words';

interface Props {
  events: number;
  /** Whether they lie before or after the shown hours. */
  side: 'earlier' | 'later';
  dayName: string;
  place: CSSProperties;
  /** The edge of the sheet that it lies at, beyond which nothing of it can be hit. */
  edge?: 'top' | 'bottom';
  onPress(): void;
  children: ReactNode;
}

/** How many events of a day lie outside the shown hours; a press shows them. */
export function CountChip({ events, side, dayName, place, edge, onPress, children }: Props) {
  return (
    <button
      type="button"
      data-nodrag
      aria-label={`${count(events, `${side} event`)} on ${dayName}: show`}
      onClick={onPress}
      className={`count-chip${edge ? ` count-chip-${edge}` : ''}`}
      style={place}
    >
      {children}
    </button>
  );
}
