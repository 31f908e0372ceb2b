import { bulkStep } from './bulkSteps';
import { id } from './common';
import { z } from './zod';

/** What is done to new events whose title has some words. */
export const tidyRule = z.object({
  id,
  order: z.number(),
  /** Words, and phrases in quotes, that must all stand in the title. */
  words: z.string().min(1),
  steps: z.array(bulkStep).min(1),
  isOn: z.boolean(),
});
export type TidyRule = z.infer<typeof tidyRule>;
