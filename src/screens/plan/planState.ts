import type { Occurrence } from '@/core/agenda/occurrence';
import type { DateEdit } from '@/core/editing/series/edit';
import type { Span } from '@/core/layout/drag';
import type { CalendarEvent } from '@/core/model/event';
import type { DayNumber } from '@/core/time/units';

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

/** What is open beside the sheet. */
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
  | { kind: 'day'; day: DayNumber }
  | { kind: 'workday'; day: DayNumber }
  | { kind: 'load' }
  | { kind: 'tasks' }
  /** Somebody whose time is on the sheet, or is looked at; with what of it was pressed. */
  | { kind: 'person'; personId: string; occurrence: Occurrence | null }
  | { kind: 'new'; draft: CalendarEvent }
  | { kind: 'copy'; occurrence: Occurrence }
  /** `isDay`: a day's head was pressed. */
  | { kind: 'add'; span: Span | null; day: DayNumber; isDay?: true };

/** Dialogs over the sheet. */
export type PlanDialog =
  'date' | 'periods' | 'lenses' | 'view' | 'filter' | 'calendars' | 'people' | 'keys';

/** What is open and selected on the Plan screen. */
export interface PlanState {
  panel: Panel | null;
  dialog: PlanDialog | null;
  /** Whose menu is open. */
  menuFor: Occurrence | null;
  /** The time of what is being added. */
  draft: Span | null;
  /** The zone that the sheet is seen from for a while; null for the person's own clock. */
  seenAs: string | null;
}

export const NOTHING_OPEN: PlanState = {
  panel: null,
  dialog: null,
  menuFor: null,
  draft: null,
  seenAs: null,
};

export type PlanAction =
  | { do: 'open'; panel: Panel }
  /** Closes a panel, if it is still the one that is open: another may have been opened since. */
  | { do: 'close'; panel: Panel }
  /** The address names no event any more. */
  | { do: 'leaveDetails' }
  /** Null closes it. */
  | { do: 'ask'; dialog: PlanDialog | null }
  | { do: 'menu'; of: Occurrence | null }
  | { do: 'draft'; span: Span | null }
  /** `home` is the person's own zone. */
  | { do: 'seeAs'; zone: string | null; home: string };

/** Whether two panels are of one kind, and about one event where they are about any. */
const isSamePanel = (a: Panel | null, b: Panel): boolean =>
  a?.kind === b.kind && selectedIn(a)?.id === selectedIn(b)?.id;

/** What is open after an action. */
export function planReducer(state: PlanState, action: PlanAction): PlanState {
  switch (action.do) {
    case 'open':
      return { ...state, panel: action.panel };
    case 'close':
      return isSamePanel(state.panel, action.panel) ? { ...state, panel: null } : state;
    case 'leaveDetails':
      return state.panel?.kind === 'details' ? { ...state, panel: null } : state;
    case 'ask':
      return { ...state, dialog: action.dialog };
    case 'menu':
      return { ...state, menuFor: action.of };
    case 'draft':
      return { ...state, draft: action.span };
    case 'seeAs':
      return {
        ...state,
        seenAs: action.zone === action.home ? null : action.zone,
        // What else is open tells times by the clock of before.
        panel: state.panel?.kind === 'zones' ? state.panel : null,
      };
  }
}

/** The occurrence that a panel is about, if any. */
export function selectedIn(panel: Panel | null): { id: string; start: number } | undefined {
  switch (panel?.kind) {
    case 'details':
    case 'copy':
      return panel.occurrence;
    case 'person':
      return panel.occurrence ?? undefined;
    case 'edit':
      return { id: panel.occurrenceId, start: panel.start };
    case 'scope':
      return panel.ask.occurrence;
    default:
      return undefined;
  }
}
