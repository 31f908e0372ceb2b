import { dayOfWall } from '../time/civil';
import { sayDay, SHORT_DAY } from '../time/words';
import type { Box, Points } from './boxes';
import { GREY, HAIR } from './boxes';
import { words } from './draw';
import type { Block } from './flow';
import type { Printed, Printing } from './printing';
import { lineHeight, sayOther, sayTimes } from './printing';
import { linesOf } from './text';

interface Column {
  name: string;
  /** Share of the width. */
  share: number;
  /** The least width in which it is a column, in times the letters' size. */
  least: number;
  say(event: Printed, printing: Printing): string;
  isBold?: boolean;
}

/** How letters look. */
interface Look {
  size: Points;
  isBold?: boolean;
  colour?: string;
}

/** The columns of a printed table: those that hold nothing are left out by whoever asks. */
function columnsOf({ setup }: Printing): Column[] {
  const { hasPlaces, hasNotes, hasGuests } = setup;
  const least = 4;
  return [
    {
      name: 'Day',
      share: 13,
      least: 3.2,
      say: ({ o }, { wording }) =>
        sayDay(dayOfWall(o.start), wording, { ...SHORT_DAY, year: '2-digit' as never }),
    },
    {
      name: 'Time',
      share: 13,
      least: 3.2,
      say: (event, printing) =>
        [sayTimes(event, printing), sayOther(event, printing)].filter(Boolean).join(', '),
    },
    { name: 'What', share: 30, least: 5, say: ({ title }) => title, isBold: true },
    { name: 'Calendar', share: 13, least: 3.2, say: ({ calendar }) => calendar },
    ...(hasPlaces ? [{ name: 'Place', share: 15, least, say: (of: Printed) => of.place }] : []),
    ...(hasGuests ? [{ name: 'Guests', share: 18, least, say: (of: Printed) => of.guests }] : []),
    ...(hasNotes ? [{ name: 'Notes', share: 24, least, say: (of: Printed) => of.notes }] : []),
  ];
}

const GAP: Points = 6;

/** Where columns lie in a width, each as broad as its share of all. */
function placed(
  columns: readonly Column[],
  width: Points,
  shareOf = ({ share }: Column): number => share,
) {
  const all = columns.reduce((sum, column) => sum + shareOf(column), 0);
  let x = 0;
  return columns.map((column) => {
    const place = { column, x, width: (width * shareOf(column)) / all - GAP };
    x += place.width + GAP;
    return place;
  });
}

/** How many columns there are always: day, time and title. */
const ALWAYS = 3;

/**
 * The columns that a width has room for, and those that are said under the title instead, where one
 * would be too narrow to be read.
 */
function fitted(all: readonly Column[], width: Points, size: Points) {
  for (let count = all.length; count >= ALWAYS; count -= 1) {
    const columns = placed(all.slice(0, count), width);
    const isRead = columns.every((it) => it.width >= it.column.least * size);
    if (isRead) return { columns, folded: all.slice(count) };
  }
  const columns = placed(all.slice(0, ALWAYS), width, ({ least }) => least);
  return { columns, folded: all.slice(ALWAYS) };
}

/** Events as lines of a table, its heads said again on each page. */
export function tableBlocks(printing: Printing, width: Points): Block[] {
  const { size } = printing.setup;
  const height = lineHeight(size);
  const { columns, folded } = fitted(columnsOf(printing), width, size);
  const head: Block = {
    height: height + 4,
    isHead: true,
    boxes: [
      ...columns.map(({ column, x }): Box => ({
        kind: 'text',
        ...{ x, y: height * 0.75, size: size * 0.9, colour: GREY, text: column.name },
      })),
      { kind: 'line', x: 0, y: height + 2, x2: width, y2: height + 2, colour: HAIR },
    ],
  };
  const rows = printing.events.flatMap((event): Block[] => {
    const cells = columns.map(({ column, x, width: room }) => {
      const isTitle = column.name === 'What';
      const indent = isTitle ? size * 1.2 : 0;
      const said = (text: string, look: Look) =>
        linesOf(text, room - indent, look, printing.widths).map((line) => ({ text: line, look }));
      const lines = [
        ...said(column.say(event, printing), { size, ...(column.isBold && { isBold: true }) }),
        ...(isTitle ? folded : [])
          .map((each) => each.say(event, printing))
          .filter(Boolean)
          .flatMap((text) => said(text, { size: size * 0.85, colour: GREY })),
      ];
      return { x, indent, lines };
    });
    const lines = Math.max(1, ...cells.map((cell) => cell.lines.length));
    const mark = cells[2]!;
    const first: Box = {
      kind: 'mark',
      ...{ x: mark.x, y: height * 0.12, size: size * 0.9, mark: event.mark, colour: event.ink },
    };
    return Array.from({ length: lines }, (_, i): Block => ({
      height: height + (i === lines - 1 ? size * 0.25 : 0),
      boxes: [
        ...(i ? [] : [first]),
        ...cells.flatMap((cell): Box[] => {
          const line = cell.lines[i];
          return line ? [words(line.text, cell.x + cell.indent, height * 0.75, line.look)] : [];
        }),
      ],
      under: head,
    }));
  });
  return [head, ...rows];
}
