import { Pressable, StyleSheet, View } from 'react-native';
import { IconButton, Text } from 'react-native-paper';
import { Title } from '@/ui/Title';
import { usePalette, textPx } from '@/ui/theme/theme';

interface Props {
  title: string;
  subtitle: string;
  /** What the ways back and on turn over: "Week". */
  turnName: string;
  onPickDate(): void;
  /** Shows the hours of what is shown. */
  onLoad(): void;
  onTurn(direction: -1 | 1): void;
  onToday(): void;
  onZones(): void;
}

/** What is shown, and the way back, to today and on. */
export function PlanHeader({
  title,
  subtitle,
  turnName,
  onLoad,
  onPickDate,
  onTurn,
  onToday,
  onZones,
}: Props) {
  const palette = usePalette();
  const button = [styles.button, { borderColor: palette.hairline, backgroundColor: palette.sheet }];
  return (
    <View style={styles.header}>
      <View style={styles.title}>
        <Pressable role="button" aria-label={`${title}: choose a date`} onPress={onPickDate}>
          <Title level={1} style={styles.range}>
            {title}
          </Title>
        </Pressable>
        <Pressable role="button" aria-label={`${subtitle}: show the hours`} onPress={onLoad}>
          <Text variant="bodySmall" style={{ color: palette.dim }} numberOfLines={1}>
            {subtitle}
          </Text>
        </Pressable>
      </View>
      <IconButton
        icon="earth"
        size={20}
        accessibilityLabel="Zones"
        onPress={onZones}
        style={button}
        iconColor={palette.dim}
      />
      <IconButton
        icon="chevron-left"
        accessibilityLabel={`${turnName} before`}
        onPress={() => onTurn(-1)}
        style={button}
        iconColor={palette.ink}
      />
      <Pressable role="button" onPress={onToday} style={[button, styles.today]}>
        <Text style={{ color: palette.accent, fontWeight: '600' }}>Today</Text>
      </Pressable>
      <IconButton
        icon="chevron-right"
        accessibilityLabel={`${turnName} after`}
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
  range: { fontSize: textPx(23) },
  button: { borderWidth: 1, borderRadius: 10, width: 40, height: 40, margin: 0 },
  today: { width: 64, alignItems: 'center', justifyContent: 'center' },
});
