import { DATED_DAY, sayDay } from '../time/words';
import type { Box, PrintPage, Room } from './boxes';
import { GREY, shifted } from './boxes';
import { words } from './draw';
import type { Block } from './flow';
import { flow } from './flow';
import { paperSize, withinMargins } from './paper';
import type { Printing } from './printing';
import { lineHeight } from './printing';
import { linesOf, widthOf } from './text';

/** The foot of a page: when it was printed, and which of how many it is. */
function footBoxes(nth: number, of: number, { setup, wording, today, widths }: Printing): Box[] {
  const within = withinMargins(setup);
  const size = setup.size * 0.85;
  const y = within.y + within.height;
  const page = `Page ${nth} of ${of}`;
  const x = within.x + within.width - widthOf(page, { size }, widths);
  return [
    words(`Printed ${sayDay(today, wording, DATED_DAY)}`, within.x, y, { size, colour: GREY }),
    words(page, x, y, { size, colour: GREY }),
  ];
}

/** Pages with their feet, where they are to have some. */
export function withFeet(pages: PrintPage[], printing: Printing): PrintPage[] {
  if (printing.setup.hasFooter)
    for (const [i, page] of pages.entries())
      page.boxes.push(...footBoxes(i + 1, pages.length, printing));
  return pages;
}

/** Room that the feet of pages take. */
export const footHeight = ({ setup }: Printing): number =>
  setup.hasFooter ? lineHeight(setup.size) * 1.3 : 0;

/** Blocks on as many pages as they need, under a title that the person may have given otherwise. */
export function framed(
  printing: Printing,
  title: string,
  blocksIn: (room: Room) => Block[],
): PrintPage[] {
  const { setup, widths } = printing;
  const within = withinMargins(setup);
  const size = setup.size * 1.7;
  const letters = { size, isBold: true };
  const lines = linesOf(setup.title.trim() || title, within.width, letters, widths);
  const head = lines.map((text, i) => words(text, 0, lineHeight(size) * (i + 0.8), letters));
  const top = lineHeight(size) * lines.length + setup.size;
  const room = {
    ...within,
    y: within.y + top,
    height: within.height - top - footHeight(printing),
  };
  const pages = flow(blocksIn(room), room).map((boxes) => ({
    ...paperSize(setup),
    boxes: [...shifted(head, within.x, within.y), ...shifted(boxes, room.x, room.y)],
  }));
  return withFeet(pages, printing);
}
