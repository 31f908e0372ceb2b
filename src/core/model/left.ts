import { id, instant } from './common';
import { z } from './zod';

/** A finding that the person looked at and left as it is, so that it does not come back. */
export const left = z.object({
  id,
  /** Which check found what (see `leftKey`). */
  key: z.string().min(1),
  title: z.string(),
  at: instant,
});
export type Left = z.infer<typeof left>;
