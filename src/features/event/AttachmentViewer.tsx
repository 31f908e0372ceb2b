import { useEffect, useState } from 'react';
import { ScrollView, StyleSheet } from 'react-native';
import { ActivityIndicator, Button, Text } from 'react-native-paper';
import { openingOf, sayBytes } from '@/core/files/opening';
import { downloadBlob } from '@/data/browser';
import { useEngine } from '@/data/engineContext';
import type { Attachment } from '@/engine/files/attachmentStore';
import { Dialog } from '@/ui/Dialog';

/** Letters of a text that are shown at once. */
const SHOWN = 200_000;

type Shown = { kind: 'image'; url: string } | { kind: 'text'; text: string } | { kind: 'none' };

/**
 * An attachment, as far as it can be shown without running anything: pictures as pictures, texts as
 * texts. Everything else is handed out as a file.
 */
export function AttachmentViewer({ file, onClose }: { file: Attachment; onClose(): void }) {
  const { engine } = useEngine();
  const [blob, setBlob] = useState<Blob | null | undefined>(undefined);
  const [shown, setShown] = useState<Shown | null>(null);

  useEffect(() => {
    let url: string | null = null;
    let isGone = false;
    async function load() {
      const content = await engine?.files.fileContent(file.id);
      if (isGone) return;
      setBlob(content ?? null);
      const opening = openingOf(file);
      if (!content || opening === 'download') setShown({ kind: 'none' });
      else if (opening === 'image') {
        url = URL.createObjectURL(new Blob([content], { type: file.mediaType }));
        setShown({ kind: 'image', url });
      } else {
        const text = await content.slice(0, SHOWN).text();
        if (!isGone) setShown({ kind: 'text', text });
      }
    }
    void load();
    return () => {
      isGone = true;
      if (url) URL.revokeObjectURL(url);
    };
  }, [engine, file]);

  return (
    <Dialog
      title={file.name}
      onClose={onClose}
      footer={
        <Button
          mode="contained"
          icon="download-outline"
          disabled={!blob}
          onPress={() => blob && downloadBlob(file.name, blob)}
        >
          {`Download, ${sayBytes(file.bytes)}`}
        </Button>
      }
    >
      <ScrollView style={styles.scroll}>
        {blob === null && (
          <Text role="alert">What was in this file is not here any more. It was cleared away.</Text>
        )}
        {blob !== null && shown === null && <ActivityIndicator accessibilityLabel="Opening" />}
        {shown?.kind === 'image' && (
          <img src={shown.url} alt={file.name} style={{ maxWidth: '100%', display: 'block' }} />
        )}
        {shown?.kind === 'text' && <pre className="attached-text">{shown.text}</pre>}
        {blob && shown?.kind === 'none' && (
          <Text>Files of this kind are not opened here. Download it to look at it.</Text>
        )}
      </ScrollView>
    </Dialog>
  );
}

const styles = StyleSheet.create({
  scroll: { maxHeight: '66vh', width: 'min(84vw, 640px)' } as object,
});
