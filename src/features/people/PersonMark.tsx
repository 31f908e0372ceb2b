import type { Person } from '@/core/model/person';
import { Mark } from '@/ui/Mark';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';

/** The mark of a person in their ink. */
export function PersonMark({
  person,
  size = 14,
}: {
  person: Pick<Person, 'mark' | 'ink'>;
  size?: number;
}) {
  const palette = usePalette();
  return <Mark mark={person.mark} colour={inkColours(person.ink, palette).edge} size={size} />;
}
