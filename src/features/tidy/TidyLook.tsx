import { useRouter } from 'expo-router';
import { Pressable, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { CHECK_WORDS } from '@/core/model/checks';
import { dayOfWall, startOfWeek } from '@/core/time/civil';
import { z } from '@/core/model/zod';
import { localStore } from '@/data/localStore';
import { useWallNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';
import { useSoonFindings } from '@/data/tidying';
import { chosenStore } from '@/data/whichStore';
import { Icon } from '@/ui/icons/Icon';
import { Title } from '@/ui/Title';
import { usePalette } from '@/ui/theme/theme';

/** The week (day number of its first day) in which the look was put away last. */
const putAway = localStore(
  () => `orderly-week-look-${chosenStore()}`,
  z.number().int().nullable(),
  null,
);

/** The look of the week: a few things that are better put right before they happen. */
export function TidyLook() {
  const { clock, firstWeekday } = usePreferences();
  const palette = usePalette();
  const router = useRouter();
  const week: number = startOfWeek(dayOfWall(useWallNow(clock)), firstWeekday);
  const away = putAway.useValue();
  const { data: findings = [] } = useSoonFindings();
  if (away === week || findings.length === 0) return null;

  return (
    <View role="region" aria-label="To put right soon" style={styles.all}>
      <View style={styles.head}>
        <Title level={2}>Put right soon</Title>
        <Button compact onPress={() => putAway.put(week)}>
          Not this week
        </Button>
      </View>
      {findings.map(({ check, key, title, reason }) => (
        <Pressable
          key={`${check} ${key}`}
          role="button"
          onPress={() => router.navigate(`/tidy?check=${check}`)}
          style={[styles.one, { borderColor: palette.hairline }]}
        >
          <Icon name="broom" size={18} color={palette.accent} />
          <View style={styles.text}>
            <Text>{`${CHECK_WORDS[check].name}: ${title}`}</Text>
            <Text variant="bodySmall" style={{ color: palette.dim }}>
              {reason}
            </Text>
          </View>
        </Pressable>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 4 },
  head: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between' },
  one: { flexDirection: 'row', gap: 8, minHeight: 44, paddingVertical: 6, borderBottomWidth: 1 },
  text: { flex: 1, minWidth: 0 },
});
