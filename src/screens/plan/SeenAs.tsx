import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { cityOf } from '@/core/time/zoneNames';
import { describeOffset, offsetAt } from '@/core/time/zones';
import { useNow } from '@/data/now';
import { Icon } from '@/ui/icons/Icon';
import { usePalette } from '@/ui/theme/theme';

/** Says that the sheet is seen by another clock for a while, with the way back. */
export function SeenAs({
  zone,
  label,
  home,
  onBack,
}: {
  zone: string;
  /** What the person calls it. */
  label: string;
  home: string;
  onBack(): void;
}) {
  const palette = usePalette();
  const offset = describeOffset(offsetAt(useNow(), zone));
  return (
    <View
      role="status"
      style={[styles.bar, { backgroundColor: palette.amberWash, borderColor: palette.amber }]}
    >
      <Icon name="earth" size={18} color={palette.amber} />
      <Text style={styles.text}>
        Seen as in {label}, {offset}
      </Text>
      <Button compact onPress={onBack}>
        Back to {cityOf(home)}
      </Button>
    </View>
  );
}

const styles = StyleSheet.create({
  bar: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    paddingLeft: 14,
    paddingRight: 4,
    minHeight: 42,
    borderTopWidth: 2,
  },
  text: { flex: 1, minWidth: 0 },
});
