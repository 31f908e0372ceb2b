import { memo } from 'react';
import type { AgendaLine } from '@/core/agenda/agendaDays';
import type { Occurrence } from '@/core/agenda/occurrence';
import { sayLeaveBy } from '@/core/agenda/standing';
import { inkOf } from '@/core/colour/inkOf';
import { nthDay } from '@/core/agenda/parts';
import type { Calendar } from '@/core/model/calendar';
import { DAY, MINUTE, minuteOfDay } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { sayLength, sayMinute, travelZone } from '@/core/time/words';
import { cityOf } from '@/core/time/zoneNames';
import type { DayNumber, WallMs } from '@/core/time/units';
import { importanceOf } from '@/core/model/importance';
import { titleOf } from '@/core/model/titleOf';
import { Mark } from '@/ui/Mark';
import { usePalette } from '@/ui/theme/theme';
import { useBarColours } from '@/features/bars/barColours';
import { barName } from '@/features/bars/barName';
import { useBarState } from '@/features/bars/barState';
import { barStyle, startEdge } from '@/features/bars/barStyle';
import { EventIcon } from '@/features/bars/EventIcon';
import { pressable } from '@/features/bars/pressable';
import { sayPart } from '@/features/bars/sayPart';

export interface LineSetting {
  calendarOf: ReadonlyMap<string, Calendar>;
  categoryInks: ReadonlyMap<string, string> | null;
  wording: Wording;
  selectedId: string | null;
  /** Whether there is room for the calendar's name. */
  isWide?: boolean;
  onOpen(occurrence: Occurrence): void;
}

interface EventLineProps extends LineSetting {
  occurrence: Occurrence;
  day: DayNumber;
}

/** "09:00 – 10:30" of what lies on a day; "from" and "until" where it goes on beside it. */
function sayTimes(o: Occurrence, day: DayNumber, { hourCycle }: Wording): string {
  if (o.wholeDay) return 'whole day';
  const at = (wall: WallMs) => sayMinute(minuteOfDay(wall), hourCycle);
  if (o.start < day * DAY && o.end > (day + 1) * DAY) return 'all day long';
  if (o.start < day * DAY) return `until ${at(o.end)}`;
  return o.end > (day + 1) * DAY ? `from ${at(o.start)}` : `${at(o.start)} – ${at(o.end)}`;
}

const EventLine = memo(function EventLine(props: EventLineProps) {
  const { occurrence: o, day, calendarOf, categoryInks, wording, selectedId, onOpen } = props;
  const state = useBarState(o.id);
  const palette = usePalette();
  const calendar = calendarOf.get(o.calendarId);
  const colours = useBarColours(o, inkOf(o, calendar?.ink ?? palette.dim, categoryInks));
  if (!calendar) return null;
  const part = sayPart(nthDay(o, day));
  const awayFrom = o.wholeDay ? null : travelZone(day, wording);
  // Not "in": it stands where places do.
  const away = awayFrom && `${cityOf(awayFrom)} time`;
  const under = [part, away, o.place, sayLeaveBy(o, wording)].filter(Boolean).join(' · ');
  const isSelected = o.id === selectedId;
  return (
    <div
      {...pressable(o, true, onOpen, state)}
      aria-label={barName(o, calendar, wording, state)}
      aria-pressed={isSelected}
      className={`agenda-line${isSelected ? ' agenda-selected' : ''}`}
    >
      <span className="agenda-time">{sayTimes(o, day, wording)}</span>
      <span
        className="agenda-mark"
        style={{
          color: o.availability === 'away' ? colours.onSolid : colours.edge,
          ...barStyle(o.availability, colours),
          ...(importanceOf(o.importance) === 'high' && {
            boxShadow: startEdge(o.importance, colours.edge, colours.fill),
          }),
        }}
      >
        <Mark mark={calendar.mark} />
      </span>
      <span className="agenda-text" style={{ color: colours.text }}>
        <span className="agenda-title">
          <EventIcon icon={o.icon} />
          {titleOf(o)}
        </span>
        {(under || props.isWide) && <span className="agenda-under"> {under}</span>}
        {props.isWide && <span className="agenda-calendar">{calendar.name}</span>}
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
  day: DayNumber;
  lines: readonly AgendaLine[];
  setting: LineSetting;
}) {
  const { hourCycle } = setting.wording;
  return lines.map((line) =>
    line.kind === 'event' ? (
      <EventLine key={line.occurrence.id} occurrence={line.occurrence} day={day} {...setting} />
    ) : (
      <div key={line.start} className="agenda-clear">
        <span>
          {sayMinute(minuteOfDay(line.start), hourCycle)} –{' '}
          {sayMinute(minuteOfDay(line.end), hourCycle)}
        </span>
        <span className="agenda-rule" />
        <span className="agenda-length">{sayLength((line.end - line.start) / MINUTE)} clear</span>
      </div>
    ),
  );
}
