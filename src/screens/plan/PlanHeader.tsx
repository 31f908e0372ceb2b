import type { ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { IconButton, Text } from 'react-native-paper';
import { Title } from '@/ui/Title';
import { usePalette, textPx } from '@/ui/theme/theme';
import { useIsWide } from '@/ui/useIsWide';

interface Props {
  title: string;
  /** What stands under the title. */
  under: string;
  /** How much is booked; empty where that is not said. */
  booked: string;
  /** What the ways back and on turn over: "Week". */
  turnName: string;
  onPickDate(): void;
  /** Shows the hours of what is shown. */
  onLoad(): void;
  onTurn(direction: -1 | 1): void;
  onToday(): void;
  onZones(): void;
  /** Stands before the buttons. */
  beside?: ReactNode;
}

/** On a phone the hours have a place of their own, which a finger can hit (see `HoursChip`). */
function Heading({ title, under, booked, onPickDate, onLoad }: Props) {
  const { dim } = usePalette();
  const isWide = useIsWide();
  const range = (
    <Title level={1} style={styles.range}>
      {title}
    </Title>
  );
  const small = (text: string) => (
    <Text variant="bodySmall" style={{ color: dim }} numberOfLines={1}>
      {text}
    </Text>
  );
  const name = `${title}: choose a date`;
  if (!isWide) {
    return (
      <Pressable role="button" aria-label={name} onPress={onPickDate} style={styles.title}>
        {range}
        {small(under)}
      </Pressable>
    );
  }
  const all = [under, booked].filter(Boolean).join(' · ');
  return (
    <View style={styles.title}>
      <Pressable role="button" aria-label={name} onPress={onPickDate}>
        {range}
      </Pressable>
      <Pressable role="button" aria-label={`${all}: show the hours`} onPress={onLoad}>
        {small(all)}
      </Pressable>
    </View>
  );
}

/** On a phone: how much is booked, and the way to the hours. */
export function HoursChip({ booked, onLoad }: Pick<Props, 'booked' | 'onLoad'>) {
  const { hairline, sheet } = usePalette();
  const said = booked || 'Hours';
  return (
    <Pressable
      role="button"
      aria-label={`${said}: show the hours`}
      onPress={onLoad}
      style={[styles.hours, { borderColor: hairline, backgroundColor: sheet }]}
    >
      <Text style={styles.booked}>{said}</Text>
    </Pressable>
  );
}

/** What is shown, and the way back, to today and on. */
export function PlanHeader(props: Props) {
  const { turnName, onTurn, onToday, onZones } = props;
  const palette = usePalette();
  const button = [styles.button, { borderColor: palette.hairline, backgroundColor: palette.sheet }];
  return (
    <View style={styles.header}>
      <Heading {...props} />
      {props.beside}
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
  // With its border, so that 40 px take the press.
  button: { borderWidth: 1, borderRadius: 10, width: 42, height: 42, margin: 0 },
  today: { width: 64, alignItems: 'center', justifyContent: 'center' },
  hours: {
    height: 40,
    paddingHorizontal: 10,
    borderWidth: 1,
    borderRadius: 9,
    justifyContent: 'center',
  },
  booked: { fontWeight: '600', fontVariant: ['tabular-nums'] },
});
