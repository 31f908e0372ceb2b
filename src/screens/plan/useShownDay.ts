import { useEffect, useState } from 'react';
import type { DayNumber } from '@/core/time/units';

const KEY = 'orderly-week-shown';

/** The day that was shown before a reload, if that was today; a new day begins on its own week. */
function remembered(today: DayNumber): number | null {
  const [day, shown] = (window.sessionStorage.getItem(KEY) ?? '').split(' ').map(Number);
  return day === today && shown !== undefined && Number.isInteger(shown) ? shown : null;
}

/** A day (day number) of what the plan shows. It outlives a reload. */
export function useShownDay(today: DayNumber): [number, (day: DayNumber) => void] {
  const [day, setDay] = useState(() => remembered(today) ?? today);
  useEffect(() => {
    window.sessionStorage.setItem(KEY, `${today} ${day}`);
  }, [today, day]);
  return [day, setDay];
}
