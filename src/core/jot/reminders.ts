import type { Reminder } from '../model/common';
import { DAY, dayOfWall, MINUTE } from '../time/civil';
import type { MinuteOfDay, WallMs } from '../time/units';
import { AMOUNT, amount } from './around';
import type { ReminderMeant } from './meanings';
import type { Groups, JotContext, Rule } from './rule';
import { rule } from './rule';

const WAY = 'text(?:\\s+message)?|e-?mail|mail';
/** What asks for a reminder; four groups, of which one may name the way. */
const LEAD = `(?:and\\s+)?(?:remind(?:\\s+me)?(?:\\s+by\\s+(${WAY}))?|(?:with\\s+)?(?:an?\\s+)?(?:(${WAY})\\s+)?(?:reminders?|alert|alarm):?|with\\s+(?:an?\\s+)?(${WAY})|(${WAY})\\s+me)\\s+`;
const LEAD_GROUPS = 4;
const AHEAD =
  '(?:before(?:\\s+(?:it\\s+(?:starts|begins)|the\\s+start))?|ahead|early|in\\s+advance)';
const ONE = '(?:an?|one)\\s+(hour|day|week)';
const AT = 'at\\s+(\\d{1,2})(?::(\\d{2}))?\\s*(am|pm)?';
const LEAVING = '(?:leaving|i\\s+(?:leave|go)|i\\s+(?:have|need)\\s+to\\s+(?:leave|go))';
const EVENING = 18 * 60;
/** When one is reminded of a whole day for which no time was said. */
const USUAL_WHOLE_DAY = 9 * 60;
const WEIGHT = 16;

const DAYS: Readonly<Record<string, number>> = { day: 1, week: 7 };

const minutes = (count: number, from: 'start' | 'end' | 'leave' = 'start'): ReminderMeant => ({
  at: 'minutes',
  minutes: Math.round(count),
  from,
});

const day = (days: number, minute: MinuteOfDay | null): ReminderMeant => ({
  at: 'day',
  days,
  minute,
});

/** Minutes of "9", "16:00", "4 pm"; null when there is no such time. */
function minuteOf(
  hour: string | undefined,
  minute: string | undefined,
  half: string | undefined,
): number | null {
  const hours = half ? (Number(hour) % 12) + (half === 'pm' ? 12 : 0) : Number(hour);
  const all = hours * 60 + Number(minute ?? 0);
  return hours < 24 && Number(minute ?? 0) < 60 ? all : null;
}

/** So many days before, at a time that was said, if it is one. */
function dayAt(days: number, [hour, minute, half]: Groups): ReminderMeant | null {
  const at = minuteOf(hour, minute, half);
  return at === null ? null : day(days, at);
}

interface When {
  source: string;
  weight: number;
  read(groups: Groups, context: Pick<JotContext, 'workHours'>): ReminderMeant | null;
}

/** The ways to say when. */
const WHENS: readonly When[] = [
  {
    source: `${AMOUNT}\\s+${AHEAD}`,
    weight: WEIGHT,
    read: ([n, unit]) => minutes(-amount(n!, unit!)),
  },
  {
    source: `${AMOUNT}\\s+(before|after)\\s+(?:it\\s+ends|the\\s+end)`,
    weight: WEIGHT + 1,
    read: ([n, unit, side]) => minutes((side === 'after' ? 1 : -1) * amount(n!, unit!), 'end'),
  },
  {
    source: `${AMOUNT}\\s+after\\s+(?:it\\s+(?:starts|begins)|the\\s+start)`,
    weight: WEIGHT + 1,
    read: ([n, unit]) => minutes(amount(n!, unit!)),
  },
  {
    source: `${AMOUNT}\\s+before\\s+${LEAVING}`,
    weight: WEIGHT + 1,
    read: ([n, unit]) => minutes(-amount(n!, unit!), 'leave'),
  },
  {
    source: `when\\s+(?:it\\s+is|it['’]s|it\\s+is\\s+the)\\s+time\\s+to\\s+(?:leave|go)`,
    weight: WEIGHT,
    read: () => minutes(0, 'leave'),
  },
  {
    source: `${ONE}\\s+${AHEAD}`,
    weight: WEIGHT,
    read: ([unit]) => (unit === 'hour' ? minutes(-60) : day(DAYS[unit!]!, null)),
  },
  {
    source: '(?:when\\s+it\\s+(?:starts|begins)|at\\s+(?:the|its)\\s+start)',
    weight: WEIGHT,
    read: () => minutes(0),
  },
  {
    source: '(?:when\\s+it\\s+ends|at\\s+(?:the|its)\\s+end)',
    weight: WEIGHT,
    read: () => minutes(0, 'end'),
  },
  {
    source: `(?:(?:on|in)\\s+)?(?:the\\s+)?(day|evening|morning)\\s+before(?:\\s+${AT})?`,
    weight: WEIGHT,
    read: ([part, ...time], { workHours }) => {
      if (time[0] !== undefined) return dayAt(1, time);
      if (part === 'day') return day(1, null);
      return day(1, part === 'evening' ? EVENING : workHours.from);
    },
  },
  {
    source: `${AT}\\s+(?:on\\s+)?the\\s+day\\s+before`,
    weight: WEIGHT + 1,
    read: (groups) => dayAt(1, groups),
  },
  {
    source: `(\\d{1,2})\\s+(day|week)s?\\s+before\\s+${AT}`,
    weight: WEIGHT + 1,
    read: ([n, unit, ...time]) => dayAt(Number(n) * DAYS[unit!]!, time),
  },
  {
    source: `(?:an?|one)\\s+(day|week)\\s+before\\s+${AT}`,
    weight: WEIGHT + 1,
    read: ([unit, ...time]) => dayAt(DAYS[unit!]!, time),
  },
  {
    source: `(?:on\\s+)?(?:that|the\\s+same|the)\\s+day\\s+${AT}`,
    weight: WEIGHT,
    read: (groups) => dayAt(0, groups),
  },
];

/** The way that words name: on screen where they name none. */
function wayOf(word: string | undefined): 'mail' | 'text' | undefined {
  if (word === undefined) return undefined;
  return word.startsWith('text') ? 'text' : 'mail';
}

const withWay = (meant: ReminderMeant, word: string | undefined): ReminderMeant => {
  const how = wayOf(word);
  return how && meant.at !== 'never' ? { ...meant, how } : meant;
};

/** "remind me 20 min before", "with a text the evening before", "no reminder". */
export const REMINDER_RULES: readonly Rule[] = [
  ...WHENS.map(({ source, weight, read }) =>
    rule(`${LEAD}${source}`, weight, (groups, context) => {
      const meant = read(groups.slice(LEAD_GROUPS), context);
      const way = groups.slice(0, LEAD_GROUPS).find((word) => word !== undefined);
      return meant && { kind: 'reminder', reminder: withWay(meant, way) };
    }),
  ),
  rule(
    `${LEAD}${AMOUNT}(?:\\s+${AHEAD})?\\s*(?:,|and|&|\\+)\\s*(?:again\\s+)?${AMOUNT}(?:\\s+${AHEAD})?`,
    WEIGHT + 4,
    (groups) => {
      const [n, unit, m, other] = groups.slice(LEAD_GROUPS);
      const way = groups.slice(0, LEAD_GROUPS).find((word) => word !== undefined);
      const of = (count: string, by: string) => withWay(minutes(-amount(count, by)), way);
      return { kind: 'reminder', reminder: of(n!, unit!), also: of(m!, other!) };
    },
  ),
  rule(
    `${LEAD}${AMOUNT}(?!\\s+(?:before|after|ahead|early|in\\s+advance)\\b)`,
    WEIGHT,
    (groups) => {
      const [n, unit] = groups.slice(LEAD_GROUPS);
      const way = groups.slice(0, LEAD_GROUPS).find((word) => word !== undefined);
      return { kind: 'reminder', reminder: withWay(minutes(-amount(n!, unit!)), way) };
    },
  ),
  rule(`(?:with\\s+)?(?:an?\\s+)?${AMOUNT}\\s+(?:reminder|alert|alarm)`, WEIGHT, ([n, unit]) => ({
    kind: 'reminder',
    reminder: minutes(-amount(n!, unit!)),
  })),
  rule('(?:(?:with\\s+)?no|without(?:\\s+a)?)\\s+reminders?', WEIGHT, () => ({
    kind: 'reminder',
    reminder: { at: 'never' },
  })),
];

/** When an event begins, which reminders count from; null for events in general. */
export interface Begin {
  start: WallMs | null;
  wholeDay: boolean;
}

function reminderOf(
  meant: Exclude<ReminderMeant, { at: 'never' }>,
  { start, wholeDay }: Begin,
): Reminder | null {
  const how = meant.how ? { how: meant.how } : {};
  if (meant.at === 'minutes') return { minutes: meant.minutes, from: meant.from, ...how };
  // Of hours in general nobody can say how far a time of the day before is.
  if (!wholeDay && start === null && meant.minute !== null) return null;
  const own = wholeDay || start === null ? 0 : (start - dayOfWall(start) * DAY) / MINUTE;
  const minute = meant.minute ?? (wholeDay ? USUAL_WHOLE_DAY : own);
  return { minutes: minute - own - meant.days * 24 * 60, from: 'start', ...how };
}

/**
 * The reminders that were asked for, in minutes from the start or end (before is negative): none
 * for "no reminder"; null where nothing was said, so that the calendar's count.
 */
export function remindersOf(meant: readonly ReminderMeant[], begin: Begin): Reminder[] | null {
  if (!meant.length) return null;
  return meant.flatMap((one) => (one.at === 'never' ? [] : (reminderOf(one, begin) ?? [])));
}

const WAY_AFTER = `(?:\\s*,?\\s+(?:by|as\\s+an?|with\\s+an?)\\s+(${WAY}))?`;
const ALONE = WHENS.map(({ source, read }) => ({
  pattern: new RegExp(`^(?:${LEAD})?${source}${WAY_AFTER}$`, 'u'),
  read,
}));
const BARE_AMOUNT = new RegExp(`^${AMOUNT}$`, 'u');

/**
 * Reads what somebody types into a field of its own: "90 min before", "day before at 16:00", "15 min
 * after it ends by mail"; null for what says no time.
 */
export function readReminder(
  line: string,
  begin: Begin,
  context: Pick<JotContext, 'workHours'>,
): Reminder | null {
  const text = line.trim().toLowerCase().replaceAll(/\s+/g, ' ');
  const bare = BARE_AMOUNT.exec(text);
  if (bare) return { minutes: -Math.round(amount(bare[1]!, bare[2]!)), from: 'start' };
  for (const { pattern, read } of ALONE) {
    const groups = pattern.exec(text)?.slice(1);
    const meant = groups && read(groups.slice(LEAD_GROUPS, -1), context);
    if (!meant || meant.at === 'never') continue;
    const way = [...groups.slice(0, LEAD_GROUPS), groups.at(-1)].find((word) => word !== undefined);
    return reminderOf(withWay(meant, way) as typeof meant, begin);
  }
  return null;
}
