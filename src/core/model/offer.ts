import { id, instant, zoneName } from './common';
import { z } from './zod';

/** Times that were written out for others to choose from; each is held by a tentative event until one is taken. */
export const offer = z.object({
  id,
  title: z.string(),
  minutes: z.number().int().min(1),
  guestIds: z.array(id),
  /** Zones by whose clocks the times were told. */
  zones: z.array(zoneName),
  times: z.array(z.object({ start: instant, eventId: id })).min(1),
  made: instant,
});
export type Offer = z.infer<typeof offer>;
