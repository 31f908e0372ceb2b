import type { Passthrough } from '../../model/common';
import { dayOf, zoneOf } from '../../model/common';
import type { CalendarEvent } from '../../model/event';
import type { Task } from '../../model/others';
import { civilDate } from '../../time/civil';
import { componentLines, foldLine, propertyLine } from './jcal';
import type { CategoryNames } from './writeEvent';
import { eventLines, timesWritten } from './writeEvent';
import { zoneLines } from './writeZone';

export interface CalendarFile {
  /** Name of the calendar, or of the whole; empty for none. */
  name: string;
  events: readonly CalendarEvent[];
  tasks: readonly Task[];
  /** What the files that came in held besides. */
  passthrough: readonly Passthrough[];
  /** Names of the categories that events have, by id. */
  categories?: CategoryNames;
}

/** Years past the last written time for which a zone's rules are looked at. */
const YEARS_AHEAD = 5;

/** Zones that the events name, with the first and last year in which each is used. */
function zonesUsed(events: readonly CalendarEvent[]): Map<string, { from: number; to: number }> {
  const zones = new Map<string, { from: number; to: number }>();
  for (const time of events.flatMap(timesWritten)) {
    const zone = zoneOf(time);
    if (zone === null || zone === 'UTC') continue;
    const { year } = civilDate(dayOf(time));
    const known = zones.get(zone) ?? { from: year, to: year };
    zones.set(zone, { from: Math.min(known.from, year), to: Math.max(known.to, year) });
  }
  return zones;
}

/** A task's VTODO as it came, or one made from its fields. */
function taskLines(task: Task): string[] {
  if (task.component) return componentLines(task.component);
  const due = task.due ? [propertyLine(['due', {}, 'date', task.due])] : [];
  return [
    'BEGIN:VTODO',
    propertyLine(['uid', {}, 'text', task.uid]),
    propertyLine(['summary', {}, 'text', task.title]),
    ...due,
    ...(task.done ? ['STATUS:COMPLETED'] : []),
    'END:VTODO',
  ];
}

/**
 * The text of an iCalendar file (RFC 5545): folded lines that end in CRLF, a VTIMEZONE for each
 * zone that is named, and everything that passed through on the way in.
 */
export function writeCalendarFile(file: CalendarFile): string {
  const lines = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Orderly Week//Calendar 1//EN',
    'CALSCALE:GREGORIAN',
    ...(file.name ? [foldLine(`X-WR-CALNAME:${escapeText(file.name)}`)] : []),
    ...file.passthrough.flatMap(({ properties }) => properties.map(propertyLine)),
  ];
  for (const [zone, { from, to }] of zonesUsed(file.events)) {
    lines.push(...zoneLines(zone, from - 1, to + YEARS_AHEAD));
  }
  const categories: CategoryNames = file.categories ?? new Map();
  for (const event of file.events) lines.push(...eventLines(event, categories));
  for (const task of file.tasks) lines.push(...taskLines(task));
  for (const { components } of file.passthrough) lines.push(...components.flatMap(componentLines));
  lines.push('END:VCALENDAR', '');
  return lines.join('\r\n');
}

/** TEXT escapes (RFC 5545 §3.3.11). */
function escapeText(text: string): string {
  return text.replaceAll(/[\\;,]/g, '\\$&').replaceAll(/\r?\n/g, '\\n');
}
