import { useEffect, useMemo, useRef, useState } from 'react';
import { ScrollView, StyleSheet, Text, View } from 'react-native';
import { civilDate, dayNumber } from '@/core/time/civil';
import type { DayNumber } from '@/core/time/units';
import type { Shade } from '@/core/view/shades';
import { SANS, usePalette, textPx } from '@/ui/theme/theme';
import { useIsWide } from '@/ui/useIsWide';
import type { FormProps } from '../sheet/formProps';
import type { YearDay } from './Month';
import { Month, shadeColours } from './Month';

const NOTHING: YearDay = { booked: 0, events: 0, isTaken: false };
const STEPS: Record<string, number> = {
  ArrowLeft: -1,
  ArrowRight: 1,
  ArrowUp: -7,
  ArrowDown: 7,
  PageUp: -28,
  PageDown: 28,
};
const SHADES: readonly Shade[] = [0, 1, 2, 3, 4];

/** What the shades mean. */
function Legend() {
  const palette = usePalette();
  return (
    <View style={styles.legend}>
      <Text style={[styles.words, { color: palette.dim }]}>clear</Text>
      {SHADES.map((shade) => (
        <View
          key={shade}
          aria-hidden
          style={[
            styles.shade,
            { backgroundColor: shadeColours(shade, palette).ground, borderColor: palette.hairline },
          ]}
        />
      ))}
      <Text style={[styles.words, { color: palette.dim }]}>8 h or more</Text>
      <View aria-hidden style={[styles.shade, styles.taken, { borderColor: palette.dim }]} />
      <Text style={[styles.words, { color: palette.dim }]}>a whole day taken</Text>
    </View>
  );
}

/** Twelve months, each day shaded by its booked hours; a press shows a day's events beside. */
export function Year({ place, content, look, hands }: FormProps) {
  const { from: fromDay, to: toDay } = place.range;
  const { loads } = content;
  const { today, chosenDay: chosen, preferences } = look;
  const isWide = useIsWide();
  const field = useRef<View>(null);
  const { year } = civilDate(fromDay);
  const months = useMemo(
    () => Array.from({ length: 12 }, (_, month) => dayNumber(year, month + 1, 1)),
    [year],
  );
  const dayAt = useMemo(
    () =>
      (day: DayNumber): YearDay => {
        const i = day - fromDay;
        return loads && i >= 0 && i < loads.booked.length
          ? { booked: loads.booked[i]!, events: loads.events[i]!, isTaken: loads.isTaken[i]! }
          : NOTHING;
      },
    [loads, fromDay],
  );
  const isHere = (day: DayNumber | null) => day !== null && day >= fromDay && day < toDay;
  const [focused, setFocused] = useState<number | null>(null);
  const tabStop: number = [focused, chosen, today].find(isHere) ?? fromDay;

  // A year opens where its day is, which on a phone may be far down.
  const firstSeen = useRef(tabStop);
  useEffect(() => {
    const element = field.current as unknown as HTMLElement | null;
    element
      ?.querySelector(`[data-day="${firstSeen.current}"]`)
      ?.scrollIntoView({ block: 'center' });
  }, [fromDay]);

  function onKeyDown(event: { key: string; target: EventTarget; preventDefault(): void }) {
    const day = Number((event.target as HTMLElement).dataset['day']);
    const step = STEPS[event.key];
    if (!step || Number.isNaN(day)) return;
    event.preventDefault();
    const next = Math.max(fromDay, Math.min(toDay - 1, day + step));
    setFocused(next);
    const element = field.current as unknown as HTMLElement | null;
    element?.querySelector<HTMLElement>(`[data-day="${next}"]`)?.focus();
  }

  return (
    <ScrollView
      style={styles.all}
      contentContainerStyle={{ paddingBottom: look.covered }}
      tabIndex={-1}
    >
      <Legend />
      <View
        ref={field}
        {...{ onKeyDown }}
        role="group"
        aria-label="Year"
        style={[styles.months, isWide && styles.wideMonths]}
      >
        {months.map((firstDay, i) => (
          <View key={firstDay} style={[styles.cell, { width: isWide ? '25%' : '50%' }]}>
            <Month
              firstDay={firstDay}
              firstWeekday={preferences.firstWeekday}
              wording={preferences.wording}
              today={today}
              chosen={chosen}
              tabStop={tabStop >= firstDay && tabStop < (months[i + 1] ?? toDay) ? tabStop : null}
              dayAt={dayAt}
              onChoose={hands.onOpenDay}
            />
          </View>
        ))}
      </View>
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  all: { flex: 1, minHeight: 0 },
  months: { flexDirection: 'row', flexWrap: 'wrap', paddingHorizontal: 6, paddingBottom: 12 },
  wideMonths: { paddingHorizontal: 8 },
  cell: { padding: 7 },
  legend: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 5,
    paddingHorizontal: 14,
    paddingVertical: 6,
  },
  words: { fontFamily: SANS, fontSize: textPx(12) },
  shade: { width: 14, height: 14, borderRadius: 3, borderWidth: 1 },
  taken: { borderWidth: 2, marginLeft: 10 },
});
