import { memo } from 'react';
import { StyleSheet, Text, View } from 'react-native';
import type { AgendaLine } from '@/core/agenda/agendaDays';
import type { Occurrence } from '@/core/agenda/occurrence';
import { inkOf } from '@/core/colour/inkOf';
import { nthDay } from '@/core/layout/parts';
import type { Calendar } from '@/core/model/calendar';
import { DAY, MINUTE, minuteOfDay } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { sayLength, sayMinute } from '@/core/time/words';
import { titleOf } from '@/core/model/titleOf';
import { Mark } from '@/ui/Mark';
import { SANS, usePalette, textPx } from '@/ui/theme/theme';
import { useBarColours } from '../sheet/barColours';
import { barName } from '../sheet/barName';
import { barStyle } from '../sheet/barStyle';
import { EventIcon } from '../sheet/EventIcon';
import { pressable } from '../sheet/pressable';
import { sayPart } from '../sheet/WholeDayBar';

export interface LineSetting {
  calendarOf: ReadonlyMap<string, Calendar>;
  categoryInks: ReadonlyMap<string, string> | null;
  wording: Wording;
  selectedId: string | null;
  onOpen(occurrence: Occurrence): void;
}

interface EventLineProps extends LineSetting {
  occurrence: Occurrence;
  day: number;
}

/** "09:00 – 10:30" of what lies on a day; "from" and "until" where it goes on beside it. */
function sayTimes(o: Occurrence, day: number, { hourCycle }: Wording): string {
  if (o.wholeDay) return 'whole day';
  const at = (wall: number) => sayMinute(minuteOfDay(wall), hourCycle);
  if (o.start < day * DAY && o.end > (day + 1) * DAY) return 'all day long';
  if (o.start < day * DAY) return `until ${at(o.end)}`;
  return o.end > (day + 1) * DAY ? `from ${at(o.start)}` : `${at(o.start)} – ${at(o.end)}`;
}

const EventLine = memo(function EventLine(props: EventLineProps) {
  const { occurrence: o, day, calendarOf, categoryInks, wording, selectedId, onOpen } = props;
  const palette = usePalette();
  const calendar = calendarOf.get(o.calendarId);
  const colours = useBarColours(o, inkOf(o, calendar?.ink ?? palette.dim, categoryInks));
  if (!calendar) return null;
  const part = sayPart(nthDay(o, day));
  const under = [part, o.place].filter(Boolean).join(' · ');
  const isSelected = o.id === selectedId;
  return (
    <div
      {...pressable(o, true, onOpen)}
      aria-label={barName(o, calendar, wording)}
      aria-pressed={isSelected}
      className="agenda-line"
      style={{
        borderColor: palette.hairline,
        ...(isSelected && { backgroundColor: palette.accentWash }),
      }}
    >
      <span className="agenda-time" style={{ color: palette.dim }}>
        {sayTimes(o, day, wording)}
      </span>
      <span
        className="agenda-mark"
        style={{ ...barStyle(o.availability, colours), borderWidth: 1 }}
      >
        <Mark
          mark={calendar.mark}
          colour={o.availability === 'away' ? colours.onSolid : colours.edge}
          size={12}
        />
      </span>
      <span className="agenda-text" style={{ color: colours.text }}>
        <span className="agenda-title">
          <EventIcon icon={o.icon} />
          {titleOf(o)}
        </span>
        {under && <span style={{ color: palette.dim }}> {under}</span>}
      </span>
    </div>
  );
});

/** Events of a day and the clear time among its working hours, one under the other. */
export function AgendaLines({
  day,
  lines,
  setting,
}: {
  day: number;
  lines: readonly AgendaLine[];
  setting: LineSetting;
}) {
  const palette = usePalette();
  const { hourCycle } = setting.wording;
  return lines.map((line) =>
    line.kind === 'event' ? (
      <EventLine key={line.occurrence.id} occurrence={line.occurrence} day={day} {...setting} />
    ) : (
      <View key={line.start} style={styles.clear}>
        <Text style={[styles.words, { color: palette.dim }]}>
          {sayMinute(minuteOfDay(line.start), hourCycle)} –{' '}
          {sayMinute(minuteOfDay(line.end), hourCycle)}
        </Text>
        <View style={[styles.rule, { borderColor: palette.hairline }]} />
        <Text style={[styles.words, { color: palette.accent }]}>
          {sayLength((line.end - line.start) / MINUTE)} clear
        </Text>
      </View>
    ),
  );
}

const styles = StyleSheet.create({
  clear: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    minHeight: 26,
    paddingHorizontal: 14,
  },
  words: { fontFamily: SANS, fontSize: textPx(12), fontVariant: ['tabular-nums'] },
  rule: { flex: 1, borderTopWidth: 1, borderStyle: 'dashed' },
});
