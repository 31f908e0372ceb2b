import { useEffect, useState } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { DateEdit } from '@/core/editing/series/edit';
import type { Span } from '@/core/layout/drag';
import type { CalendarEvent } from '@/core/model/event';

/** An action on one date of a series that waits for its scope. */
export interface ScopeAsk {
  occurrence: Occurrence;
  event: CalendarEvent;
  dateKey: string;
  /** As a button says it, and as it is told when it was done. */
  verb: 'Move' | 'Stretch' | 'Remove' | 'Change';
  done: string;
  /** What is to change; null removes. */
  edit: DateEdit | null;
}

/** What is open beside the week. */
export type Panel =
  | { kind: 'details'; occurrence: Occurrence }
  | {
      kind: 'edit';
      eventId: string;
      dateKey: string | null;
      occurrenceId: string;
      start: number;
    }
  | { kind: 'scope'; ask: ScopeAsk }
  | { kind: 'zones' }
  | { kind: 'day'; day: number }
  | { kind: 'workday'; day: number }
  | { kind: 'load' }
  | { kind: 'new'; draft: CalendarEvent }
  | { kind: 'copy'; occurrence: Occurrence }
  /** `isDay`: a day's head was pressed. */
  | { kind: 'add'; span: Span | null; day: number; isDay?: true };

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

/** The occurrence that a panel is about, if any. */
export function selectedIn(panel: Panel | null): { id: string; start: number } | undefined {
  switch (panel?.kind) {
    case 'details':
    case 'copy':
      return panel.occurrence;
    case 'edit':
      return { id: panel.occurrenceId, start: panel.start };
    case 'scope':
      return panel.ask.occurrence;
    default:
      return undefined;
  }
}
