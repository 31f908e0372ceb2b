import type { Totals } from '../agenda/table';
import { groupOccurrences, totalsOf } from '../agenda/table';
import { cellText, COLUMN_NAMES, groupName, sortOccurrences } from '../agenda/tableColumns';
import type { TableColumn } from '../model/view';
import { dayOfWall } from '../time/civil';
import { count, sayHours } from '../time/words';
import type { Box, Points } from './boxes';
import { GREY, HAIR } from './boxes';
import { words } from './draw';
import type { Block } from './flow';
import type { Printed, Printing } from './printing';
import { lineHeight, sayOther } from './printing';
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

/** Shares of the width, and the least in times the letters' size, of columns of the sheet's table. */
const BREADTHS: Readonly<Record<TableColumn, [share: number, least: number]>> = {
  date: [12, 3.2],
  start: [10, 3],
  end: [10, 3],
  hours: [9, 2.8],
  title: [30, 5],
  calendar: [13, 3.2],
  category: [13, 3.2],
  place: [15, 4],
  availability: [10, 3.2],
  series: [10, 3.2],
  leaveBy: [9, 3],
  reminder: [16, 4],
  importance: [10, 3.2],
};

/** When what lasts several days ends, where no column says it. */
function formatEnd({ o }: Printed, { table }: Printing): string {
  const isOfOneDay = dayOfWall(Math.max(o.start, o.end - 1)) === dayOfWall(o.start);
  if (isOfOneDay || table.setup.columns.includes('end')) return '';
  return ` – ${cellText(o, 'end', table.setting)}`;
}

/** What a cell of the sheet's table says of an event on paper, where a private one may be only booked. */
function cellOf(event: Printed, column: TableColumn, printing: Printing): string {
  const { columns } = printing.table.setup;
  const said = cellText(event.o, column, printing.table.setting);
  const saysEnd = columns.includes('date') ? 'date' : columns.includes('start') ? 'start' : 'title';
  const end = column === saysEnd ? formatEnd(event, printing) : '';
  switch (column) {
    case 'title':
      return event.title + end;
    case 'place':
      return event.place;
    case 'calendar':
      return event.calendar;
    case 'start':
      return [said + end, sayOther(event, printing)].filter(Boolean).join(', ');
    default:
      return said + end;
  }
}

/** The columns of the sheet's table, the title among them whatever was chosen, and what paper says besides. */
function columnsOf(printing: Printing): Column[] {
  const { hasPlaces, hasNotes, hasGuests } = printing.setup;
  const chosen = printing.table.setup.columns;
  const columns = chosen.includes('title') ? chosen : ([...chosen, 'title'] as const);
  const least = 4;
  return [
    ...columns
      .filter((column) => column !== 'place' || hasPlaces)
      .map((column): Column => ({
        name: COLUMN_NAMES[column],
        share: BREADTHS[column][0],
        least: BREADTHS[column][1],
        say: (event) => cellOf(event, column, printing),
        ...(column === 'title' && { isBold: true }),
      })),
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

/** How many columns stand beside the title at least. */
const LEAST_BESIDE = 2;

/**
 * The columns that a width has room for, the title among them, and those that are said under the title
 * instead, where one would be too narrow to be read.
 */
function fitted(all: readonly Column[], width: Points, size: Points) {
  const others = all.filter(({ isBold }) => !isBold);
  const least = Math.min(LEAST_BESIDE, others.length);
  const split = (count: number) => {
    const beside = new Set(others.slice(0, count));
    return [
      all.filter((it) => it.isBold || beside.has(it)),
      all.filter((it) => !it.isBold && !beside.has(it)),
    ] as const;
  };
  for (let count = others.length; count >= least; count -= 1) {
    const [shown, folded] = split(count);
    const columns = placed(shown, width);
    if (columns.every((it) => it.width >= it.column.least * size)) return { columns, folded };
  }
  const [shown, folded] = split(least);
  return { columns: placed(shown, width, (column) => column.least), folded };
}

/** A line across the table: the head of a group, or its sums. */
function lineBlocks(text: string, width: Points, printing: Printing, isHead: boolean): Block[] {
  const { size } = printing.setup;
  const height = lineHeight(size);
  const look = { size, isBold: true };
  return linesOf(text, width, look, printing.widths).map((line) => ({
    height: height + size * 0.3,
    boxes: [words(line, 0, height * 0.95, look)],
    ...(isHead && { isHead }),
  }));
}

/** "3 events · 4 h 30 min", as the sheet's table says sums. */
const formatTotals = ({ events, minutes }: Totals) =>
  `${count(events, 'event')} · ${sayHours(minutes)}`;

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
  const rowOf = (event: Printed): Block[] => {
    const cells = columns.map(({ column, x, width: room }) => {
      const isTitle = column.isBold === true;
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
    const mark = cells.find(({ indent }) => indent > 0)!;
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
  };
  const { setup, setting } = printing.table;
  const byOccurrence = new Map(printing.events.map((event) => [event.o, event]));
  const sorted = sortOccurrences(
    printing.events.map(({ o }) => o),
    setup,
    setting,
  );
  const { from, to } = printing;
  const groups = groupOccurrences(sorted, setup.groupBy, from, to);
  const rows = groups.flatMap(({ key, occurrences, totals }) => [
    ...(setup.groupBy === 'none'
      ? []
      : lineBlocks(
          `${groupName(key, setup.groupBy, setting)}: ${formatTotals(totals)}`,
          width,
          printing,
          true,
        )),
    ...occurrences.flatMap((o) => rowOf(byOccurrence.get(o)!)),
  ]);
  const all = lineBlocks(formatTotals(totalsOf(sorted, from, to)), width, printing, false);
  return [head, ...rows, ...all];
}
