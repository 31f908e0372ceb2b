import { lazy, Suspense } from 'react';
import { LinkedText } from '../LinkedText';

// It comes when notes are first shown: most of what is opened has none.
const MarkdownText = lazy(() => import('./MarkdownText'));

/** Notes in simple Markdown; as they were typed until they can be shown formatted. */
export function Formatted({ children }: { children: string }) {
  return (
    <Suspense fallback={<LinkedText>{children}</LinkedText>}>
      <MarkdownText text={children} />
    </Suspense>
  );
}
