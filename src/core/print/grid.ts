import { daysOf } from '../agenda/parts';
import { civilDate, officeWeek, minuteOfDay, weekdayOf } from '../time/civil';
import { formatAway, sayDay, shortWeekday, sayMinute } from '../time/words';
import type { DayNumber } from '../time/units';
import type { Box, Room } from './boxes';
import { GREY } from './boxes';
import type { Further } from './draw';
import { hair, words } from './draw';
import type { Printed, Printing } from './printing';
import { lineHeight } from './printing';
import { linesOf, widthOf } from './text';

/** Events by the days that they are on. */
function byDay({ events, from, to }: Printing): Map<DayNumber, Printed[]> {
  const days = new Map<DayNumber, Printed[]>();
  for (const event of events) {
    const { first, past } = daysOf(event.o);
    for (let day = Math.max(first, from); day < Math.min(past, to); day++) {
      const same = days.get(day);
      if (same) same.push(event);
      else days.set(day, [event]);
    }
  }
  return days;
}

/** An event in a cell: its time before its title. */
const sayIn = ({ o, title }: Printed, { wording }: Printing): string =>
  o.wholeDay ? title : `${sayMinute(minuteOfDay(o.start), wording.hourCycle)} ${title}`;

/** A cell's events as far as there is room; the rest is said in full elsewhere. */
function cellBoxes(
  events: readonly Printed[],
  room: Room,
  printing: Printing,
  further: Further,
): Box[] {
  const size = printing.setup.size * 0.88;
  const line = lineHeight(size);
  const most = Math.max(1, Math.floor((room.height - line * 1.3) / line));
  const all = events.map((event) => ({
    event,
    lines: linesOf(sayIn(event, printing), room.width - size * 1.6, { size }, printing.widths),
  }));
  const needed = all.reduce((sum, { lines }) => sum + lines.length, 0);
  // Where not all have room, the last line says how many more there are.
  let left = needed > most ? most - 1 : most;
  const boxes: Box[] = [];
  let y = room.y + line * 1.3;
  let hidden = 0;
  for (const { event, lines } of all) {
    if (lines.length > left) {
      further.numberOf(event);
      hidden++;
      left = 0;
      continue;
    }
    left -= lines.length;
    boxes.push({
      kind: 'mark',
      ...{
        x: room.x + 2,
        y: y + line * 0.18,
        size: size * 0.75,
        mark: event.mark,
        colour: event.ink,
      },
    });
    for (const text of lines) {
      boxes.push(words(text, room.x + 2 + size * 1.1, y + line * 0.78, { size }));
      y += line;
    }
  }
  if (hidden) {
    const look = { size: size * 0.9, colour: GREY };
    const fits = (text: string) => widthOf(text, look, printing.widths) < room.width - 3;
    const said = [`${hidden} more, in full below`, `${hidden} more`].find(fits) ?? `+${hidden}`;
    boxes.push(words(said, room.x + 2, y + line * 0.78, look));
  }
  return boxes;
}

/** Weeks under each other, a cell for each day. */
export function gridBoxes(
  weeks: readonly (readonly DayNumber[])[],
  room: Room,
  printing: Printing,
  further: Further,
): Box[] {
  const { size, hasWeekNumbers } = printing.setup;
  const gutter = hasWeekNumbers ? size * 2.2 : 0;
  const line = lineHeight(size);
  const columns = weeks[0]?.length ?? 7;
  const width = (room.width - gutter) / columns;
  const height = (room.height - line) / Math.max(1, weeks.length);
  const events = byDay(printing);
  const boxes: Box[] = (weeks[0] ?? []).map((day, i) =>
    words(shortWeekday(weekdayOf(day)), gutter + i * width + 2, line * 0.75, {
      size,
      colour: GREY,
    }),
  );
  weeks.forEach((week, nth) => {
    const y = line + nth * height;
    boxes.push(hair(0, y, room.width, y));
    if (hasWeekNumbers && week[0] !== undefined)
      boxes.push(
        words(String(officeWeek(week[0], printing.firstWeekday).week), 1, y + line * 0.85, {
          ...{ size: size * 0.85, colour: GREY },
        }),
      );
    week.forEach((day, i) => {
      const x = gutter + i * width;
      boxes.push(hair(x, y, x, y + height));
      if (day < printing.from || day >= printing.to) return;
      const isFirst = civilDate(day).day === 1;
      const said = isFirst
        ? sayDay(day, printing.wording, { day: 'numeric', month: 'short' })
        : String(civilDate(day).day);
      boxes.push(
        words(said + formatAway(day, printing.wording), x + 2, y + line * 0.85, {
          size,
          isBold: true,
        }),
      );
      boxes.push(...cellBoxes(events.get(day) ?? [], { x, y, width, height }, printing, further));
    });
  });
  boxes.push(hair(0, room.height, room.width, room.height));
  return boxes;
}
