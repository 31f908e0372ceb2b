import { useRef, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { count } from '@/core/time/words';
import { download, downloadBlob } from '@/data/browser';
import { noteCopy } from '@/data/safeCopies';
import { useEngine } from '@/data/engineContext';
import { useMessages } from '@/data/messages';
import { usePreferences } from '@/data/preferences';
import { KINDS } from '@/core/model/kinds';
import type { RestorePreview } from '@/engine/files/backupService';
import { Card } from '@/ui/Card';
import { Dialog } from '@/ui/Dialog';
import { sayInstant } from '@/features/calendars/sayInstant';
import { describeError } from '@/core/userError';

const changes = ({ kinds }: RestorePreview) =>
  kinds.reduce((sum, { added, changed, gone }) => sum + added + changed + gone, 0);

/** What restoring would do, kind by kind. */
function RestoreDialog({
  preview,
  onRestore,
  onClose,
}: {
  preview: RestorePreview;
  onRestore(): void;
  onClose(): void;
}) {
  const preferences = usePreferences();
  const total = changes(preview);
  const { files } = preview;
  const used = preview.kinds.filter(({ inBackup, gone }) => inBackup > 0 || gone > 0);
  return (
    <Dialog
      title={`Backup of ${sayInstant(preview.made, preferences)}`}
      onClose={onClose}
      footer={
        <>
          <Button onPress={onClose}>Cancel</Button>
          <Button
            mode="contained"
            disabled={total === 0 && files.missing === 0}
            onPress={onRestore}
          >
            {total > 0
              ? 'Restore it'
              : files.missing > 0
                ? 'Bring the files back'
                : 'Nothing is different'}
          </Button>
        </>
      }
    >
      <ScrollView style={styles.scroll} contentContainerStyle={styles.parts}>
        <Text>Everything becomes as it was then. One press of Undo takes that back.</Text>
        <View role="list" aria-label="What is in it">
          {used.map(({ type, inBackup, added, changed, gone }) => (
            <Text key={type} role="listitem">
              {count(inBackup, KINDS[type].one, KINDS[type].many)}: {added} not here now, {changed}{' '}
              different
              {gone > 0 ? `; ${gone} here now that it does not have` : ''}
            </Text>
          ))}
        </View>
        {files.inBackup > 0 && (
          <Text>
            {count(files.inBackup, 'attached file')} in it
            {files.missing > 0
              ? `; ${count(files.missing, 'is', 'are')} missing here and brought back.`
              : ', all of them here.'}
          </Text>
        )}
        {preview.bad.length > 0 && (
          <>
            <Text role="alert">
              {count(preview.bad.length, 'record does', 'records do')} not fit and stay out:
            </Text>
            {preview.bad.slice(0, 20).map(({ what }) => (
              <Text key={what} variant="bodySmall">
                {what}
              </Text>
            ))}
            <View style={styles.row}>
              <Button
                compact
                onPress={() =>
                  download(
                    'Set aside.json',
                    `[\n${preview.bad.map(({ raw }) => raw).join(',\n')}\n]\n`,
                    'application/json',
                  )
                }
              >
                Save them as a file
              </Button>
            </View>
          </>
        )}
      </ScrollView>
    </Dialog>
  );
}

/** Everything out in one file, and back. */
export function BackupCard() {
  const { engine } = useEngine();
  const { say, complain } = useMessages();
  const [preview, setPreview] = useState<RestorePreview | null>(null);
  const input = useRef<HTMLInputElement>(null);

  async function backUp() {
    if (!engine) return;
    const now = Date.now();
    const name = `Orderly Week backup ${new Date(now).toISOString().slice(0, 10)}.json`;
    try {
      const { file, records, files, aside } = await engine.files.backup(now);
      downloadBlob(name, file);
      noteCopy({ at: now, name, records });
      const more = aside ? `, ${count(aside, 'record')} that could not be read` : '';
      say(
        `Saved everything to ${name}: ${count(records, 'record')}, ${count(files, 'file')}${more}`,
      );
    } catch (error) {
      complain(`No backup was made. ${describeError(error)}`);
    }
  }

  async function look(file: File) {
    try {
      if (engine) setPreview(await engine.files.previewRestore(file));
    } catch (error) {
      complain(`${file.name}: ${describeError(error)}`);
    }
  }

  async function restore() {
    setPreview(null);
    try {
      if (engine) say(await engine.files.restore(Date.now()), { offers: ['undo'] });
    } catch (error) {
      complain(`That could not be restored. ${describeError(error)}`);
    }
  }

  return (
    <Card title="Backup">
      <Text>
        Calendars, events, categories, settings and attached files, all in one file of your own.
      </Text>
      <View style={styles.row}>
        <Button
          mode="contained"
          icon="database-outline"
          disabled={!engine}
          onPress={() => void backUp()}
        >
          Back up
        </Button>
        <Button
          mode="outlined"
          icon="restore"
          disabled={!engine}
          onPress={() => input.current?.click()}
        >
          Restore…
        </Button>
      </View>
      <input
        ref={input}
        type="file"
        accept=".json,application/json"
        aria-label="Backup file"
        style={{ display: 'none' }}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void look(file);
        }}
      />
      {preview && (
        <RestoreDialog
          preview={preview}
          onRestore={() => void restore()}
          onClose={() => setPreview(null)}
        />
      )}
    </Card>
  );
}

const styles = StyleSheet.create({
  scroll: { maxHeight: '62vh', width: 'min(84vw, 460px)' } as object,
  parts: { gap: 10, paddingTop: 4 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
});
