import type { JcalProperty, Passthrough } from '../../model/common';
import { wallOf, zoneOf } from '../../model/common';
import type { CalendarEvent } from '../../model/event';
import type { Task } from '../../model/task';
import { END_OF_TIME } from '../../recurrence/generate';
import { isEndless, lastRuleStart } from '../../recurrence/walk';
import { civilDate, dayOfWall } from '../../time/civil';
import type { EpochMs, WallMs } from '../../time/units';
import { utcWall } from '../../time/zones';
import { seriesOf } from '../../editing/series/dates';
import { inlineProperty } from '../attached';
import { withTask } from './blocks';
import type { CarriedCalendar } from './carried';
import { calendarProperty } from './carried';
import { componentLines, foldLine, propertyLine } from './jcal';
import type { CalendarReminders } from '../../reminders/following';
import type { Surroundings } from './writeEvent';
import { cleanText, eventLines, timesWritten } from './writeEvent';
import { taskLines } from './writeTask';
import { OWN_PRODUCT } from './readFile';
import { zoneLines } from './writeZone';

export interface CalendarFile {
  /** Name of the calendar, or of the whole; empty for none. */
  name: string;
  events: readonly CalendarEvent[];
  tasks: readonly Task[];
  /** The UID of an event that a task belongs to, by its id. */
  uidOf?(eventId: string): string | undefined;
  /** The UID of a task that an event is time for, by its id. */
  uidOfTask?(taskId: string): string | undefined;
  /** What the files that came in held besides. */
  passthrough: readonly Passthrough[];
  /** Names of the categories that events have, by id. */
  categories?: Surroundings['categories'];
  /** The calendars that events lie on, by id: they may have their reminders. */
  calendars?: ReadonlyMap<string, CalendarReminders>;
  /** Calendars whose entries say that they lie on them, by id: they go along. */
  carried?: ReadonlyMap<string, CarriedCalendar>;
  /** Where mails that remind go. */
  mail?: string;
  /** Contents (base64) of the attached files that go inside, by id; others stay behind. */
  contents?: ReadonlyMap<string, string>;
  /** What the message that it goes out in wants (METHOD, RFC 5546 §3.2); none for a plain calendar. */
  method?: string;
  /** When it is written, epoch ms. */
  now: EpochMs;
}

/** Years from now on for which an endless series' zone is told. */
const YEARS_AHEAD = 30;
/** Years from now on beyond which zones are not followed: what goes on there goes on without end. */
const MOST_YEARS_AHEAD = 100;

const yearOf = (wall: WallMs) => civilDate(dayOfWall(wall)).year;

/** The last year in which a series has dates; for an endless one as far as is looked ahead. */
function lastYearOf(event: CalendarEvent, now: EpochMs): number {
  const begin = yearOf(wallOf(event.start));
  if (event.rule === undefined) return begin;
  const series = seriesOf(event);
  if (isEndless(series)) return Math.max(begin, yearOf(utcWall(now))) + YEARS_AHEAD;
  return yearOf(lastRuleStart(series, END_OF_TIME) ?? series.start);
}

/** Zones that the events name, with the first and last year in which each is used. */
function zonesUsed({
  events,
  tasks,
  now,
}: Pick<CalendarFile, 'events' | 'tasks' | 'now'>): Map<string, { from: number; to: number }> {
  const zones = new Map<string, { from: number; to: number }>();
  const note = (zone: string | null, year: number) => {
    if (zone === null || zone === 'UTC') return;
    const known = zones.get(zone) ?? { from: year, to: year };
    zones.set(zone, { from: Math.min(known.from, year), to: Math.max(known.to, year) });
  };
  for (const event of events) {
    for (const time of timesWritten(event)) note(zoneOf(time), yearOf(wallOf(time)));
    const last = Math.max(
      yearOf(wallOf(event.start)),
      Math.min(lastYearOf(event, now), yearOf(utcWall(now)) + MOST_YEARS_AHEAD),
    );
    note(zoneOf(event.start), last);
    note(zoneOf(event.end), last);
  }
  for (const { start, due } of tasks)
    for (const time of [start, due]) if (time) note(zoneOf(time), yearOf(wallOf(time)));
  return zones;
}

/**
 * The text of an iCalendar file (RFC 5545): folded lines that end in CRLF, a VTIMEZONE for each
 * zone that is named, and everything that passed through on the way in.
 */
export function writeCalendarFile(file: CalendarFile): string {
  const lines = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    `PRODID:${OWN_PRODUCT}Calendar 1//EN`,
    'CALSCALE:GREGORIAN',
    ...(file.method ? [`METHOD:${file.method}`] : []),
    ...(file.name ? [foldLine(`X-WR-CALNAME:${escapeText(file.name)}`)] : []),
    ...[...(file.carried?.values() ?? [])].map((one) => rawText(calendarProperty(one))),
    ...file.passthrough.flatMap(({ properties }) => properties.map(propertyLine)),
  ];
  for (const [zone, { from, to }] of zonesUsed(file)) {
    // A year on either side: what begins in one may reach into the next.
    lines.push(...zoneLines(zone, from - 1, to + 1));
  }
  const { categories = new Map<string, string>(), calendars, mail } = file;
  for (const event of file.events) {
    const around = {
      categories,
      calendar: calendars?.get(event.calendarId),
      calendarName: file.carried?.get(event.calendarId)?.name,
      mail,
    };
    const whole = withTask(withFilesInside(event, file.contents), file.uidOfTask);
    lines.push(...eventLines(whole, around));
  }
  for (const task of file.tasks) {
    const calendarName = file.carried?.get(task.calendarId ?? '')?.name;
    lines.push(...taskLines(task, { categories, calendarName, uidOf: file.uidOf }));
  }
  for (const { components } of file.passthrough) lines.push(...components.flatMap(componentLines));
  lines.push('END:VCALENDAR', '');
  return lines.join('\r\n');
}

/** A property of ours as a content line: its value is TEXT, of which the parser knows nothing. */
const rawText = ([name, , , value]: JcalProperty): string =>
  foldLine(`${name.toUpperCase()}:${escapeText(String(value))}`);

/** An event whose attached files, as far as their contents are here, go out inside its entry. */
function withFilesInside(event: CalendarEvent, contents: CalendarFile['contents']): CalendarEvent {
  const inside = event.attachments.flatMap(({ id, name, mediaType }) => {
    const data = contents?.get(id);
    return data === undefined ? [] : [inlineProperty({ name, mediaType, data })];
  });
  if (!inside.length) return event;
  const { properties, components, ...rest } = event.passthrough ?? {
    properties: [],
    components: [],
  };
  return {
    ...event,
    passthrough: { ...rest, components, properties: [...properties, ...inside] },
  };
}

/** TEXT escapes (RFC 5545 §3.3.11). */
function escapeText(text: string): string {
  return cleanText(text)
    .replaceAll(/[\\;,]/g, '\\$&')
    .replaceAll('\n', '\\n');
}
