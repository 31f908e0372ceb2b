import { lazy, Suspense, useEffect } from 'react';
import { LinkedText } from '../LinkedText';

// It comes when notes are first shown: most of what is opened has none.
const fetchIt = () => import('./MarkdownText');
const MarkdownText = lazy(fetchIt);

/** Fetches what formats, for a screen that will need it: while the notes themselves are asked for. */
export function useFormattedSoon(): void {
  useEffect(() => void fetchIt(), []);
}

/** Notes in simple Markdown; as they were typed until they can be shown formatted. */
export function Formatted({ children }: { children: string }) {
  return (
    <Suspense fallback={<LinkedText>{children}</LinkedText>}>
      <MarkdownText text={children} />
    </Suspense>
  );
}
