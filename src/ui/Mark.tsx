import type { CSSProperties } from 'react';
import type { Mark as MarkName } from '@/core/model/inks';

interface Props {
  mark: MarkName;
  /** Where it is left out, the mark takes the colour of the words that it stands with. */
  colour?: string;
  /** In px; where it is left out, the style sheet says. */
  size?: number;
}

/**
 * A calendar's shape, cut by controls.css; hidden from screen readers, which hear the calendar's
 * name. One plain element: a full month draws hundreds.
 */
export function Mark({ mark, colour, size }: Props) {
  const style: CSSProperties = {
    ...(colour !== undefined && { color: colour }),
    ...(size !== undefined && { fontSize: size }),
  };
  return <span className={`mark mark-${mark}`} aria-hidden style={style} />;
}
