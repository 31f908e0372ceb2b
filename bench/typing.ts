import { readJot } from '@/core/jot/jot';
import { expressionsMade } from '@/core/jot/readings';
import { TUESDAY } from '@/core/jot/testing/context';
import { readMessage } from '@/core/message/candidates';
import { textMessage } from '@/core/message/message';
import { readingPrepared } from '@/core/message/prepared';
import { median, report } from './report';

const WORDS =
  'review the kiln on monday at 9 for 2 hours with Ida at Quay 3 every friday until march, 3 and 4 dec from 10 to 12 notes on lamps '.repeat(
    100,
  );
const LONG = 5_000;
const MESSAGE = 95_000;
const READER = { ...TUESDAY, zone: 'Europe/London' };

function msOf(work: () => unknown): number {
  const before = performance.now();
  work();
  return performance.now() - before;
}

const medianOf = (work: () => unknown) => median(Array.from({ length: 9 }, () => msOf(work)));

/** What reading typed lines and pasted messages takes, and that twice as much takes twice as long. */
export function benchTyping(): void {
  const line = (length: number) => () => readJot(WORDS.slice(0, length), TUESDAY);
  // As in the app, where they are made while nothing else is to be done.
  Array.from(expressionsMade());
  report('the first key of a line', msOf(line(1)), 'ms', 30);
  msOf(line(LONG));
  const [half, whole] = [medianOf(line(LONG / 2)), medianOf(line(LONG))];
  report('a key in a line of 5,000 characters', whole, 'ms', 50);
  report('a line twice as long takes, times as long', whole / half, '×', 2.5);
  Array.from(readingPrepared(READER));
  const text = `${WORDS.slice(0, 90)}.\n`.repeat(MESSAGE / 92);
  report(
    'a message of 95 KB',
    msOf(() => readMessage(textMessage(text), READER)),
    'ms',
    1000,
  );
}
