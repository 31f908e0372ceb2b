import { minutesWithin } from '@/core/agenda/table';
import type { Occurrence, Window } from '@/core/agenda/occurrence';
import type { OutColumn, OutRow } from '@/core/files/csv/write';
import { writeTable } from '@/core/files/csv/write';
import { carriedCalendars } from '@/core/files/ics/carried';
import { writeCalendarFile } from '@/core/files/ics/writeFile';
import type { Calendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/event';
import type { EventQuery } from '@/core/query/eventQuery';
import { partsSet } from '@/core/query/filterParts';
import { DAY, formatDate } from '@/core/time/civil';
import type { Asked } from '../queries/asked';
import { askDates, askedCalendars, askEvents } from '../queries/asked';
import type { FileStore } from '../storage/fileStore';

/** What is to go out: the events that a query means, in a period or of all time. */
export interface ExportRequest {
  query: EventQuery;
  period?: Window;
  /** Attached files go along: inside up to a size, larger ones beside it. */
  withFiles?: boolean;
}

/** The largest file that goes inside a calendar file, in bytes: others' programs read it as one line. */
const MOST_INSIDE = 2 * 1024 * 1024;

export interface ExportedFile {
  /** Without the ending. */
  name: string;
  text: string;
  events: number;
  /** Names of attached files, which stay here. */
  filesLeft: string[];
  /** Attached files that are to go beside it. */
  beside: Attachment[];
  /** Events whose reminders by mail go out as ones that are shown, since no address is known. */
  unmailed: number;
}

type Attachment = CalendarEvent['attachments'][number];

function nameOf(
  calendars: readonly Calendar[],
  events: readonly CalendarEvent[],
  { query: { eventIds, filter }, period }: ExportRequest,
): string {
  if (eventIds?.length === 1)
    return events[0]?.title.trim().replaceAll(/[\\/:*?"<>|]/g, ' ') || 'Event';
  const what =
    eventIds !== null || partsSet(filter) > 0
      ? 'Chosen events'
      : calendars.length === 1
        ? calendars[0]!.name
        : 'All calendars';
  if (!period) return what;
  return `${what} ${formatDate(period.fromDay)} to ${formatDate(period.toDay - 1)}`;
}

/** Where what goes out is taken from. */
interface Sources extends Asked {
  /** Those that there are. */
  calendars: readonly Calendar[];
  files: Pick<FileStore, 'get'>;
}

/** Contents of files by id, as far as they are (still) here. */
async function contentsOf(
  files: Sources['files'],
  wanted: readonly Attachment[],
): Promise<Map<string, string>> {
  const contents = new Map<string, string>();
  for (const { id } of wanted) {
    const data = await files.get(id);
    if (data !== null) contents.set(id, data);
  }
  return contents;
}

/** An iCalendar file of what was asked for. */
export async function exportCalendarFile(
  { calendars, files, ...asked }: Sources,
  request: ExportRequest,
): Promise<ExportedFile> {
  const { records } = asked;
  const { query, period } = request;
  const ids = askedCalendars(records, query);
  const chosen = calendars.filter(({ id }) => ids.has(id));
  const events = askEvents(asked, query, period ?? null);
  // Tasks and what came with a file belong to whole calendars.
  const isWhole = !query.eventIds && !period && partsSet(query.filter) === 0;
  const tasks = records
    .all('task')
    .filter(
      ({ removedAt, calendarId }) =>
        isWhole && removedAt === undefined && (calendarId === undefined || ids.has(calendarId)),
    );
  const passthrough = isWhole ? chosen.flatMap((calendar) => calendar.passthrough ?? []) : [];
  const name = nameOf(chosen, events, request);
  const categories = new Map(records.all('category').map((one) => [one.id, one.name]));
  const attached = events.flatMap(({ attachments }) => attachments);
  const isSmall = ({ bytes }: Attachment) => bytes <= MOST_INSIDE;
  const { withFiles = false } = request;
  const contents = await contentsOf(files, withFiles ? attached.filter(isSmall) : []);
  const used = new Set([...events, ...tasks].map(({ calendarId }) => calendarId));
  const mail = records.get('settings', 'mine')?.reminding.mail;
  const now = Date.now();
  return {
    unmailed: mail
      ? 0
      : events.filter(({ reminders }) => reminders?.some(({ how }) => how === 'mail')).length,
    name,
    events: events.length,
    filesLeft: attached
      .filter((file) => !withFiles || (isSmall(file) && !contents.has(file.id)))
      .map((file) => file.name),
    beside: withFiles ? attached.filter((file) => !isSmall(file)) : [],
    text: writeCalendarFile({
      name,
      events,
      tasks,
      passthrough,
      uidOf: (id) => records.get('event', id)?.uid,
      uidOfTask: (id) => records.get('task', id)?.uid,
      categories,
      calendars: new Map(chosen.map((calendar) => [calendar.id, calendar])),
      carried: carriedCalendars(chosen.filter(({ id }) => used.has(id))),
      mail,
      contents,
      now,
    }),
  };
}

/** Which columns of what a query means in a period. */
export interface TableRequest {
  query: EventQuery;
  period: Window;
  columns: OutColumn[];
}

/** What of an occurrence with hours lies within a period: its line says the times that its hours are of. */
function withinPeriod(o: Occurrence, { fromDay, toDay }: Window): Occurrence {
  if (o.wholeDay) return o;
  const [start, end] = [Math.max(o.start, fromDay * DAY), Math.min(o.end, toDay * DAY)];
  return start === o.start && end === o.end ? o : { ...o, start, end };
}

/** A table file of a period: one line a date, in order of time. */
export function exportTable(
  { calendars, ...asked }: Omit<Sources, 'files'>,
  { query, period, columns }: TableRequest,
): ExportedFile {
  const { records } = asked;
  const ids = askedCalendars(records, query);
  const chosen = calendars.filter(({ id }) => ids.has(id));
  const names = new Map(chosen.map(({ id, name }) => [id, name]));
  const categories = new Map(records.all('category').map(({ id, name }) => [id, name]));
  const { occurrences } = askDates(asked, query, period);
  const rows = occurrences.flatMap((occurrence): OutRow[] => {
    const event = records.get('event', occurrence.eventId);
    if (!event) return [];
    return [
      {
        occurrence: withinPeriod(occurrence, period),
        event,
        calendar: names.get(occurrence.calendarId) ?? '',
        categories: occurrence.categoryIds.flatMap((id) => categories.get(id) ?? []),
        minutes: minutesWithin(occurrence, period.fromDay, period.toDay),
      },
    ];
  });
  const name = nameOf(chosen, [], { query, period });
  return {
    name,
    text: writeTable(rows, columns),
    events: rows.length,
    filesLeft: [],
    beside: [],
    unmailed: 0,
  };
}
