import type { CSSProperties } from 'react';

/** Narrow stripes of an ink: the day is taken, yet what lies on it stays legible. */
export function stripes(colour: string): CSSProperties {
  return {
    backgroundImage: `repeating-linear-gradient(90deg, ${colour}24 0 6px, transparent 6px 12px)`,
  };
}
