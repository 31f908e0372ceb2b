import type {
  Availability,
  JcalComponent,
  JcalProperty,
  Passthrough,
  Reminder,
} from '../../model/common';
import type { Organizer } from '../../model/attendees';
import { attendeeOf, organizerOf } from '../../model/attendees';
import { hexColour, wallOf } from '../../model/common';
import { isWebAddress } from '../../model/webAddress';
import { plannedTimes } from '../../editing/series/dates';
import type { CalendarEvent, ChangedDate } from '../../model/event';
import { durationOf, newEvent } from '../../model/event';
import type { AgendaPoint, EventField, FileField } from '../../model/eventFields';
import { DATE_CONTENT, FILE_FIELDS, GIVEN_FIELDS } from '../../model/eventFields';
import { parseRule } from '../../recurrence/rule';
import { readAlarms } from '../../reminders/alarms';
import { parseLocal } from '../../time/civil';
import type { EpochMs } from '../../time/units';
import type { ParsedComponent } from './jcal';
import { IN_CALENDAR_PROPERTY } from './carried';
import { property, textValue } from './jcal';
import { ruleFromFile, UNTIL_PROPERTY } from './untilOfFile';
import { assertLength, dateKeyFor, readSpan, readTimes } from './readTimes';
import type { FileZones } from './zoneOfFile';

/** An event of a file: everything but the ids that it gets when it is kept. */
export type EventDraft = Omit<CalendarEvent, 'id' | 'calendarId'>;

/** Our own property: iCalendar has no word for *away* (RFC 5545 §3.8.8.2). */
export const AVAILABILITY_PROPERTY = 'x-orderly-availability';

/** Ours too: an event's own ink (COLOR, RFC 7986 §5.9, has only names of colours) and icon. */
export const INK_PROPERTY = 'x-orderly-ink';
export const ICON_PROPERTY = 'x-orderly-icon';
/** Whether an event has the reminders of its calendar, or none; without it those that stand there. */
export const REMINDERS_PROPERTY = 'x-orderly-reminders';
/** Minutes that it takes to get there, and back, for which iCalendar has no word. */
export const TRAVEL_BEFORE_PROPERTY = 'x-orderly-travel-before';
export const TRAVEL_AFTER_PROPERTY = 'x-orderly-travel-after';
/** Whether reminders of other events wait while an event lasts. */
export const QUIET_PROPERTY = 'x-orderly-quiet';

/** A point of what an event is to deal with; it may be there often. */
export const POINT_PROPERTY = 'x-orderly-point';

/** Properties that become fields; all others pass through. */
const OWN_PROPERTIES = new Set([
  'uid',
  'dtstamp',
  'summary',
  'location',
  'description',
  'url',
  'dtstart',
  'dtend',
  'duration',
  'rrule',
  'rdate',
  'exdate',
  'recurrence-id',
  'transp',
  'priority',
  'created',
  'last-modified',
  'sequence',
  'conference',
  'attendee',
  'organizer',
  AVAILABILITY_PROPERTY,
  INK_PROPERTY,
  ICON_PROPERTY,
  REMINDERS_PROPERTY,
  TRAVEL_BEFORE_PROPERTY,
  TRAVEL_AFTER_PROPERTY,
  QUIET_PROPERTY,
  POINT_PROPERTY,
  IN_CALENDAR_PROPERTY,
  UNTIL_PROPERTY,
]);

/** Those of which fields keep everything, parameters too; of organizers the first. */
const WHOLE_PROPERTIES = new Set([POINT_PROPERTY, 'attendee', 'organizer']);

function readAvailability(component: JcalComponent): Availability {
  const own = textValue(component, AVAILABILITY_PROPERTY).toLowerCase();
  if (own === 'away') return 'away';
  const status = textValue(component, 'status').toUpperCase();
  if (textValue(component, 'transp').toUpperCase() === 'TRANSPARENT' || status === 'CANCELLED')
    return 'free';
  return status === 'TENTATIVE' ? 'tentative' : 'busy';
}

/** The instant (epoch ms) of a stamp in UTC; null where there is none that can be read. */
export function epochOf(component: JcalComponent, name: string): number | null {
  const value = textValue(component, name);
  if (!value.includes('T')) return null;
  try {
    return parseLocal(value.replace(/Z$/, ''));
  } catch {
    return null; // A stamp that can't be read is no reason to lose the entry.
  }
}

/** RANGE (RFC 5545 §3.2.13) as the field `andLater` says it. */
const reachesLater = (range: unknown) => String(range).toUpperCase() === 'THISANDFUTURE';

/** Parameters besides those that the value's own field keeps. */
function otherParameters(prop: JcalProperty): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(prop[1]).filter(
      ([name, value]) =>
        name !== 'tzid' && name !== 'value' && !(name === 'range' && reachesLater(value)),
    ),
  );
}

/** CONFIRMED, TENTATIVE and the two plain classes are what fields already say. */
function isSaidByFields(prop: JcalProperty): boolean {
  // The values of some properties are no texts.
  if (typeof prop[3] !== 'string') return false;
  const value = prop[3].toUpperCase();
  return (
    (prop[0] === 'status' && value === 'TENTATIVE') ||
    (prop[0] === 'class' && (value === 'PUBLIC' || value === 'PRIVATE'))
  );
}

/** Minutes that a property of ours says; 0 where it is not there, or says none. */
function minutesIn(component: JcalComponent, name: string): number {
  const minutes = Number(textValue(component, name));
  return Number.isInteger(minutes) && minutes > 0 ? minutes : 0;
}

/** What an event says of its reminders; null where that is nothing, or that its calendar has them. */
function remindersOf(
  component: JcalComponent,
  alarms: readonly Reminder[],
): EventDraft['reminders'] {
  switch (textValue(component, REMINDERS_PROPERTY).toUpperCase()) {
    case 'CALENDAR':
      return null;
    case 'NONE':
      return [...alarms];
    default:
      return alarms.length ? [...alarms] : null;
  }
}

/** What of a component the app has no field for, but for `own` properties, whose values it has. */
export function passthroughOf(
  component: JcalComponent,
  extraRules: string[],
  components: JcalComponent[],
  own: ReadonlySet<string> = OWN_PROPERTIES,
): Passthrough | undefined {
  const seen = new Set<string>();
  const room = own.has('conference') ? roomProperty(component) : undefined;
  const properties: JcalProperty[] = [];
  const parameters: Record<string, Record<string, unknown>> = {};
  for (const prop of component[1]) {
    const name = prop[0];
    const first = !seen.has(name);
    seen.add(name);
    const repeats = name === 'rdate' || name === 'exdate';
    if (WHOLE_PROPERTIES.has(name) && own.has(name) && (first || name !== 'organizer')) continue;
    if (name === 'conference' && prop !== room) {
      properties.push(prop);
      continue;
    }
    if (own.has(name) && (first || repeats || prop === room)) {
      const others = otherParameters(prop);
      if (Object.keys(others).length) parameters[name] = others;
    } else if (!isSaidByFields(prop)) properties.push(prop);
  }
  for (const rule of extraRules) properties.push(['rrule', {}, 'unknown', rule]);
  const hasParameters = Object.keys(parameters).length > 0;
  if (!properties.length && !components.length && !hasParameters) return undefined;
  return { properties, components, ...(hasParameters ? { parameters } : {}) };
}

/** Where an event takes place online (CONFERENCE, RFC 7986 §5.11): the first address of the web; numbers to ring pass through. */
const roomProperty = (component: JcalComponent): JcalProperty | undefined =>
  component[1].find(([name, , , value]) => name === 'conference' && isWebAddress(String(value)));

function organizerIn(component: JcalComponent): Organizer | undefined {
  const prop = property(component, 'organizer');
  return prop && organizerOf(prop);
}

/** Points as a file has them; one without a name gets one by its place. */
function pointsOf(component: JcalComponent): AgendaPoint[] {
  return component[1]
    .filter(([name]) => name === POINT_PROPERTY)
    .map(([, parameters, , text], nth) => {
      const named = String(parameters['x-id'] ?? '');
      const minutes = Number(parameters['x-minutes'] ?? 0);
      return {
        id: /^[^/\s]{1,80}$/.test(named) ? named : `point${nth + 1}`,
        text: String(text ?? ''),
        minutes: Number.isInteger(minutes) && minutes > 0 ? minutes : 0,
        done: String(parameters['x-done'] ?? '').toUpperCase() === 'TRUE',
      };
    });
}

function inkAndIcon(component: JcalComponent): Pick<EventDraft, 'inkOverride' | 'icon'> {
  const text = textValue(component, INK_PROPERTY);
  const ink = text && hexColour.safeParse(text);
  const icon = textValue(component, ICON_PROPERTY);
  return { ...(ink && ink.success && { inkOverride: ink.data }), ...(icon && { icon }) };
}

/**
 * Every field that a file speaks of, so that none is forgotten; categories come by name, and changed
 * dates as entries of their own.
 */
type Spoken = {
  [Field in Exclude<FileField, 'categoryIds' | 'changedDates'>]: CalendarEvent[Field] | undefined;
} & Pick<CalendarEvent, 'start' | 'end'>;

const OPTIONAL = ['rule', 'clockDays', 'inkOverride', 'icon', 'organizer', 'passthrough'] as const;

/** Takes away the names of fields that hold nothing. */
function definedOnly(fields: Spoken): Spoken {
  for (const name of OPTIONAL)
    if (fields[name] === undefined) delete (fields as Partial<Spoken>)[name];
  return fields;
}

/**
 * Reads one VEVENT. Its ids are made up, to be written over when it is kept.
 * @throws RangeError or RuleError when what it needs (start, repeat) can't be read.
 */
export function readEvent(
  { jcal, rules }: ParsedComponent,
  zones: FileZones,
  uid: string,
  now: EpochMs,
): { draft: CalendarEvent; note?: string } {
  const { start, end, clockDays, note } = readSpan(jcal, zones);
  if (rules[0] !== undefined) parseRule(rules[0]);
  const updated = epochOf(jcal, 'last-modified') ?? epochOf(jcal, 'dtstamp') ?? now;
  const classified = textValue(jcal, 'class').toUpperCase();
  const { inkOverride, icon } = inkAndIcon(jcal);
  const travelBefore = minutesIn(jcal, TRAVEL_BEFORE_PROPERTY);
  const { reminders, others } = readAlarms(jcal[2], travelBefore);
  const spoken: Spoken = {
    start,
    end,
    title: textValue(jcal, 'summary'),
    place: textValue(jcal, 'location'),
    notes: textValue(jcal, 'description'),
    link: textValue(jcal, 'url'),
    room: String(roomProperty(jcal)?.[3] ?? ''),
    agenda: pointsOf(jcal),
    attendees: jcal[1].filter(([name]) => name === 'attendee').map(attendeeOf),
    organizer: organizerIn(jcal),
    rule: rules[0] && ruleFromFile(rules[0], start, textValue(jcal, UNTIL_PROPERTY)),
    // One date alone lies where it lies.
    clockDays: clockDays && rules[0] !== undefined ? clockDays : undefined,
    extraDates: readTimes(jcal, 'rdate', zones),
    skippedDates: readTimes(jcal, 'exdate', zones).map((time) => dateKeyFor(start, time.start)),
    availability: readAvailability(jcal),
    reminders: remindersOf(jcal, reminders),
    travelBefore,
    travelAfter: minutesIn(jcal, TRAVEL_AFTER_PROPERTY),
    isQuiet: textValue(jcal, QUIET_PROPERTY).toUpperCase() === 'TRUE',
    inkOverride,
    icon,
    visibility: classified === 'PRIVATE' || classified === 'CONFIDENTIAL' ? 'private' : 'public',
    importance: Math.min(9, Math.max(0, Math.trunc(Number(textValue(jcal, 'priority'))) || 0)),
    passthrough: passthroughOf(jcal, rules.slice(1), others),
  };
  const draft = newEvent(
    {
      ...definedOnly(spoken),
      id: 'draft',
      calendarId: 'draft',
      uid,
      created: epochOf(jcal, 'created') ?? updated,
      updated,
      revision: Math.max(0, Math.trunc(Number(textValue(jcal, 'sequence'))) || 0),
    },
    now,
  );
  assertLength(durationOf(draft));
  return { draft, note };
}

/** Whether a file says anything with a field's value. */
function isGiven(value: unknown): boolean {
  return Array.isArray(value) ? value.length > 0 : Boolean(value);
}

/**
 * The fields that an entry of a file speaks of. Files of other programs may be silent about some
 * that the person has given it here; files of this app never are.
 */
export function fieldsSpokenOf(draft: EventDraft, isOwnFile: boolean): EventField[] {
  const given = GIVEN_FIELDS.filter(
    (field) => isOwnFile || isGiven(draft[field as keyof EventDraft]),
  );
  return [...FILE_FIELDS, ...given];
}

/** Which date of a series a file's entry is, and how far it reaches. */
export interface DateOfSeries {
  /** Its name in the series. */
  key: string;
  andLater: boolean;
  isOwnFile: boolean;
}

const isSame = (a: unknown, b: unknown) => JSON.stringify(a ?? null) === JSON.stringify(b ?? null);

/** What a changed date holds besides its series: the fields that differ. */
export function changedDateFrom(
  series: EventDraft,
  own: EventDraft,
  { key, andLater, isOwnFile }: DateOfSeries,
): ChangedDate {
  const change: Record<string, unknown> = { revision: own.revision };
  const planned = plannedTimes(series, parseLocal(key));
  if (!isSame([own.start, own.end], [planned.start, planned.end]))
    Object.assign(change, { start: own.start, end: own.end });
  const spoken = fieldsSpokenOf(own, isOwnFile);
  for (const field of DATE_CONTENT) {
    // Null: this date has none, though its series does.
    if (spoken.includes(field) && !isSame(own[field], series[field]))
      change[field] = own[field] ?? null;
  }
  if (andLater) change['andLater'] = true;
  if (own.passthrough) change['passthrough'] = own.passthrough;
  return change as ChangedDate;
}

/** Whether a component is one date of a series, and whether it reaches the later ones too. */
export function recurrenceOf(
  component: JcalComponent,
  zones: FileZones,
): { time: ReturnType<typeof readTimes>[number]['start']; andLater: boolean } | null {
  const prop = property(component, 'recurrence-id');
  const [time] = readTimes(component, 'recurrence-id', zones);
  if (!prop || !time) return null;
  // Thrown here, where it keeps out this entry alone.
  wallOf(time.start);
  return { time: time.start, andLater: reachesLater(prop[1]['range']) };
}
