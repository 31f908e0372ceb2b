import { nanoid } from 'nanoid';
import type { BackupContents, BadRecord } from '@/core/files/backup';
import { BACKUP_TAIL, backupFile, backupHead, readBackup, recordKey } from '@/core/files/backup';
import { FileError } from '@/core/files/ics/scan';
import type { CalendarEvent } from '@/core/model/event';
import type { RecordType } from '@/core/model/kinds';
import { RECORD_TYPES } from '@/core/model/kinds';
import type { TypedRecord } from '@/core/model/records';
import type { Edit } from './change';
import type { FileStore } from './storage/fileStore';
import { fromBase64, toBase64 } from './storage/fileStore';
import type { Repository } from './repository';
import { reasonOf } from './results';

/** Largest attachment, in bytes. */
const MOST_BYTES = 25 * 1024 * 1024;

export type Attachment = CalendarEvent['attachments'][number];

/** An attachment with the event that it is on. */
export interface AttachmentRow extends Attachment {
  eventId: string;
  eventTitle: string;
}

/** What is stored of one kind: how many, and about how many bytes they take. */
export interface SpaceOfKind {
  kind: RecordType | 'file';
  count: number;
  bytes: number;
}

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
  made: number;
  /** Records by kind: in the backup, not here yet, here but different, and only here. */
  kinds: { type: RecordType; inBackup: number; added: number; changed: number; gone: number }[];
  /** Attachments' contents: in the backup, and those of them that are not here. */
  files: { inBackup: number; missing: number };
  bad: BadRecord[];
}

/** Keeps attachments' contents, makes backups and restores them. */
export class Keeper {
  private read: { file: Blob; contents: BackupContents } | null = null;

  constructor(
    private readonly repository: Repository,
    private readonly files: FileStore,
  ) {}

  private allRecords(): TypedRecord[] {
    return RECORD_TYPES.flatMap((type) =>
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
  async backup(now: number): Promise<BackupMade> {
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
    const kinds = RECORD_TYPES.map((type) => {
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
    const wanted = new Map(records.map((entry) => [recordKey(entry), entry]));
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
   * Makes everything as the last previewed backup has it, as one change; files that are missing here
   * come back with it. Its label.
   * @throws FileError when none was previewed, or while not everything is here.
   */
  async restore(now: number): Promise<string> {
    this.assertWhole();
    if (!this.read) throw new FileError('Choose the backup again: none is waiting.');
    const { file, contents } = this.read;
    const here = new Set(await this.files.ids());
    await readBackup(file, async (id, data) => {
      if (!here.has(id)) await this.files.put({ [id]: data });
    });
    await this.repository.putBy(contents.aside);
    const label = `Restored the backup of ${new Date(contents.made).toISOString().slice(0, 10)}`;
    const edits = this.edits(contents);
    if (edits.length) await this.repository.commit({ label, at: now, edits });
    this.read = null;
    return label;
  }

  /**
   * Keeps a file's content, and gives the attachment that stands for it.
   * @throws FileError when it is too large, or can't be kept.
   */
  async keep(file: Blob & { name: string }, now: number): Promise<Attachment> {
    if (file.size > MOST_BYTES) {
      const megabytes = Math.ceil(file.size / 1024 / 1024);
      throw new FileError(`${file.name} is ${megabytes} MB. Files of up to 25 MB can be kept.`);
    }
    const id = newFileId(now);
    const data = toBase64(new Uint8Array(await file.arrayBuffer()));
    try {
      await this.files.put({ [id]: data });
    } catch (error) {
      throw new FileError(`${file.name} was not kept. ${reasonOf(error)}`);
    }
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

  /** Records by kind, and attached files, with the characters or bytes that they take. */
  space(): SpaceOfKind[] {
    const records = RECORD_TYPES.map((kind) => {
      const all = this.repository.all(kind);
      const bytes = all.reduce((sum, record) => sum + JSON.stringify(record).length, 0);
      return { kind, count: all.length, bytes };
    });
    const files = this.attachments();
    const bytes = files.reduce((sum, file) => sum + file.bytes, 0);
    return [...records, { kind: 'file' as const, count: files.length, bytes }].filter(
      ({ count }) => count > 0,
    );
  }

  /**
   * Takes away contents that nothing has any more: neither an event, removed ones included, nor the
   * settings, nor what could not be read, nor a change that can be undone. What was attached lately
   * stays: the event that it is for may not be kept yet, in this window or another.
   */
  async clearUnused(now: number): Promise<void> {
    const used = new Set([
      ...this.repository.all('event').flatMap(({ attachments }) => attachments.map(({ id }) => id)),
      ...this.repository.all('settings').flatMap(({ todayPicture }) => todayPicture?.id ?? []),
    ]);
    const unused = (await this.files.ids()).filter((id) => !used.has(id) && !isRecent(id, now));
    if (!unused.length) return;
    const texts = await this.repository.otherTexts();
    await this.files.remove(unused.filter((id) => !texts.some((text) => text.includes(id))));
  }
}

/** What is attached says by its id when that was. */
const newFileId = (now: number) => `${now.toString(36)}.${nanoid(12)}`;

/** How long what nothing has yet is left alone, in ms. */
const LATELY = 24 * 60 * 60 * 1000;

function isRecent(id: string, now: number): boolean {
  const [, time] = /^([0-9a-z]+)\./.exec(id) ?? [];
  return time !== undefined && now - parseInt(time, 36) < LATELY;
}
