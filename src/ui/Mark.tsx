import type { Mark as MarkName } from '@/core/model/inks';

/** Shapes on a field of 12 by 12. */
const OUTLINES: Record<Exclude<MarkName, 'circle' | 'ring'>, string> = {
  square: 'M1.5 1.5h9v9h-9z',
  triangle: 'M6 1 11.5 11H.5z',
  diamond: 'M6 .5 11.5 6 6 11.5.5 6z',
  hexagon: 'M3.3 1.2h5.4L11.5 6l-2.8 4.8H3.3L.5 6z',
  cross: 'M4.2 1h3.6v3.2H11v3.6H7.8V11H4.2V7.8H1V4.2h3.2z',
  chevron: 'M2 1h4.2l4.3 5-4.3 5H2l4.3-5z',
  drop: 'M6 .5C8.6 3.8 10 5.9 10 7.6a4 4 0 0 1-8 0C2 5.9 3.4 3.8 6 .5z',
  bar: 'M.5 4h11v4H.5z',
};

interface Props {
  mark: MarkName;
  colour: string;
  size?: number;
  /** Stands at this distance from the left of what it lies in, instead of in line. */
  left?: number;
}

/**
 * A calendar's shape; hidden from screen readers, which hear the calendar's name. Plain elements of
 * the page: a full week draws hundreds, and wrapped ones cost a third of its time.
 */
export function Mark({ mark, colour, size = 11, left }: Props) {
  const style = left === undefined ? undefined : ({ position: 'absolute', left } as const);
  return (
    <svg width={size} height={size} viewBox="0 0 12 12" aria-hidden style={style}>
      {mark === 'circle' ? (
        <circle cx={6} cy={6} r={5} fill={colour} />
      ) : mark === 'ring' ? (
        <circle cx={6} cy={6} r={4} stroke={colour} strokeWidth={2.6} fill="none" />
      ) : (
        <path d={OUTLINES[mark]} fill={colour} />
      )}
    </svg>
  );
}
