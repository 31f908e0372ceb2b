import { dayOfWall } from '../time/civil';
import { sayDay, SHORT_DAY } from '../time/words';
import type { Box, Points } from './boxes';
import { GREY, HAIR } from './boxes';
import type { Block } from './flow';
import type { Printed, Printing } from './printing';
import { lineHeight, sayOther, sayTimes } from './printing';
import { linesOf } from './text';

interface Column {
  name: string;
  /** Share of the width. */
  share: number;
  say(event: Printed, printing: Printing): string;
  isBold?: boolean;
}

/** The columns of a printed table: those that hold nothing are left out by whoever asks. */
function columnsOf({ setup }: Printing): Column[] {
  const { hasPlaces, hasNotes, hasGuests } = setup;
  return [
    {
      name: 'Day',
      share: 13,
      say: ({ o }, { wording }) =>
        sayDay(dayOfWall(o.start), wording, { ...SHORT_DAY, year: '2-digit' as never }),
    },
    {
      name: 'Time',
      share: 13,
      say: (event, printing) =>
        [sayTimes(event, printing), sayOther(event, printing)].filter(Boolean).join(', '),
    },
    { name: 'What', share: 30, say: ({ title }) => title, isBold: true },
    { name: 'Calendar', share: 13, say: ({ calendar }) => calendar },
    ...(hasPlaces ? [{ name: 'Place', share: 15, say: ({ place }: Printed) => place }] : []),
    ...(hasGuests ? [{ name: 'Guests', share: 18, say: ({ guests }: Printed) => guests }] : []),
    ...(hasNotes ? [{ name: 'Notes', share: 24, say: ({ notes }: Printed) => notes }] : []),
  ];
}

const GAP: Points = 6;

/** Where the columns lie in a width. */
function placed(columns: readonly Column[], width: Points) {
  const all = columns.reduce((sum, { share }) => sum + share, 0);
  let x = 0;
  return columns.map((column) => {
    const place = { column, x, width: (width * column.share) / all - GAP };
    x += place.width + GAP;
    return place;
  });
}

/** Events as lines of a table, its heads said again on each page. */
export function tableBlocks(printing: Printing, width: Points): Block[] {
  const { size } = printing.setup;
  const height = lineHeight(size);
  const columns = placed(columnsOf(printing), width);
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
      const isFirst = column.name === 'What';
      const indent = isFirst ? size * 1.2 : 0;
      const letters = { size, ...(column.isBold && { isBold: true }) };
      const lines = linesOf(column.say(event, printing), room - indent, letters, printing.widths);
      return { x, indent, lines, letters };
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
          const text = cell.lines[i];
          if (text === undefined) return [];
          return [
            { kind: 'text', x: cell.x + cell.indent, y: height * 0.75, text, ...cell.letters },
          ];
        }),
      ],
      under: head,
    }));
  });
  return [head, ...rows];
}
