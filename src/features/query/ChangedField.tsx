import { StyleSheet, View } from 'react-native';
import { DAY, dayOfWall } from '@/core/time/civil';
import { instantFromWall, wallFromInstant } from '@/core/time/zones';
import type { EpochMs } from '@/core/time/units';
import { useWallNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';
import { DayField } from '@/ui/DayField';
import { ToggleChip } from '@/ui/ToggleChip';

const OFTEN = [
  { label: 'Today', back: 0 },
  { label: 'Since yesterday', back: 1 },
  { label: 'In 7 days', back: 6 },
  { label: 'In 30 days', back: 29 },
];

/** The day since which something must have been changed: from its midnight on. */
export function ChangedField({
  since,
  onChange,
}: {
  since: EpochMs | null;
  onChange(since: EpochMs | null): void;
}) {
  const { clock, wording, firstWeekday } = usePreferences();
  const today = dayOfWall(useWallNow(clock));
  const chosen = since === null ? null : dayOfWall(wallFromInstant(since, clock));
  const choose = (day: number) => onChange(instantFromWall(day * DAY, clock));
  return (
    <View style={styles.all}>
      <View role="group" aria-label="Changed" style={styles.row}>
        {OFTEN.map(({ label, back }) => (
          <ToggleChip
            key={label}
            label={label}
            isOn={chosen === today - back}
            onPress={() => (chosen === today - back ? onChange(null) : choose(today - back))}
          />
        ))}
      </View>
      <DayField
        label="Since"
        day={chosen ?? today}
        wording={wording}
        firstWeekday={firstWeekday}
        onChange={choose}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 8 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});
