import { minutesWithin } from './table';
import type { Occurrence } from './occurrence';
import { takenWall } from './occurrence';
import type { Calendar } from '../model/calendar';
import type { Category } from '../model/others';
import type { Grouping, TableColumn, TableSetup } from '../model/view';
import { DEFAULT_TABLE } from '../model/view';
import { dayOfWall, minuteOfDay } from '../time/civil';
import type { Wording } from '../time/words';
import { formatAway, LONG_DAY, SHORT_DAY, sayDay, sayHours, sayMinute } from '../time/words';
import type { DayNumber, WallMs } from '../time/units';
import { IMPORTANCES, importanceOf } from '../model/importance';
import { titleOf } from '../model/titleOf';
import { calendarReminders } from '../reminders/following';
import { sayReminder } from '../reminders/words';

export const COLUMN_NAMES: Record<TableColumn, string> = {
  date: 'Date',
  start: 'Start',
  end: 'End',
  hours: 'Hours',
  title: 'Title',
  calendar: 'Calendar',
  category: 'Category',
  place: 'Place',
  availability: 'Availability',
  series: 'Repeats',
  leaveBy: 'Leave by',
  reminder: 'Reminder',
  importance: 'Importance',
};

/** What fits beside the title on a phone. */
const FITTING: readonly TableColumn[] = ['date', 'start', 'hours'];

/** The columns of a narrow table: the title first; of those that nobody chose, the ones that fit. */
export function narrowColumns(columns: readonly TableColumn[]): TableColumn[] {
  const usual = DEFAULT_TABLE.columns;
  const isUsual =
    columns.length === usual.length && columns.every((column, i) => column === usual[i]);
  const others = (isUsual ? FITTING : columns).filter((column) => column !== 'title');
  return columns.includes('title') ? ['title', ...others] : others;
}

/** Columns whose numbers stand under each other. */
export const isNumeric = (column: TableColumn) => column === 'hours';

export interface TableSetting {
  calendarOf: ReadonlyMap<string, Calendar>;
  categoryOf: ReadonlyMap<string, Category>;
  wording: Wording;
  /** The zone by whose clock times are told. */
  clock: string;
  /** The days of the table (day numbers, the end excluded): hours outside of them don't count. */
  fromDay: DayNumber;
  toDay: DayNumber;
}

/** What a cell says. */
export function cellText(o: Occurrence, column: TableColumn, setting: TableSetting): string {
  const { wording } = setting;
  const at = (wall: WallMs) =>
    sayMinute(minuteOfDay(wall), wording.hourCycle) + formatAway(dayOfWall(wall), wording);
  switch (column) {
    case 'date':
      return sayDay(dayOfWall(o.start), wording, SHORT_DAY);
    case 'start':
      return o.wholeDay ? 'whole day' : at(o.start);
    case 'end':
      if (o.wholeDay) return sayDay(dayOfWall(o.end) - 1, wording, SHORT_DAY);
      // Of several days it is said which.
      return dayOfWall(o.end - 1) > dayOfWall(o.start)
        ? `${sayDay(dayOfWall(o.end), wording, SHORT_DAY)}, ${at(o.end)}`
        : at(o.end);
    case 'hours': {
      const minutes = minutesWithin(o, setting.fromDay, setting.toDay);
      return minutes > 0 ? sayHours(minutes) : '';
    }
    case 'title':
      return titleOf(o);
    case 'calendar':
      return setting.calendarOf.get(o.calendarId)?.name ?? '';
    case 'category':
      return o.categoryIds.flatMap((id) => setting.categoryOf.get(id)?.name ?? []).join(', ');
    case 'place':
      return o.place;
    case 'availability':
      return o.availability;
    case 'series':
      return o.dateKey === null ? '' : o.changed ? 'changed date' : 'yes';
    case 'leaveBy':
      return o.travelBefore > 0 ? at(takenWall(o).start) : '';
    case 'reminder': {
      const reminders = o.reminders ?? calendarReminders(setting.calendarOf.get(o.calendarId), o);
      const said = { ...wording, clock: setting.clock };
      return reminders.map((one) => sayReminder(one, o, said)).join('; ');
    }
    case 'importance': {
      const importance = importanceOf(o.importance);
      return importance === 'usual' ? '' : importance;
    }
  }
}

/** What a column sorts by: times and lengths as numbers, the rest by its words. */
function sortValue(o: Occurrence, column: TableColumn, setting: TableSetting): number | string {
  switch (column) {
    case 'date':
      return o.start;
    case 'start':
      return o.wholeDay ? -1 : minuteOfDay(o.start);
    case 'end':
      return o.end;
    case 'hours':
      return minutesWithin(o, setting.fromDay, setting.toDay);
    case 'leaveBy':
      return o.travelBefore > 0 ? minuteOfDay(takenWall(o).start) : 1440;
    case 'importance':
      return IMPORTANCES.indexOf(importanceOf(o.importance));
    default:
      return cellText(o, column, setting).toLowerCase();
  }
}

/** Occurrences, given in order of start, as the table sorts them; of two that are alike the earlier comes first. */
export function sortOccurrences(
  occurrences: readonly Occurrence[],
  { sortBy, isDescending }: Pick<TableSetup, 'sortBy' | 'isDescending'>,
  setting: TableSetting,
): Occurrence[] {
  const direction = isDescending ? -1 : 1;
  return occurrences
    .map((occurrence) => ({ occurrence, value: sortValue(occurrence, sortBy, setting) }))
    .sort((a, b) => direction * (a.value < b.value ? -1 : a.value > b.value ? 1 : 0))
    .map(({ occurrence }) => occurrence);
}

/** What the head of a group says. */
export function groupName(key: string, by: Grouping, setting: TableSetting): string {
  switch (by) {
    case 'day':
      return sayDay(Number(key), setting.wording, LONG_DAY);
    case 'calendar':
      return setting.calendarOf.get(key)?.name ?? '';
    case 'category':
      return setting.categoryOf.get(key)?.name ?? 'No category';
    default:
      return key || 'No place';
  }
}
