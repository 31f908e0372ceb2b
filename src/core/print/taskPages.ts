import { taskBlocks } from './beside';
import type { PrintPage } from './boxes';
import { words } from './draw';
import type { Block } from './flow';
import { framed } from './frame';
import type { PrintedTask, Printing } from './printing';

/** What is to be done, as a list to tick on paper. */
export function taskPages(tasks: readonly PrintedTask[], printing: Printing): PrintPage[] {
  const { size } = printing.setup;
  const none: Block = {
    height: size * 2,
    boxes: [words('Nothing is to be done.', 0, size, { size })],
  };
  return framed(printing, 'Tasks', (room) =>
    tasks.length ? tasks.flatMap((task) => taskBlocks(task, room.width, printing)) : [none],
  );
}
