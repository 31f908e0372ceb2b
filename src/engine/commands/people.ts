import type { Person } from '@/core/model/person';
import type { Planner } from './plan';

/** Adds somebody (`before` null), or changes what is kept of them. */
export const keepPerson: Planner<{ before: Person | null; person: Person }> = (
  _,
  { before, person },
) => ({
  label: before ? `Changed ${person.name}` : `Added ${person.name} to people`,
  edits: [{ type: 'person', before, after: person }],
});

/** Takes somebody away, with what was noted of them. */
export const removePerson: Planner<{ id: string }> = ({ records }, { id }) => {
  const before = records.get('person', id);
  if (!before) return null;
  return {
    label: `Removed ${before.name} from people`,
    edits: [{ type: 'person', before, after: null }],
  };
};

/** Puts somebody's time on the sheet, or takes it off; null for everybody's off. */
export const showPerson: Planner<{ id: string | null; shown: boolean }> = (
  { records },
  { id, shown },
) => {
  const edits = records
    .all('person')
    .filter((one) => (id === null || one.id === id) && one.shown !== shown)
    .map((before) => ({ type: 'person' as const, before, after: { ...before, shown } }));
  const [only] = edits;
  if (!only) return null;
  const whose = edits.length === 1 ? `${only.before.name}’s time` : 'time of others';
  return { label: `${shown ? 'Put' : 'Took'} ${whose} ${shown ? 'on' : 'off'} the sheet`, edits };
};
