import type { JcalComponent, JcalProperty, Reminder } from '../model/common';
import { formatLocal, MINUTE, parseLocal } from '../time/civil';
import { formatMinutes, parseDuration } from '../time/durations';
import type { EpochMs } from '../time/units';
import { utcWall } from '../time/zones';

/**
 * Marks an alarm that the app made of a reminder, so that it becomes the same one again: its minutes,
 * and what the standard has no word for.
 */
const REMINDER_PROPERTY = 'x-orderly-reminder';
/** What the mark says of an alarm that is there because its calendar has it. */
const OF_CALENDAR = 'calendar';

const MINUTES_A_DAY = 24 * 60;

const propertyOf = ([, properties]: JcalComponent, name: string): JcalProperty | undefined =>
  properties.find((candidate) => candidate[0] === name);

const textOf = (component: JcalComponent, name: string) =>
  String(propertyOf(component, name)?.[3] ?? '').trim();

/** A date-time as a file writes it, where the parser does not know that the property has one. */
const COMPACT = /^(\d{4})(\d\d)(\d\d)T(\d\d)(\d\d)(\d\d)Z?$/;

function instantOf(text: string): EpochMs | undefined {
  const written = text.replace(COMPACT, '$1-$2-$3T$4:$5:$6').replace(/Z$/, '');
  if (!written.includes('T')) return undefined;
  try {
    return parseLocal(written) as number;
  } catch {
    return undefined; // A time that can't be read is none.
  }
}

const formatUtc = (at: EpochMs) => `${formatLocal(utcWall(at))}Z`;

/** Minutes of a duration, the earlier one where it has seconds; null for none that is. */
function minutesOf(text: string): number | null {
  const duration = parseDuration(text);
  return duration && duration.days * MINUTES_A_DAY + Math.floor(duration.ms / MINUTE);
}

type Parts = Pick<Reminder, 'how' | 'repeat' | 'acknowledged'>;

function partsOf(alarm: JcalComponent): Parts {
  const times = Number(textOf(alarm, 'repeat'));
  const every = minutesOf(textOf(alarm, 'duration'));
  const acknowledged = instantOf(textOf(alarm, 'acknowledged'));
  const repeats = Number.isInteger(times) && times >= 1 && times <= 50 && every && every > 0;
  return {
    ...(textOf(alarm, 'action').toUpperCase() === 'EMAIL' && { how: 'mail' as const }),
    ...(repeats && { repeat: { times, every } }),
    ...(acknowledged !== undefined && { acknowledged }),
  };
}

/** When an alarm's trigger is (RFC 5545 §3.8.6.3); null for one that can't be read. */
function triggerOf(
  alarm: JcalComponent,
): { at: EpochMs } | { minutes: number; from: 'start' | 'end' } | null {
  const trigger = propertyOf(alarm, 'trigger');
  const value = String(trigger?.[3] ?? '');
  const at = instantOf(value);
  if (at !== undefined) return { at };
  const minutes = minutesOf(value);
  if (minutes === null) return null;
  const isOfEnd = String(trigger?.[1]['related'] ?? '').toUpperCase() === 'END';
  return { minutes, from: isOfEnd ? 'end' : 'start' };
}

const isHow = (word: string | undefined) => word === 'text' || word === 'mail';

/** A reminder that the app wrote itself; null where another program has set it otherwise since. */
function ownReminder(alarm: JcalComponent, travelBefore: number): Reminder | null {
  const [minutes, ...words] = textOf(alarm, REMINDER_PROPERTY).split(' ');
  const trigger = triggerOf(alarm);
  if (!minutes || !trigger) return null;
  const parts: Parts = {
    ...partsOf(alarm),
    ...(isHow(words.at(-1)) && { how: words.at(-1) }),
  } as Parts;
  if ('at' in trigger) return minutes === 'at' ? { at: trigger.at, ...parts } : null;
  const own: Reminder = {
    minutes: Number(minutes),
    from: words.includes('leave') ? 'leave' : trigger.from,
    ...parts,
  };
  const written = own.from === 'leave' ? own.minutes - travelBefore : own.minutes;
  return written === trigger.minutes ? own : null;
}

/** The ways that an alarm speaks up in which the app can too (RFC 5545 §3.8.6.1). */
const ACTIONS = new Set(['DISPLAY', 'AUDIO', 'EMAIL', '']);

/** An alarm of a file as a reminder, with the alarm itself; null for one that the app has no counterpart for. */
function foreignReminder(alarm: JcalComponent): Reminder | null {
  if (!ACTIONS.has(textOf(alarm, 'action').toUpperCase())) return null;
  const trigger = triggerOf(alarm);
  return trigger && { ...trigger, ...partsOf(alarm), alarm };
}

/**
 * The alarms of an event's component (RFC 5545 §3.6.6) as reminders, and the components that are
 * none. Those that the app wrote for the calendar are neither: the calendar has them.
 */
export function readAlarms(
  components: readonly JcalComponent[],
  travelBefore: number,
): { reminders: Reminder[]; others: JcalComponent[] } {
  const reminders: Reminder[] = [];
  const others: JcalComponent[] = [];
  for (const component of components) {
    const isAlarm = component[0] === 'valarm';
    if (isAlarm && textOf(component, REMINDER_PROPERTY) === OF_CALENDAR) continue;
    const reminder =
      isAlarm && (ownReminder(component, travelBefore) ?? foreignReminder(component));
    if (reminder) reminders.push(reminder);
    else others.push(component);
  }
  return { reminders, others };
}

interface Around {
  /** What the alarm says. */
  title: string;
  travelBefore: number;
  /** Whether it is there because its calendar has it. */
  isOfCalendar: boolean;
  /** Where mails go; empty for nowhere known. */
  mail?: string;
}

function triggerProperty(reminder: Reminder, travelBefore: number): JcalProperty {
  if ('at' in reminder)
    return ['trigger', { value: 'DATE-TIME' }, 'date-time', formatUtc(reminder.at)];
  const { minutes, from } = reminder;
  const related = from === 'end' ? { related: 'END' } : {};
  const written = from === 'leave' ? minutes - travelBefore : minutes;
  return ['trigger', related, 'duration', formatMinutes(written)];
}

/** How the app marks a reminder that it writes (see `ownReminder`). */
function mark(reminder: Reminder, isOfCalendar: boolean): string {
  if (isOfCalendar) return OF_CALENDAR;
  const words = 'at' in reminder ? ['at'] : [String(reminder.minutes)];
  if (!('at' in reminder) && reminder.from === 'leave') words.push('leave');
  if (reminder.how) words.push(reminder.how);
  return words.join(' ');
}

/** A reminder as an alarm; one that came from a file as it was there. */
export function writeAlarm(reminder: Reminder, around: Around): JcalComponent {
  if (reminder.alarm) return reminder.alarm;
  const { title, travelBefore, isOfCalendar, mail } = around;
  const { how, repeat, acknowledged } = reminder;
  // A mail to nobody is none (RFC 5545 §3.6.6): it goes out as one that is shown, and comes back as a mail.
  const isMail = how === 'mail' && mail !== undefined && mail !== '';
  return [
    'valarm',
    [
      ['action', {}, 'text', isMail ? 'EMAIL' : 'DISPLAY'],
      ['description', {}, 'text', title],
      // A mail has to have a subject and somebody to go to.
      ...(isMail ? [['summary', {}, 'text', title] satisfies JcalProperty] : []),
      ...(isMail ? [['attendee', {}, 'cal-address', `mailto:${mail}`] satisfies JcalProperty] : []),
      triggerProperty(reminder, travelBefore),
      ...(repeat
        ? ([
            ['duration', {}, 'duration', formatMinutes(repeat.every)],
            ['repeat', {}, 'integer', repeat.times],
          ] satisfies JcalProperty[])
        : []),
      ...(acknowledged === undefined
        ? []
        : [['acknowledged', {}, 'date-time', formatUtc(acknowledged)] satisfies JcalProperty]),
      [REMINDER_PROPERTY, {}, 'text', mark(reminder, isOfCalendar)],
    ],
    [],
  ];
}
