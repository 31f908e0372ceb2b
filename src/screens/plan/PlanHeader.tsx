import { Pressable, StyleSheet, View } from 'react-native';
import { IconButton, Text } from 'react-native-paper';
import { Title } from '@/ui/Title';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  title: string;
  subtitle: string;
  onPickDate(): void;
  onTurn(direction: -1 | 1): void;
  onToday(): void;
}

/** What is shown, and the way back, to today and on. */
export function PlanHeader({ title, subtitle, onPickDate, onTurn, onToday }: Props) {
  const palette = usePalette();
  const button = [styles.button, { borderColor: palette.hairline, backgroundColor: palette.sheet }];
  return (
    <View style={styles.header}>
      <Pressable
        role="button"
        aria-label={`${title}: choose a date`}
        onPress={onPickDate}
        style={styles.title}
      >
        <Title level={1} style={styles.range}>
          {title}
        </Title>
        <Text variant="bodySmall" style={{ color: palette.dim }} numberOfLines={1}>
          {subtitle}
        </Text>
      </Pressable>
      <IconButton
        icon="chevron-left"
        accessibilityLabel="Week before"
        onPress={() => onTurn(-1)}
        style={button}
        iconColor={palette.ink}
      />
      <Pressable role="button" onPress={onToday} style={[button, styles.today]}>
        <Text style={{ color: palette.green, fontWeight: '600' }}>Today</Text>
      </Pressable>
      <IconButton
        icon="chevron-right"
        accessibilityLabel="Week after"
        onPress={() => onTurn(1)}
        style={button}
        iconColor={palette.ink}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  header: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 6,
    paddingHorizontal: 14,
    paddingTop: 10,
    paddingBottom: 6,
  },
  title: { flex: 1, minWidth: 0 },
  range: { fontSize: 23 },
  button: { borderWidth: 1, borderRadius: 10, width: 40, height: 40, margin: 0 },
  today: { width: 64, alignItems: 'center', justifyContent: 'center' },
});
