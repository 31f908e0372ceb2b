import { useState } from 'react';
import { Text } from 'react-native-paper';
import { sayBytes } from '@/core/files/opening';
import { count } from '@/core/time/words';
import { titleOf } from '@/core/model/titleOf';
import { useAttachments } from '@/data/queries';
import type { AttachmentRow } from '@/engine/files/attachmentStore';
import { AttachmentLater } from '@/features/event/later';
import { useFiles } from '@/features/event/useFiles';
import { Card } from '@/ui/Card';
import { FileRows } from '@/ui/FileRows';

/** All files on all events, the largest first, to be cleared out several at a time. */
export function FilesCard() {
  const { data: rows = [] } = useAttachments();
  const files = useFiles();
  const [marked, setMarked] = useState<string[]>([]);
  const [open, setOpen] = useState<AttachmentRow | null>(null);
  const total = rows.reduce((sum, { bytes }) => sum + bytes, 0);
  return (
    <Card title="Attached files">
      <Text>
        {rows.length === 0
          ? 'No event has a file. They are attached in an event’s details.'
          : `${count(rows.length, 'file')}, ${sayBytes(total)} in all. The largest first.`}
      </Text>
      <FileRows<AttachmentRow & { about: string }>
        files={rows.map((row) => ({ ...row, about: titleOf({ title: row.eventTitle }) }))}
        marked={marked}
        onMark={setMarked}
        onOpen={setOpen}
        onDownload={(file) => void files.download(file)}
        onRemove={(ids) => {
          setMarked([]);
          void files.remove(rows.filter(({ id }) => ids.includes(id)));
        }}
      />
      {open && <AttachmentLater file={open} onClose={() => setOpen(null)} />}
    </Card>
  );
}
