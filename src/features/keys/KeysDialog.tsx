import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { Dialog } from '@/ui/Dialog';
import { TextField } from '@/ui/TextField';
import { usePalette } from '@/ui/theme/theme';
import { KEY_ROWS } from './keys';

/** Every key of the sheet, to be looked up. */
export function KeysDialog({ onClose }: { onClose(): void }) {
  const palette = usePalette();
  const [text, setText] = useState('');
  const word = text.trim().toLowerCase();
  const rows = KEY_ROWS.filter(({ keys, says }) => `${keys} ${says}`.toLowerCase().includes(word));
  return (
    <Dialog title="Keys" onClose={onClose}>
      <TextField label="Look for a key" value={text} onChangeText={setText} autoFocus />
      <View role="list" aria-label="Keys" style={styles.list}>
        {rows.map(({ keys, says }) => (
          <View key={keys} role="listitem" style={[styles.row, { borderColor: palette.hairline }]}>
            <Text style={styles.keys}>{keys}</Text>
            <Text style={styles.says}>{says}</Text>
          </View>
        ))}
      </View>
      {rows.length === 0 && <Text style={{ color: palette.dim }}>No key does that.</Text>}
    </Dialog>
  );
}

const styles = StyleSheet.create({
  list: { maxWidth: 440 },
  row: { flexDirection: 'row', gap: 12, paddingVertical: 6, borderBottomWidth: 1 },
  keys: { width: 150, fontWeight: '600' },
  says: { flex: 1, minWidth: 0 },
});
