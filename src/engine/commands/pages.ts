import { dateAsEvent } from '@/core/editing/series/dates';
import type { DateEdit } from '@/core/editing/series/edit';
import { editSeries } from '@/core/editing/series/edit';
import type { CalendarEvent } from '@/core/model/event';
import { isSeries, revised, uidOf } from '@/core/model/event';
import type { AgendaPoint } from '@/core/model/eventFields';
import { quotedTitle } from '@/core/model/titleOf';
import { carriedOn } from '@/core/page/points';
import { count } from '@/core/time/words';
import type { Edit } from '../change';
import { eventEdit, eventOf } from './events';
import type { Planner, Situation } from './plan';

/** What of an event's page is written by hand. */
export type PageFields = Partial<Pick<CalendarEvent, 'agenda' | 'notes' | 'room'>>;

/** Fields of an event, or of one date of a series alone. */
function paged(
  { now, newId }: Pick<Situation, 'now' | 'newId'>,
  event: CalendarEvent,
  dateKey: string | null,
  fieldsOf: (date: CalendarEvent) => PageFields,
): Edit[] {
  if (dateKey === null || !isSeries(event))
    return [eventEdit(event, revised(event, fieldsOf(event), now))];
  const before = dateAsEvent(event, dateKey);
  const edit: DateEdit = { before, after: { ...before, ...fieldsOf(before) } };
  const made = newId();
  const plan = { scope: 'this', fate: 'keep', names: { id: made, uid: uidOf(made) }, now } as const;
  return editSeries(event, dateKey, edit, plan).map((one) => eventEdit(one.before, one.after));
}

/** Keeps what was written on the page of an event; `says` is what was done, in the past tense. */
export const writePage: Planner<{
  id: string;
  dateKey: string | null;
  fields: PageFields;
  says: string;
}> = (situation, { id, dateKey, fields, says }) => {
  const event = eventOf(situation.records, id);
  return {
    label: `${says} ${quotedTitle(event)}`,
    edits: paged(situation, event, dateKey, () => fields),
    about: dateKey === null ? id : `${id}@${dateKey}`,
  };
};

/** Puts what one date of a series left open onto another. */
export const carryPoints: Planner<{ id: string; fromKey: string; toKey: string }> = (
  situation,
  { id, fromKey, toKey },
) => {
  const event = eventOf(situation.records, id);
  const from = dateAsEvent(event, fromKey).agenda;
  const into = dateAsEvent(event, toKey).agenda;
  const points: AgendaPoint[] = carriedOn(from, into, situation.newId);
  const carried = points.length - into.length;
  if (!carried) return null;
  return {
    label: `Carried on ${count(carried, 'point')} of ${quotedTitle(event)}`,
    edits: paged(situation, event, toKey, () => ({ agenda: points })),
    about: `${id}@${toKey}`,
  };
};
