import { nthDay } from '../agenda/parts';
import { LONG_DAY, sayDay, sayHour, sayMinute, shortWeekday } from '../time/words';
import { DAY, HOUR, minuteOfDay, weekdayOf } from '../time/civil';
import { wallFromInstant, instantFromWall } from '../time/zones';
import type { DayNumber } from '../time/units';
import type { Box, Points, Room } from './boxes';
import { GREY, HAIR } from './boxes';
import type { Further } from './draw';
import { eventGround, hair, words } from './draw';
import type { Block } from './flow';
import type { Hours } from './hours';
import { hoursOf, withinHours } from './hours';
import type { Printed, Printing } from './printing';
import { detailsOf, lineHeight, sayTimes } from './printing';
import { withLastDay } from './list';
import { linesOf, widthOf } from './text';

/** Room of the days' names. */
const GUTTER = 6;

interface Frame {
  width: Points;
  gutter: Points;
  hours: Hours;
  /** Clock of the sheet, for the second axis. */
  clock: string;
}

const xOf = ({ width, gutter, hours }: Frame, minute: number): Points =>
  gutter + ((minute - hours.from) / (hours.to - hours.from)) * (width - gutter);

/** Hours from one name on an axis to the next. */
const AXIS_STEPS = [1, 2, 3, 4, 6, 12];

/** Every how many hours there is room for a name, so that names never touch. */
function axisStep(frame: Frame, { setup, wording, other, widths }: Printing): number {
  const { size } = setup;
  const names = Array.from({ length: 24 }, (_, hour) => [
    widthOf(sayHour(hour, wording.hourCycle), { size: size * 0.85 }, widths),
    other
      ? widthOf(sayMinute(hour * 60 + 30, wording.hourCycle), { size: size * 0.75 }, widths)
      : 0,
  ]).flat();
  const least = Math.max(...names) + size * 0.5;
  const anHour = xOf(frame, frame.hours.from + 60) - xOf(frame, frame.hours.from);
  return AXIS_STEPS.find((step) => step * anHour >= least) ?? 24;
}

/** The axis of hours, with the second clock's above it. */
function axisBlock(frame: Frame, printing: Printing, day: DayNumber): Block {
  const { size } = printing.setup;
  const height = lineHeight(size);
  const { other, wording } = printing;
  const boxes: Box[] = [];
  const whole = Math.ceil(frame.hours.from / 60);
  const named = axisStep(frame, printing);
  for (let hour = whole; hour * 60 <= frame.hours.to; hour++) {
    if (hour % named) continue;
    const x = xOf(frame, hour * 60);
    const look = { size: size * 0.85, colour: GREY, align: 'middle' as const };
    const y = height * (other ? 1.75 : 0.75);
    boxes.push(words(sayHour(hour, wording.hourCycle), x, y, look));
    if (other) {
      const there = wallFromInstant(
        instantFromWall(day * DAY + hour * HOUR, frame.clock),
        other.zone,
      );
      boxes.push(
        words(sayMinute(minuteOfDay(there), wording.hourCycle), x, height * 0.75, {
          ...look,
          size: size * 0.75,
        }),
      );
    }
  }
  if (other) boxes.push(words(other.name, 0, height * 0.75, { size: size * 0.75, colour: GREY }));
  return { height: height * (other ? 2 : 1) + 2, boxes, isHead: true };
}

/** Lines of a label at most: what says more gets a number, and is said in full behind. */
const MOST_LINES = 5;

/** A label beside or in a bar. */
interface Placed {
  event: Printed;
  x: Points;
  width: Points;
  labelX: Points;
  lines: { text: string; isBold: boolean }[];
  /** From where to where its lane is taken. */
  left: Points;
  right: Points;
}

function placedBar(
  { event, from, to }: { event: Printed; from: number; to: number },
  frame: Frame,
  printing: Printing,
  further: Further,
): Placed {
  const { size } = printing.setup;
  const x = xOf(frame, from);
  const width = Math.max(2, xOf(frame, to) - x);
  const room = frame.width - frame.gutter;
  const bold = { size, isBold: true };
  const small = { size: size * 0.85 };
  const inner = Math.min(room - size * 2, Math.max(room * 0.35, width - size * 1.6));
  const titlesOf = (title: string) => linesOf(title, inner, bold, printing.widths);
  const says = [sayTimes(event, printing), ...detailsOf(event, printing)].join(' · ');
  let titles = titlesOf(event.title);
  let details = linesOf(says, inner + size, small, printing.widths);
  if (titles.length + details.length > MOST_LINES) {
    titles = titlesOf(`${further.numberOf(event)}  ${event.title}`).slice(0, MOST_LINES - 1);
    details = details.slice(0, Math.min(details.length, MOST_LINES - titles.length));
  }
  const widest = Math.max(
    ...titles.map((text) => widthOf(text, bold, printing.widths) + size * 1.4),
    ...details.map((text) => widthOf(text, small, printing.widths) + size * 0.4),
  );
  // What would leave the page begins further left.
  const labelX = Math.max(frame.gutter, Math.min(x + 3, frame.width - widest));
  return {
    ...{ event, x, width, labelX },
    lines: [
      ...titles.map((text) => ({ text, isBold: true })),
      ...details.map((text) => ({ text, isBold: false })),
    ],
    left: Math.min(x, labelX),
    right: Math.max(x + width, labelX + widest) + 3,
  };
}

/** Bars in lanes, so that neither they nor their labels meet. */
function lanesOf(bars: readonly Placed[]): Placed[][] {
  const lanes: Placed[][] = [];
  for (const bar of bars) {
    const free = lanes.find((lane) =>
      lane.every((one) => one.right <= bar.left || one.left >= bar.right),
    );
    if (free) free.push(bar);
    else lanes.push([bar]);
  }
  return lanes;
}

function barBoxes(bar: Placed, y: Points, height: Points, printing: Printing): Box[] {
  const { size } = printing.setup;
  const line = lineHeight(size);
  const boxes = eventGround(bar.event, { x: bar.x, y, width: bar.width, height }, printing);
  boxes.push({
    kind: 'mark',
    ...{ x: bar.labelX, y: y + line * 0.14, size: size * 0.9 },
    ...{ mark: bar.event.mark, colour: bar.event.ink },
  });
  bar.lines.forEach(({ text, isBold }, i) => {
    const x = bar.labelX + (isBold ? size * 1.2 : 0);
    boxes.push(
      words(
        text,
        x,
        y + line * (i + 0.78),
        isBold ? { size, isBold } : { size: size * 0.85, colour: GREY },
      ),
    );
  });
  return boxes;
}

/** Lines for what has no place among the hours: whole days, and what lies outside the hours that are printed. */
function linesFor(event: Printed, text: string, frame: Frame, printing: Printing): Block[] {
  const { size } = printing.setup;
  const height = lineHeight(size);
  const letters = { size, isBold: true };
  const room = { x: frame.gutter, y: 1, width: frame.width - frame.gutter, height: height + 1 };
  return linesOf(text, room.width - size * 2, letters, printing.widths).map((each, i) => ({
    height: room.height + 2,
    boxes: [
      ...(event.o.wholeDay ? eventGround(event, room, printing) : []),
      ...(i
        ? []
        : [
            {
              kind: 'mark' as const,
              ...{ x: frame.gutter + 3, y: height * 0.2, size: size * 0.9 },
              ...{ mark: event.mark, colour: event.ink },
            },
          ]),
      words(each, frame.gutter + size * 1.5, height * 0.85, letters),
    ],
  }));
}

/** What stands in the gutter of a day: its weekday over its date. */
function gutterBoxes(day: DayNumber, { setup, wording }: Printing): Box[] {
  const { size } = setup;
  const line = lineHeight(size);
  const date = sayDay(day, wording, { day: 'numeric', month: 'short' });
  return [
    words(shortWeekday(weekdayOf(day)), 0, line * 0.9, { size, colour: GREY }),
    words(date, 0, line * 1.9, { size, isBold: true }),
  ];
}

/** One day as a row: as many blocks as it has lanes, so that a long day flows on. */
function dayBlocks(
  day: DayNumber,
  { frame, axis, further }: { frame: Frame; axis: Block; further: Further },
  printing: Printing,
): Block[] {
  const { size } = printing.setup;
  const { tops, inside, outside } = withinHours(printing.events, day, frame.hours);
  const blocks: Block[] = [
    ...tops.flatMap((event) => {
      const { nth, of } = nthDay(event.o, day);
      return linesFor(
        event,
        of > 1 ? `${event.title}, day ${nth} of ${of}` : event.title,
        frame,
        printing,
      );
    }),
    ...lanesOf(inside.map((part) => placedBar(part, frame, printing, further))).map(
      (lane): Block => {
        const height = Math.max(...lane.map(({ lines }) => lines.length)) * lineHeight(size) + 2;
        return {
          height: height + 3,
          boxes: lane.flatMap((bar) => barBoxes(bar, 1, height, printing)),
        };
      },
    ),
    ...outside.flatMap((event) =>
      linesFor(
        event,
        `${sayTimes(event, printing)}  ${withLastDay(event, printing).title}`,
        frame,
        printing,
      ),
    ),
  ];
  const least = lineHeight(size) * 2.4;
  const sum = blocks.reduce((all, { height }) => all + height, 0);
  blocks.push({ height: Math.max(3, least - sum), boxes: [] });
  const look = { size, colour: GREY };
  const goesOn = `${sayDay(day, printing.wording, LONG_DAY)} (goes on)`;
  const [said = ''] = linesOf(goesOn, frame.width, look, printing.widths);
  const again = words(said, 0, axis.height + lineHeight(size) * 0.75, look);
  const under: Block = {
    height: axis.height + lineHeight(size),
    boxes: [...axis.boxes, again],
  };
  const first: Block = {
    ...blocks[0]!,
    under: axis,
    boxes: [hair(0, 0, frame.width, 0), ...gutterBoxes(day, printing), ...blocks[0]!.boxes],
  };
  return [first, ...blocks.slice(1).map((block) => ({ ...block, under }))];
}

/** Days as rows, time from left to right. */
export function rowsBlocks(
  days: readonly DayNumber[],
  { width }: Pick<Room, 'width'>,
  printing: Printing,
  { clock, further }: { clock: string; further: Further },
): Block[] {
  const { size } = printing.setup;
  const hours = hoursOf(printing.events, days, printing);
  const frame = { width, gutter: size * GUTTER, hours, clock };
  const axis = axisBlock(frame, printing, days[0] ?? printing.from);
  const blocks = [
    axis,
    ...days.flatMap((day) => dayBlocks(day, { frame, axis, further }, printing)),
  ];
  return [...blocks, { height: 1, boxes: [hair(0, 0, width, 0, HAIR)] }];
}
