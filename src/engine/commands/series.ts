import type { ChangedDatesFate, DateEdit, EventEdit, Scope } from '@/core/editing/series/edit';
import { editSeries } from '@/core/editing/series/edit';
import { removeDates, restoreChanged, restoreSkipped } from '@/core/editing/series/skips';
import { sayMove } from '@/core/editing/sayMove';
import { uidOf } from '@/core/model/event';
import { quotedTitle } from '@/core/model/titleOf';
import type { Planner } from './plan';
import { eventEdit, eventOf } from './events';

/** Which dates an edit reaches, and what becomes of those changed by hand. */
export interface Reach {
  scope: Scope;
  fate: ChangedDatesFate;
}

const SCOPE_WORDS = { this: 'one date', later: 'later dates', every: 'every date' } as const;

/** What an action on a series is called: "Moved later dates of “Bench round”". */
const seriesLabel = (verb: string, scope: Scope, event: { title: string }) =>
  `${verb} ${SCOPE_WORDS[scope]} of ${quotedTitle(event)}`;

const asEdits = (edits: readonly EventEdit[]) =>
  edits.map(({ before, after }) => eventEdit(before, after));

/** Edits a series through one of its dates; `verb` is what is done to it, in the past tense. */
export const editSeriesDates: Planner<{
  id: string;
  key: string;
  edit: DateEdit;
  reach: Reach;
  verb: string;
}> = ({ records, now, saying, newId }, { id, key, edit, reach, verb }) => {
  const event = eventOf(records, id);
  const made = newId();
  const names = { id: made, uid: uidOf(made) };
  return {
    label: `${seriesLabel(verb, reach.scope, event)}${sayMove(edit.before, edit.after, saying)}`,
    edits: asEdits(editSeries(event, key, edit, { ...reach, names, now })),
    ...(reach.scope === 'this' && { about: `${id}@${key}` }),
  };
};

/** Skips one date of a series, or removes more of them. */
export const removeSeriesDates: Planner<{ id: string; key: string; scope: Scope }> = (
  { records, now },
  { id, key, scope },
) => {
  const event = eventOf(records, id);
  return {
    label:
      scope === 'this'
        ? `Skipped one date of ${quotedTitle(event)}`
        : seriesLabel('Removed', scope, event),
    edits: [eventEdit(event, removeDates(event, key, scope, now))],
  };
};

/** Makes one date of a series again what the series has planned. */
export const restoreSeriesDate: Planner<{ id: string; key: string; isSkipped: boolean }> = (
  { records, now },
  { id, key, isSkipped },
) => {
  const event = eventOf(records, id);
  const after = (isSkipped ? restoreSkipped : restoreChanged)(event, key, now);
  return {
    label: `Restored one date of ${quotedTitle(event)}`,
    edits: [eventEdit(event, after)],
  };
};
