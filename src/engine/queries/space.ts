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

/** Records by kind, and attached files, with the characters or bytes that they take. */
export function space(
  records: Pick<Records, 'all'>,
  attachments: readonly Pick<AttachmentRow, 'bytes'>[],
): SpaceOfKind[] {
  const kinds = RECORD_TYPES.map((kind) => {
    const all = records.all(kind);
    const bytes = all.reduce((sum, record) => sum + JSON.stringify(record).length, 0);
    return { kind, count: all.length, bytes };
  });
  const bytes = attachments.reduce((sum, file) => sum + file.bytes, 0);
  return [...kinds, { kind: 'file' as const, count: attachments.length, bytes }].filter(
    ({ count }) => count > 0,
  );
}
