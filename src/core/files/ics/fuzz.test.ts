import { canBeIndexed, EventIndex } from '../../agenda/eventIndex';
import type { CalendarEvent } from '../../model/event';
import { mutated } from '../../testing/mutator';
import { parseDate } from '../../time/civil';
import type { FileContents } from './readFile';
import { readCalendarFile } from './readFile';
import { FileError } from './scan';
import { writeCalendarFile } from './writeFile';

/** How many broken files are read: `npm run fuzz` reads more. */
const RUNS = Number(process.env['FUZZ_RUNS'] ?? 2000);
const WEEK = {
  fromDay: parseDate('2026-11-23'),
  toDay: parseDate('2026-11-30'),
  zone: 'Europe/London',
};

function read(text: string): FileContents | null {
  try {
    const reader = readCalendarFile(text, 0);
    for (;;) {
      const step = reader.next();
      if (step.done) return step.value;
    }
  } catch (error) {
    if (error instanceof FileError) return null;
    throw error;
  }
}

/** What comes in from a file, as it would be kept. */
const keptOf = ({ events, looseDates }: FileContents): CalendarEvent[] =>
  [...events, ...looseDates.map(({ draft }) => draft)].map((draft, i) => ({
    ...draft,
    id: `event-${i}`,
    calendarId: 'work',
  }));

test(
  'a broken file is read or refused in words; what comes in can be shown, and written again',
  () => {
    let taken = 0;
    for (let seed = 1; seed <= RUNS; seed++) {
      try {
        const contents = read(mutated(seed));
        if (!contents) continue;
        taken++;
        const events = keptOf(contents);
        const index = new EventIndex();
        for (const event of events) {
          expect(canBeIndexed(event)).toBe(true);
          index.put(event);
        }
        index.query(WEEK, null);
        const { tasks } = contents;
        const written = writeCalendarFile({
          name: 'Broken',
          events,
          tasks: [],
          passthrough: [],
          now: 0,
        });
        expect(tasks.every(({ title }) => typeof title === 'string')).toBe(true);
        if (events.length) expect(read(written)).not.toBeNull();
      } catch (error) {
        throw new Error(`File ${seed}: ${(error as Error).stack}`, { cause: error });
      }
    }
    // What is broken somewhere is often sound elsewhere.
    expect(taken).toBeGreaterThan(RUNS / 3);
  },
  60 * 60_000,
);
