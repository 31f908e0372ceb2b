import { z } from '@/core/model/zod';
import { localStore } from './localStore';
import { chosenStore } from './whichStore';

const half = z.enum(['am', 'pm']);

/** How typed lines were meant where they could mean two things, as the person chose it last. */
export const chosenReadings = localStore(
  () => `orderly-week-chosen-readings-${chosenStore()}`,
  z.object({
    /** The order of a date in figures: "3/12". */
    order: z.enum(['day', 'month']).optional(),
    /** The half of the day of a bare hour, by its minute of the half: "at 8". */
    halves: z.record(z.string(), half).default({}),
  }),
  { halves: {} },
);
