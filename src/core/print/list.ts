import { dayOfWall } from '../time/civil';
import { LONG_DAY, sayDay, SHORT_DAY } from '../time/words';
import type { Box, Points } from './boxes';
import { GREY, HAIR } from './boxes';
import type { Block } from './flow';
import { grouped } from './grouped';
import type { Printed, Printing } from './printing';
import { detailsOf, lineHeight, sayTimes } from './printing';
import { linesOf, widthOf } from './text';

/** Room of the times before titles, in letters. */
const TIMES = '00:00 am – 00:00 pm ';

interface Column {
  x: Points;
  width: Points;
}

/** A line of words in a column, with its own size and weight. */
function lineBlocks(
  texts: readonly string[],
  { x, width }: Column,
  look: { size: Points; isBold?: boolean; colour?: string },
  printing: Pick<Printing, 'widths'>,
): Block[] {
  const height = lineHeight(look.size);
  return texts
    .flatMap((text) => linesOf(text, width, look, printing.widths))
    .map((text) => ({
      height,
      boxes: [{ kind: 'text', x, y: height * 0.75, text, ...look }],
    }));
}

/** The blocks of one event: its time and mark beside the first line of its title, its details under it. */
function entryBlocks(
  event: Printed,
  width: Points,
  printing: Printing,
  { number = 0, under }: { number?: number; under?: Block } = {},
): Block[] {
  const { size } = printing.setup;
  const letters = { size };
  const times = widthOf(
    TIMES.slice(0, printing.wording.hourCycle === '24' ? 14 : undefined),
    letters,
    printing.widths,
  );
  const x = times + size * 1.6;
  const column = { x, width: Math.max(size * 4, width - x) };
  const title = number ? `${number}  ${event.title}` : event.title;
  const [first, ...rest] = [
    ...lineBlocks([title], column, { size, isBold: true }, printing),
    ...lineBlocks(detailsOf(event, printing), column, { size: size * 0.9, colour: GREY }, printing),
  ];
  if (!first) return [];
  const head: Box[] = [
    { kind: 'text', x: 0, y: first.height * 0.75, text: sayTimes(event, printing), size },
    {
      kind: 'mark',
      x: times,
      y: first.height * 0.14,
      size: size * 0.9,
      mark: event.mark,
      colour: event.ink,
    },
  ];
  const gap = { height: size * 0.35, boxes: [] };
  return [{ ...first, boxes: [...head, ...first.boxes] }, ...rest, gap].map((block) => ({
    ...block,
    ...(under && { under }),
  }));
}

/** The head of a day in a list. */
function dayHead(day: number, width: Points, printing: Printing, isAgain = false): Block {
  const size = printing.setup.size * 1.15;
  const letters = { size, isBold: true };
  const said = sayDay(day, printing.wording, LONG_DAY);
  const lines = linesOf(isAgain ? `${said} (goes on)` : said, width, letters, printing.widths);
  const line = lineHeight(size);
  const height = line * lines.length + size * 0.5;
  return {
    height,
    isHead: true,
    boxes: [
      ...lines.map((text, i): Box => ({
        kind: 'text',
        ...{ x: 0, y: height - size * 0.45 - line * (lines.length - 1 - i), text, ...letters },
      })),
      { kind: 'line', x: 0, y: height, x2: width, y2: height, colour: HAIR },
    ],
  };
}

/** Whether an event is on a day: each is listed once, on its first day or the first that is printed. */
const firstDayOf = (event: Printed, from: number) => Math.max(from, dayOfWall(event.o.start));

/** Events day by day, each with everything that is said of it; days without any are left out. */
export function agendaBlocks(printing: Printing, width: Points): Block[] {
  const byDay = grouped(printing.events, (event) => firstDayOf(event, printing.from));
  return [...byDay]
    .sort(([a], [b]) => a - b)
    .flatMap(([day, events]) => {
      const under = dayHead(day, width, printing, true);
      return [
        dayHead(day, width, printing),
        ...events.flatMap((event) =>
          entryBlocks(withLastDay(event, printing), width, printing, { under }),
        ),
      ];
    });
}

/** What ends on another day says on which: an hour alone would be taken for one of the same day. */
export function withLastDay(event: Printed, { wording }: Printing): Printed {
  const last = dayOfWall(event.o.end - 1);
  if (last <= dayOfWall(event.o.start)) return event;
  return { ...event, title: `${event.title}, until ${sayDay(last, wording, SHORT_DAY)}` };
}

/** A list of what had no room where it lies, by the numbers that stand there. */
export function furtherBlocks(
  further: readonly { event: Printed; number: number }[],
  width: Points,
  printing: Printing,
): Block[] {
  if (!further.length) return [];
  const size = printing.setup.size * 1.15;
  const head: Block = {
    height: lineHeight(size) * 1.3,
    isHead: true,
    boxes: [{ kind: 'text', x: 0, y: lineHeight(size), size, isBold: true, text: 'In full' }],
  };
  const byDay = grouped(further, ({ event }) => firstDayOf(event, printing.from));
  return [
    head,
    ...[...byDay].flatMap(([day, all]) => {
      const under = dayHead(day, width, printing, true);
      return [
        dayHead(day, width, printing),
        ...all.flatMap(({ event, number }) =>
          entryBlocks(withLastDay(event, printing), width, printing, { number, under }),
        ),
      ];
    }),
  ];
}
