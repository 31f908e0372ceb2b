import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { hideOpenings, useShownOpenings } from '@/data/shownOpenings';
import { usePalette } from '@/ui/theme/theme';

/** Above the sheet, while it has openings as bands: for whom, and the way to take them off. */
export function OpeningsBar() {
  const palette = usePalette();
  const shown = useShownOpenings();
  if (!shown) return null;
  return (
    <View
      role="region"
      aria-label="Openings on the sheet"
      style={[styles.bar, { backgroundColor: palette.accentWash, borderColor: palette.hairline }]}
    >
      <View style={[styles.band, { borderColor: palette.accent }]} />
      <Text style={styles.said}>
        {`${shown.isClear ? 'Clear for you' : 'Least in the way of you'}${shown.names ? `, ${shown.names}` : ''}: draw in a band to add`}
      </Text>
      <Button compact onPress={hideOpenings}>
        Take off
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
    paddingRight: 6,
    minHeight: 44,
    borderBottomWidth: 1,
  },
  band: { width: 22, height: 12, borderWidth: 1, borderStyle: 'dashed', borderRadius: 3 },
  said: { flex: 1, minWidth: 0 },
});
