import type { Weekday } from '../time/civil';
import { civilDate, DAYS_A_WEEK, dayNumber, daysInMonth, startOfWeek } from '../time/civil';
import type { DayNumber } from '../time/units';
import type { Wording } from '../time/words';
import { sayDay, shortWeekday } from '../time/words';
import type { Box, Points } from './boxes';
import { GREY } from './boxes';
import { words } from './draw';

interface SmallMonth {
  year: number;
  month: number;
  width: Points;
  size: Points;
  firstWeekday: Weekday;
  wording: Wording;
  /** What lies behind a day; nothing where it is left out. */
  behind?(day: DayNumber, x: Points, y: Points, width: Points, height: Points): Box[];
}

/** The month so many months on. */
export function monthOn({ year, month }: { year: number; month: number }, by: number) {
  const all = year * 12 + (month - 1) + by;
  return { year: Math.floor(all / 12), month: (all % 12) + 1 };
}

/** Lines of a small month: its name, its weekdays, six weeks. */
export const MONTH_LINES = 8;

/** A month as small figures, a column for each weekday. */
export function smallMonth(it: SmallMonth): Box[] {
  const { year, month, width, size, firstWeekday, wording, behind } = it;
  const line = size * 1.45;
  const column = width / DAYS_A_WEEK;
  const first = dayNumber(year, month, 1);
  const start = startOfWeek(first, firstWeekday);
  const boxes: Box[] = [
    words(sayDay(first, wording, { month: 'long', year: 'numeric' }), 0, line * 0.8, {
      size,
      isBold: true,
    }),
  ];
  for (let i = 0; i < DAYS_A_WEEK; i++)
    boxes.push(
      words(
        shortWeekday(((firstWeekday + i) % DAYS_A_WEEK) as Weekday).slice(0, 2),
        column * (i + 1) - 2,
        line * 1.8,
        {
          ...{ size: size * 0.8, colour: GREY, align: 'end' },
        },
      ),
    );
  for (let day = first; day < first + daysInMonth(year, month); day++) {
    const place = day - start;
    const x = column * (place % DAYS_A_WEEK);
    const y = line * (2 + Math.floor(place / DAYS_A_WEEK));
    boxes.push(...(behind?.(day, x, y, column, line) ?? []));
    boxes.push(
      words(String(civilDate(day).day), x + column - 2, y + line * 0.78, { size, align: 'end' }),
    );
  }
  return boxes;
}
