import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { mix } from '@/core/colour/colour';
import type { Weekday } from '@/core/time/civil';
import { civilDate, DAYS_A_WEEK, daysInMonth, startOfWeek } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { count, LONG_DAY, sayDay, sayHours, weekdayName } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';
import type { Shade } from '@/core/view/shades';
import { shadeOf } from '@/core/view/shades';
import { Title } from '@/ui/Title';
import type { Palette } from '@/ui/theme/palette';
import { usePalette, textPx } from '@/ui/theme/theme';

/** What is known of a day. */
export interface YearDay {
  booked: number;
  events: number;
  isTaken: boolean;
}

interface Props {
  /** First day of the month (day number). */
  firstDay: DayNumber;
  firstWeekday: Weekday;
  wording: Wording;
  today: DayNumber;
  /** The day whose events are shown beside. */
  chosen: number | null;
  /** The day that Tab stops at, where it is in this month. */
  tabStop: number | null;
  dayAt(day: DayNumber): YearDay;
  onChoose(day: DayNumber): void;
}

/** The ground of a day, and the colour of its number on it. */
export function shadeColours(shade: Shade, palette: Palette): { ground: string; number: string } {
  if (shade === 0) return { ground: palette.sheet, number: palette.ink };
  // Steps are left out where neither dark nor light numbers could be read.
  const share = [0, 0.16, 0.34, 0.84, 1][shade]!;
  const number = share > 0.5 ? palette.onAccent : palette.ink;
  return { ground: mix(palette.sheet, palette.accent, share), number };
}

/** A month of the year, each day shaded by how booked it is. Plain elements: there are 365 of them. */
export const Month = memo(function Month(props: Props) {
  const { firstDay, firstWeekday, wording, today, chosen, tabStop, dayAt, onChoose } = props;
  const palette = usePalette();
  const { year, month } = civilDate(firstDay);
  const before = firstDay - startOfWeek(firstDay, firstWeekday);
  const days = Array.from({ length: daysInMonth(year, month) }, (_, i) => firstDay + i);
  const name = sayDay(firstDay, wording, { month: 'long' });
  return (
    <View style={styles.month} role="group" aria-label={`${name} ${year}`}>
      <Title level={2} style={styles.name}>
        {name}
      </Title>
      <div className="year-days">
        {Array.from({ length: DAYS_A_WEEK }, (_, i) => (
          <div key={i} aria-hidden className="year-weekday" style={{ color: palette.dim }}>
            {weekdayName(firstDay - before + i).charAt(0)}
          </div>
        ))}
        {days.map((day, i) => {
          const { booked, events, isTaken } = dayAt(day);
          const shade = shadeOf(booked);
          const { ground, number } = shadeColours(shade, palette);
          const isToday = day === today;
          return (
            <button
              key={day}
              type="button"
              data-day={day}
              tabIndex={day === tabStop ? 0 : -1}
              aria-pressed={day === chosen}
              aria-label={`${sayDay(day, wording, LONG_DAY)}${isToday ? ', today' : ''}, ${events ? `${count(events, 'event')}, ${sayHours(booked)} booked` : 'no events'}${isTaken ? ', the whole day taken' : ''}`}
              onClick={() => onChoose(day)}
              className="year-day"
              style={{
                gridColumnStart: i === 0 ? before + 1 : undefined,
                color: number,
                backgroundColor: ground,
                borderColor: isToday
                  ? palette.amber
                  : day === chosen
                    ? palette.ink
                    : isTaken
                      ? palette.dim
                      : palette.hairline,
                borderWidth: isToday || day === chosen || isTaken ? 2 : 1,
              }}
            >
              {i + 1}
            </button>
          );
        })}
      </div>
    </View>
  );
});

const styles = StyleSheet.create({
  month: { gap: 4 },
  name: { fontSize: textPx(16) },
});
