import { useEffect, useState } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { Span } from '@/core/layout/drag';
import type { CalendarEvent } from '@/core/model/event';

/** What is open beside the week. */
export type Panel =
  | { kind: 'details'; occurrence: Occurrence }
  | { kind: 'edit'; eventId: string }
  | { kind: 'new'; draft: CalendarEvent }
  | { kind: 'copy'; occurrence: Occurrence }
  | { kind: 'add'; span: Span | null; day: number };

const KEY = 'orderly-week-shown';

/** The week that was shown before a reload, if that was today; a new day begins on its own week. */
function remembered(today: number): number | null {
  const [day, shown] = (window.sessionStorage.getItem(KEY) ?? '').split(' ').map(Number);
  return day === today && shown !== undefined && Number.isInteger(shown) ? shown : null;
}

/** A day of the week that the plan shows. It outlives a reload. */
export function useShownDay(today: number): [number, (day: number) => void] {
  const [day, setDay] = useState(() => remembered(today) ?? today);
  useEffect(() => {
    window.sessionStorage.setItem(KEY, `${today} ${day}`);
  }, [today, day]);
  return [day, setDay];
}
