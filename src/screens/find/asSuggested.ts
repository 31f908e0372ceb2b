import { filterDates } from '@/core/find/daysIn';
import type { Suggestion } from '@/core/find/suggestions';
import type { Filter, TextField } from '@/core/model/filter';

/** A phrase as it is looked for whole; one that holds quotes can't be quoted. */
const quoted = (text: string) => (text.includes('"') ? text.replaceAll('"', ' ') : `"${text}"`);

/** Long texts are asked for by their beginning. */
const MOST = 60;

/** The question with what a suggestion says in the place of the typed words. */
export function asSuggested(filter: Filter, suggestion: Suggestion): Filter {
  const plain: Filter = { ...filter, text: '', textIn: [] };
  if (suggestion.field === 'dates') {
    return { ...plain, dates: filterDates(suggestion.days) };
  }
  const { field, text, id } = suggestion;
  const add = (ids: readonly string[]) => [...new Set([...ids, ...(id ? [id] : [])])];
  switch (field) {
    case 'calendar':
      return { ...plain, calendarIds: add(filter.calendarIds) };
    case 'category':
      return { ...plain, categoryIds: add(filter.categoryIds) };
    case 'place':
      return { ...plain, place: text };
    case 'people':
      return { ...plain, people: text };
    default:
      return { ...plain, text: quoted(beginning(text)), textIn: [field satisfies TextField] };
  }
}

function beginning(text: string): string {
  const flat = text.replaceAll(/\s+/g, ' ').trim();
  return flat.length <= MOST ? flat : flat.slice(0, flat.lastIndexOf(' ', MOST));
}
