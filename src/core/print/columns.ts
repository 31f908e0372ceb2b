import type { DayParts } from '../time/words';
import { LONG_DAY, sayDay, sayHour, SHORT_DAY } from '../time/words';
import { minuteOfDay } from '../time/civil';
import type { DayNumber } from '../time/units';
import type { Box, Room } from './boxes';
import { GREY } from './boxes';
import { eventGround, Further, hair, words } from './draw';
import type { Hours } from './hours';
import { hoursOf, withinHours } from './hours';
import type { Printed, Printing } from './printing';
import { detailsOf, lineHeight, sayTimes } from './printing';
import { linesOf, widthOf } from './text';
import { withLastDay } from './list';

interface Part {
  event: Printed;
  from: number;
  to: number;
}

/** Parts of a day side by side where they overlap: which place each has, of how many. */
function beside(parts: readonly Part[]): (Part & { place: number; of: number })[] {
  const placed: (Part & { place: number; of: number })[] = [];
  let group: (Part & { place: number; of: number })[] = [];
  let end = -Infinity;
  const close = () => {
    const of = Math.max(1, ...group.map(({ place }) => place + 1));
    for (const one of group) placed.push({ ...one, of });
    group = [];
  };
  for (const part of parts.toSorted((a, b) => a.from - b.from || b.to - a.to)) {
    if (part.from >= end) close();
    const taken = new Set(group.filter(({ to }) => to > part.from).map(({ place }) => place));
    let place = 0;
    while (taken.has(place)) place++;
    group.push({ ...part, place, of: 1 });
    end = Math.max(end, part.to);
  }
  close();
  return placed;
}

/** Minutes at whose multiples a time can be read off the lines of the hours. */
const ON_AXIS = 30;

/** The words of an event in a box: all of them, or as much of its title as there is room for, with the number of the rest. */
function wordsIn(event: Printed, room: Room, printing: Printing, further: Further): Box[] {
  const { size } = printing.setup;
  const line = lineHeight(size * 0.92);
  const bold = { size: size * 0.92, isBold: true };
  const small = { size: size * 0.8 };
  const inner = room.width - size * 0.5 - 3;
  const lines = (title: string, details: readonly string[]) => [
    ...linesOf(title, inner - size, bold, printing.widths).map((text, i) => ({
      text,
      look: bold,
      dx: i ? 0 : size,
    })),
    ...details.flatMap((text) =>
      linesOf(text, inner, small, printing.widths).map((each) => ({
        text: each,
        look: { ...small, colour: GREY },
        dx: 0,
      })),
    ),
  ];
  const times = sayTimes(event, printing);
  const details = detailsOf(event, printing);
  const { title } = withLastDay(event, printing);
  const isOnAxis = [event.o.start, event.o.end].every((wall) => minuteOfDay(wall) % ON_AXIS === 0);
  // Where there is less room they stand on fewer lines; times that can be read off the hours are left out.
  const ways = [
    () => lines(title, [times, ...details]),
    () => lines(title, [[times, ...details].join(' · ')]),
    ...(isOnAxis
      ? [
          () => lines(title, details.length ? [details.join(' · ')] : []),
          () => lines([title, ...details].join(' · '), []),
        ]
      : [() => lines([title, times, ...details].join(' · '), [])]),
  ];
  const most = Math.max(1, Math.floor((room.height + 1) / line));
  // A box too narrow for a word has its number alone, and where there is no room for that, its mark.
  const number = () => String(further.numberOf(event));
  const mark: Box = {
    kind: 'mark',
    ...{ x: room.x + 1, y: room.y + line * 0.16, size: Math.min(size * 0.75, room.width - 1) },
    ...{ mark: event.mark, colour: event.ink },
  };
  if (inner < size * 3.2) {
    const isRoom = widthOf(number(), small, printing.widths) + size * 0.9 < room.width;
    return isRoom
      ? [mark, words(number(), room.x + size * 0.9, room.y + line * 0.8, small)]
      : [mark];
  }
  const whole = ways.map((way) => way()).find((way) => way.length <= most);
  const shown =
    whole ?? lines(`${further.numberOf(event)}  ${title}`, [times, ...details]).slice(0, most);
  return [
    mark,
    ...shown.map(({ text, look, dx }, i) =>
      words(text, room.x + 3 + dx, room.y + line * (i + 0.8), look),
    ),
  ];
}

/** Share of the room that heads of columns take at most. */
const HEADS = 0.4;

/** The head of a column: its day, and what lasts all of it, as far as there is room. */
function headOf(
  day: DayNumber,
  tops: readonly Printed[],
  { width, height }: Pick<Room, 'width' | 'height'>,
  printing: Printing,
  /** Ids of what a head has in full: it gets no number where another one cuts it. */
  { further, inFull, parts }: { further: Further; inFull: Set<string>; parts: DayParts },
) {
  const { size } = printing.setup;
  const line = lineHeight(size);
  const most = Math.max(1, Math.floor((height * HEADS) / line) - 1);
  const look = { size, isBold: true };
  const heads = linesOf(sayDay(day, printing.wording, parts), width, look, printing.widths).slice(
    0,
    2,
  );
  const boxes: Box[] = heads.map((text, i) => words(text, 3, line * (i + 0.8), look));
  let y = line * heads.length;
  let left = most;
  for (const event of tops) {
    const letters = { size: size * 0.9 };
    const room = width - size * 1.6;
    const all = linesOf(withLastDay(event, printing).title, room, letters, printing.widths);
    const isAll = all.length <= left;
    if (isAll) inFull.add(event.o.id);
    const short = inFull.has(event.o.id) ? '…' : String(further.numberOf(event));
    const shown = isAll ? all : [short].slice(0, Math.max(0, left));
    left -= shown.length;
    if (shown.length)
      boxes.push({
        kind: 'mark',
        ...{ x: 3, y: y + line * 0.2, size: size * 0.8, mark: event.mark, colour: event.ink },
      });
    for (const text of shown) {
      boxes.push(words(text, 3 + size * 1.1, y + line * 0.8, letters));
      y += line;
    }
  }
  return { boxes, height: y + 3 };
}

/** Days as columns, hours from top to bottom, in one room; what has no room for its words gets a number. */
export function columnsBoxes(
  days: readonly DayNumber[],
  room: Room,
  printing: Printing,
  further: Further,
): Box[] {
  const { size } = printing.setup;
  const hours: Hours = hoursOf(printing.events, days, printing);
  const gutter = size * 2.6;
  const width = (room.width - gutter) / Math.max(1, days.length);
  const parts = days.map((day) => withinHours(printing.events, day, hours));
  const inFull = new Set<string>();
  // All days are named alike: in full where that fits each of them.
  const isRoomy = days.every((day) => {
    const said = sayDay(day, printing.wording, LONG_DAY);
    return widthOf(said, { size, isBold: true }, printing.widths) < width - 4;
  });
  const headsWith = (numbers: Further) =>
    days.map((day, i) =>
      headOf(day, parts[i]!.tops, { width: width - 4, height: room.height }, printing, {
        further: numbers,
        inFull,
        parts: isRoomy ? LONG_DAY : SHORT_DAY,
      }),
    );
  // First it is seen what some head has in full.
  headsWith(new Further());
  const heads = headsWith(further);
  const headHeight = Math.max(...heads.map(({ height }) => height));
  const body = room.height - headHeight;
  const yOf = (minute: number) =>
    headHeight + ((minute - hours.from) / (hours.to - hours.from)) * body;
  const boxes: Box[] = [];
  const anHour = yOf(hours.from + 60) - yOf(hours.from);
  // Names of hours never touch, however low an hour is.
  const named = Math.max(1, Math.ceil((size * 1.1) / anHour));
  for (let hour = Math.ceil(hours.from / 60); hour * 60 <= hours.to; hour++) {
    boxes.push(hair(gutter, yOf(hour * 60), room.width, yOf(hour * 60)));
    if (hour % named) continue;
    boxes.push(
      words(sayHour(hour, printing.wording.hourCycle), gutter - 4, yOf(hour * 60) + size * 0.3, {
        ...{ size: size * 0.85, colour: GREY, align: 'end' },
      }),
    );
  }
  days.forEach((_, i) => {
    const x = gutter + i * width;
    boxes.push(hair(x, 0, x, room.height));
    for (const box of heads[i]!.boxes) boxes.push({ ...box, x: box.x + x } as Box);
    for (const part of beside(parts[i]!.inside)) {
      const each = (width - 3) / part.of;
      const height = Math.max(lineHeight(size * 0.92), yOf(part.to) - yOf(part.from) - 1);
      const place = {
        x: x + 1 + part.place * each,
        y: Math.min(yOf(part.from) + 0.5, room.height - height),
        width: each - 1,
        height,
      };
      boxes.push(...eventGround(part.event, place, printing));
      boxes.push(...wordsIn(part.event, place, printing, further));
    }
    for (const event of parts[i]!.outside) further.numberOf(event);
  });
  return boxes;
}
