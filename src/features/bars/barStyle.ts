import type { CSSProperties } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import { importanceOf } from '@/core/model/importance';
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

/** How much an event matters shows in its start edge: twofold for high, thin for low. `ground` is what it lies on. */
export function startEdge(importance: number, edge: string, ground: string): string {
  switch (importanceOf(importance)) {
    case 'high':
      return `inset 2px 0 0 ${edge}, inset 3.5px 0 0 ${ground}, inset 5.5px 0 0 ${edge}`;
    case 'low':
      return `inset 1px 0 0 ${edge}`;
    default:
      return `inset 3px 0 0 ${edge}`;
  }
}
