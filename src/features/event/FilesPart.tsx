import { useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { filesNamedBy } from '@/core/files/attached';
import { sayBytes } from '@/core/files/opening';
import type { CalendarEvent } from '@/core/model/event';
import { count } from '@/core/time/words';
import type { Attachment } from '@/engine/files/attachmentStore';
import { FileRows } from '@/ui/FileRows';
import { LinkedText } from '@/ui/LinkedText';
import { AttachmentLater } from './later';
import { useFiles } from './useFiles';

/** The files on an event. */
export function FilesPart({ event }: { event: CalendarEvent }) {
  const files = useFiles();
  const [marked, setMarked] = useState<string[]>([]);
  const [open, setOpen] = useState<Attachment | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const { attachments } = event;
  const named = filesNamedBy(event);
  const total = attachments.reduce((sum, { bytes }) => sum + bytes, 0);
  return (
    <View style={styles.part}>
      <View style={styles.head}>
        <Text style={styles.text}>
          {attachments.length === 0
            ? named.length
              ? 'Files that came with it'
              : 'No files'
            : `${count(attachments.length, 'file')}, ${sayBytes(total)}`}
        </Text>
        <Button compact icon="paperclip" onPress={() => input.current?.click()}>
          Attach files
        </Button>
      </View>
      {named.map(({ name, link }, i) => (
        <View key={i} style={styles.named}>
          <Text>{name}</Text>
          {link ? (
            <LinkedText>{link}</LinkedText>
          ) : (
            <Text variant="bodySmall">Can’t be opened here; an export gives it back.</Text>
          )}
        </View>
      ))}
      <FileRows<Attachment>
        files={attachments}
        marked={marked}
        onMark={setMarked}
        onOpen={setOpen}
        onDownload={(file) => void files.download(file)}
        onRemove={(ids) => {
          setMarked([]);
          void files.remove(ids.map((id) => ({ id, eventId: event.id })));
        }}
      />
      <input
        ref={input}
        type="file"
        multiple
        aria-label="Files to attach"
        style={{ display: 'none' }}
        onChange={(change) => {
          const chosen = [...(change.target.files ?? [])];
          change.target.value = '';
          void files.attach(event.id, chosen);
        }}
      />
      {open && <AttachmentLater file={open} onClose={() => setOpen(null)} />}
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: 2 },
  head: { flexDirection: 'row', alignItems: 'center' },
  text: { flex: 1 },
  named: { paddingVertical: 4 },
});
