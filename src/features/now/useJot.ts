import { useEffect, useMemo, useState } from 'react';
import { onClock } from '@/core/editing/drafting';
import type { Jot, ReadJot } from '@/core/jot/jot';
import { readJot } from '@/core/jot/jot';
import { isOrderOpen } from '@/core/jot/dateOrder';
import { expressionsMade } from '@/core/jot/readings';
import type { Span } from '@/core/layout/drag';
import type { Calendar } from '@/core/model/calendar';
import { daytimeOf } from '@/core/model/workweek';
import { dayOfWall } from '@/core/time/civil';
import { isMonthFirst } from '@/core/time/words';
import { wallFromInstant } from '@/core/time/zones';
import type { DayNumber, WallMs } from '@/core/time/units';
import { useNow } from '@/data/now';
import { usePeople } from '@/data/people';
import type { Preferences } from '@/data/preferences';
import { useCategories, useNamedDays } from '@/data/queries';
import { typedOrder } from '@/data/typedOrder';
import { whileIdle } from '@/ui/whileIdle';

export interface JotSetting {
  /** The day (day number) that a line without a date means. */
  day: DayNumber;
  /** Those that can be added to. */
  calendars: readonly Calendar[];
  defaultCalendarId: string;
  preferences: Preferences;
  /** Wall ms before which the line can mean no day, such as the start of a task that it says the end of. */
  notBefore?: WallMs | undefined;
}

/** A line as it counts: the other reading of it, once that was chosen. */
export interface ChosenJot {
  /** With its times on the zone that the line names, or else on the clock. */
  jot: Jot;
  /** The same times on the person's clock. */
  span: Span;
  /** The reading that was not taken, with its times on the person's clock. */
  other: Jot | null;
  problems: string[];
  unread: string[];
  guesses: string[];
  takeOther(): void;
  /** For the field of the line: the arrow down takes the other reading. */
  onKeyPress(event: FieldKey): void;
}

/** A key of a text field, as React Native tells it. */
interface FieldKey {
  nativeEvent: { key: string };
  preventDefault?(): void;
}

const spanSaid = ({ start, end, wholeDay, lasts }: Jot): Span => ({
  ...{ start, end, wholeDay },
  ...(lasts && { lasts }),
});

/** A typed line as it is understood, and what it may mean instead. */
export function useJot(line: string, setting: JotSetting): ChosenJot {
  const { clock } = setting.preferences;
  const read = useReadJot(line, setting);
  useEffect(() => whileIdle(expressionsMade()), []);
  // Another line is understood anew.
  const [otherOf, setOtherOf] = useState<string | null>(null);
  const isOther = read.other !== null && otherOf === line;
  const [jot, other] = isOther ? [read.other!, read] : [read, read.other];
  const onTheClock = (one: Jot): Span => onClock(spanSaid(one), one.zone ?? clock, clock);
  const monthFirst = useIsMonthFirst(setting.preferences);
  const isOpen = isOrderOpen(read, read.other);
  function takeOther() {
    // The order that was chosen holds for this line and for the next ones.
    if (isOpen) typedOrder.put(monthFirst.isTyped ? 'day' : 'month');
    else setOtherOf(isOther ? null : line);
  }
  return {
    jot,
    span: onTheClock(jot),
    other: other && { ...other, ...onTheClock(other) },
    problems: read.problems,
    unread: read.unread,
    guesses:
      isOpen && monthFirst.isTyped !== monthFirst.isShown
        ? [...read.guesses, ORDER_LEARNT[monthFirst.isTyped ? 'month' : 'day']]
        : read.guesses,
    takeOther,
    onKeyPress: (event) => {
      if (event.nativeEvent.key !== 'ArrowDown' || !other) return;
      event.preventDefault?.();
      takeOther();
    },
  };
}

const ORDER_LEARNT = {
  day: 'The day comes first in figures, as you chose last time.',
  month: 'The month comes first in figures, as you chose last time.',
};

/** Whether the month comes first in dates as they are shown, and in those that are typed. */
function useIsMonthFirst({ wording }: Preferences): { isShown: boolean; isTyped: boolean } {
  const order = typedOrder.useValue();
  const isShown = isMonthFirst(wording);
  return { isShown, isTyped: order === null ? isShown : order === 'month' };
}

/** A typed line as it is understood, by the person's settings and closures. */
function useReadJot(line: string, setting: JotSetting): ReadJot {
  const { day, calendars, defaultCalendarId, preferences, notBefore } = setting;
  const { clock, settings, workdays } = preferences;
  const { isTyped } = useIsMonthFirst(preferences);
  const categories = useCategories();
  const people = usePeople();
  const instant = useNow();
  const now = wallFromInstant(instant, clock);
  const namedDays = useNamedDays(dayOfWall(now), clock);
  return useMemo(() => {
    const context = {
      now,
      day,
      calendars,
      categories,
      people: people.filter(({ kind }) => kind === 'person'),
      defaultCalendarId,
      defaultLength: settings.defaultLength,
      workdays,
      workHours: daytimeOf(day, settings.workweek),
      isMonthFirst: isTyped,
      namedDays,
    };
    const read = readJot(line, context);
    const saysWhen = read.saysDay || read.repeat.pattern.kind !== 'none';
    const isBefore = notBefore !== undefined && saysWhen && read.start < notBefore;
    return isBefore
      ? readJot(line, { ...context, now: notBefore, day: dayOfWall(notBefore) })
      : read;
  }, [
    line,
    notBefore,
    now,
    day,
    calendars,
    categories,
    people,
    defaultCalendarId,
    settings,
    isTyped,
    workdays,
    namedDays,
  ]);
}
