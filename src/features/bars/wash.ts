import type { CSSProperties } from 'react';

/** A flat tint of an ink, with an edge where it begins: the day is taken, and text on it stays calm. */
export function wash(colour: string): CSSProperties {
  return { backgroundColor: `${colour}16`, boxShadow: `inset 3px 0 0 ${colour}59` };
}
