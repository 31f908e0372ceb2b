import type { BackupContents, BadRecord } from '@/core/files/backup';
import { BACKUP_TAIL, backupFile, backupHead, readBackup, recordKey } from '@/core/files/backup';
import { FileError } from '@/core/files/ics/scan';
import type { RecordType } from '@/core/model/kinds';
import { KINDS, RECORD_TYPES } from '@/core/model/kinds';
import type { TypedRecord } from '@/core/model/records';
import type { EpochMs } from '@/core/time/units';
import type { Edit } from '../change';
import type { Plan } from '../commands/plan';
import type { FileStore } from '../storage/fileStore';
import type { Repository } from '../repository';

/** A backup, and what is in it. */
export interface BackupMade {
  file: Blob;
  records: number;
  files: number;
  /** Records that could not be read, as they stand. */
  aside: number;
}

/** What restoring a backup would do. */
export interface RestorePreview {
  /** Epoch ms; when it was made. */
  made: EpochMs;
  /** Records by kind: in the backup, not here yet, here but different, and only here. */
  kinds: { type: RecordType; inBackup: number; added: number; changed: number; gone: number }[];
  /** Attachments' contents: in the backup, and those of them that are not here. */
  files: { inBackup: number; missing: number };
  bad: BadRecord[];
}

/** A share comes back paused: to restore a backup is not to share, and another browser may have it too. */
const paused = (entry: TypedRecord): TypedRecord =>
  entry.type === 'share' ? { ...entry, record: { ...entry.record, isPaused: true } } : entry;

/** Makes backups and restores them. */
export class BackupService {
  private read: { file: Blob; contents: BackupContents } | null = null;

  constructor(
    private readonly repository: Repository,
    private readonly files: FileStore,
  ) {}

  private allRecords(): TypedRecord[] {
    return RECORD_TYPES.filter((type) => KINDS[type].isInBackup).flatMap((type) =>
      this.repository.all(type).map((record) => ({ type, record }) as TypedRecord),
    );
  }

  /** @throws FileError while not all records are here: half of them would be taken for all. */
  private assertWhole(): void {
    if (!this.repository.isWhole)
      throw new FileError('Not everything could be read yet. Try again once it is here.');
  }

  /**
   * Everything in one file, which has been read again to see that all is in it. `now` is epoch ms.
   * @throws FileError when it is not, or while not everything is here.
   */
  async backup(now: EpochMs): Promise<BackupMade> {
    this.assertWhole();
    const records = this.allRecords();
    const aside = this.repository.setAside;
    const ids = await this.files.ids();
    // Each part for itself, so that not all files are in memory at once.
    const parts = [new Blob([backupHead({ made: now, records, aside })])];
    for (const [i, id] of ids.entries()) {
      const data = await this.files.get(id);
      if (data === null) throw new FileError('A file was cleared away meanwhile. Try again.');
      parts.push(new Blob([backupFile(id, data, i === ids.length - 1)]));
    }
    const file = new Blob([...parts, BACKUP_TAIL], { type: 'application/json' });
    const read = await readBackup(file);
    const isWhole =
      read.bad.length === 0 &&
      read.records.length === records.length &&
      read.files.length === ids.length &&
      read.aside.length === aside.length;
    if (!isWhole) throw new FileError('The backup could not be read again, and was not given out.');
    return { file, records: records.length, files: ids.length, aside: aside.length };
  }

  /** @throws FileError when it is no backup, or while not everything is here. */
  async previewRestore(file: Blob): Promise<RestorePreview> {
    this.assertWhole();
    const contents = await readBackup(file);
    this.read = { file, contents };
    const { made, records, files, bad } = contents;
    const edits = this.edits(contents);
    const kinds = RECORD_TYPES.filter((type) => KINDS[type].isInBackup).map((type) => {
      const ofType = edits.filter((edit) => edit.type === type);
      return {
        type,
        inBackup: records.filter((entry) => entry.type === type).length,
        added: ofType.filter(({ before }) => !before).length,
        changed: ofType.filter(({ before, after }) => before && after).length,
        gone: ofType.filter(({ after }) => !after).length,
      };
    });
    const here = new Set(await this.files.ids());
    const missing = files.filter((id) => !here.has(id)).length;
    return { made, kinds, files: { inBackup: files.length, missing }, bad };
  }

  private edits({ records, bad }: BackupContents): Edit[] {
    const wanted = new Map(records.map((entry) => [recordKey(entry), paused(entry)]));
    // What the backup holds in a damaged state is no reason to take the good one away.
    const damaged = new Set(bad.map(({ key }) => key));
    const edits: Edit[] = [];
    for (const here of this.allRecords()) {
      const key = recordKey(here);
      const there = wanted.get(key);
      wanted.delete(key);
      if (!there && damaged.has(key)) continue;
      const isSame = there && JSON.stringify(there.record) === JSON.stringify(here.record);
      if (!isSame)
        edits.push({ type: here.type, before: here.record, after: there?.record ?? null });
    }
    for (const { type, record } of wanted.values())
      edits.push({ type, before: null, after: record });
    return edits;
  }

  /**
   * The change that makes everything as the last previewed backup has it. Files that are missing
   * here come back at once: nothing shows them until their events are here.
   * @throws FileError when none was previewed, or while not everything is here.
   */
  async plan(): Promise<Plan> {
    this.assertWhole();
    if (!this.read) throw new FileError('Choose the backup again: none is waiting.');
    const { file, contents } = this.read;
    const here = new Set(await this.files.ids());
    await readBackup(file, async (id, data) => {
      if (!here.has(id)) await this.files.put({ [id]: data });
    });
    await this.repository.putBy(contents.aside);
    const label = `Restored the backup of ${new Date(contents.made).toISOString().slice(0, 10)}`;
    return { label, edits: this.edits(contents) };
  }

  /** The backup is not asked for any more. */
  forget(): void {
    this.read = null;
  }
}
