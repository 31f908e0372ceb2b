import type { SharedCopy } from '@/core/people/shared';
import type { SharedChange } from '@/core/people/sharedChange';
import { formatLocal, HOUR, MINUTE, parseLocal } from '@/core/time/civil';
import { wallFromInstant } from '@/core/time/zones';
import { memberAt } from './officeMail';

/** How long a colleague takes until they do something with what is shared with them. */
const SETTLES_IN = 15 * MINUTE;
/** By how much they move the first thing that they find. */
const MOVED_BY = 30 * MINUTE;

/**
 * What a member of the office does with a calendar that they may change: once it was theirs for a
 * while they move the next event that is left, and answer the first invitation where they may.
 * `begun` says when it was shared; both times are epoch ms of the page's clock.
 */
export function officeEdits(copy: SharedCopy, begun: number, now: number): SharedChange[] {
  const { changing } = copy;
  const member = memberAt(changing?.who?.address ?? '');
  if (!changing || !member || now < begun + SETTLES_IN) return [];
  const { zone, invitations } = changing;
  const from = wallFromInstant(now, zone) + HOUR;
  const line = copy.days
    .flatMap(({ lines }) => lines)
    .find(
      ({ change }) =>
        change &&
        change.base.start.slice(11) !== '00:00:00' &&
        parseLocal(change.base.start) >= from,
    );
  const [asked] = invitations;
  const moved = (local: string) => formatLocal(parseLocal(local) + MOVED_BY);
  return [
    ...(line?.change
      ? [
          {
            ...{
              id: `${member.id}-moved-${begun}`,
              by: member.name,
              zone,
              kind: 'change' as const,
            },
            ...line.change,
            to: {
              ...line.change.base,
              start: moved(line.change.base.start),
              end: moved(line.change.base.end),
            },
          },
        ]
      : []),
    ...(asked
      ? [
          {
            ...{ id: `${member.id}-answered-${begun}`, by: member.name, zone },
            ...{
              kind: 'answer' as const,
              uid: asked.uid,
              key: asked.key,
              answer: 'accepted' as const,
            },
          },
        ]
      : []),
  ];
}
