import { inkColours } from './theme/palette';
import { usePalette } from './theme/theme';

/** A category's ink, as a label with a cut corner: no calendar has that for a mark. */
export function CategoryDot({ ink, size }: { ink: string; size: number }) {
  const { edge } = inkColours(ink, usePalette());
  return (
    <svg width={size} height={size} viewBox="0 0 12 12" aria-hidden>
      <path d="M1 3h7l3.5 3L8 9H1z" fill={edge} />
    </svg>
  );
}
