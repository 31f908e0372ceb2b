import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { DayStanding } from '@/core/people/openings';
import type { Weekday } from '@/core/time/civil';
import { civilDate, dayNumber, DAYS_A_WEEK, daysInMonth, startOfWeek } from '@/core/time/civil';
import type { DayNumber } from '@/core/time/units';
import type { Wording } from '@/core/time/words';
import { LONG_DAY, sayDay, weekdayName } from '@/core/time/words';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  fromDay: DayNumber;
  /** Excluded. */
  toDay: DayNumber;
  standings: ReadonlyMap<DayNumber, DayStanding>;
  /** The day whose times are listed; null for all. */
  chosen: DayNumber | null;
  firstWeekday: Weekday;
  wording: Wording;
  onChoose(day: DayNumber | null): void;
}

const SAID: Readonly<Record<DayStanding, string>> = {
  all: 'clear for all',
  some: 'clear for some',
  none: 'clear for none',
};

/** First days of the months that a stretch of days touches. */
function monthsOf(fromDay: DayNumber, toDay: DayNumber): DayNumber[] {
  const months: DayNumber[] = [];
  for (let day = fromDay; day < toDay;) {
    const { year, month } = civilDate(day);
    const first = dayNumber(year, month, 1);
    months.push(first);
    day = first + daysInMonth(year, month);
  }
  return months;
}

/** The weeks of a month, as far as days of the stretch are in them. */
function weeksOf(first: DayNumber, firstWeekday: Weekday, fromDay: DayNumber, toDay: DayNumber) {
  const { year, month } = civilDate(first);
  const end = first + daysInMonth(year, month);
  const weeks: (DayNumber | null)[][] = [];
  for (let week = startOfWeek(first, firstWeekday); week < end; week += DAYS_A_WEEK) {
    const days = Array.from({ length: DAYS_A_WEEK }, (_, i) => week + i);
    if (days.some((day) => day >= first && day < end && day >= fromDay && day < toDay))
      weeks.push(days.map((day) => (day >= first && day < end ? day : null)));
  }
  return weeks;
}

/** A day by its form: filled when it is clear for all, ringed for some, small and bare for none. */
function Day({
  day,
  standing,
  isChosen,
  wording,
  onPress,
}: {
  day: DayNumber;
  standing: DayStanding;
  isChosen: boolean;
  wording: Wording;
  onPress(): void;
}) {
  const palette = usePalette();
  const looks = {
    all: { background: palette.accent, color: palette.onAccent, borderColor: palette.accent },
    some: { background: palette.sheet, color: palette.ink, borderColor: palette.accent },
    none: { background: 'transparent', color: palette.dim, borderColor: 'transparent' },
  }[standing];
  return (
    <button
      type="button"
      className={`opening-day opening-${standing}`}
      aria-label={`${sayDay(day, wording, LONG_DAY)}: ${SAID[standing]}`}
      aria-pressed={isChosen}
      onClick={onPress}
    >
      <span style={{ ...looks, outlineColor: palette.amber }}>{civilDate(day).day}</span>
    </button>
  );
}

/** Small months in which days are told by form and colour: clear for all, for some, for none. */
export function OpeningMonths(props: Props) {
  const { fromDay, toDay, standings, chosen, firstWeekday, wording, onChoose } = props;
  const palette = usePalette();
  return (
    <View style={styles.all}>
      <View style={styles.months}>
        {monthsOf(fromDay, toDay).map((first) => (
          <View
            key={first}
            role="group"
            aria-label={sayDay(first, wording, { month: 'long', year: 'numeric' })}
          >
            <Text variant="bodySmall" style={styles.name}>
              {sayDay(first, wording, { month: 'long', year: 'numeric' })}
            </Text>
            <div className="opening-week" aria-hidden>
              {Array.from({ length: DAYS_A_WEEK }, (_, i) => (
                <span key={i} className="opening-weekday" style={{ color: palette.dim }}>
                  {weekdayName(startOfWeek(fromDay, firstWeekday) + i).slice(0, 2)}
                </span>
              ))}
            </div>
            {weeksOf(first, firstWeekday, fromDay, toDay).map((week) => (
              <div key={week.find((day) => day !== null)} className="opening-week">
                {week.map((day, i) => {
                  const standing = day === null ? undefined : standings.get(day);
                  return day !== null && standing ? (
                    <Day
                      key={day}
                      day={day}
                      standing={standing}
                      isChosen={day === chosen}
                      wording={wording}
                      onPress={() => onChoose(day === chosen ? null : day)}
                    />
                  ) : (
                    <span
                      key={i}
                      className="opening-day"
                      aria-hidden
                      style={{ color: palette.dim }}
                    >
                      {day !== null && day >= fromDay && day < toDay ? civilDate(day).day : ''}
                    </span>
                  );
                })}
              </div>
            ))}
          </View>
        ))}
      </View>
      <View aria-hidden style={styles.key}>
        {(['all', 'some', 'none'] as const).map((standing) => (
          <View key={standing} style={styles.entry}>
            <div
              className={`opening-key opening-${standing}`}
              style={{
                borderColor: standing === 'none' ? palette.dim : palette.accent,
                background: standing === 'all' ? palette.accent : 'transparent',
              }}
            />
            <Text variant="bodySmall" style={{ color: palette.dim }}>
              {SAID[standing]}
            </Text>
          </View>
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 6 },
  months: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 18, rowGap: 8 },
  name: { fontWeight: '600', marginBottom: 2 },
  key: { flexDirection: 'row', flexWrap: 'wrap', gap: 12 },
  entry: { flexDirection: 'row', alignItems: 'center', gap: 5 },
});
