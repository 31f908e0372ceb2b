import type { Calendar } from '@/core/model/calendar';
import { revised, uidOf } from '@/core/model/event';
import type { OnCalendar } from '@/core/model/kinds';
import { KINDS, RECORD_TYPES } from '@/core/model/kinds';
import type { RecordOf } from '@/core/model/records';
import { revisedTask } from '@/core/model/task';
import { count, joinWords } from '@/core/time/words';
import type { EpochMs } from '@/core/time/units';
import type { Edit } from '../change';
import type { Records } from './plan';

/** What can be done to a record of a kind that lies on calendars. */
interface ContentSpec<T extends OnCalendar> {
  /** The record with other fields, as edited at an instant (epoch ms). */
  revise(record: RecordOf<T>, fields: Partial<RecordOf<T>>, now: EpochMs): RecordOf<T>;
  /** A copy of its own, made at an instant. */
  copy(record: RecordOf<T>, id: string, now: EpochMs): RecordOf<T>;
}

/** A kind that lies on calendars does not compile until it is here: none is left behind by its calendar. */
const CONTENTS: { [T in OnCalendar]: ContentSpec<T> } = {
  event: {
    revise: revised,
    copy: (event, id, now) => ({
      ...event,
      id,
      uid: uidOf(id),
      created: now,
      updated: now,
      revision: 0,
    }),
  },
  task: {
    revise: revisedTask,
    copy: (task, id, now) => ({
      ...task,
      id,
      uid: uidOf(id),
      created: now,
      updated: now,
      revision: 0,
    }),
  },
};

/** A record that lies on a calendar, with its kind. */
export type Content = { [T in OnCalendar]: { type: T; record: RecordOf<T> } }[OnCalendar];

const ON_CALENDARS = RECORD_TYPES.filter(
  (type): type is OnCalendar => KINDS[type].isOnCalendar,
).toReversed();

const contents = (
  records: Pick<Records, 'all'>,
  calendarId: string,
  removedAt: number | undefined,
): Content[] =>
  ON_CALENDARS.flatMap((type) =>
    records
      .all(type)
      .filter((record) => record.calendarId === calendarId && record.removedAt === removedAt)
      .map((record) => ({ type, record }) as Content),
  );

/** What lies on a calendar and is not removed. */
export const contentsOf = (records: Pick<Records, 'all'>, calendarId: string): Content[] =>
  contents(records, calendarId, undefined);

/** What went with a removed calendar, and comes back with it. */
export const removedWith = (
  records: Pick<Records, 'all'>,
  { id, removedAt }: Calendar,
): Content[] => contents(records, id, removedAt);

/** "3 events", or "3 events and 2 tasks". */
export function sayContents(all: readonly { type: OnCalendar }[]): string {
  const parts = ON_CALENDARS.flatMap((type) => {
    const n = all.filter((content) => content.type === type).length;
    const { one, many } = KINDS[type];
    return n || type === 'event' ? [count(n, one, many)] : [];
  });
  return joinWords(parts);
}

// The compiler can't tell that a record and the spec of its kind belong together.
const specOf = (type: OnCalendar) => CONTENTS[type] as unknown as ContentSpec<'event'>;

/** The edit that gives a record other fields; undefined takes one away. */
export function reviseContent(
  { type, record }: Content,
  fields: { calendarId?: string; removedAt?: number | undefined },
  now: EpochMs,
): Edit {
  const after: Record<string, unknown> = {
    ...specOf(type).revise(record as RecordOf<'event'>, fields, now),
  };
  if (after['removedAt'] === undefined) delete after['removedAt'];
  return { type, before: record, after: after as RecordOf<OnCalendar> };
}

/** The edit that makes a copy of a record on another calendar. */
export function copyContent(
  { type, record }: Content,
  to: { id: string; calendarId: string },
  now: EpochMs,
): Edit {
  const copy = specOf(type).copy(record as RecordOf<'event'>, to.id, now);
  return { type, before: null, after: { ...copy, calendarId: to.calendarId } };
}
