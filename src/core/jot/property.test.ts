import fc from 'fast-check';
import { formatDate, formatLocal, parseLocal } from '../time/civil';
import { readJot } from './jot';
import { TUESDAY } from './testing/context';

const RUNS = Number(process.env['PROPERTY_RUNS'] ?? 500);
const WORDS =
  `lamp check with Ida call sun hats order 12 3 9 10.15 14:00 9am half past 3 quarter to 4
  tomorrow tonight fri mon-fri every other Wednesday weekly x 10 until 24 december for 90 min 1h at
  Quay 3 in Clients @hut 3/12 1/12/2026 18.12. 31 Feb 25:00 week of next weekend noon eod except UTC
  Osaka time remind me 20 min before the evening no reminder - , . ( “quoted” é ✓ https://tides.example/a`.split(
    /\s+/,
  );
const wordy = fc
  .array(fc.constantFrom(...WORDS), { maxLength: 14 })
  .map((words) => words.join(' '));
const anything = fc.oneof(wordy, fc.string({ unit: 'grapheme', maxLength: 60 }));
/** Words without the signs around them, those that are only signs left out. */
const wordsOf = (text: string) =>
  text
    .split(/\s+/)
    .map((word) => word.replace(/^[,;:–-]+|[,;:–-]+$/g, ''))
    .filter(Boolean);
/** Words that may go with what they lead to. */
const LEADING = /^(?:on|at|from|by|for|in)$/i;

test('no word is lost: what is not marked stands in the title, but for words that lead to it', () => {
  fc.assert(
    fc.property(anything, (line) => {
      const { title, parts } = readJot(line, TUESDAY);
      let at = 0;
      const unmarked: string[] = [];
      for (const { from, to } of parts) {
        expect(from).toBeGreaterThanOrEqual(at);
        expect(to).toBeGreaterThan(from);
        unmarked.push(line.slice(at, from));
        at = to;
      }
      unmarked.push(line.slice(at));
      expect(at).toBeLessThanOrEqual(line.length);
      const lost = unmarked.flatMap(wordsOf);
      for (const word of wordsOf(title)) {
        expect(lost).toContain(word);
        lost.splice(lost.indexOf(word), 1);
      }
      expect(lost.filter((word) => !LEADING.test(word))).toEqual([]);
    }),
    { numRuns: RUNS },
  );
});

test('times are sound, whatever was typed', () => {
  fc.assert(
    fc.property(anything, (line) => {
      for (const jot of [readJot(line, TUESDAY), readJot(line, TUESDAY).other]) {
        if (!jot) continue;
        expect(jot.end).toBeGreaterThan(jot.start);
        expect(formatLocal(jot.start)).toHaveLength(19);
      }
    }),
    { numRuns: RUNS },
  );
});

/** A draft as a line that says it in full. */
function lineOf(draft: {
  title: string;
  start: number;
  minutes: number;
  place: string;
  calendar: string;
}) {
  const [date, time] = [
    formatDate(Math.floor(draft.start / 86_400_000)),
    formatLocal(draft.start).slice(11, 16),
  ];
  const place = draft.place && ` at ${draft.place}`;
  return `${draft.title} ${date} ${time} for ${draft.minutes} min${place} in ${draft.calendar}`;
}

test('a draft that is said as a line is read as the same draft', () => {
  const draft = fc.record({
    title: fc.constantFrom('Lamp check', 'Sun hats', 'May report', 'Order 12 lamps', 'Call Ida'),
    start: fc
      .integer({ min: 0, max: 700 * 96 })
      .map((quarters) => parseLocal('2026-11-24T00:00:00') + quarters * 900_000),
    minutes: fc.integer({ min: 1, max: 96 }).map((quarters) => quarters * 15),
    place: fc.constantFrom('', 'Quay 3', 'the Lamp tower', 'Café Rosa'),
    calendar: fc.constantFrom('Workshop', 'Clients', 'Training'),
  });
  fc.assert(
    fc.property(draft, (meant) => {
      const { title, start, end, place, calendarId } = readJot(lineOf(meant), TUESDAY);
      const calendar = meant.calendar.toLowerCase();
      expect({ title, start, end, place, calendarId }).toEqual({
        title: meant.title,
        start: meant.start,
        end: meant.start + meant.minutes * 60_000,
        place: meant.place,
        calendarId: calendar,
      });
    }),
    { numRuns: RUNS },
  );
});
