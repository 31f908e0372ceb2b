import type { Occurrence } from '../agenda/occurrence';
import type { TableSetting } from '../agenda/tableColumns';
import type { Mark } from '../model/inks';
import type { PrintSetup } from '../model/print';
import type { TableSetup } from '../model/view';
import type { DayNumber, MinuteOfDay } from '../time/units';
import type { Wording } from '../time/words';
import { formatAway, sayMinute } from '../time/words';
import { dayOfWall, minuteOfDay } from '../time/civil';
import { wallFromInstant } from '../time/zones';
import type { Weekday } from '../time/civil';
import type { Points } from './boxes';
import type { LetterWidths } from './text';

/** An occurrence with what paper says of it besides. */
export interface Printed {
  o: Occurrence;
  /** As it is called here: a private one perhaps only as booked. */
  title: string;
  place: string;
  /** Said with the event, or beside the days, as the set-up has it. */
  notes: string;
  guests: string;
  ink: string;
  mark: Mark;
  calendar: string;
}

/** Something to be done that stands beside the days. */
export interface PrintedTask {
  title: string;
  /** When it is due, in words; empty for no time. */
  due: string;
  isDone: boolean;
}

/** What is to be printed, read and worked out; nothing of it is drawn yet. */
export interface Printing {
  setup: PrintSetup;
  /** Days, the end excluded. */
  from: DayNumber;
  to: DayNumber;
  /** Those of them that are shown. */
  days: readonly DayNumber[];
  /** In order of time. */
  events: readonly Printed[];
  tasks: readonly PrintedTask[];
  /** What is said of what is not printed; empty for nothing. */
  leftOut: string;
  fromMinute: MinuteOfDay;
  toMinute: MinuteOfDay;
  firstWeekday: Weekday;
  wording: Wording;
  today: DayNumber;
  /** The second clock: what it is called. */
  other: { zone: string; name: string } | null;
  widths: LetterWidths;
  /** The table of the sheet, and what its cells say. */
  table: { setup: TableSetup; setting: TableSetting };
}

/** Height of a line of letters of a size. */
export const lineHeight = (size: Points): Points => size * 1.35;

/** "09:00 – 10:30", or the day's word for what lasts all of it. */
export function sayTimes({ o }: Printed, { wording }: Pick<Printing, 'wording'>): string {
  if (o.wholeDay) return 'whole day';
  const at = (wall: number) => sayMinute(minuteOfDay(wall), wording.hourCycle);
  return `${at(o.start)} – ${at(o.end)}${formatAway(dayOfWall(o.start), wording)}`;
}

/** The same by the second clock: "18:00 in Osaka"; empty where there is none. */
export function sayOther({ o }: Printed, { other, wording }: Pick<Printing, 'other' | 'wording'>) {
  if (!other || o.wholeDay) return '';
  const wall = wallFromInstant(o.startMs, other.zone);
  return `${sayMinute(minuteOfDay(wall), wording.hourCycle)} in ${other.name}`;
}

/** What is said of an event besides its title, in lines. */
export const detailsOf = (event: Printed, printing: Printing): string[] =>
  [
    sayOther(event, printing),
    event.place,
    event.guests,
    printing.setup.hasNotes ? event.notes : '',
  ].filter(Boolean);
