import { id } from './common';
import { filter } from './filter';
import { z } from './zod';

/** A question that was kept, to be asked again. */
export const question = z.object({
  id,
  name: z.string().min(1),
  order: z.number(),
  filter,
});
export type Question = z.infer<typeof question>;
