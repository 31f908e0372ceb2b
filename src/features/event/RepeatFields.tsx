import { useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Rhythm } from '@/core/recurrence/choices';
import { monthlyChoices, monthlyKey, patternFor, rhythmOf } from '@/core/recurrence/choices';
import type { Repeat, RepeatEnd, RepeatPattern } from '@/core/recurrence/repeat';
import { missingDays, onLastDay } from '@/core/recurrence/repeat';
import type { Weekday } from '@/core/time/civil';
import { dayNumber, civilDate } from '@/core/time/civil';
import { sayDay, shortWeekday, WEEKDAYS } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';
import type { Preferences } from '@/data/preferences';
import { Choice } from '@/ui/Choice';
import { DayField } from '@/ui/DayField';
import { Icon } from '@/ui/icons/Icon';
import { NumberField } from '@/ui/NumberField';
import { ToggleChip } from '@/ui/ToggleChip';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  repeat: Repeat;
  /** The first date's day (day number): what a chosen rhythm begins from. */
  day: DayNumber;
  preferences: Preferences;
  onChange(repeat: Repeat): void;
}

const RHYTHMS: { value: Rhythm; label: string }[] = [
  { value: 'none', label: 'Once' },
  { value: 'daily', label: 'Daily' },
  { value: 'workdays', label: 'Working days' },
  { value: 'weekly', label: 'Weekly' },
  { value: 'monthly', label: 'Monthly' },
  { value: 'yearly', label: 'Yearly' },
];
const CUSTOM: { value: Rhythm; label: string } = { value: 'custom', label: 'Custom' };
const UNITS = { daily: 'day', weekly: 'week', monthly: 'month', yearly: 'year' } as const;
/** How long a series lasts when it is first given an end. */
const FIRST_COUNT = 10;

function WeekdayChips({
  pattern,
  firstWeekday,
  onChange,
}: {
  pattern: Extract<RepeatPattern, { kind: 'weekly' }>;
  firstWeekday: Weekday;
  onChange(pattern: RepeatPattern): void;
}) {
  const order = Array.from({ length: 7 }, (_, i) => ((firstWeekday + i) % 7) as Weekday);
  function toggle(weekday: Weekday) {
    const isOn = pattern.weekdays.includes(weekday);
    const weekdays = isOn
      ? pattern.weekdays.filter((day) => day !== weekday)
      : [...pattern.weekdays, weekday];
    // One weekday at least: without any there would be no dates.
    if (weekdays.length) onChange({ ...pattern, weekdays });
  }
  return (
    <View role="group" aria-label="On which weekdays" style={styles.chips}>
      {order.map((weekday) => (
        <ToggleChip
          key={weekday}
          label={shortWeekday(weekday)}
          name={WEEKDAYS[weekday]}
          isOn={pattern.weekdays.includes(weekday)}
          onPress={() => toggle(weekday)}
        />
      ))}
    </View>
  );
}

function EndFields({
  end,
  day,
  preferences,
  onChange,
}: { end: RepeatEnd; onChange(end: RepeatEnd): void } & Pick<Props, 'day' | 'preferences'>) {
  const { wording, firstWeekday } = preferences;
  const { year, month, day: ofMonth } = civilDate(day);
  const ends: Record<RepeatEnd['kind'], RepeatEnd> = {
    never: { kind: 'never' },
    on: { kind: 'on', day: dayNumber(year, month + 3, Math.min(ofMonth, 28)) },
    after: { kind: 'after', count: FIRST_COUNT },
  };
  return (
    <>
      <Choice
        name="It ends"
        value={end.kind}
        options={[
          { value: 'never' as const, label: 'Never' },
          { value: 'on' as const, label: 'On a date' },
          { value: 'after' as const, label: 'After a number of dates' },
        ]}
        onChoose={(kind) => kind !== end.kind && onChange(ends[kind])}
      />
      {end.kind === 'on' && (
        <DayField
          label="Last date on or before"
          day={end.day}
          wording={wording}
          firstWeekday={firstWeekday}
          error={end.day < day}
          onChange={(last) => onChange({ kind: 'on', day: last })}
        />
      )}
      {end.kind === 'after' && (
        <NumberField
          label="Dates"
          value={end.count}
          min={1}
          max={999}
          unit="dates in all"
          onChange={(count) => onChange({ kind: 'after', count })}
        />
      )}
    </>
  );
}

/** How an event repeats: how often, on which days, and until when. */
export function RepeatFields({ repeat, day, preferences, onChange }: Props) {
  const { firstWeekday, wording } = preferences;
  const palette = usePalette();
  const { pattern, end } = repeat;
  const rhythm = rhythmOf(pattern);
  const missing = missingDays(pattern);
  const set = (next: RepeatPattern) => onChange({ pattern: next, end });
  const unit = UNITS[rhythm as keyof typeof UNITS];
  /** What was chosen of each rhythm for a day, so that trying another one loses nothing. */
  const tried = useRef(new Map<string, RepeatPattern>());
  function choose(next: Rhythm) {
    if (next === 'custom' || next === rhythm) return;
    tried.current.set(`${rhythm} ${day}`, pattern);
    set(tried.current.get(`${next} ${day}`) ?? patternFor(next, day, firstWeekday));
  }

  return (
    <View style={styles.all}>
      <Choice
        name="Repeats"
        value={rhythm}
        options={rhythm === 'custom' ? [...RHYTHMS, CUSTOM] : RHYTHMS}
        onChoose={choose}
      />
      {unit && 'interval' in pattern && (
        <NumberField
          label="Every"
          value={pattern.interval}
          min={1}
          max={99}
          unit={pattern.interval === 1 ? unit : `${unit}s`}
          onChange={(interval) => set({ ...pattern, interval })}
        />
      )}
      {pattern.kind === 'weekly' && (
        <WeekdayChips pattern={pattern} firstWeekday={firstWeekday} onChange={set} />
      )}
      {(pattern.kind === 'monthDay' ||
        pattern.kind === 'monthWeekday' ||
        pattern.kind === 'monthEnd') && (
        <Choice
          name="Each time"
          value={monthlyKey(pattern)}
          options={monthlyChoices(day, pattern).map(({ key, label }) => ({ value: key, label }))}
          onChoose={(key) =>
            set(monthlyChoices(day, pattern).find((choice) => choice.key === key)!.pattern)
          }
        />
      )}
      {pattern.kind === 'yearly' && (
        <Text>
          On{' '}
          {sayDay(dayNumber(2024, pattern.month, pattern.day), wording, {
            day: 'numeric',
            month: 'long',
          })}
        </Text>
      )}
      {missing && (
        <View style={[styles.missing, { backgroundColor: palette.amberWash }]} role="status">
          <Icon name="alert-outline" size={18} color={palette.amber} />
          <View style={styles.text}>
            <Text variant="bodySmall">{missing}</Text>
            <Button compact onPress={() => set(onLastDay(pattern))} style={styles.offer}>
              Use the last day of the month
            </Button>
          </View>
        </View>
      )}
      {pattern.kind !== 'none' && (
        <EndFields
          end={end}
          day={day}
          preferences={preferences}
          onChange={(next) => onChange({ pattern, end: next })}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 10 },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
  missing: { flexDirection: 'row', gap: 8, borderRadius: 8, padding: 8 },
  text: { flex: 1, minWidth: 0 },
  offer: { alignSelf: 'flex-start' },
});
