import { StyleSheet, View } from 'react-native';
import { DAY, dayOfWall } from '@/core/time/civil';
import { instantFromWall, wallFromInstant } from '@/core/time/zones';
import type { EpochMs } from '@/core/time/units';
import { useWallNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';
import { DayField } from '@/ui/DayField';
import { PresetChips } from './PresetChips';

const OFTEN = [
  { label: 'Today', value: 0 },
  { label: 'Since yesterday', value: 1 },
  { label: 'In 7 days', value: 6 },
  { label: 'In 30 days', value: 29 },
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
      <PresetChips
        name="Changed"
        presets={OFTEN}
        isChosen={(back) => chosen === today - back}
        onChoose={(back) => (back === null ? onChange(null) : choose(today - back))}
      />
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
});
