import type { CSSProperties } from 'react';

/** What takes a day: one's own time away, or the closing of a place. */
export interface Wash {
  /** Edge colour of its ink. */
  colour: string;
  isClosure: boolean;
}

/** The flat tint that a taken day has. Whose it is shows at its edge alone (see sheet.css). */
export function WashOf({
  colour,
  isClosure,
  ...place
}: Wash & Pick<CSSProperties, 'left' | 'width' | 'top' | 'height'>) {
  return (
    <div
      aria-hidden
      className={isClosure ? 'sheet-wash sheet-wash-closure' : 'sheet-wash'}
      style={{ ...place, '--wash': colour } as CSSProperties}
    />
  );
}
