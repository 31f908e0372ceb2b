import type { Category } from '@/core/model/others';
import { revised } from '@/core/model/event';
import { count } from '@/core/time/words';
import { UserError } from '@/core/userError';
import type { Edit } from '../change';
import { eventEdit } from './events';
import type { Planner } from './plan';

/** Makes a category (`before` null), or changes one from how it was seen. */
export const keepCategory: Planner<{ before: Category | null; category: Category }> = (
  _,
  { before, category },
) => ({
  label: `${before ? 'Changed' : 'Made'} the category ${category.name}`,
  edits: [{ type: 'category', before, after: category }],
});

/** Takes a category away, and from every event and date that has it. */
export const removeCategory: Planner<{ id: string }> = ({ records, now }, { id }) => {
  const category = records.get('category', id);
  if (!category) throw new UserError('gone', 'This category is not here any more.');
  const without = (ids: readonly string[]) => ids.filter((other) => other !== id);
  const edits = records.all('event').flatMap((before): Edit[] => {
    const dates = Object.entries(before.changedDates);
    const isUsed =
      before.categoryIds.includes(id) || dates.some(([, date]) => date.categoryIds?.includes(id));
    if (!isUsed) return [];
    const changedDates = Object.fromEntries(
      dates.map(([key, date]) => [
        key,
        date.categoryIds ? { ...date, categoryIds: without(date.categoryIds) } : date,
      ]),
    );
    const fields = { categoryIds: without(before.categoryIds), changedDates };
    return [eventEdit(before, revised(before, fields, now))];
  });
  return {
    label: `Removed the category ${category.name} from ${count(edits.length, 'event')}`,
    edits: [{ type: 'category', before: category, after: null }, ...edits],
  };
};
