import { nanoid } from 'nanoid';
import { FileError } from '@/core/files/ics/scan';
import type { CalendarEvent } from '@/core/model/event';
import type { EpochMs } from '@/core/time/units';
import type { FileStore } from '../storage/fileStore';
import { fromBase64, toBase64 } from '../storage/base64';
import type { Repository } from '../repository';
import { reasonOf } from '../results';

/** Largest attachment, in bytes. */
const MOST_BYTES = 25 * 1024 * 1024;

export type Attachment = CalendarEvent['attachments'][number];

/** An attachment with the event that it is on. */
export interface AttachmentRow extends Attachment {
  eventId: string;
  eventTitle: string;
}

/** Keeps the contents of files that are attached to events. */
export class AttachmentStore {
  constructor(
    private readonly repository: Pick<Repository, 'all' | 'otherTexts'>,
    private readonly files: FileStore,
  ) {}

  /**
   * Keeps a file's content, and gives the attachment that stands for it.
   * @throws FileError when it is too large, or can't be kept.
   */
  async keep(file: Blob & { name: string }, now: EpochMs): Promise<Attachment> {
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

  /**
   * Takes away contents that nothing has any more: neither an event, removed ones included, nor the
   * settings, nor what could not be read, nor a change that can be undone. What was attached lately
   * stays: the event that it is for may not be kept yet, in this window or another.
   */
  async clearUnused(now: EpochMs): Promise<void> {
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
const newFileId = (now: EpochMs) => `${now.toString(36)}.${nanoid(12)}`;

/** How long what nothing has yet is left alone, in ms. */
const LATELY = 24 * 60 * 60 * 1000;

function isRecent(id: string, now: EpochMs): boolean {
  const [, time] = /^([0-9a-z]+)\./.exec(id) ?? [];
  return time !== undefined && now - parseInt(time, 36) < LATELY;
}
