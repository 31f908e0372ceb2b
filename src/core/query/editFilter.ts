import type { Filter, FilterPart } from '../model/filter';
import { EMPTY_FILTER } from '../model/filter';

/** The fields of a filter that each part is said by. */
const FIELDS: Readonly<Record<FilterPart, readonly (keyof Filter)[]>> = {
  words: ['text', 'textIn'],
  place: ['place'],
  calendars: ['calendarIds'],
  categories: ['categoryIds'],
  kinds: ['kinds'],
  availability: ['availability'],
  importance: ['importance'],
  visibility: ['visibility'],
  people: ['people'],
  zones: ['zones'],
  dates: ['dates'],
  weekdays: ['weekdays'],
  timeOfDay: ['timeOfDay'],
  length: ['length'],
  changed: ['changedSince'],
  broughtIn: ['broughtIn'],
  checks: ['checks'],
};

/** A filter without one of its parts. */
export function withoutPart(filter: Filter, part: FilterPart): Filter {
  const empty = Object.fromEntries(FIELDS[part].map((field) => [field, EMPTY_FILTER[field]]));
  return { ...filter, ...empty, not: filter.not.filter((other) => other !== part) };
}

/** A filter with one of its parts turned round: what it asks for must not hold, or must again. */
export function turnedRound(filter: Filter, part: FilterPart): Filter {
  const { not } = filter;
  return {
    ...filter,
    not: not.includes(part) ? not.filter((other) => other !== part) : [...not, part],
  };
}
