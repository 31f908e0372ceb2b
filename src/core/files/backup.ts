import type { TypedRecord } from '../model/records';
import { isRecordType, RECORD_TYPES } from '../model/kinds';
import { checkRecord, keyOf } from '../model/records';
import { migrate, RecordError } from '../model/migrate';
import type { Data } from '../model/versions';
import { SCHEMA_VERSION } from '../model/versions';
import { z } from '../model/zod';
import { FileError } from './ics/scan';
import type { EpochMs } from '../time/units';

const FORMAT = 'orderly-week-backup';
const backupSchema = z.object({
  format: z.literal(FORMAT),
  version: z.number().int().min(1),
  /** ISO 8601 instant */
  made: z.string(),
  records: z.record(z.string(), z.array(z.record(z.string(), z.unknown()))),
  /** Contents of attachments, base64, by id. */
  files: z.record(z.string(), z.string()).default({}),
  /** What could not be read when it was made, as it stood. */
  aside: z.array(z.object({ key: z.string(), raw: z.string(), reason: z.string() })).default([]),
});

type AsideText = z.infer<typeof backupSchema>['aside'][number];

/** Everything that a person has, but for the contents of files, which may be large. */
export interface Backup {
  /** Epoch ms */
  made: EpochMs;
  records: TypedRecord[];
  aside: AsideText[];
}

/** A record that a backup holds and that does not fit, with why and as it stands. */
export interface BadRecord {
  /** Its key in a store, as far as it tells. */
  key: string;
  what: string;
  raw: string;
}

/** What a backup holds. */
export interface BackupContents extends Backup {
  /** Attachments' ids. */
  files: string[];
  bad: BadRecord[];
}

export const recordKey = ({ type, record }: TypedRecord) =>
  keyOf(type, 'id' in record ? record.id : 'mine');

/** The line that files come after, each on a line of its own. */
const FILES = '  "files": {';

/** What stands before the files of a backup: JSON, one record a line, so that two can be compared. */
export function backupHead({ made, records, aside }: Backup): string {
  const byType = RECORD_TYPES.map((type) => {
    const lines = records
      .filter((entry) => entry.type === type)
      .map(({ record }) => `      ${JSON.stringify(record)}`);
    return `    ${JSON.stringify(type)}: [${lines.length ? `\n${lines.join(',\n')}\n    ` : ''}]`;
  });
  const kept = aside.map((one) => `    ${JSON.stringify(one)}`);
  return [
    '{',
    `  "format": "${FORMAT}",`,
    `  "version": ${SCHEMA_VERSION},`,
    `  "made": "${new Date(made).toISOString()}",`,
    `  "records": {\n${byType.join(',\n')}\n  },`,
    `  "aside": [${kept.length ? `\n${kept.join(',\n')}\n  ` : ''}],`,
    `${FILES}\n`,
  ].join('\n');
}

/** A file's part of a backup; `data` is base64. */
export const backupFile = (id: string, data: string, isLast: boolean): string =>
  `    ${JSON.stringify(id)}: ${JSON.stringify(data)}${isLast ? '' : ','}\n`;

/** What stands after the files. */
export const BACKUP_TAIL = '  }\n}\n';

/** From this length on (bytes) a backup is read line by line: it may be longer than a text can be. */
const LONG = 100_000_000;

type OnFile = (id: string, data: string) => Promise<void> | void;

/** The longest text (bytes) that is read as one: beyond it browsers have no room for a text. */
const LONGEST_WHOLE = 400_000_000;

/**
 * A long backup, as this app writes it: its head, and one file after the other. One in other lines, or
 * all on one, is read whole as far as a text can be that long.
 * @throws FileError naming the size of one that can't be.
 */
async function readLines(file: Blob, onFile: OnFile, longestWhole: number): Promise<unknown> {
  const reader = file.stream().pipeThrough(new TextDecoderStream()).getReader();
  let head = '';
  let isInFiles = false;
  async function take(line: string): Promise<void> {
    if (!isInFiles) {
      isInFiles = line === FILES;
      head += isInFiles ? '' : `${line}\n`;
    } else if (line.startsWith('    ')) {
      const entry = JSON.parse(`{${line.replace(/,$/, '')}}`) as Record<string, string>;
      for (const [id, data] of Object.entries(entry)) await onFile(id, data);
    }
  }
  const unfinished: string[] = [];
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    const [first = '', ...lines] = part.value.split('\n');
    unfinished.push(first);
    if (!lines.length) continue;
    await take(unfinished.join(''));
    unfinished.splice(0, Infinity, lines.pop()!);
    for (const line of lines) await take(line);
  }
  if (!isInFiles) {
    unfinished.length = 0;
    if (file.size <= longestWhole) return readWhole(file, onFile);
    const size = Math.round(file.size / 1_000_000).toLocaleString('en');
    throw new FileError(
      `This file has ${size} MB and is not in the lines in which this app writes a backup: that is too much to read at once. Nothing was changed. Choose the backup as the app wrote it.`,
    );
  }
  return JSON.parse(`${head}${FILES}}}`);
}

async function readWhole(file: Blob, onFile: OnFile): Promise<unknown> {
  const whole: unknown = JSON.parse(await file.text());
  const { files = {} } = backupSchema.safeParse(whole).data ?? {};
  for (const [id, data] of Object.entries(files)) await onFile(id, data);
  return whole;
}

/** @throws RecordError saying what does not fit. */
function checkTyped(type: string, data: Data, version: number): TypedRecord {
  if (!isRecordType(type)) throw new RecordError('the app knows no such records');
  return {
    type,
    record: checkRecord(type, migrate(type, data, version)),
  } as TypedRecord;
}

/**
 * Reads a backup; `onFile` is given the content (base64) of each file as it comes. Records that do
 * not fit are set aside with their reason. `longFrom` and `longestWhole` (bytes): see LONG and LONGEST_WHOLE.
 * @throws FileError when it is no backup, or one of a newer version.
 */
export async function readBackup(
  file: Blob,
  onFile: OnFile = () => undefined,
  { longFrom = LONG, longestWhole = LONGEST_WHOLE } = {},
): Promise<BackupContents> {
  const ids: string[] = [];
  let whole: unknown;
  try {
    const take: OnFile = (id, data) => {
      ids.push(id);
      return onFile(id, data);
    };
    whole = await (file.size < longFrom
      ? readWhole(file, take)
      : readLines(file, take, longestWhole));
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error;
    throw new FileError(
      'This is no backup of this app, or a damaged one. Nothing was changed: choose another file.',
    );
  }
  const read = backupSchema.safeParse(whole);
  if (!read.success) throw new FileError('This file is not a backup of this app.');
  const { version, made, records, aside } = read.data;
  if (version > SCHEMA_VERSION)
    throw new FileError('This backup was made by a newer version of the app.');
  const good: TypedRecord[] = [];
  const bad: BadRecord[] = [];
  for (const [type, list] of Object.entries(records)) {
    for (const data of list) {
      try {
        good.push(checkTyped(type, data, version));
      } catch (error) {
        if (!(error instanceof RecordError)) throw error;
        const key = `${type}/${String(data['id'] ?? 'mine')}`;
        const name = String(data['title'] ?? data['name'] ?? data['id'] ?? 'without a name');
        const what = `${type} “${name}”: ${error.message}`;
        bad.push({ key, what, raw: JSON.stringify(data) });
      }
    }
  }
  return { made: Date.parse(made) || 0, records: good, files: ids, aside, bad };
}
