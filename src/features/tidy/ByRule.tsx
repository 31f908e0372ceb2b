import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { sayRuleSteps } from '@/core/bulk/sayBulk';
import type { Ruled } from '@/data/rules';
import { useFilterWording } from '@/features/query/useFilterWording';
import { Icon } from '@/ui/icons/Icon';
import { usePalette } from '@/ui/theme/theme';

/** Says which rules shape what is being added, and keeps them out of it by one press. */
export function ByRule({ by, leaveOut }: Pick<Ruled, 'by' | 'leaveOut'>) {
  const palette = usePalette();
  const names = useFilterWording();
  if (!by.length) return null;
  const said = by
    .map(({ words, steps }) => `${words}: ${sayRuleSteps(steps, names.wording.hourCycle, names)}`)
    .join(' · ');
  return (
    <View role="status" style={[styles.line, { backgroundColor: palette.accentWash }]}>
      <Icon name="broom" size={18} color={palette.accent} />
      <Text variant="bodySmall" style={styles.text}>{`By your rule for ${said}`}</Text>
      <Button compact onPress={leaveOut}>
        Not this time
      </Button>
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: 8, borderRadius: 8, paddingLeft: 8 },
  text: { flex: 1, minWidth: 0 },
});
