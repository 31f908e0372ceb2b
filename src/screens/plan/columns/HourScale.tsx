import { yOfMinute } from '@/core/layout/columns';
import type { HourCycle } from '@/core/time/words';
import { sayHour } from '@/core/time/words';
import type { Field } from './placeInColumns';

/** Height of an hour's name, as .hour-name has it. */
const LINE = 14;

/** The hours down the left side of the columns. */
export function HourScale({ field, hourCycle }: { field: Field; hourCycle: HourCycle }) {
  const hours: number[] = [];
  for (let hour = Math.ceil(field.fromMinute / 60); hour * 60 < field.toMinute; hour++)
    hours.push(hour);
  return (
    <div aria-hidden className="hour-scale" style={{ width: field.left, height: field.height }}>
      {hours.map((hour) => (
        <span
          key={hour}
          className="hour-name"
          style={{ top: Math.max(0, yOfMinute(field, hour * 60) - LINE / 2) }}
        >
          {sayHour(hour, hourCycle)}
        </span>
      ))}
    </div>
  );
}
