import type { Href } from 'expo-router';
import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';
import { useAskSheet } from '@/data/asked';
import { putFoundWalk, useFoundWalk } from '@/data/foundWalk';
import { usePalette } from '@/ui/theme/theme';

/** Above the sheet, while what was found is looked at: from one result to the next, and back to their list. */
export function FoundBar() {
  const walk = useFoundWalk();
  const palette = usePalette();
  const router = useRouter();
  const askSheet = useAskSheet();
  if (!walk) return null;
  const { ids, at, said, address } = walk;
  const go = (next: number) => {
    putFoundWalk({ ...walk, at: next });
    askSheet({ kind: 'event', id: ids[next]!, uncovers: true });
  };
  return (
    <View
      role="region"
      aria-label="Results on the sheet"
      style={[styles.bar, { backgroundColor: palette.amberWash, borderColor: palette.hairline }]}
    >
      <Button
        compact
        icon="arrow-left"
        onPress={() => {
          putFoundWalk(null);
          router.navigate(address as Href);
        }}
      >
        Results
      </Button>
      <Text numberOfLines={1} style={styles.said}>
        {`${at + 1} of ${ids.length}`}
        <Text style={{ color: palette.dim }}>{` · ${said}`}</Text>
      </Text>
      <IconButton
        icon="chevron-left"
        accessibilityLabel="Result before"
        size={22}
        disabled={at === 0}
        style={styles.step}
        onPress={() => go(at - 1)}
      />
      <IconButton
        icon="chevron-right"
        accessibilityLabel="Next result"
        size={22}
        disabled={at === ids.length - 1}
        style={styles.step}
        onPress={() => go(at + 1)}
      />
      <IconButton
        icon="close"
        accessibilityLabel="Done with the results"
        size={20}
        style={styles.step}
        onPress={() => putFoundWalk(null)}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  bar: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 4,
    paddingHorizontal: 8,
    borderBottomWidth: 1,
  },
  said: { flex: 1, minWidth: 0 },
  step: { margin: 0, width: 40, height: 40 },
});
