import { xOfMinute } from '@/core/layout/rows';
import type { HourCycle } from '@/core/time/words';
import { sayHour } from '@/core/time/words';
import { AXIS_HEIGHT } from './geometry';
import type { TimeLine } from './RowBackground';

/** Least room for an hour's name, in px. */
const HOUR_ROOM = 34;
/** Half of an hour's name's box, as .hour-axis has it. */
const HALF_NAME = 20;

/** The hours along the top of the sheet. */
export function HourAxis({
  line,
  gutter,
  hourCycle,
}: {
  line: TimeLine;
  gutter: number;
  hourCycle: HourCycle;
}) {
  const hours = (line.toMinute - line.fromMinute) / 60;
  const every = [1, 2, 3, 4, 6].find((step) => (line.width / hours) * step >= HOUR_ROOM) ?? 12;
  const first = Math.floor(line.fromMinute / 60) + 1;
  const shown: number[] = [];
  for (let hour = first; hour * 60 < line.toMinute; hour++)
    if (hour % every === 0) shown.push(hour);
  return (
    <div aria-hidden className="hour-axis" style={{ height: AXIS_HEIGHT }}>
      {shown.map((hour) => (
        <span
          key={hour}
          className="hour-name"
          style={{ left: gutter + xOfMinute(line, hour * 60) - HALF_NAME }}
        >
          {sayHour(hour, hourCycle)}
        </span>
      ))}
    </div>
  );
}
