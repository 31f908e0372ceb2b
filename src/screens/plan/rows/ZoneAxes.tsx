import { Pressable, StyleSheet, Text, View } from 'react-native';
import { xOfMinute } from '@/core/layout/rows';
import type { WatchedZone } from '@/core/model/others';
import type { AxisHours } from '@/core/time/elsewhere';
import { axisHours, runsOf } from '@/core/time/elsewhere';
import { zoneOnDay } from '@/core/time/sheetClock';
import type { Wording } from '@/core/time/words';
import { sayHour, weekdayName } from '@/core/time/words';
import { cityOf } from '@/core/time/zoneNames';
import { instantFromWall } from '@/core/time/zones';
import { SANS, usePalette, textPx } from '@/ui/theme/theme';
import { useHasFingers } from '@/ui/useMedia';
import type { TimeLine } from './RowBackground';

const AXIS = 19;
/** Least room for an hour's name, in px. */
const HOUR_ROOM = 34;
/** A gutter up to this width has room for a zone's name alone. */
const NARROW = 60;

interface Watched {
  zones: readonly WatchedZone[];
  /** The clock that the sheet goes by, and the home zone. */
  clock: string;
  home: string;
  /** The days shown (day numbers), in order. */
  days: readonly number[];
}

interface Props {
  axes: readonly ZoneAxis[];
  line: TimeLine;
  gutter: number;
  wording: Wording;
  onSeeAs(zone: string): void;
}

/** The hours of a zone along the sheet, for the days on which they stand that way. */
export interface ZoneAxis {
  label: string;
  hours: AxisHours;
  /** Which of the days shown it counts for, where it is not all of them. */
  days: string | null;
}

/** "+9", "−3:30": hours that a clock is ahead. */
function sayShift(minutes: number): string {
  const rest = Math.abs(minutes) % 60;
  const hours = Math.floor(Math.abs(minutes) / 60);
  return `${minutes < 0 ? '−' : '+'}${hours}${rest ? `:${String(rest).padStart(2, '0')}` : ''}`;
}

/** "Halifax −4 h, Sun" */
export const sayAxis = ({ label, hours, days }: ZoneAxis): string =>
  `${label} ${sayShift(hours.ahead)} h${days ? `, ${days}` : ''}`;

type AxisProps = ZoneAxis & Omit<Props, 'axes'>;

function Axis({ label, hours: own, days, line, gutter, wording, onSeeAs }: AxisProps) {
  const palette = usePalette();
  const hasFingers = useHasFingers();
  const { ahead, zone } = own;
  const hours = (line.toMinute - line.fromMinute) / 60;
  const every = [1, 2, 3, 4, 6].find((step) => (line.width / hours) * step >= HOUR_ROOM) ?? 12;
  const first = Math.ceil((line.fromMinute + ahead + 1) / 60);
  const shown: number[] = [];
  for (let hour = first; hour * 60 - ahead < line.toMinute; hour++)
    if (((hour % every) + every) % every === 0) shown.push(hour);
  const ofDay = (hour: number) => ((hour % 24) + 24) % 24;
  const name = sayAxis({ label, hours: own, days });
  return (
    <View
      style={[
        styles.axis,
        days !== null && styles.high,
        { borderColor: palette.hairline, backgroundColor: palette.paper },
      ]}
    >
      <Pressable
        // Fingers press the corner, which is as high as all axes are.
        {...(!hasFingers && {
          role: 'button',
          'aria-label': `${name}. See the sheet as in ${label}`,
          onPress: () => onSeeAs(zone),
        })}
        tabIndex={hasFingers ? -1 : 0}
        // A long name has a line of its own, so that it covers no hour.
        style={[styles.name, { width: days === null ? gutter : '100%' }]}
      >
        <Text style={[styles.text, { color: palette.dim }]} numberOfLines={1}>
          {label}
          {gutter > NARROW || days ? ` ${sayShift(ahead)}` : ''}
          {days ? ` ${days}` : ''}
        </Text>
      </Pressable>
      {shown.map((hour) => {
        const isOtherDay = hour < 0 || hour >= 24;
        return (
          <Text
            key={hour}
            aria-hidden
            style={[
              styles.hour,
              days !== null && styles.lower,
              {
                left: gutter + xOfMinute(line, hour * 60 - ahead) - 20,
                color: isOtherDay ? palette.amber : palette.dim,
              },
            ]}
          >
            {hour === 24 || hour === -24
              ? `${hour < 0 ? '−' : '+'}1 d`
              : sayHour(ofDay(hour), wording.hourCycle)}
          </Text>
        );
      })}
    </View>
  );
}

/** "Mon, Fri–Sun" */
const sayRuns = (days: readonly number[]) =>
  runsOf(days)
    .map(([from, to]) =>
      from === to ? weekdayName(from) : `${weekdayName(from)}–${weekdayName(to)}`,
    )
    .join(', ');

/** The axes of the zones that are watched; where a clock changes within the days shown, one for each way it stands. */
export function zoneAxes({ zones, clock, home, days }: Watched): ZoneAxis[] {
  const [fromDay] = days;
  if (fromDay === undefined) return [];
  const toDay = days.at(-1)! + 1;
  const onDays = days.map((day) => zoneOnDay(clock, day));
  const isElsewhere = onDays.some((zone) => zone !== home);
  // Away from home, its hours are among the others.
  const wanted = [
    ...zones.filter(({ onSheet, zone }) => onSheet && zone !== home),
    ...(isElsewhere ? [{ zone: home, label: cityOf(home) }] : []),
  ].filter(({ zone }) => onDays.some((shown) => shown !== zone));
  return wanted.flatMap(({ zone, label }) => {
    const ways = axisHours(zone, fromDay, toDay, (wall) => instantFromWall(wall, clock));
    // Where its clock reads like the sheet's there is nothing to add.
    return ways
      .filter(({ ahead }) => ahead !== 0 || ways.length === 1)
      .map((hours) => ({ label, hours, days: ways.length > 1 ? sayRuns(hours.days) : null }));
  });
}

/** The hours of other zones along the top of the sheet. */
export const ZoneAxes = ({ axes, ...shared }: Props) =>
  axes.map((axis) => <Axis key={`${axis.label} ${axis.hours.ahead}`} {...axis} {...shared} />);

const styles = StyleSheet.create({
  axis: { height: AXIS, borderTopWidth: 1 },
  high: { height: 2 * AXIS - 4 },
  lower: { top: AXIS - 4 },
  name: { position: 'absolute', left: 0, top: 0, height: AXIS - 1, paddingLeft: 6, zIndex: 1 },
  text: { fontFamily: SANS, fontSize: textPx(10.5), lineHeight: textPx(17), fontWeight: '600' },
  hour: {
    position: 'absolute',
    top: 1,
    width: 40,
    textAlign: 'center',
    fontFamily: SANS,
    fontSize: textPx(10.5),
    lineHeight: textPx(16),
    fontVariant: ['tabular-nums'],
  },
});
