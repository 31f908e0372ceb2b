import type { Box, Points, Room } from './boxes';
import { shifted } from './boxes';

/** Something of a height that is not parted; its boxes lie from its own upper left corner. */
export interface Block {
  height: Points;
  boxes: Box[];
  /** Whether it is a head, which never stands last on a page. */
  isHead?: boolean;
  /** The head that is said again on the page on which this one comes first. */
  under?: Block;
}

/** What lies in the room of one page. */
export type Filled = Box[];

/**
 * Puts blocks under each other into as many rooms as they need. One that is higher than a room has a
 * room for itself, and goes beyond it.
 */
export function flow(blocks: readonly Block[], room: Pick<Room, 'height'>): Filled[] {
  const pages: Filled[] = [];
  let boxes: Box[] = [];
  let y = 0;
  const turn = () => {
    pages.push(boxes);
    boxes = [];
    y = 0;
  };
  const put = (block: Block) => {
    for (const box of shifted(block.boxes, 0, y)) boxes.push(box);
    y += block.height;
  };
  for (const [i, block] of blocks.entries()) {
    const next = blocks[i + 1];
    const needs = block.height + (block.isHead && next ? next.height : 0);
    if (y > 0 && y + needs > room.height) {
      turn();
      if (block.under && !block.isHead) put(block.under);
    }
    put(block);
  }
  if (boxes.length || !pages.length) pages.push(boxes);
  return pages;
}
