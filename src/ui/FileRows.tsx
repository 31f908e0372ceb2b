import { StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';
import { sayBytes } from '@/core/files/opening';
import { Check } from './Check';
import { usePalette } from './theme/theme';

interface FileRow {
  id: string;
  name: string;
  bytes: number;
  /** What it is on. */
  about?: string;
}

interface Props<T extends FileRow> {
  files: readonly T[];
  marked: readonly string[];
  onMark(ids: string[]): void;
  onOpen(file: T): void;
  onDownload(file: T): void;
  onRemove(ids: string[]): void;
}

/** Attached files with their sizes: opened, downloaded, several removed at once. */
export function FileRows<T extends FileRow>(props: Props<T>) {
  const { files, marked, onMark, onOpen, onDownload, onRemove } = props;
  const { dim } = usePalette();
  return (
    <View>
      <View role="list" aria-label="Files">
        {files.map((file) => {
          const isOn = marked.includes(file.id);
          return (
            <View key={file.id} role="listitem" style={styles.row}>
              <Check
                label={`Choose ${file.name}`}
                isLabelHidden
                isOn={isOn}
                onChange={(on) =>
                  onMark(on ? [...marked, file.id] : marked.filter((id) => id !== file.id))
                }
              />
              <View style={styles.text}>
                <Button
                  compact
                  contentStyle={styles.name}
                  accessibilityLabel={`Open ${file.name}`}
                  onPress={() => onOpen(file)}
                >
                  {file.name}
                </Button>
                <Text variant="bodySmall" style={[styles.about, { color: dim }]}>
                  {sayBytes(file.bytes)}
                  {file.about ? ` · ${file.about}` : ''}
                </Text>
              </View>
              <IconButton
                icon="download-outline"
                accessibilityLabel={`Download ${file.name}`}
                onPress={() => onDownload(file)}
                style={styles.icon}
              />
            </View>
          );
        })}
      </View>
      {marked.length > 0 && (
        <Button icon="trash-can-outline" onPress={() => onRemove([...marked])}>
          {`Remove ${marked.length === 1 ? 'the chosen file' : `${marked.length} files`}`}
        </Button>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', minHeight: 52 },
  text: { flex: 1, minWidth: 0, alignItems: 'flex-start' },
  name: { justifyContent: 'flex-start' },
  about: { paddingHorizontal: 8, marginTop: -6 },
  icon: { margin: 0, width: 40, height: 40 },
});
