import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { count } from '@/core/time/words';

/** Says what of these days is too much to be shown: series that were cut, and bars that are not drawn. */
export function NotShown({ cut, tooMany }: { cut: number; tooMany: number }) {
  if (cut === 0 && tooMany === 0) return null;
  return (
    <View role="status" style={styles.notShown}>
      {cut > 0 && (
        <Text variant="bodySmall">
          {count(cut, 'series has', 'series have')} more dates in these days than can be shown; only
          the first are.
        </Text>
      )}
      {tooMany > 0 && (
        <Text variant="bodySmall">
          {count(tooMany, 'event', 'events')} more than can be drawn on these days; the table lists
          all.
        </Text>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  notShown: { paddingHorizontal: 14, paddingBottom: 6 },
});
