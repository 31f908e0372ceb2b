import type { BulkDeed, DeedPlan } from '@/core/bulk/deeds';
import { planDeed } from '@/core/bulk/deeds';
import type { BulkManner, BulkPlan } from '@/core/bulk/planBulk';
import { planBulk } from '@/core/bulk/planBulk';
import { sayBulk, sayDeed } from '@/core/bulk/sayBulk';
import type { BulkStep } from '@/core/model/bulkSteps';
import type { Chosen, Subject } from '@/core/bulk/subjects';
import { subjectsOf } from '@/core/bulk/subjects';
import type { ChangedDatesFate, Scope } from '@/core/editing/series/edit';
import { partsOfId } from '@/core/agenda/occurrence';
import { eventEdit } from './events';
import type { Planner, Records, Situation } from './plan';
import type { RuleContent } from './rules';
import { withRule } from './rules';

/** Which events are meant, and what an edit of a date reaches. */
export interface BulkTargets {
  /** Events' ids, which mean series whole, and occurrences' ids. */
  ids: readonly string[];
  /** Which dates of their series edits of dates reach; by event's id where it was said one by one. */
  scope: Scope;
  scopes: Readonly<Record<string, Scope>>;
  fate: ChangedDatesFate;
  /** Of `ids`, those that are not touched. */
  leftOut: readonly string[];
  /** The person's clock. */
  zone: string;
}

export interface BulkRequest extends BulkTargets {
  steps: readonly BulkStep[];
}

export interface DeedRequest extends BulkTargets {
  deed: BulkDeed;
}

/** What is selected and still there. */
export function chosenOf(records: Pick<Records, 'get'>, ids: readonly string[]): Chosen[] {
  return [...new Set(ids)].flatMap((id) => {
    const { eventId, dateKey } = partsOfId(id);
    const event = records.get('event', eventId);
    return event && event.removedAt === undefined ? [{ id, event, dateKey }] : [];
  });
}

export function targetsOf(
  records: Pick<Records, 'get'>,
  { ids, scope, scopes }: Pick<BulkTargets, 'ids' | 'scope' | 'scopes'>,
): Subject[] {
  return subjectsOf(chosenOf(records, ids), (eventId) => scopes[eventId] ?? scope);
}

const mannerOf = (
  { records, now, newId }: Pick<Situation, 'records' | 'now' | 'newId'>,
  { zone, fate }: BulkTargets,
): BulkManner => ({
  viewZone: zone,
  fate,
  now,
  newId,
  calendarOf: (id) => records.get('calendar', id),
});

/** What many edits come to, as things are. @throws RangeError for a pattern that can't be used. */
export function bulkOf(
  situation: Pick<Situation, 'records' | 'now' | 'newId'>,
  request: BulkRequest,
): BulkPlan {
  const subjects = targetsOf(situation.records, request);
  const leftOut = new Set(request.leftOut);
  return planBulk(subjects, request.steps, leftOut, mannerOf(situation, request));
}

/** What a deed reaches: skipping is done date by date, whatever the scope of other things. */
const reaching = (request: DeedRequest): DeedRequest =>
  request.deed.kind === 'skip' ? { ...request, scope: 'this', scopes: {} } : request;

/** What a deed comes to, as things are. @throws RangeError when it can't be done. */
export function deedOf(
  situation: Pick<Situation, 'records' | 'now' | 'newId'>,
  request: DeedRequest,
): DeedPlan {
  const subjects = targetsOf(situation.records, reaching(request));
  return planDeed(subjects, request.deed, new Set(request.leftOut), mannerOf(situation, request));
}

/** Does several things to many events, and by `rule` to new ones too, as one change. */
export const changeMany: Planner<{ request: BulkRequest; rule?: RuleContent | undefined }> = (
  situation,
  { request, rule },
) => {
  const { lines, edits } = bulkOf(situation, request);
  if (!edits.length) return null;
  const changed = lines.filter(({ isChanged }) => isChanged).length;
  const plan = {
    label: sayBulk(request.steps, changed, situation.saying.wording.hourCycle),
    edits: edits.map(({ before, after }) => eventEdit(before, after)),
  };
  return withRule(plan, rule, situation);
};

/** Does something to many events as wholes: removes, copies, joins them, or makes a series of them. */
export const doToMany: Planner<{ request: DeedRequest }> = (situation, { request }) => {
  const { lines, edits } = deedOf(situation, request);
  if (!edits.length) return null;
  const done = lines.filter(({ isChanged }) => isChanged).length;
  return {
    label: sayDeed(request.deed, done),
    edits: edits.map(({ before, after }) => eventEdit(before, after)),
  };
};
