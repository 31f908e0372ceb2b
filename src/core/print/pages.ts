import { civilDate, DAY, startOfWeek } from '../time/civil';
import type { DayNumber } from '../time/units';
import { DATED_DAY, sayDay, sayDays } from '../time/words';
import { agendaBlocks, furtherBlocks } from './list';
import { blankLines, noteBlocks, taskBlocks } from './beside';
import type { Box, Points, PrintPage, Room } from './boxes';
import { GREY, shifted } from './boxes';
import { columnsBoxes } from './columns';
import { Further, words } from './draw';
import type { Block, Filled } from './flow';
import { flow } from './flow';
import type { PrintSetup } from '../model/print';
import { footHeight, withFeet } from './frame';
import { gridBoxes } from './grid';
import { grouped } from './grouped';
import { loadBlocks } from './load';
import { MONTH_LINES, monthOn, smallMonth } from './months';
import { paperSize, withinMargins } from './paper';
import type { Printing } from './printing';
import { lineHeight } from './printing';
import { rowsBlocks } from './rows';
import { tableBlocks } from './table';
import { linesOf } from './text';
import { yearBoxes } from './year';

/** Share of the width that stands beside the days. */
const BESIDE = 0.26;
/** Share of the width that a title has at least beside the small months. */
const LEAST_TITLE = 0.4;
/** Most days that columns have on one page. */
const COLUMNS = 7;

/** The days of each page: all of them, or a week or a month each. */
function partsOf({ days, setup, firstWeekday }: Printing): DayNumber[][] {
  const keyOf = (day: DayNumber) => {
    if (setup.by === 'week') return startOfWeek(day, firstWeekday);
    const { year, month } = civilDate(day);
    return year * 12 + month;
  };
  if (setup.by === 'all' || setup.form === 'year') return [[...days]];
  return [...grouped(days, keyOf).values()];
}

/** A printing of some of its days alone. */
function ofDays(printing: Printing, days: DayNumber[]): Printing {
  const from = days[0] ?? printing.from;
  const to = (days.at(-1) ?? printing.to - 1) + 1;
  const start = from * DAY;
  const end = to * DAY;
  return {
    ...printing,
    ...{ from, to, days },
    events: printing.events.filter(
      ({ o }) => o.start < end && Math.max(o.end, o.start + 1) > start,
    ),
  };
}

/** Weeks around days, for a grid. */
function weeksOf({ from, to, firstWeekday }: Printing): DayNumber[][] {
  const weeks: DayNumber[][] = [];
  for (let day = startOfWeek(from, firstWeekday); day < to; day += 7)
    weeks.push(Array.from({ length: 7 }, (_, i) => day + i));
  return weeks;
}

/** Share of a page that what is said in full takes under columns at most. */
const UNDER_COLUMNS = 0.4;

/** Columns with what had no room in them under them, on one page; null where there is no room for both. */
function columnsOverFurther(printing: Printing, room: Room): Filled | null {
  // Lower columns cut more, which is said under them: it takes a few turns until both fit.
  for (let under = 0, turn = 0; under <= room.height * UNDER_COLUMNS && turn < 4; turn++) {
    const further = new Further();
    const height = room.height - under;
    const boxes = columnsBoxes(printing.days, { ...room, height }, printing, further);
    const blocks = furtherBlocks(further.all, room.width, printing);
    const needed = blocks.reduce((sum, block) => sum + block.height, 0);
    if (needed <= under) return [...boxes, ...shifted(flow(blocks, room)[0]!, 0, height)];
    under = needed;
  }
  return null;
}

/** What stands in the rooms of pages, one after the other. */
function filled(printing: Printing, room: Room, clock: string): Filled[] {
  const { form } = printing.setup;
  const flowing = (blocks: readonly Block[]) => flow(blocks, room);
  const further = new Further();
  const withFurther = (pages: Filled[]) => [
    ...pages,
    ...(further.all.length ? flowing(furtherBlocks(further.all, room.width, printing)) : []),
  ];
  switch (form) {
    case 'agenda':
      return flowing(agendaBlocks(printing, room.width));
    case 'table':
      return flowing(tableBlocks(printing, room.width));
    case 'load':
      return flowing(loadBlocks(printing, room.width));
    case 'rows':
      return withFurther(flowing(rowsBlocks(printing.days, room, printing, { clock, further })));
    case 'year':
      return [yearBoxes({ ...room, x: 0, y: 0 }, printing, clock)];
    case 'columns': {
      const onOne = printing.days.length <= COLUMNS && columnsOverFurther(printing, room);
      if (onOne) return [onOne];
      const pages: Filled[] = [];
      for (let i = 0; i < printing.days.length; i += COLUMNS)
        pages.push(columnsBoxes(printing.days.slice(i, i + COLUMNS), room, printing, further));
      return withFurther(pages);
    }
    case 'grid':
      return withFurther([gridBoxes(weeksOf(printing), room, printing, further)]);
  }
}

/** What a page is called: the person's own title, and its days. */
function headOf(printing: Printing, room: Room): { boxes: Box[]; height: Points } {
  const { setup, from, to, wording, today, leftOut, widths } = printing;
  const year = civilDate(today).year;
  const days =
    to - from === 1 ? sayDay(from, wording, DATED_DAY) : sayDays(from, to, wording, year);
  const isOwn = setup.title.trim() !== '';
  const size = setup.size * 1.7;
  const monthWidth = Math.min(setup.size * 10.5, (room.width - 30) / 3);
  const monthSize = monthWidth / 15;
  const beside = room.width - (setup.hasMonths ? 3 * (monthWidth + 10) : 0);
  // Where they would leave no room for the title, the months stand under it.
  const isUnder = beside < room.width * LEAST_TITLE;
  const left = isUnder ? room.width : beside;
  const lines = linesOf(isOwn ? setup.title.trim() : days, left, { size, isBold: true }, widths);
  const boxes: Box[] = lines.map((text, i) =>
    words(text, 0, lineHeight(size) * (i + 0.8), { size, isBold: true }),
  );
  let height = lineHeight(size) * lines.length;
  const under = [isOwn ? days : '', leftOut].filter(Boolean).join('. ');
  for (const text of linesOf(under, left, { size: setup.size }, widths)) {
    boxes.push(
      words(text, 0, height + lineHeight(setup.size) * 0.75, { size: setup.size, colour: GREY }),
    );
    height += lineHeight(setup.size);
  }
  if (setup.hasMonths) {
    [-1, 0, 1].forEach((by, i) => {
      const month = smallMonth({
        ...monthOn(civilDate(from), by),
        ...{ width: monthWidth, size: monthSize },
        firstWeekday: printing.firstWeekday,
        wording,
      });
      const x = (isUnder ? 0 : left + 10) + i * (monthWidth + 10);
      boxes.push(...shifted(month, x, isUnder ? height : 0));
    });
    const months = monthSize * 1.45 * MONTH_LINES;
    height = isUnder ? height + months : Math.max(height, months);
  }
  return { boxes, height: height + setup.size * 0.8 };
}

/** Tasks, notes or lines beside the days of a page; what of them has no room goes on on the next. */
function besides(printing: Printing, room: Room, pages: number): Filled[] {
  const { beside } = printing.setup;
  if (beside === 'lines')
    return Array.from({ length: pages }, () => blankLines(room, printing.setup.size));
  const blocks =
    beside === 'notes'
      ? noteBlocks(printing, room.width)
      : printing.tasks.flatMap((task) => taskBlocks(task, room.width, printing));
  return flow(blocks, room);
}

/** Letters of a week that would need a second page get smaller by steps, down to this part of their size and never below a size. */
const SMALLEST_PART = 0.75;
const SMALLEST: Points = 7;
const SMALLER: Points = 0.5;

/** The pages of some days; a week whose letters can be a little smaller takes one page instead of two. */
function pagesOf(printing: Printing, clock: string): PrintPage[] {
  const usual = pagesIn(printing, clock);
  const { setup, days } = printing;
  if (usual.length !== 2 || days.length > COLUMNS || !ONE_PAGE.includes(setup.form)) return usual;
  const least = Math.max(SMALLEST, setup.size * SMALLEST_PART);
  for (let size = setup.size - SMALLER; size >= least; size -= SMALLER) {
    const pages = pagesIn({ ...printing, setup: { ...setup, size } }, clock);
    if (pages.length === 1) return pages;
  }
  return usual;
}

/** Forms in which a week is meant to be on one page. */
const ONE_PAGE: readonly PrintSetup['form'][] = ['rows', 'columns', 'grid'];

/** The pages of some days in letters of the set-up's size: what fills them, under its head, with what stands beside. */
function pagesIn(printing: Printing, clock: string): PrintPage[] {
  const { setup } = printing;
  const within = withinMargins(setup);
  const head = headOf(printing, within);
  const side = setup.beside === 'nothing' ? 0 : within.width * BESIDE;
  const room: Room = {
    x: within.x,
    y: within.y + head.height,
    width: within.width - (side ? side + setup.size * 1.5 : 0),
    height: within.height - head.height - footHeight(printing),
  };
  const contents = filled(printing, room, clock);
  const beside = { ...room, x: within.x + within.width - side, width: side };
  const sides = side ? besides(printing, beside, contents.length) : [];
  const pages = Math.max(contents.length, sides.length);
  return Array.from({ length: pages }, (_, i) => ({
    ...paperSize(setup),
    boxes: [
      ...shifted(head.boxes, within.x, within.y),
      ...shifted(contents[i] ?? [], room.x, room.y),
      ...shifted(sides[i] ?? [], beside.x, beside.y),
    ],
  }));
}

/**
 * Lays out what is to be printed as pages of boxes, one part after the other, so that who asks can
 * tell how far it is and stop. Nothing is cut: what has no room where it lies goes on on the next
 * page, or is said in full behind. `clock` is the zone, or clock, by which the events' times are.
 */
export function* layOut(printing: Printing, clock: string): Generator<number, PrintPage[]> {
  const parts = partsOf(printing);
  const pages: PrintPage[] = [];
  for (const [i, days] of parts.entries()) {
    for (const page of pagesOf(parts.length > 1 ? ofDays(printing, days) : printing, clock))
      pages.push(page);
    yield (i + 1) / parts.length;
  }
  return withFeet(pages, printing);
}
