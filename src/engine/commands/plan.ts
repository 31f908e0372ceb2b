import type { Saying } from '@/core/editing/sayMove';
import type { EpochMs } from '@/core/time/units';
import type { Edit } from '../change';
import type { Asked } from '../queries/asked';
import type { Repository } from '../repository';

export type Records = Pick<Repository, 'get' | 'all'>;

/** What a command is worked out from: how things stand, when (epoch ms), and how times are said. */
export interface Situation extends Asked {
  now: EpochMs;
  saying: Saying;
  /** A new record's id. */
  newId(): string;
}

/** What a command comes to: one change, that can be undone. */
export interface Plan {
  /** In the past tense, for example "Moved Bench round". */
  label: string;
  edits: Edit[];
  /** The event, or by its occurrence's id the date, that it is about; told where it is not the only one edited. */
  about?: string;
}

/**
 * Works out what a command does, and changes nothing itself. Null when there is nothing to do.
 * @throws RangeError, in words for the person, when it can't be done.
 */
export type Planner<Request> = (situation: Situation, request: Request) => Plan | null;
