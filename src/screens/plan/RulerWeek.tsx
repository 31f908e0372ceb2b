import { memo } from 'react';
import { civilDate, DAYS_A_WEEK } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { sayDay } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';

const BAR_HEIGHT = 26;
/** A week without anything shows as a low bar. */
const LEAST = 4;

interface Props {
  /** First day of the week (day number). */
  day: DayNumber;
  left: number;
  width: number;
  /** How booked it is against the most booked week of the ruler, 0 to 1. */
  share: number;
  /** Where it is among the weeks that are shown; null when it isn't. */
  shown: 'only' | 'first' | 'last' | 'between' | null;
  wording: Wording;
}

/** A week on the ruler: a bar as tall as it is booked, under the bracket of those that are shown. */
export const RulerWeek = memo(function RulerWeek(props: Props) {
  const { day, left, width, share, shown, wording } = props;
  const startsMonth = civilDate(day).day <= DAYS_A_WEEK;
  return (
    <div className={`ruler-week${shown ? ' ruler-shown' : ''}`} style={{ left, width }}>
      {startsMonth && (
        <span className="ruler-month">{sayDay(day, wording, { month: 'short' })}</span>
      )}
      {shown && <div className={`ruler-bracket ruler-${shown}`} />}
      <div className="ruler-load" style={{ height: LEAST + share * (BAR_HEIGHT - LEAST) }} />
    </div>
  );
});
