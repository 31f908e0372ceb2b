import { id, localDateTime, zoneName } from '../model/common';
import { dateKey } from '../model/eventFields';
import { z } from '../model/zod';
import { DAY, formatLocal } from '../time/civil';
import type { WallMs } from '../time/units';

/** Which event of a share is meant, or which date of it. */
export const sharedRef = z.object({ eventId: id, key: dateKey.nullable() });
export type SharedRef = z.infer<typeof sharedRef>;

/** What somebody else may change of an event. Times are on the clock that the share tells them by. */
export const sharedFields = z.object({
  title: z.string().trim().max(1000),
  place: z.string().trim().max(1000),
  /** `YYYY-MM-DDTHH:mm:ss`; whole days run from midnight to midnight. */
  start: localDateTime,
  end: localDateTime,
});
export type SharedFields = z.infer<typeof sharedFields>;
export type SharedField = keyof SharedFields;
export const SHARED_FIELDS = Object.keys(sharedFields.shape) as SharedField[];

/** Fields as somebody wants them, of an event that lasts whole days or not; where they follow each other in time. */
const wanted = sharedFields
  .extend({ title: sharedFields.shape.title.min(1) })
  .refine(({ start, end }) => start < end, {
    path: ['end'],
    message: 'is not after the start',
  });

const who = {
  id,
  by: z.string().trim().min(1).max(100),
  /** By whose clock its times are. */
  zone: zoneName,
};

/** What somebody with whom something is shared did to it; `base` is what they saw when they did. */
export const sharedChange = z.discriminatedUnion('kind', [
  z.object({ ...who, kind: z.literal('change'), of: sharedRef, base: sharedFields, to: wanted }),
  z.object({ ...who, kind: z.literal('add'), to: wanted }),
  z.object({ ...who, kind: z.literal('remove'), of: sharedRef, base: sharedFields }),
  z.object({
    ...who,
    kind: z.literal('answer'),
    uid: z.string().min(1).max(300),
    key: dateKey.nullable(),
    answer: z.enum(['accepted', 'tentative', 'declined']),
  }),
]);
export type SharedChange = z.infer<typeof sharedChange>;

/** The fields of something shared, as those see it who may change it; wall ms on the share's clock. */
export const fieldsShown = (shown: {
  title: string;
  place: string;
  start: WallMs;
  end: WallMs;
}): SharedFields => ({
  title: shown.title,
  place: shown.place,
  start: formatLocal(shown.start),
  end: formatLocal(shown.end),
});

/** Whether fields fill whole days: from midnight to midnight. */
export const areWholeDays = (start: WallMs, end: WallMs): boolean =>
  start % DAY === 0 && end % DAY === 0 && end > start;

/** What a change comes to where the event is no longer what its writer saw. */
export interface Merged {
  /** Fields that become what they wrote. */
  taken: Partial<SharedFields>;
  /** Fields that both changed, differently: what they wrote, and what stands. */
  kept: Partial<SharedFields>;
}

/**
 * Merges somebody's change into how things stand, field by field; when an event is counts as one
 * field. What only they changed is taken, what both changed otherwise stays as it stands.
 */
export function mergeShared(base: SharedFields, theirs: SharedFields, mine: SharedFields): Merged {
  const merged: Merged = { taken: {}, kept: {} };
  const parts: SharedField[][] = [['title'], ['place'], ['start', 'end']];
  for (const names of parts) {
    const same = (a: SharedFields, b: SharedFields) => names.every((name) => a[name] === b[name]);
    if (same(base, theirs) || same(theirs, mine)) continue;
    const into = same(base, mine) ? merged.taken : merged.kept;
    for (const name of names) into[name] = theirs[name];
  }
  return merged;
}
