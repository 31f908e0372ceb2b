import type { Share } from '@/core/model/share';
import type { Planner, Records } from './plan';

const nameOf = (records: Records, { of }: Share): string =>
  records.get(of.kind, of.id)?.name ?? 'something';

const withWhom = (records: Records, { personId }: Share): string =>
  personId === null
    ? 'by an address'
    : `with ${records.get('person', personId)?.name ?? 'somebody'}`;

/** Shares a calendar or a lens (`before` null), or changes what is seen of it. */
export const keepShare: Planner<{ before: Share | null; share: Share }> = (
  { records },
  { before, share },
) => ({
  label: before
    ? `Changed what is seen of ${nameOf(records, share)}`
    : `Shared ${nameOf(records, share)} ${withWhom(records, share)}`,
  edits: [{ type: 'share', before, after: share }],
});

/** Ends a share: its address leads nowhere from then on. */
export const endShare: Planner<{ id: string }> = ({ records }, { id }) => {
  const before = records.get('share', id);
  if (!before) return null;
  return {
    label: `Ended sharing ${nameOf(records, before)} ${withWhom(records, before)}`,
    edits: [{ type: 'share', before, after: null }],
  };
};
