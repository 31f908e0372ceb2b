import type { Piece } from '@/core/query/words';

/** A text in which what was looked for is marked. */
export function Pieces({ pieces }: { pieces: readonly Piece[] }) {
  // Pieces follow each other and have no names of their own.
  return pieces.map(({ text, isMatch }, i) =>
    isMatch ? (
      <mark key={i} className="found-mark">
        {text}
      </mark>
    ) : (
      <span key={i}>{text}</span>
    ),
  );
}
