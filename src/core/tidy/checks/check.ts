import type { Occurrence } from '../../agenda/occurrence';
import type { Calendar } from '../../model/calendar';
import type { CalendarEvent } from '../../model/event';
import type { Category, Settings } from '../../model/others';
import type { Person } from '../../model/person';
import type { TidyRule } from '../../model/tidyRule';
import type { Wording } from '../../time/words';
import type { DayNumber, EpochMs } from '../../time/units';

/** What checks look at: everything as it is at one moment. */
export interface World {
  /** Events on the person's own calendars, without removed ones. */
  events: readonly CalendarEvent[];
  /** All calendars, without removed ones. */
  calendars: readonly Calendar[];
  categories: readonly Category[];
  people: readonly Person[];
  settings: Settings;
  /** Epoch ms */
  now: EpochMs;
  /** The person's zone, and the day that it is there (day number). */
  zone: string;
  today: DayNumber;
  wording: Wording;
  /** What happens on all calendars from a day to before another (day numbers). */
  occurrencesIn(fromDay: DayNumber, toDay: DayNumber): readonly Occurrence[];
}

/** A way to put something right. */
export interface Way {
  how: string;
  /** As a button says it. */
  label: string;
  /** What has new events of that title right from the beginning, where a rule can say it. */
  rule?: Pick<TidyRule, 'words' | 'steps'>;
}

/** One thing that a check found. */
export interface Finding<Name extends string = string> {
  check: Name;
  /** Stays the same as long as it is about the same: by it a finding is left as it is. */
  key: string;
  /** The events (or by their occurrences' ids the dates) that it is about. */
  ids: readonly string[];
  title: string;
  /** Why it was found, in words. */
  reason: string;
  /** Ways to mend it, the proposed one first; none where only a person can. */
  ways: readonly Way[];
}

/** How records are changed by a mend: each sees what the ones before it did. */
export interface Hand {
  /** An event as it is by now; null when it is gone. */
  event(id: string): CalendarEvent | null;
  calendar(id: string): Calendar | null;
  category(id: string): Category | null;
  /** Every event that there is by now on own calendars. */
  events(): CalendarEvent[];
  putEvent(event: CalendarEvent): void;
  removeEvent(id: string): void;
  putCalendar(calendar: Calendar): void;
  removeCalendar(id: string): void;
  removeCategory(id: string): void;
}

/** One sort of disorder: how it is found, and what is done about it. */
export interface Check {
  find(world: World): Omit<Finding, 'check'>[];
  mend(finding: Pick<Finding, 'ids' | 'key'>, how: string, world: World, hand: Hand): void;
}

/** A key from what a finding is about. */
export const keyOf = (...parts: readonly string[]) => parts.join(' ');
