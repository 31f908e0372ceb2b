import { z } from '@/core/model/zod';
import { localStore } from './localStore';
import { chosenStore } from './whichStore';

/** In which order figures of a date were meant where the person said so last: "3/12". */
export const typedOrder = localStore(
  () => `orderly-week-typed-order-${chosenStore()}`,
  z.enum(['day', 'month']).nullable(),
  null,
);
