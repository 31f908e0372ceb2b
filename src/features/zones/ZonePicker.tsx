import { useEffect, useRef, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { ActivityIndicator, Button, HelperText, Text } from 'react-native-paper';
import { minuteOfDay } from '@/core/time/civil';
import type { HourCycle } from '@/core/time/words';
import { sayMinute } from '@/core/time/words';
import { searchZones } from '@/core/time/searchZones';
import type { ZoneEntry } from '@/core/time/zoneEntries';
import { cityOf } from '@/core/time/zoneNames';
import { describeOffset, offsetAt, wallFromInstant } from '@/core/time/zones';
import type { EpochMs } from '@/core/time/units';
import { useNow } from '@/data/now';
import { useZones } from '@/data/queries';
import { TextField } from '@/ui/TextField';
import { useReportUnreadable } from '@/ui/unreadable';
import { usePalette } from '@/ui/theme/theme';

/** Zones that are offered at once. */
const OFFERED = 6;

interface Props {
  label: string;
  /** What stands for no zone chosen, for example the browser's. */
  placeholder?: string;
  zone: string | null;
  hourCycle: HourCycle;
  /** Epoch ms for which offsets are told; now, where nothing is said. */
  at?: EpochMs;
  /** `place` is the name under which it was found. */
  onChoose(zone: string, place: string): void;
  /** Another way out, such as back to the browser's zone. */
  other?: { label: string; onPress(): void };
}

function ZoneOption({
  entry,
  place,
  now,
  at,
  hourCycle,
  onPress,
}: {
  entry: ZoneEntry;
  place: string;
  now: EpochMs;
  at: number | undefined;
  hourCycle: HourCycle;
  onPress(): void;
}) {
  const palette = usePalette();
  const time = sayMinute(minuteOfDay(wallFromInstant(now, entry.zone)), hourCycle);
  const then = describeOffset(offsetAt(at ?? now, entry.zone));
  const offset = then === entry.offset ? then : `${then} then, ${entry.offset} now`;
  // The offset first: it is what tells zones apart where there is no room for all.
  const names = [offset, entry.abbreviation].filter(Boolean).join(' · ');
  return (
    <Pressable
      role="button"
      aria-label={`${place}, ${names}, ${entry.longName}, now ${time}`}
      onPress={onPress}
      style={[styles.option, { borderColor: palette.hairline, backgroundColor: palette.sheet }]}
    >
      <View style={styles.text}>
        <Text numberOfLines={1}>
          {place}
          <Text style={{ color: palette.dim }}>
            {place === entry.city ? ` · ${entry.region}` : ` · ${entry.zone}`}
          </Text>
        </Text>
        <Text variant="bodySmall" numberOfLines={1} style={{ color: palette.dim }}>
          {names} · {entry.longName}
        </Text>
      </View>
      <Text style={styles.time}>{time}</Text>
    </Pressable>
  );
}

/** A time zone, found by city, abbreviation or offset; what is chosen is shown with its offset at the time it is for. */
export function ZonePicker(props: Props) {
  const { label, placeholder, zone, hourCycle, at, onChoose, other } = props;
  const [typed, setTyped] = useState<string | null>(null);
  const now = useNow();
  // They take a moment the first time: who comes to the field will type.
  const [isWanted, setWanted] = useState(false);
  const { data: entries } = useZones(isWanted);
  const wanted = typed?.trim() ?? '';
  const found = wanted && entries ? searchZones(entries, wanted, OFFERED) : [];
  // What was found comes into sight, in a panel as in a page.
  const all = useRef<View>(null);
  const isSearching = wanted !== '';
  useReportUnreadable(isSearching);
  const [isLeft, setLeft] = useState(false);
  useEffect(() => {
    if (isSearching) (all.current as unknown as HTMLElement).scrollIntoView({ block: 'start' });
  }, [isSearching]);

  const shown = zone && `${cityOf(zone)} (${describeOffset(offsetAt(at ?? now, zone))})`;

  function choose({ entry, place }: (typeof found)[number]) {
    setTyped(null);
    onChoose(entry.zone, place);
  }

  return (
    <View ref={all} style={styles.all}>
      <TextField
        label={label}
        value={typed ?? shown ?? ''}
        placeholder={placeholder ?? 'City, abbreviation or offset, such as +9'}
        // What is typed takes the place of what is chosen.
        selectTextOnFocus
        onFocus={() => {
          setLeft(false);
          setWanted(true);
        }}
        onBlur={() => {
          setLeft(true);
          if (typed?.trim() === '') setTyped(null);
        }}
        error={isLeft && isSearching}
        onChangeText={setTyped}
        onSubmitEditing={() => found[0] && choose(found[0])}
      />
      {wanted !== '' && !entries && <ActivityIndicator aria-label="Looking up zones" />}
      {wanted !== '' && entries && found.length === 0 && (
        <HelperText type="error" padding="none">
          No zone goes by that. Try a city, an abbreviation such as CET, or an offset such as +9.
        </HelperText>
      )}
      {found.length > 0 && (
        <View role="group" aria-label={`${label}: found`} style={styles.all}>
          {found.map((option) => (
            <ZoneOption
              key={option.entry.zone}
              {...option}
              now={now}
              at={at}
              hourCycle={hourCycle}
              onPress={() => choose(option)}
            />
          ))}
        </View>
      )}
      {/* Below what was found: a press must not miss it because this came. */}
      {found.length > 0 && isLeft && (
        <HelperText type="error" role="alert" padding="none">
          No zone is chosen yet: take one of those, or empty the field.
        </HelperText>
      )}
      {other && typed === null && (
        <View style={styles.other}>
          <Button compact onPress={other.onPress}>
            {other.label}
          </Button>
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 6 },
  option: {
    minHeight: 48,
    borderWidth: 1,
    borderRadius: 8,
    paddingHorizontal: 10,
    paddingVertical: 4,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
  },
  text: { flex: 1, minWidth: 0 },
  time: { fontVariant: ['tabular-nums'], fontWeight: '600' },
  other: { alignItems: 'flex-start' },
});
