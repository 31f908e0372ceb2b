import type { CSSProperties } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { InkColours } from '@/ui/theme/palette';

/** Availability shows in the outline: busy filled, tentative dashed, free hollow, away all ink. */
export function barStyle(
  availability: Occurrence['availability'],
  colours: InkColours,
): CSSProperties {
  const { edge, fill, outline, solid } = colours;
  switch (availability) {
    case 'away':
      return { backgroundColor: solid, borderColor: solid };
    case 'free':
      return { borderColor: edge };
    case 'tentative':
      return { backgroundColor: fill, borderColor: edge, borderStyle: 'dashed' };
    default:
      return { backgroundColor: fill, borderColor: outline };
  }
}
