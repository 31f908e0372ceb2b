import { DAY, dayOfWall, formatLocal, parseDate, parseLocal } from '../time/civil';
import type { EpochMs } from '../time/units';
import { instantFromWall, isKnownZone, utcWall, wallFromInstant } from '../time/zones';
import { z } from './zod';

function readable(read: (text: string) => number) {
  return (text: string) => {
    try {
      read(text);
      return true;
    } catch {
      return false;
    }
  };
}

/** A field that fails ends the check there: what compares fields relies on each being sound. */
const because = (error: string) => ({ error, abort: true });

/** `YYYY-MM-DD` */
export const plainDate = z
  .string()
  .refine(readable(parseDate), because('is not a date that exists'));

/** `YYYY-MM-DDTHH:mm:ss`, wall time */
export const localDateTime = z
  .string()
  .refine(
    (text) => text.includes('T') && readable(parseLocal)(text),
    because('is not a date and time'),
  );

/** An IANA zone name that this machine knows. */
export const zoneName = z.string().refine(isKnownZone, because('is not a known time zone'));

/**
 * When an event starts or ends: a plain date (whole day), a wall time in a zone, or a wall time
 * that floats, meaning the same clock reading wherever it is read (RFC 5545 §3.3.5).
 */
export const eventTime = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('date'), date: plainDate }),
  z.object({ kind: z.literal('zoned'), local: localDateTime, zone: zoneName }),
  z.object({ kind: z.literal('floating'), local: localDateTime }),
]);
export type EventTime = z.infer<typeof eventTime>;

/** Wall ms of an event time on its own clock; a date means its midnight. */
export function wallOf(time: EventTime): number {
  return time.kind === 'date' ? parseDate(time.date) * DAY : parseLocal(time.local);
}

/** Day number on which an event time falls, on its own clock. */
export function dayOf(time: EventTime): number {
  return dayOfWall(wallOf(time));
}

/** The zone of an event time; null for dates and floating times. */
export function zoneOf(time: EventTime): string | null {
  return time.kind === 'zoned' ? time.zone : null;
}

/**
 * The time of an instant (epoch ms) on a zone's clock. In the second pass of an hour that a clock
 * shows twice, a wall time would mean the first (RFC 5545 §3.3.5): there it is said in UTC.
 */
export function timeOfInstant(epochMs: EpochMs, zone: string): EventTime {
  const wall = wallFromInstant(epochMs, zone);
  return instantFromWall(wall, zone) === epochMs
    ? { kind: 'zoned', local: formatLocal(wall), zone }
    : { kind: 'zoned', local: formatLocal(utcWall(epochMs)), zone: 'UTC' };
}

/** iCalendar's free/busy types as the app names them (RFC 5545 §3.2.9, §3.8.2.7). */
export const availability = z.enum(['free', 'tentative', 'busy', 'away']);
export type Availability = z.infer<typeof availability>;

export const visibility = z.enum(['public', 'private']);

/** Ids name stored records; they never hold the separator of storage keys. */
export const id = z
  .string()
  .min(1)
  .max(80)
  .regex(/^[^/\s]+$/);

/** Epoch ms */
export const instant = z.number().int();

/** An address that mails can be sent to. */
export const mailAddress = z.email('is not a mail address');

/** A number that text messages can be sent to, with its country in front where it has one. */
export const phoneNumber = z
  .string()
  .regex(/^\+?[\d\s()/.-]*$/, 'is not a phone number')
  .refine((text) => {
    const digits = text.replaceAll(/\D/g, '').length;
    return digits >= 6 && digits <= 15;
  }, 'is not a phone number');

/** Six-digit hex colour. */
export const hexColour = z.string().regex(/^#[0-9A-Fa-f]{6}$/, 'is not a colour');

/** jCal (RFC 7265): a property as [name, parameters, type, ...values]. */
export const jcalProperty = z
  .tuple([z.string(), z.record(z.string(), z.unknown()), z.string()])
  .rest(z.unknown());
export type JcalProperty = z.infer<typeof jcalProperty>;

/** jCal: a component as [name, properties, components]. */
export type JcalComponent = [string, JcalProperty[], JcalComponent[]];
const jcalComponent: z.ZodType<JcalComponent> = z.lazy(() =>
  z.tuple([z.string(), z.array(jcalProperty), z.array(jcalComponent)]),
);

/** How a reminder reaches the person; one that says nothing comes on screen. */
export const reminderWay = z.enum(['mail', 'text']);

const reminderParts = {
  how: reminderWay.optional(),
  /** It speaks up again so many times, so many minutes apart (REPEAT and DURATION, RFC 5545 §3.8.6.2). */
  repeat: z
    .object({ times: z.number().int().min(1).max(50), every: z.number().int().min(1) })
    .optional(),
  /** What came due until then is done with, by the file that it came from (ACKNOWLEDGED, RFC 9074 §6.1). */
  acknowledged: instant.optional(),
  /** The alarm of a file that it was read from, with what the app has no field for. */
  alarm: jcalComponent.optional(),
};

/** A reminder that goes with its event: minutes from the start, the end, or the time to leave; before is negative. */
const relativeReminder = z.object({
  minutes: z.number().int(),
  from: z.enum(['start', 'end', 'leave']),
  ...reminderParts,
});

/** A reminder at an instant, wherever its event is moved (an absolute TRIGGER, RFC 5545 §3.8.6.3). */
const fixedReminder = z.object({ at: instant, ...reminderParts });

export const reminder = z.union([relativeReminder, fixedReminder]);
export type Reminder = z.infer<typeof reminder>;
export type RelativeReminder = z.infer<typeof relativeReminder>;

/** What a file held that the app has no field for, kept so that an export gives it back. */
export const passthrough = z.object({
  properties: z.array(jcalProperty),
  components: z.array(jcalComponent),
  /** Parameters of properties that the app does have a field for, by property name. */
  parameters: z.record(z.string(), z.record(z.string(), z.unknown())).optional(),
});
export type Passthrough = z.infer<typeof passthrough>;
