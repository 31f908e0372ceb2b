interface Props {
  /** Whether time runs to the right, or down. */
  along: 'right' | 'down';
  /** How far they reach beyond the bar, in px; 0 for none. */
  before: number;
  after: number;
  colour: string;
}

/** The way there and back: a thin lead before a bar and after it. */
export function Ways({ along, before, after, colour }: Props) {
  const size = along === 'right' ? 'width' : 'height';
  return (
    <>
      {before > 0 && (
        <div
          className={`way way-${along} way-before`}
          style={{ [size]: before, borderColor: colour }}
        />
      )}
      {after > 0 && (
        <div
          className={`way way-${along} way-after`}
          style={{ [size]: after, borderColor: colour }}
        />
      )}
    </>
  );
}
