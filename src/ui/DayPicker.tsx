import type { ReactNode } from 'react';
import { lazy, Suspense, useContext, useState } from 'react';
import { View } from 'react-native';
import { Button } from 'react-native-paper';
import { civilDate } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { count, LONG_DAY, sayDay } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';
import { Dialog } from './Dialog';
import { dateOfDay, dayOfDate } from './days';
import { Today } from './today';
import { WeekNumbers } from './weekNumbers';

/** Its package comes when months are first opened. */
const Months = lazy(() => import('./Months'));

/** The room of a month, kept while it comes, in px. */
const ROOM = <View style={{ width: 300, height: 330 }} />;

/** Years to choose from, before and after the one that is shown first. */
const YEARS_AROUND = 30;

interface Shown {
  title: string;
  wording: Wording;
  firstWeekday: number;
  onClose(): void;
}

/** What the months look like and are called, however many days are picked in them. */
function useMonths({ wording, firstWeekday }: Shown, firstDay: DayNumber) {
  const today = useContext(Today);
  const hasWeekNumbers = useContext(WeekNumbers);
  const { year } = civilDate(firstDay);
  const say = (date: Date, options: Intl.DateTimeFormatOptions) =>
    sayDay(dayOfDate(date), wording, options);
  return {
    autoFocus: true,
    className: hasWeekNumbers ? 'months months-numbered' : 'months',
    showWeekNumber: hasWeekNumbers,
    // Week 1 is the one with the year's first Thursday, as on the sheet; of weeks from Monday on,
    // that is the one with 4 January.
    firstWeekContainsDate: ((firstWeekday + 4) % 7 || 7) as 4,
    captionLayout: 'dropdown',
    navLayout: 'around',
    defaultMonth: dateOfDay(firstDay),
    startMonth: new Date(year - YEARS_AROUND, 0),
    endMonth: new Date(year + YEARS_AROUND, 11),
    today: today === undefined ? undefined : dateOfDay(today),
    weekStartsOn: ((firstWeekday + 1) % 7) as 0 | 1 | 2 | 3 | 4 | 5 | 6,
    fixedWeeks: true,
    formatters: {
      formatWeekNumber: String,
      formatMonthDropdown: (date: Date) => say(date, { month: 'long' }),
      formatWeekdayName: (date: Date) => say(date, { weekday: 'short' }),
    },
    labels: {
      labelPrevious: () => 'Month before',
      labelNext: () => 'Month after',
      labelMonthDropdown: () => 'Month',
      labelYearDropdown: () => 'Year',
      labelDayButton: (date: Date) => say(date, LONG_DAY),
      labelGrid: (date: Date) => say(date, { month: 'long', year: 'numeric' }),
      labelWeekNumber: (week: number) => `Week ${week}`,
      labelWeekNumberHeader: () => 'Week',
      labelWeekday: (date: Date) => say(date, { weekday: 'long' }),
    },
  } as const;
}

interface DayProps extends Shown {
  /** Day number */
  day: DayNumber;
  /** Months beside each other. */
  months?: number;
  /** Days to mark: those that are shown, and those that have events. */
  marks?: { isShown(day: DayNumber): boolean; isBusy(day: DayNumber): boolean };
  /** Told of a day of the first month whenever other months are shown. */
  onMonth?(day: DayNumber): void;
  onPick(day: DayNumber): void;
  /** Stands above the months. */
  children?: ReactNode;
}

/** One day, taken from a month by one press. */
export function DayPicker({ day, onPick, ...shown }: DayProps) {
  const months = useMonths(shown, day);
  const { marks, onMonth } = shown;
  return (
    <Dialog title={shown.title} onClose={shown.onClose}>
      {shown.children}
      <Suspense fallback={ROOM}>
        <Months
          {...months}
          autoFocus={!shown.children}
          numberOfMonths={shown.months ?? 1}
          modifiers={{
            shown: (date) => marks?.isShown(dayOfDate(date)) ?? false,
            busy: (date) => marks?.isBusy(dayOfDate(date)) ?? false,
          }}
          modifiersClassNames={{ shown: 'months-shown', busy: 'months-busy' }}
          onMonthChange={(date) => onMonth?.(dayOfDate(date))}
          mode="single"
          required
          selected={dateOfDay(day)}
          onSelect={(date) => onPick(dayOfDate(date))}
        />
      </Suspense>
    </Dialog>
  );
}

interface DaysProps extends Shown {
  /** Day numbers */
  days: readonly number[];
  /** Where to begin when no day is chosen. */
  near: number;
  onPick(days: number[]): void;
}

/** Any number of days, marked in a month and then taken together. */
export function DaysPicker({ days, near, onPick, ...shown }: DaysProps) {
  const [marked, setMarked] = useState(() => days.map(dateOfDay));
  const months = useMonths(shown, days[0] ?? near);
  return (
    <Dialog
      title={shown.title}
      onClose={shown.onClose}
      footer={
        <>
          <Button onPress={shown.onClose}>Cancel</Button>
          <Button mode="contained" onPress={() => onPick(marked.map(dayOfDate))}>
            {`Take ${count(marked.length, 'day')}`}
          </Button>
        </>
      }
    >
      <Suspense fallback={ROOM}>
        <Months
          {...months}
          mode="multiple"
          selected={marked}
          onSelect={(dates) => setMarked(dates ?? [])}
        />
      </Suspense>
    </Dialog>
  );
}
