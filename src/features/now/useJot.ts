import { useEffect, useMemo, useState } from 'react';
import { onClock } from '@/core/editing/drafting';
import type { Jot, ReadJot } from '@/core/jot/jot';
import { readJot } from '@/core/jot/jot';
import { halfOf, isOrderOpen, readingKey } from '@/core/jot/choices';
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
import { chosenReadings } from '@/data/chosenReadings';
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
  const chosen = chosenReadings.useValue();
  useEffect(() => whileIdle(expressionsMade()), []);
  // Kept by line and reading, not by place: a learnt choice may have moved the reading to the front.
  const [wanted, setWanted] = useState<{ line: string; key: string } | null>(null);
  const isOther =
    read.other !== null && wanted?.line === line && readingKey(read.other) === wanted.key;
  const [jot, other] = isOther ? [read.other!, read] : [read, read.other];
  const onTheClock = (one: Jot): Span => onClock(spanSaid(one), one.zone ?? clock, clock);
  const isShown = isMonthFirst(setting.preferences.wording);
  const isTyped = isTypedMonthFirst(chosen, isShown);
  function takeOther() {
    if (!other) return;
    setWanted({ line, key: readingKey(other) });
    const hour = halfOf(other, jot);
    if (isOrderOpen(read, read.other))
      chosenReadings.put({ ...chosen, order: isTyped ? 'day' : 'month' });
    else if (hour)
      chosenReadings.put({ ...chosen, halves: { ...chosen.halves, [hour.minute]: hour.half } });
  }
  return {
    jot,
    span: onTheClock(jot),
    other: other && { ...other, ...onTheClock(other) },
    problems: read.problems,
    unread: read.unread,
    guesses:
      isOrderOpen(read, read.other) && isTyped !== isShown
        ? [...read.guesses, ORDER_CHOSEN[isTyped ? 'month' : 'day']]
        : read.guesses,
    takeOther,
    onKeyPress: (event) => {
      if (event.nativeEvent.key !== 'ArrowDown' || !other) return;
      event.preventDefault?.();
      takeOther();
    },
  };
}

const ORDER_CHOSEN = {
  day: 'The day comes first in figures, as you chose last time.',
  month: 'The month comes first in figures, as you chose last time.',
};

/** Whether the month comes first in typed dates: as it was chosen, or as dates are shown. */
const isTypedMonthFirst = ({ order }: { order?: 'day' | 'month' | undefined }, isShown: boolean) =>
  order === undefined ? isShown : order === 'month';

/** A typed line as it is understood, by the person's settings and closures. */
function useReadJot(line: string, setting: JotSetting): ReadJot {
  const { day, calendars, defaultCalendarId, preferences, notBefore } = setting;
  const { clock, settings, wording, workdays } = preferences;
  const chosen = chosenReadings.useValue();
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
      isMonthFirst: isTypedMonthFirst(chosen, isMonthFirst(wording)),
      chosenHalves: chosen.halves,
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
    wording,
    chosen,
    workdays,
    namedDays,
  ]);
}
