import { nanoid } from 'nanoid';
import type { Backup, BadRecord } from '@/core/files/backup';
import { readBackup, recordKey, writeBackup } from '@/core/files/backup';
import { FileError } from '@/core/files/ics/scan';
import type { CalendarEvent } from '@/core/model/event';
import type { RecordType, TypedRecord } from '@/core/model/records';
import { SCHEMAS } from '@/core/model/records';
import type { Edit } from './change';
import type { FileStore } from './fileStore';
import { fromBase64, toBase64 } from './fileStore';
import type { Repository } from './repository';

/** Largest attachment, in bytes. */
const MOST_BYTES = 25 * 1024 * 1024;

export type Attachment = CalendarEvent['attachments'][number];

/** An attachment with the event that it is on. */
export interface AttachmentRow extends Attachment {
  eventId: string;
  eventTitle: string;
}

/** What restoring a backup would do. */
export interface RestorePreview {
  /** Epoch ms; when it was made. */
  made: number;
  /** Records by kind: in the backup, not here yet, here but different, and only here. */
  kinds: { type: RecordType; inBackup: number; added: number; changed: number; gone: number }[];
  /** Attachments' contents. */
  files: number;
  bad: BadRecord[];
}

const TYPES = Object.keys(SCHEMAS) as RecordType[];

/** Keeps attachments' contents, makes backups and restores them. */
export class Keeper {
  private read: (Backup & { bad: BadRecord[] }) | null = null;

  constructor(
    private readonly repository: Repository,
    private readonly files: FileStore,
  ) {}

  private allRecords(): TypedRecord[] {
    return TYPES.flatMap((type) =>
      this.repository.all(type).map((record) => ({ type, record }) as TypedRecord),
    );
  }

  /** Everything in one text. `now` is epoch ms. */
  async backup(now: number): Promise<string> {
    const files: Record<string, string> = {};
    for (const id of await this.files.ids()) {
      const data = await this.files.get(id);
      if (data !== null) files[id] = data;
    }
    return writeBackup({ made: now, records: this.allRecords(), files });
  }

  /** @throws FileError when it is no backup. */
  async previewRestore(file: Blob): Promise<RestorePreview> {
    this.read = readBackup(await file.text());
    const { made, records, files, bad } = this.read;
    const edits = this.edits(records);
    const kinds = TYPES.map((type) => {
      const ofType = edits.filter((edit) => edit.type === type);
      return {
        type,
        inBackup: records.filter((entry) => entry.type === type).length,
        added: ofType.filter(({ before }) => !before).length,
        changed: ofType.filter(({ before, after }) => before && after).length,
        gone: ofType.filter(({ after }) => !after).length,
      };
    });
    return { made, kinds, files: Object.keys(files).length, bad };
  }

  private edits(records: readonly TypedRecord[]): Edit[] {
    const wanted = new Map(records.map((entry) => [recordKey(entry), entry]));
    const edits: Edit[] = [];
    for (const here of this.allRecords()) {
      const there = wanted.get(recordKey(here));
      wanted.delete(recordKey(here));
      const isSame = there && JSON.stringify(there.record) === JSON.stringify(here.record);
      if (!isSame)
        edits.push({ type: here.type, before: here.record, after: there?.record ?? null });
    }
    for (const { type, record } of wanted.values())
      edits.push({ type, before: null, after: record });
    return edits;
  }

  /**
   * Makes everything as the last previewed backup has it, as one change; its label.
   * @throws FileError when none was previewed.
   */
  async restore(now: number): Promise<string> {
    if (!this.read) throw new FileError('Choose the backup again: none is waiting.');
    const { records, files, made } = this.read;
    await this.files.put(files);
    const label = `Restored the backup of ${new Date(made).toISOString().slice(0, 10)}`;
    const edits = this.edits(records);
    if (edits.length) await this.repository.commit({ label, at: now, edits });
    this.read = null;
    return label;
  }

  /**
   * Keeps a file's content, and gives the attachment that stands for it.
   * @throws FileError when it is too large.
   */
  async keep(file: Blob & { name: string }): Promise<Attachment> {
    if (file.size > MOST_BYTES) {
      const megabytes = Math.ceil(file.size / 1024 / 1024);
      throw new FileError(`${file.name} is ${megabytes} MB. Files of up to 25 MB can be kept.`);
    }
    const id = nanoid(12);
    await this.files.put({ [id]: toBase64(new Uint8Array(await file.arrayBuffer())) });
    return { id, name: file.name, mediaType: file.type, bytes: file.size };
  }

  /** The content of an attachment; null when it was cleared away. The bytes have no type: nothing runs them. */
  async content(id: string): Promise<Blob | null> {
    const data = await this.files.get(id);
    return data === null ? null : new Blob([fromBase64(data)]);
  }

  /** Every attachment of events that are not removed, the largest first. */
  attachments(): AttachmentRow[] {
    return this.repository
      .all('event')
      .filter(({ removedAt }) => removedAt === undefined)
      .flatMap(({ id, title, attachments }) =>
        attachments.map((one) => ({ ...one, eventId: id, eventTitle: title })),
      )
      .sort((a, b) => b.bytes - a.bytes);
  }

  /** Takes away contents that neither an event, removed ones included, nor the settings have any more. */
  async clearUnused(): Promise<void> {
    const used = new Set([
      ...this.repository.all('event').flatMap(({ attachments }) => attachments.map(({ id }) => id)),
      ...this.repository.all('settings').flatMap(({ todayPicture }) => todayPicture?.id ?? []),
    ]);
    const ids = await this.files.ids();
    await this.files.remove(ids.filter((id) => !used.has(id)));
  }
}
