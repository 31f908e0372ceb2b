import { nanoid } from 'nanoid';
import type { InlineFile } from '@/core/files/attached';
import { bytesOf, takeInlineFiles } from '@/core/files/attached';
import type { PlannedEvent } from '@/core/files/ics/plan';
import type { EventDraft } from '@/core/files/ics/readEvent';
import type { FileContents } from '@/core/files/ics/readFile';
import type { FileStore } from '../storage/fileStore';

/** What the entries of a calendar file hold inside, by their UIDs. */
export type FilesInside = ReadonlyMap<string, readonly InlineFile[]>;

/** A calendar file's contents without what its entries held inside, and that. */
export function withoutFiles(contents: FileContents): {
  contents: FileContents;
  inside: FilesInside;
} {
  const inside = new Map<string, InlineFile[]>();
  const bare = <E extends EventDraft>(draft: E): E => {
    const { event, files } = takeInlineFiles(draft);
    if (files.length) inside.set(draft.uid, [...(inside.get(draft.uid) ?? []), ...files]);
    return event;
  };
  const events = contents.events.map(bare);
  const looseDates = contents.looseDates.map((one) => ({ ...one, draft: bare(one.draft) }));
  return { contents: { ...contents, events, looseDates }, inside };
}

/** Puts what entries held inside with the attachments, each once, and gives the events with those. */
export async function withFilesKept(
  planned: readonly PlannedEvent[],
  inside: FilesInside,
  store: Pick<FileStore, 'put'>,
): Promise<PlannedEvent[]> {
  const kept: Record<string, string> = {};
  const events = planned.map((one): PlannedEvent => {
    const { attachments, uid } = one.after;
    const known = new Set(attachments.map(({ name, bytes }) => `${bytes} ${name}`));
    const more = (inside.get(uid) ?? []).flatMap(({ name, mediaType, data }) => {
      const bytes = bytesOf(data);
      if (known.has(`${bytes} ${name}`)) return [];
      const id = nanoid(12);
      kept[id] = data;
      return [{ id, name, mediaType, bytes }];
    });
    return more.length
      ? { ...one, after: { ...one.after, attachments: [...attachments, ...more] } }
      : one;
  });
  if (Object.keys(kept).length) await store.put(kept);
  return events;
}
