import { StyleSheet, View } from 'react-native';
import { IconButton, Text } from 'react-native-paper';
import type { TableColumn } from '@/core/model/view';
import { TABLE_COLUMNS } from '@/core/model/view';
import { Check } from '@/ui/Check';
import { Dialog } from '@/ui/Dialog';
import { usePalette } from '@/ui/theme/theme';
import { COLUMN_NAMES } from '@/core/agenda/tableColumns';

interface Props {
  columns: readonly TableColumn[];
  onChange(columns: TableColumn[]): void;
  onClose(): void;
}

/** Which columns the table has, and in which order. */
export function ColumnsDialog({ columns, onChange, onClose }: Props) {
  const { dim } = usePalette();
  const hidden = TABLE_COLUMNS.filter((column) => !columns.includes(column));

  function show(column: TableColumn, isOn: boolean) {
    const next = isOn ? [...columns, column] : columns.filter((other) => other !== column);
    // A table without columns would have nothing to press.
    if (next.length) onChange(next);
  }

  function move(column: TableColumn, by: -1 | 1) {
    const at = columns.indexOf(column);
    const others = columns.filter((other) => other !== column);
    onChange([...others.slice(0, at + by), column, ...others.slice(at + by)]);
  }

  return (
    <Dialog title="Columns of the table" onClose={onClose}>
      <View role="list" aria-label="Columns">
        {[...columns, ...hidden].map((column) => {
          const at = columns.indexOf(column);
          const name = COLUMN_NAMES[column];
          return (
            <View key={column} role="listitem" style={styles.row}>
              <View style={styles.check}>
                <Check label={name} isOn={at >= 0} onChange={(isOn) => show(column, isOn)} />
              </View>
              {at >= 0 && (
                <>
                  <IconButton
                    icon="chevron-up"
                    size={20}
                    disabled={at === 0}
                    accessibilityLabel={`${name}: to the left`}
                    onPress={() => move(column, -1)}
                    style={styles.button}
                  />
                  <IconButton
                    icon="chevron-down"
                    size={20}
                    disabled={at === columns.length - 1}
                    accessibilityLabel={`${name}: to the right`}
                    onPress={() => move(column, 1)}
                    style={styles.button}
                  />
                </>
              )}
            </View>
          );
        })}
      </View>
      <Text variant="bodySmall" style={{ color: dim }}>
        From top to bottom here is from left to right in the table.
      </Text>
    </Dialog>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', minHeight: 44 },
  check: { flex: 1 },
  button: { margin: 0, width: 40, height: 40 },
});
