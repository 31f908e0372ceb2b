import { isBooked } from '../agenda/occurrence';
import { partOn } from '../agenda/parts';
import { sayDay, sayHours, SHORT_DAY } from '../time/words';
import type { Mark } from '../model/inks';
import type { Box, Points } from './boxes';
import { BLACK, GREY } from './boxes';
import { groundOf, words } from './draw';
import type { Block } from './flow';
import type { Printing } from './printing';
import { lineHeight } from './printing';
import { widthOf } from './text';

interface Share {
  calendar: string;
  ink: string;
  mark: Mark;
  minutes: number;
}

/** Hours of a stretch of days by calendar; what overlaps counts in each. */
function sharesOf({ events }: Printing, days: readonly number[]): Share[] {
  const shares = new Map<string, Share>();
  for (const event of events) {
    if (!isBooked(event.o)) continue;
    let minutes = 0;
    for (const day of days) {
      const part = event.o.wholeDay ? null : partOn(event.o, day);
      if (part) minutes += part.to - part.from;
    }
    if (!minutes) continue;
    const known = shares.get(event.calendar);
    if (known) known.minutes += minutes;
    else {
      const { calendar, ink, mark } = event;
      shares.set(calendar, { calendar, ink, mark, minutes });
    }
  }
  return [...shares.values()].sort((a, b) => b.minutes - a.minutes);
}

/** Days, or where there are many, weeks, that a bar stands for. */
function stretches({ days }: Printing): number[][] {
  if (days.length <= 31) return days.map((day) => [day]);
  const all: number[][] = [];
  for (let i = 0; i < days.length; i += 7) all.push(days.slice(i, i + 7));
  return all;
}

/** A bar of hours by calendar, each with its mark, and its hours at the end. */
function barBlock(days: readonly number[], most: number, width: Points, printing: Printing): Block {
  const { size, isSaving } = printing.setup;
  const line = lineHeight(size) * 1.25;
  const gutter = size * 12;
  const label = widthOf('00000 h 00 min', { size }, printing.widths);
  const scale = Math.max(0, width - gutter - label) / Math.max(60, most);
  const shares = sharesOf(printing, days);
  const sum = shares.reduce((all, { minutes }) => all + minutes, 0);
  const said = sayDay(days[0]!, printing.wording, SHORT_DAY);
  const boxes: Box[] = [words(days.length > 1 ? `Week of ${said}` : said, 0, line * 0.7, { size })];
  let x = gutter;
  for (const { ink, mark, minutes } of shares) {
    const long = minutes * scale;
    boxes.push({
      kind: 'rect',
      ...{ x, y: 1, width: long, height: line - 4 },
      ...(isSaving ? { stroke: BLACK } : { fill: groundOf(ink, 0.35) }),
    });
    if (long > size)
      boxes.push({ kind: 'mark', x: x + 2, y: line * 0.2, size: size * 0.8, mark, colour: ink });
    x += long;
  }
  if (sum) boxes.push(words(sayHours(sum), x + 4, line * 0.7, { size, colour: GREY }));
  return { height: line, boxes };
}

/** How booked the days are, a bar each; under them the hours of each calendar. */
export function loadBlocks(printing: Printing, width: Points): Block[] {
  const { size } = printing.setup;
  const all = stretches(printing);
  const sumOf = (days: readonly number[]) =>
    sharesOf(printing, days).reduce((sum, { minutes }) => sum + minutes, 0);
  const most = Math.max(0, ...all.map(sumOf));
  const line = lineHeight(size);
  const totals = sharesOf(printing, printing.days);
  return [
    ...all.map((days) => barBlock(days, most, width, printing)),
    { height: line, boxes: [] },
    ...totals.map(({ calendar, ink, mark, minutes }): Block => ({
      height: line,
      boxes: [
        { kind: 'mark', x: 0, y: line * 0.14, size: size * 0.9, mark, colour: ink },
        words(calendar, size * 1.4, line * 0.75, { size }),
        words(sayHours(minutes), Math.min(size * 24, width), line * 0.75, { size, align: 'end' }),
      ],
    })),
  ];
}
