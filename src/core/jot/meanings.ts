import type { Availability } from '../model/common';
import type { RepeatEnd, RepeatPattern } from '../recurrence/repeat';
import type { Weekday } from '../time/civil';
import type { DayNumber, MinuteOfDay } from '../time/units';
import type { Unit } from './vocabulary';

/** Which day or days a line names (day numbers). */
export interface DayMeant {
  day: DayNumber;
  /** The last day, where it names several. */
  lastDay?: DayNumber;
  /** Only a weekday was said: today counts unless its time is over. */
  weekday?: Weekday;
  /** From a weekday to another, which repeats where there is a time: "mon-fri 9:15". */
  isWeekdays?: Weekday[];
  /** Two weekdays that were said one by one, which every week may have instead. */
  weekdays?: Weekday[];
  /** Other days that it takes place on as well, with a time where they have their own. */
  also?: { day: DayNumber; minute?: MinuteOfDay }[];
  /** The days were named one by one: a time is that of each. */
  isList?: true;
  /** A whole week was said: with a time, it is its first day. */
  isWeek?: true;
  /** The other day that it may mean. */
  other?: number;
}

/** Minutes of the day; `to` may lie beyond midnight. Null for the whole day. */
export interface TimeMeant {
  from: number;
  to: number | null;
  /** A bare hour may mean the morning or the afternoon. */
  isOpen: boolean;
}

/** A pattern that may still ask its first date for a day. */
export type OpenPattern =
  | RepeatPattern
  | { kind: 'weeklyOnStart'; interval: number }
  | { kind: 'monthlyOnStart'; interval: number }
  | { kind: 'yearlyOnStart'; interval: number };

/** Until when something repeats: a day, a number of dates, or a stretch from its start on. */
export type EndMeant =
  Exclude<RepeatEnd, { kind: 'never' }> | { kind: 'for'; count: number; unit: Unit };

export type PartOfDay = 'morning' | 'afternoon' | 'evening' | 'night' | 'noon' | 'midnight' | 'end';

/** When a line asks to be reminded, and how where not on screen. */
export type ReminderMeant =
  /** Minutes from the start, the end, or the time to leave; before is negative. */
  | { at: 'minutes'; minutes: number; from: 'start' | 'end' | 'leave'; how?: 'mail' | 'text' }
  /** So many days before, at a time of that day; null for the time of the event. */
  | { at: 'day'; days: number; minute: MinuteOfDay | null; how?: 'mail' | 'text' }
  | { at: 'never' };

/** What words of a line say. */
export type Meaning =
  | { kind: 'day'; day: DayMeant }
  | { kind: 'time'; time: TimeMeant | null }
  /** From a time of a day to a time of another. */
  | {
      kind: 'stretch';
      fromDay: DayMeant;
      from: TimeMeant;
      toDay: DayNumber;
      to: TimeMeant;
      /** Both are times of its own, and nothing lies between. */
      isList?: true;
    }
  /** So many minutes from now. */
  | { kind: 'soon'; minutes: number }
  | { kind: 'partOfDay'; part: PartOfDay; day?: DayMeant; minute?: MinuteOfDay }
  | { kind: 'length'; minutes: number; wholeDays: boolean }
  /** `once` is the day that may be meant alone, where nothing says that it repeats: "mon and thu". */
  | { kind: 'repeat'; pattern: OpenPattern; once?: DayNumber }
  | { kind: 'end'; end: EndMeant }
  /** What a repeat leaves out: weekdays, days (day numbers), or months (January is 1). */
  | { kind: 'except'; weekdays?: Weekday[]; days?: DayNumber[]; months?: number[] }
  /** From when on, and until when, something repeats. */
  | { kind: 'season'; from: DayNumber; to: DayNumber | null }
  | { kind: 'zone'; zone: string }
  | { kind: 'place'; place: string }
  | { kind: 'calendar'; id: string }
  | { kind: 'category'; id: string }
  | { kind: 'guests'; ids: string[] }
  | { kind: 'link'; link: string }
  | { kind: 'reminder'; reminder: ReminderMeant; also?: ReminderMeant }
  /** Minutes that it takes to get there, or back. */
  | { kind: 'travel'; side: 'before' | 'after'; minutes: number }
  | { kind: 'importance'; importance: 'high' | 'low' }
  | { kind: 'quiet' }
  | { kind: 'availability'; availability: Availability }
  | { kind: 'private' }
  | { kind: 'notes'; notes: string }
  /** It is something to be done, and by when. */
  | { kind: 'task'; isSure: boolean };

/** What a line can say once only. */
type Slot =
  | 'day'
  | 'time'
  | 'part'
  | 'length'
  | 'repeat'
  | 'end'
  | 'except'
  | 'season'
  | 'zone'
  | 'place'
  | 'calendar'
  | 'link'
  | 'availability';

const SLOTS: Readonly<Record<Meaning['kind'], readonly Slot[]>> = {
  day: ['day'],
  time: ['time'],
  stretch: ['day', 'time', 'length', 'part'],
  soon: ['day', 'time'],
  partOfDay: ['part'],
  length: ['length'],
  repeat: ['repeat'],
  end: ['end'],
  except: ['except'],
  season: ['season'],
  zone: ['zone'],
  place: ['place'],
  calendar: ['calendar'],
  category: [],
  guests: [],
  reminder: [],
  travel: [],
  importance: [],
  quiet: [],
  availability: ['availability'],
  private: [],
  notes: [],
  task: [],
  link: ['link'],
};
const BITS: Readonly<Record<Slot, number>> = {
  day: 1,
  time: 2,
  part: 4,
  length: 8,
  repeat: 16,
  end: 32,
  except: 64,
  zone: 128,
  place: 256,
  calendar: 512,
  link: 1024,
  season: 2048,
  availability: 4096,
};

/** The slots that a meaning takes, as bits. */
export function slotsOf(meaning: Meaning): number {
  const ofKind = SLOTS[meaning.kind].reduce((bits, slot) => bits | BITS[slot], 0);
  return meaning.kind === 'partOfDay' && meaning.day ? ofKind | BITS.day : ofKind;
}

/** Whether what is said goes together: an end and the like need a repeat, a zone a time. */
export function isSound(bits: number): boolean {
  const has = (slot: Slot) => (bits & BITS[slot]) !== 0;
  if ((has('end') || has('except') || has('season')) && !has('repeat')) return false;
  return !has('zone') || has('time') || has('part');
}

/** Whether a stretch of the text lies outside of all readings. */
export const isApart = (
  { from, to }: { from: number; to: number },
  readings: readonly Pick<Reading, 'from' | 'to'>[],
): boolean => readings.every((one) => one.to <= from || one.from >= to);

/** Words of a line (from and to in the read text) with what they may mean, and how likely that is. */
export interface Reading {
  from: number;
  to: number;
  weight: number;
  meaning: Meaning;
}
