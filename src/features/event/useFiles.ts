import { useDo } from '@/data/commands';
import { downloadBlob } from '@/data/browser';
import { useEngine } from '@/data/engineContext';
import { useMessages } from '@/data/messages';
import { hasRoomFor } from '@/data/persistence';
import type { Attachment } from '@/engine/files/attachmentStore';
import { describeError } from '@/core/userError';

/** What can be done with files on events. */
export function useFiles() {
  const { engine } = useEngine();
  const { complain } = useMessages();
  const act = useDo();

  return {
    async attach(eventId: string, files: readonly File[]) {
      if (!engine) return;
      const kept: Attachment[] = [];
      for (const file of files) {
        if (!(await hasRoomFor(file.size, 'attached'))) {
          complain(`${file.name} was not attached: the browser has no room for it.`);
          continue;
        }
        try {
          kept.push(await engine.files.keepFile(file, Date.now()));
        } catch (error) {
          complain(describeError(error));
        }
      }
      if (!kept.length) return;
      await act({ kind: 'attachFiles', id: eventId, files: kept });
    },
    async download(file: Attachment) {
      const blob = await engine?.files.fileContent(file.id);
      if (blob) downloadBlob(file.name, blob);
      else complain(`What was in ${file.name} is not here any more.`);
    },
    /** Takes files off their events, as one change. */
    remove: (files: readonly { id: string; eventId: string }[]) =>
      act({ kind: 'detachFiles', files }),
  };
}
