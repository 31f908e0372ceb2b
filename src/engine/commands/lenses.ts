import type { Lens } from '@/core/model/view';
import { inOrder } from '@/core/model/order';
import { movedLens } from '@/core/view/lenses';
import type { Edit } from '../change';
import type { Planner } from './plan';

/**
 * Makes a lens (`before` null), or changes one from how it was seen; `isView` tells that it only
 * shows something else now.
 */
export const keepLens: Planner<{ before: Lens | null; lens: Lens; isView?: boolean }> = (
  _,
  { before, lens, isView = false },
) => {
  const verb = !before ? 'Made' : isView ? 'Updated' : 'Changed';
  return { label: `${verb} the lens ${lens.name}`, edits: [{ type: 'lens', before, after: lens }] };
};

export const removeLens: Planner<{ id: string }> = ({ records }, { id }) => {
  const before = records.get('lens', id);
  if (!before) return null;
  return {
    label: `Removed the lens ${before.name}`,
    edits: [{ type: 'lens', before, after: null }],
  };
};

/** Moves a lens up (-1) or down the list. */
export const moveLens: Planner<{ id: string; by: -1 | 1 }> = ({ records }, { id, by }) => {
  const moved = movedLens(inOrder(records.all('lens')), id, by);
  if (!moved.length) return null;
  return {
    label: 'Moved a lens',
    edits: moved.map((after): Edit => ({
      type: 'lens',
      before: records.get('lens', after.id) ?? null,
      after,
    })),
  };
};
