import type { TextField } from '../model/filter';
import { fold } from '../query/fold';
import { wordsOf } from '../query/words';
import type { DaysMeant } from './daysIn';
import type { FoundText } from './textIndex';

/** Something that can be asked for by a press: a text in a field, a calendar, a category, days. */
export type Suggestion =
  | { field: TextField; text: string; count: number; id?: string }
  | { field: 'dates'; days: DaysMeant };

/** Suggestions of one field: the first of them, and how many there are. */
export interface SuggestionGroup {
  field: TextField | 'dates';
  entries: Suggestion[];
  total: number;
}

/** Something that has a name and an id. */
interface Named {
  id: string;
  name: string;
}

/** Suggestions of a field that are listed. */
const LISTED_A_FIELD = 4;
/** The order in which fields are listed. */
const ORDER: readonly SuggestionGroup['field'][] = [
  'dates',
  'title',
  'place',
  'people',
  'calendar',
  'category',
  'notes',
  'agenda',
  'file',
  'link',
];

/** Those whose name has all of the words. */
function namesWith<T extends Named>(named: readonly T[], words: readonly string[]): T[] {
  return named.filter(({ name }) => {
    const folded = fold(name);
    return words.every((word) => folded.includes(word));
  });
}

/** What words may ask for, by the field that it stands in; fields without any are left out. */
export function suggestionsFor(
  typed: string,
  {
    found,
    days,
    calendars,
    categories,
    countOf,
  }: {
    found: readonly FoundText[];
    days: readonly DaysMeant[];
    calendars: readonly Named[];
    categories: readonly Named[];
    countOf(kind: 'calendar' | 'category', id: string): number;
  },
): SuggestionGroup[] {
  const words = wordsOf(typed);
  const groups = new Map<SuggestionGroup['field'], SuggestionGroup>();
  function add(field: SuggestionGroup['field'], make: () => Suggestion): void {
    let group = groups.get(field);
    if (!group) groups.set(field, (group = { field, entries: [], total: 0 }));
    group.total++;
    if (group.entries.length < LISTED_A_FIELD) group.entries.push(make());
  }
  if (!words.length) return [];
  for (const meant of days) add('dates', () => ({ field: 'dates', days: meant }));
  for (const text of found) add(text.field, () => ({ ...text }));
  for (const kind of ['calendar', 'category'] as const)
    for (const { id, name } of namesWith(kind === 'calendar' ? calendars : categories, words))
      add(kind, () => ({ field: kind, text: name, id, count: countOf(kind, id) }));
  return ORDER.flatMap((field) => groups.get(field) ?? []);
}
