import type { Attendee } from '../model/attendees';

/** Texts one under the other, without those that another one of them says. */
export function together(texts: readonly string[]): string {
  const said = distinct(texts.map((text) => text.trim()).filter(Boolean), (text) => text);
  return said
    .filter((text) => !said.some((other) => other !== text && other.includes(text)))
    .join('\n\n');
}

/** Values, each once by its name: the last of those that have the same. */
export const distinct = <T>(values: readonly T[], nameOf: (value: T) => string): T[] => [
  ...new Map(values.map((value) => [nameOf(value), value])).values(),
];

/** By what a person is known: the address, or the name where there is none. */
export const personOf = ({ name, address }: Pick<Attendee, 'name' | 'address'>): string =>
  (address || name).trim().toLowerCase();
