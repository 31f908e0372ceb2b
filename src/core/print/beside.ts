import { dayOfWall } from '../time/civil';
import { SHORT_DAY, sayDay } from '../time/words';
import type { Box, Points, Room } from './boxes';
import { GREY } from './boxes';
import { hair, words } from './draw';
import type { Block } from './flow';
import { grouped } from './grouped';
import type { PrintedTask, Printing } from './printing';
import { lineHeight } from './printing';
import { linesOf } from './text';

/** A task: a box to tick, its words, and when it is due; a block for each line. */
export function taskBlocks(task: PrintedTask, width: Points, { setup, widths }: Printing): Block[] {
  const { size } = setup;
  const line = lineHeight(size);
  const x = size * 1.7;
  const edge = size * 0.95;
  const small = { size: size * 0.85, colour: GREY };
  const tick: Box[] = [
    { kind: 'rect', x: 0, y: line * 0.15, width: edge, height: edge, stroke: GREY },
    ...(task.isDone ? [hair(1, line * 0.6, edge, line * 0.2, GREY)] : []),
  ];
  const lines = [
    ...linesOf(task.title, width - x, { size }, widths).map((text) => ({ text, look: { size } })),
    ...(task.due
      ? linesOf(task.due, width - x, small, widths).map((text) => ({ text, look: small }))
      : []),
  ];
  return [
    ...lines.map(({ text, look }, i) => ({
      height: line,
      boxes: [...(i ? [] : tick), words(text, x, line * 0.78, look)],
    })),
    { height: size * 0.4, boxes: [] },
  ];
}

/**
 * The notes of the events of a page, each under its title and the first of its days there: dates of a
 * series that have the same notes have them once.
 */
export function noteBlocks(printing: Printing, width: Points): Block[] {
  const { setup, events, widths, wording } = printing;
  const { size } = setup;
  const line = lineHeight(size);
  const say = (text: string, look: { size: Points; isBold?: boolean; colour?: string }) =>
    linesOf(text, width, look, widths).map((each) => words(each, 0, line * 0.75, look));
  const withNotes = events.filter(({ notes }) => notes.trim() !== '');
  const once = grouped(withNotes, ({ o, notes }) => `${o.eventId} ${notes}`);
  return [...once.values()].flatMap(([event]) => {
    const day = sayDay(dayOfWall(event!.o.start), wording, SHORT_DAY);
    const head = say(event!.title, { size, isBold: true });
    return [
      ...say(day, { size: size * 0.85, colour: GREY }).map((box) => ({
        ...{ height: line, isHead: true, boxes: [box] },
      })),
      ...head.map((box) => ({ height: line, isHead: true, boxes: [box] })),
      ...say(event!.notes, { size }).map((box) => ({ height: line, boxes: [box] })),
      { height: size * 0.7, boxes: [] },
    ];
  });
}

/** Lines to write on, down a room. */
export function blankLines(room: Pick<Room, 'width' | 'height'>, size: Points): Box[] {
  const step = size * 2.4;
  const boxes: Box[] = [];
  for (let y = step; y < room.height; y += step) boxes.push(hair(0, y, room.width, y));
  return boxes;
}
