import type { AgendaPoint } from '../model/eventFields';
import { dayOfWall } from '../time/civil';
import { DATED_DAY, sayDay, sayLength } from '../time/words';
import { blankLines, taskBlocks } from './beside';
import type { PrintPage } from './boxes';
import { GREY } from './boxes';
import { words } from './draw';
import type { Block } from './flow';
import { framed } from './frame';
import type { Printed, PrintedTask, Printing } from './printing';
import { lineHeight, sayTimes } from './printing';
import { linesOf } from './text';

/** One time of an event with all that is written of it. */
export interface PrintedEvent {
  event: Printed;
  points: readonly AgendaPoint[];
  followUps: readonly PrintedTask[];
}

/** Room to write on, in lines, at the end of an event's page. */
const WRITING = 10;

/** The page of one event: when and where, who, what it deals with, and room to write on. */
export function eventPages(page: PrintedEvent | null, printing: Printing): PrintPage[] {
  const { size } = printing.setup;
  const line = lineHeight(size);
  const head = (text: string): Block => ({
    height: line * 1.8,
    isHead: true,
    boxes: [words(text, 0, line * 1.4, { size, isBold: true })],
  });
  const say = (text: string, width: number, colour?: string): Block[] =>
    linesOf(text, width, { size }, printing.widths).map((each) => ({
      height: line,
      boxes: [words(each, 0, line * 0.75, { size, ...(colour && { colour }) })],
    }));
  if (!page)
    return framed(printing, 'Not here', () => say('This event is not here any more.', 400));
  const { event, points, followUps } = page;
  const day = sayDay(dayOfWall(event.o.start), printing.wording, DATED_DAY);
  return framed(printing, event.title, ({ width }) => [
    ...say(`${day}, ${sayTimes(event, printing)}`, width),
    ...say([event.calendar, event.place].filter(Boolean).join(' · '), width, GREY),
    ...(event.guests ? [head('With'), ...say(event.guests, width)] : []),
    ...(points.length ? [head('Points')] : []),
    ...points.flatMap(({ text, minutes, done }) =>
      taskBlocks(
        { title: text, due: minutes ? sayLength(minutes) : '', isDone: done },
        width,
        printing,
      ),
    ),
    ...(event.notes ? [head('Notes'), ...say(event.notes, width)] : []),
    ...(followUps.length ? [head('After it')] : []),
    ...followUps.flatMap((task) => taskBlocks(task, width, printing)),
    head('To write on'),
    {
      height: size * 2.4 * WRITING,
      boxes: blankLines({ width, height: size * 2.4 * WRITING }, size),
    },
  ]);
}
