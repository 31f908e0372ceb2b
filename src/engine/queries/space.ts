import type { CalendarEvent } from '@/core/model/event';
import type { RecordType } from '@/core/model/kinds';
import { RECORD_TYPES } from '@/core/model/kinds';
import type { Records } from '../commands/plan';
import type { AttachmentRow } from '../files/attachmentStore';

/** What is stored of one kind: how many, and about how many bytes they take. */
export interface SpaceOfKind {
  kind: RecordType | 'file';
  count: number;
  bytes: number;
}

/** Characters that a record takes as it is stored. */
const lengthOf = (record: unknown): number => JSON.stringify(record).length;

/** Records by kind, and attached files, with the characters or bytes that they take. */
export function space(
  records: Pick<Records, 'all'>,
  attachments: readonly Pick<AttachmentRow, 'bytes'>[],
): SpaceOfKind[] {
  const kinds = RECORD_TYPES.map((kind) => {
    const all = records.all(kind);
    const bytes = all.reduce((sum, record) => sum + lengthOf(record), 0);
    return { kind, count: all.length, bytes };
  });
  const bytes = attachments.reduce((sum, file) => sum + file.bytes, 0);
  return [...kinds, { kind: 'file' as const, count: attachments.length, bytes }].filter(
    ({ count }) => count > 0,
  );
}

/** So many, and the bytes that they and the files on them take. */
export interface Freed {
  count: number;
  bytes: number;
}

/** What could be taken away. */
export interface Freeable {
  /** What waits among Removed: events, tasks and calendars. */
  removed: Freed;
  /** Events that are over, as they were asked for. */
  over: Freed;
  /** Files on events that are not removed, with the name of the largest; null where there is none. */
  files: Freed & { largest: string | null };
}

/** What could be taken away, and how much room that gives; of events that are over, these. */
export function freeable(
  records: Pick<Records, 'all' | 'get'>,
  attachments: readonly Pick<AttachmentRow, 'bytes' | 'name'>[],
  overIds: readonly string[],
): Freeable {
  const withFiles = (events: readonly CalendarEvent[]): number =>
    events.reduce(
      (sum, event) =>
        sum + lengthOf(event) + event.attachments.reduce((files, { bytes }) => files + bytes, 0),
      0,
    );
  const isRemoved = ({ removedAt }: { removedAt?: number | undefined }) => removedAt !== undefined;
  const events = records.all('event').filter(isRemoved);
  const others = [
    ...records.all('task').filter(isRemoved),
    ...records.all('calendar').filter(isRemoved),
  ];
  const over = overIds.flatMap((id) => records.get('event', id) ?? []);
  return {
    removed: {
      count: events.length + others.length,
      bytes: withFiles(events) + others.reduce((sum, one) => sum + lengthOf(one), 0),
    },
    over: { count: over.length, bytes: withFiles(over) },
    files: {
      count: attachments.length,
      bytes: attachments.reduce((sum, { bytes }) => sum + bytes, 0),
      largest: attachments[0]?.name ?? null,
    },
  };
}
