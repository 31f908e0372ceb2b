import type { RecordType, TypedRecord } from '../model/records';
import { checkRecord, keyOf, RecordError, SCHEMAS } from '../model/records';
import { z } from '../model/zod';
import { FileError } from './ics/scan';

const FORMAT = 'orderly-week-backup';
/** The version that backups are written in; newer ones are refused. */
const VERSION = 1;

const backupFile = z.object({
  format: z.literal(FORMAT),
  version: z.number().int().min(1),
  /** ISO 8601 instant */
  made: z.string(),
  records: z.record(z.string(), z.array(z.record(z.string(), z.unknown()))),
  /** Contents of attachments, base64, by id. */
  files: z.record(z.string(), z.string()).default({}),
});

/** Everything that a person has. */
export interface Backup {
  /** Epoch ms */
  made: number;
  records: TypedRecord[];
  files: Record<string, string>;
}

/** A record that a backup holds and that does not fit, with why and as it stands. */
export interface BadRecord {
  what: string;
  raw: string;
}

export const recordKey = ({ type, record }: TypedRecord) =>
  keyOf(type, 'id' in record ? record.id : 'mine');

/** The text of a backup: JSON, one record a line, so that two backups can be compared. */
export function writeBackup({ made, records, files }: Backup): string {
  const byType = Object.keys(SCHEMAS).map((type) => {
    const lines = records
      .filter((entry) => entry.type === type)
      .map(({ record }) => `      ${JSON.stringify(record)}`);
    return `    ${JSON.stringify(type)}: [${lines.length ? `\n${lines.join(',\n')}\n    ` : ''}]`;
  });
  const contents = Object.entries(files).map(
    ([id, data]) => `    ${JSON.stringify(id)}: ${JSON.stringify(data)}`,
  );
  return [
    '{',
    `  "format": "${FORMAT}",`,
    `  "version": ${VERSION},`,
    `  "made": "${new Date(made).toISOString()}",`,
    `  "records": {\n${byType.join(',\n')}\n  },`,
    `  "files": {${contents.length ? `\n${contents.join(',\n')}\n  ` : ''}}`,
    '}',
    '',
  ].join('\n');
}

/**
 * Reads a backup. Records that do not fit are set aside with their reason.
 * @throws FileError when it is no backup, or one of a newer version.
 */
export function readBackup(text: string): Backup & { bad: BadRecord[] } {
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch (error) {
    throw new FileError(`This is no backup, or a damaged one: ${(error as Error).message}`);
  }
  const read = backupFile.safeParse(parsed);
  if (!read.success) throw new FileError('This file is not a backup of this app.');
  const { version, made, records, files } = read.data;
  if (version > VERSION) throw new FileError('This backup was made by a newer version of the app.');
  const good: TypedRecord[] = [];
  const bad: BadRecord[] = [];
  for (const [type, list] of Object.entries(records)) {
    for (const data of list) {
      try {
        if (!(type in SCHEMAS)) throw new RecordError('the app knows no such records');
        const record = checkRecord(type as RecordType, data);
        good.push({ type, record } as TypedRecord);
      } catch (error) {
        if (!(error instanceof RecordError)) throw error;
        const name = String(data['title'] ?? data['name'] ?? data['id'] ?? 'without a name');
        bad.push({ what: `${type} “${name}”: ${error.message}`, raw: JSON.stringify(data) });
      }
    }
  }
  return { made: Date.parse(made) || 0, records: good, files, bad };
}
