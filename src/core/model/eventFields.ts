import { RuleError, parseRule } from '../recurrence/rule';
import {
  availability,
  eventTime,
  hexColour,
  id,
  instant,
  localDateTime,
  passthrough,
  plainDate,
  reminder,
  visibility,
  zoneName,
} from './common';
import { attendee, organizer } from './attendees';
import { z } from './zod';

const attachment = z.object({
  id,
  name: z.string(),
  mediaType: z.string(),
  bytes: z.number().int().nonnegative(),
});

/** One point of what an event is to deal with. `minutes` is what it is given; 0 where nobody said. */
const agendaPoint = z.object({
  id,
  text: z.string(),
  done: z.boolean(),
  minutes: z.number().int().min(0),
});
export type AgendaPoint = z.infer<typeof agendaPoint>;

/** A repeat rule (RRULE, RFC 5545 §3.3.10) that can be read. */
export const rule = z.string().refine((text) => {
  try {
    parseRule(text);
    return true;
  } catch (error) {
    if (error instanceof RuleError) return false;
    throw error;
  }
}, 'is not a repeat rule that can be read');

/** Name of one date of a series: its nominal start, `YYYY-MM-DDTHH:mm:ss` or `YYYY-MM-DD` (RECURRENCE-ID, RFC 5545 §3.8.4.4). */
export const dateKey = z.union([plainDate, localDateTime]);

/** An added date (RDATE): a time, with an end of its own when the file gave a period. */
const extraDate = z.object({ start: eventTime, end: eventTime.optional() });

/**
 * Whether calendar files speak of a field. `given`: files of other programs may leave it out without
 * meaning that there is none, so that what the person has stays.
 */
type InFile = 'always' | 'given' | 'never';

/** What the rest of the app has to know of one field of an event. */
interface FieldSpec<S extends z.ZodType = z.ZodType, F extends InFile = InFile> {
  schema: S;
  /** Makes what a new event holds; without it whoever makes the event names the field, or it is absent. */
  initial?: () => z.infer<S>;
  inFile: F;
  /** Whether a person who follows a calendar is told when it differs. */
  isNews: boolean;
}

function field<S extends z.ZodType, F extends InFile = 'never'>(
  schema: S,
  { inFile, isNews = false, ...rest }: Partial<Omit<FieldSpec<S, F>, 'schema'>> = {},
): FieldSpec<S, F> {
  // Without a word, `F` is 'never'.
  return { schema, inFile: inFile ?? ('never' as F), isNews, ...rest };
}

/**
 * What somebody with whom an event is shared did to it, or to one date (`key`): `kept` are fields that
 * the person had changed meanwhile, as the other wrote them; `isToGo` tells that they wanted it gone.
 */
const changedBy = z.object({
  name: z.string(),
  at: instant,
  key: dateKey.nullable(),
  kept: z.partialRecord(z.enum(['title', 'place', 'start', 'end']), z.string()).optional(),
  isToGo: z.boolean().optional(),
  zone: zoneName,
});

const ofFile = { inFile: 'always' } as const;
const seen = { inFile: 'always', isNews: true } as const;
const minutes = z.number().int().min(0);

/** The fields that one date of a series may have for itself (an override, RFC 5545 §3.8.4.4). */
const DATE_SPECS = {
  start: field(eventTime, seen),
  end: field(eventTime, seen),
  title: field(z.string(), { ...seen, initial: () => '' }),
  place: field(z.string(), { ...seen, initial: () => '' }),
  notes: field(z.string(), { ...seen, initial: () => '' }),
  link: field(z.string(), { ...ofFile, initial: () => '' }),
  /** Where it takes place online (CONFERENCE, RFC 7986 §5.11); empty for nowhere. */
  room: field(z.string(), { inFile: 'given', initial: () => '' }),
  agenda: field(z.array(agendaPoint), { inFile: 'given', initial: () => [] }),
  availability: field(availability, { ...seen, initial: () => 'busy' as const }),
  visibility: field(visibility, { ...ofFile, initial: () => 'public' as const }),
  importance: field(z.number().int().min(0).max(9), { ...ofFile, initial: () => 0 }),
  categoryIds: field(z.array(id), { inFile: 'given', initial: () => [] }),
  /** Who is asked to come. */
  attendees: field(z.array(attendee), { inFile: 'given', initial: () => [] }),
  /** Its own reminders, of which there may be none; null for those of its calendar. */
  reminders: field(z.array(reminder).nullable(), { inFile: 'given', initial: () => null }),
  /** Minutes that it takes to get there before it begins, and back after it ends. */
  travelBefore: field(minutes, { inFile: 'given', initial: () => 0 }),
  travelAfter: field(minutes, { inFile: 'given', initial: () => 0 }),
  /** Whether reminders of other events wait while it lasts. */
  isQuiet: field(z.boolean(), { inFile: 'given', initial: () => false }),
  icon: field(z.string().optional(), { inFile: 'given' }),
  inkOverride: field(hexColour.optional(), { inFile: 'given' }),
};

type DateName = keyof typeof DATE_SPECS;
/** Schemas of a table of fields, by name. */
type SchemasOf<T extends Record<string, FieldSpec>> = { [K in keyof T]: T[K]['schema'] };

function schemasOf<T extends Record<string, FieldSpec>>(table: T): SchemasOf<T> {
  return Object.fromEntries(
    Object.entries(table).map(([name, { schema }]) => [name, schema]),
  ) as SchemasOf<T>;
}

/** A changed date (override): what differs from the series, with what its file held besides. */
export const changedDate = z.object(schemasOf(DATE_SPECS)).partial().extend({
  // Null says that this date has none, though its series does.
  icon: z.string().nullable().optional(),
  inkOverride: hexColour.nullable().optional(),
  /** The change also reaches every later date (RANGE=THISANDFUTURE, RFC 5545 §3.2.13). */
  andLater: z.boolean().optional(),
  revision: z.number().int().optional(),
  passthrough: passthrough.optional(),
});

/**
 * Every field of an event, once. The schema of events, what a new one holds, the fields that a
 * single date may have, and those that a file brings are all taken from here.
 */
export const EVENT_FIELDS = {
  id: field(id),
  uid: field(z.string().min(1)),
  calendarId: field(id),
  ...DATE_SPECS,
  rule: field(rule.optional(), seen),
  extraDates: field(z.array(extraDate), { ...seen, initial: () => [] }),
  skippedDates: field(z.array(dateKey), { ...seen, initial: () => [] }),
  changedDates: field(z.record(dateKey, changedDate), { ...seen, initial: () => ({}) }),
  /** Whole days of a series' length that follow the clock (DURATION in days, RFC 5545 §3.3.6): the rest passes exactly. */
  clockDays: field(z.number().int().min(1).optional(), ofFile),
  /** Who asked; none where it is one's own and nobody was asked yet. */
  organizer: field(organizer.optional(), { inFile: 'given' }),
  attachments: field(z.array(attachment), { initial: () => [] }),
  /** Hours that the event had before it was made whole-day, so that turning back finds them. */
  keptHours: field(
    z.object({ start: localDateTime, end: localDateTime, zone: zoneName.nullable() }).optional(),
  ),
  created: field(instant),
  updated: field(instant),
  /** SEQUENCE (RFC 5545 §3.8.7.4) */
  revision: field(z.number().int().min(0), { initial: () => 0 }),
  removedAt: field(instant.optional()),
  /**
   * How guests are asked: whether they see each other, an answer is wanted, they may propose other
   * times, and may pass it on; all of it where it says nothing.
   */
  asking: field(
    z
      .object({
        seesList: z.boolean(),
        wantsAnswers: z.boolean(),
        mayPropose: z.boolean().default(true),
        mayPassOn: z.boolean().default(true),
      })
      .optional(),
  ),
  /** Where somebody else asks to it: whether the person has answered. */
  invited: field(z.enum(['unanswered', 'answered']).optional()),
  /** Who else changed it last, with whom it is shared; there until the person has seen it. */
  changedBy: field(changedBy.optional()),
  /** The task that it is a block of time for. */
  taskId: field(id.optional()),
  /** The name of the file that it was last imported with. */
  broughtIn: field(z.string().optional()),
  passthrough: field(passthrough.optional(), ofFile),
};

export type EventField = keyof typeof EVENT_FIELDS;

const FIELD_NAMES = Object.keys(EVENT_FIELDS) as EventField[];

/** The fields that one date of a series may have for itself, without its times. */
export const DATE_CONTENT = (Object.keys(DATE_SPECS) as DateName[]).filter(
  (name) => name !== 'start' && name !== 'end',
);
export type DateContent = (typeof DATE_CONTENT)[number];

/** The fields that calendar files speak of: readers and writers have each of them. */
export type FileField = {
  [Name in EventField]: (typeof EVENT_FIELDS)[Name]['inFile'] extends 'never' ? never : Name;
}[EventField];

/** The fields that every calendar file speaks of, and those that it may be silent about. */
export const FILE_FIELDS = FIELD_NAMES.filter((name) => EVENT_FIELDS[name].inFile === 'always');
export const GIVEN_FIELDS = FIELD_NAMES.filter((name) => EVENT_FIELDS[name].inFile === 'given');

/** The fields whose difference is news to a person who follows a calendar. */
export const NEWS_FIELDS = FIELD_NAMES.filter((name) => EVENT_FIELDS[name].isNews);

export const EVENT_SCHEMAS = schemasOf(EVENT_FIELDS);

const INITIAL = FIELD_NAMES.flatMap((name) => {
  const { initial } = EVENT_FIELDS[name];
  return initial ? [[name, initial] as const] : [];
});

/** What a new event holds when nothing else is said; made anew each time. */
export function initialFields(): Partial<Record<EventField, unknown>> {
  const fields: Partial<Record<EventField, unknown>> = {};
  for (const [name, initial] of INITIAL) fields[name] = initial();
  return fields;
}
