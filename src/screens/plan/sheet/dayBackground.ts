import type { CSSProperties } from 'react';
import type { Palette } from '@/ui/theme/palette';
import type { MinuteOfDay } from '@/core/time/units';

/** How far hour lines let through what they lie on, as the last two digits of a colour. */
const LINE_ALPHA = 'b3';

interface Ground {
  /** Which way the time runs. */
  axis: 'across' | 'down';
  fromMinute: MinuteOfDay;
  toMinute: MinuteOfDay;
  /** Length of the shown hours, in px. */
  length: number;
  /** Working hours (minutes of the day); null on a day off. */
  hours: { from: number; to: number } | null;
}

/**
 * What lies behind the events of a day, as layers of one background: a line at each hour, and a
 * shade on what is outside the working hours. One element: a week of lines would be a hundred.
 */
export function dayGround(
  { axis, fromMinute, toMinute, length, hours }: Ground,
  { hairline, outOfHours }: Pick<Palette, 'hairline' | 'outOfHours'>,
): CSSProperties {
  const isAcross = axis === 'across';
  const direction = isAcross ? 'to right' : 'to bottom';
  const perMinute = length / (toMinute - fromMinute);
  const at = (minute: number) =>
    Math.max(0, Math.min(length, (minute - fromMinute) * perMinute)).toFixed(2);
  const first = at(Math.ceil(fromMinute / 60) * 60);
  const hour = (60 * perMinute).toFixed(2);
  const line = `${hairline}${LINE_ALPHA}`;
  const lines = `repeating-linear-gradient(${direction}, transparent 0 ${first}px, ${line} ${first}px calc(${first}px + 1px), transparent calc(${first}px + 1px) ${hour}px)`;
  const [from, to] = hours ? [at(hours.from), at(hours.to)] : [length, length];
  const off = `linear-gradient(${direction}, ${outOfHours} ${from}px, transparent ${from}px ${to}px, ${outOfHours} ${to}px)`;
  return { backgroundImage: `${lines}, ${off}` };
}
