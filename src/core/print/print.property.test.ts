import fc from 'fast-check';
import type { Occurrence } from '../agenda/occurrence';
import { BESIDES, PAPERS, PRINT_FORMS, printSetup } from '../model/print';
import { PLAIN } from '../testing/occurrences';
import { DAY, MINUTE, parseDate } from '../time/civil';
import type { Box, PrintPage } from './boxes';
import { layOut } from './pages';
import { paperSize } from './paper';
import type { Printed, Printing } from './printing';
import { textOf } from './svg';
import { EVEN_WIDTHS, widthOf } from './text';

const MONDAY = parseDate('2026-11-23');
const WIDTHS = EVEN_WIDTHS;

/** The pages that come of a printing. */
function pagesOf(printing: Printing): PrintPage[] {
  const laying = layOut(printing, 'Europe/London');
  let step = laying.next();
  while (!step.done) step = laying.next();
  return step.value;
}

function printed(nth: number, { day, from, minutes, words, wholeDay, notes }: Made): Printed {
  const start = (MONDAY + day) * DAY + (wholeDay ? 0 : from * MINUTE);
  const end = start + (wholeDay ? DAY * Math.ceil(minutes / 400) : minutes * MINUTE);
  const title = [`E${nth}Q`, ...words].join(' ');
  const o: Occurrence = {
    ...{ id: `e${nth}`, eventId: `e${nth}`, calendarId: 'c', dateKey: null, changed: false, title },
    ...{ place: '', wholeDay, availability: 'busy', visibility: 'public', ...PLAIN },
    ...{ categoryIds: [], zone: null, startMs: start, endMs: end, start, end },
  };
  const rest = { place: '', guests: '', ink: '#1F5A4C', mark: 'square', calendar: 'Work' } as const;
  return { o, title, notes: notes && `N${nth}Q ${notes}`, ...rest };
}

interface Made {
  day: number;
  from: number;
  minutes: number;
  words: string[];
  wholeDay: boolean;
  notes: string;
}
const word = fc.constantFrom(
  'lamp',
  'survey',
  'of',
  'the',
  'northern-breakwater-lights',
  'x'.repeat(90),
);
const made = fc.record<Made>({
  day: fc.integer({ min: 0, max: 12 }),
  from: fc.integer({ min: 0, max: 1400 }),
  minutes: fc.integer({ min: 1, max: 900 }),
  words: fc.array(word, { maxLength: 8 }),
  wholeDay: fc.boolean(),
  notes: fc.constantFrom('', 'Bring the long ladder and both keys. '.repeat(6)),
});
const setup = fc.record({
  paper: fc.constantFrom(...PAPERS),
  isUpright: fc.boolean(),
  margin: fc.integer({ min: 5, max: 30 }),
  size: fc.integer({ min: 6, max: 14 }),
  form: fc.constantFrom(...PRINT_FORMS),
  by: fc.constantFrom('all' as const, 'week' as const, 'month' as const),
  hours: fc.constantFrom('shown' as const, 'events' as const),
  hasMonths: fc.boolean(),
  beside: fc.constantFrom(...BESIDES),
  hasNotes: fc.boolean(),
  isSaving: fc.boolean(),
  hasFooter: fc.boolean(),
});

const printing = fc
  .record({ setup, all: fc.array(made, { maxLength: 25 }), days: fc.integer({ min: 1, max: 14 }) })
  .map(({ setup: given, all, days }): Printing => ({
    setup: printSetup.parse(given),
    ...{ from: MONDAY, to: MONDAY + days },
    days: Array.from({ length: days }, (_, i) => MONDAY + i),
    events: all
      .map((one, nth) => printed(nth, one))
      .filter(({ o }) => o.start < (MONDAY + days) * DAY)
      .sort((a, b) => a.o.start - b.o.start),
    tasks: Array.from({ length: 30 }, (_, i) => ({
      title: `T${i}Q ladder`,
      due: '',
      isDone: false,
    })),
    ...{ leftOut: '', fromMinute: 420, toMinute: 1140, firstWeekday: 0, today: MONDAY },
    ...{ wording: { locale: 'en-GB', hourCycle: '24' }, other: null, widths: WIDTHS },
  }));

/** The edges of a box: left, top, right, bottom. */
function edges(box: Box): [number, number, number, number] {
  switch (box.kind) {
    case 'line':
      return [
        Math.min(box.x, box.x2),
        Math.min(box.y, box.y2),
        Math.max(box.x, box.x2),
        Math.max(box.y, box.y2),
      ];
    case 'rect':
      return [box.x, box.y, box.x + box.width, box.y + box.height];
    case 'mark':
      return [box.x, box.y, box.x + box.size, box.y + box.size];
    case 'text': {
      const width = widthOf(box.text, box, WIDTHS);
      const left =
        box.align === 'end' ? box.x - width : box.align === 'middle' ? box.x - width / 2 : box.x;
      return [left, box.y - box.size, left + width, box.y];
    }
  }
}

test('every title is on paper, but for forms of hours alone; every task and note too', () => {
  fc.assert(
    fc.property(printing, (it) => {
      // A word that is broader than all its room is broken over lines.
      const said = pagesOf(it).map(textOf).join('').replaceAll(/\s/g, '');
      const { form, beside } = it.setup;
      if (form !== 'year' && form !== 'load')
        for (const { o } of it.events) expect(said).toContain(o.title.split(' ')[0]);
      if (beside === 'tasks')
        for (const { title } of it.tasks) expect(said).toContain(title.split(' ')[0]);
      if (beside === 'notes')
        for (const { notes } of it.events) expect(said).toContain(notes.split(' ')[0]);
    }),
    { numRuns: 300 },
  );
});

test('nothing lies outside of its page, whatever the paper, the letters and the words', () => {
  fc.assert(
    fc.property(printing, (it) => {
      const { width, height } = paperSize(it.setup);
      for (const page of pagesOf(it)) {
        expect([page.width, page.height]).toEqual([width, height]);
        for (const box of page.boxes) {
          const [left, top, right, bottom] = edges(box);
          const isIn =
            left >= -0.5 && top >= -0.5 && right <= width + 0.5 && bottom <= height + 0.5;
          if (!isIn) throw new Error(`${JSON.stringify(box)} on ${width} x ${height}`);
        }
      }
    }),
    { numRuns: 300 },
  );
});

/** What stands on a table's pages, text by text, on A5 with notes wanted. */
function tableTexts(margin: number, size: number): string[] {
  const event = printed(0, {
    ...{ day: 0, from: 600, minutes: 30, words: [], wholeDay: false },
    notes: 'Both keys.',
  });
  const days = [MONDAY];
  const pages = pagesOf({
    setup: printSetup.parse({
      form: 'table',
      paper: 'A5',
      beside: 'lines',
      isUpright: true,
      hasNotes: true,
      margin,
      size,
    }),
    ...{ from: MONDAY, to: MONDAY + 1, days, events: [event], tasks: [], other: null, leftOut: '' },
    ...{ fromMinute: 420, toMinute: 1140, firstWeekday: 0, today: MONDAY },
    ...{ wording: { locale: 'en-GB', hourCycle: '24' }, widths: WIDTHS },
  });
  return pages.flatMap(({ boxes }) =>
    boxes.flatMap((box) => (box.kind === 'text' ? box.text : [])),
  );
}

test('a table says under the title what has no room for a column that could be read', () => {
  const roomy = tableTexts(10, 7);
  expect(roomy).toEqual(expect.arrayContaining(['What', 'Calendar', 'Notes', 'E0Q', 'Work']));
  const narrow = tableTexts(28, 14);
  expect(narrow).toEqual(expect.arrayContaining(['What', 'E0Q', 'Work', 'N0Q', 'keys.']));
  expect(narrow).not.toContain('Calendar');
  expect(narrow).not.toContain('Notes');
});
