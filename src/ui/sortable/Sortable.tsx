import { lazy, Suspense } from 'react';
import { usePalette } from '../theme/theme';
import type { SortableProps } from './sortableProps';

// What drags comes with the first list of its kind: the sheet, which is opened first, has none.
const SortableList = lazy(() => import('./SortableList'));

/** The same rows while what drags is still coming. */
function StillList({ name, ids, row }: SortableProps) {
  const palette = usePalette();
  return (
    <div role="list" aria-label={name}>
      {ids.map((id) => (
        <div
          key={id}
          role="listitem"
          className="sortable-row"
          style={{ borderColor: palette.hairline, background: palette.sheet }}
        >
          <span className="drag-handle" />
          {row(id)}
        </div>
      ))}
    </div>
  );
}

/** A list whose order is changed by dragging or with the keyboard. */
export function Sortable(props: SortableProps) {
  return (
    <Suspense fallback={<StillList {...props} />}>
      <SortableList {...props} />
    </Suspense>
  );
}
