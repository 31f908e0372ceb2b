import type { Filter } from '../model/filter';
import { EMPTY_FILTER, filter as filterSchema } from '../model/filter';

/** The part of a filter that differs from an empty one, as text for an address; empty for none. */
export function writeFilter(filter: Filter): string {
  const said = Object.entries(filter).filter(
    ([name, value]) => JSON.stringify(value) !== JSON.stringify(EMPTY_FILTER[name as keyof Filter]),
  );
  return said.length ? JSON.stringify(Object.fromEntries(said)) : '';
}

/** Reads such a text; one that can't be read asks for nothing. */
export function readFilter(text: string | null | undefined): Filter {
  if (!text) return EMPTY_FILTER;
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    return EMPTY_FILTER; // Somebody's typing, or an address that was cut.
  }
  if (typeof parsed !== 'object' || parsed === null) return EMPTY_FILTER;
  return filterSchema.safeParse({ ...EMPTY_FILTER, ...parsed }).data ?? EMPTY_FILTER;
}
