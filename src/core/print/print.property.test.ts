import fc from 'fast-check';
import type { Occurrence } from '../agenda/occurrence';
import type { TableSetup } from '../model/view';
import { DEFAULT_TABLE } from '../model/view';
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

const tableOf = (fromDay: number, toDay: number, fields: Partial<TableSetup> = {}) => ({
  setup: { ...DEFAULT_TABLE, ...fields },
  setting: {
    calendarOf: new Map(),
    categoryOf: new Map(),
    wording: { locale: 'en-GB', hourCycle: '24' } as const,
    clock: 'Europe/London',
    ...{ fromDay, toDay },
  },
});

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
    table: tableOf(MONDAY, MONDAY + days),
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
    table: tableOf(MONDAY, MONDAY + 1, { columns: ['date', 'hours', 'title', 'calendar'] }),
  });
  return pages.flatMap(({ boxes }) =>
    boxes.flatMap((box) => (box.kind === 'text' ? box.text : [])),
  );
}

test('a table says under the title what has no room for a column that could be read', () => {
  const roomy = tableTexts(10, 7);
  expect(roomy).toEqual(
    expect.arrayContaining(['Title', 'Calendar', 'Notes', 'E0Q', 'Work', '1 event · 0.5 h']),
  );
  const narrow = tableTexts(28, 14);
  expect(narrow).toEqual(expect.arrayContaining(['Title', 'E0Q', 'Work', 'N0Q', 'keys.']));
  expect(narrow).not.toContain('Calendar');
  expect(narrow).not.toContain('Notes');
});

/** All texts on the pages of a printing. */
const textsOf = (printing: Printing): string[] =>
  pagesOf(printing).flatMap(({ boxes }) =>
    boxes.flatMap((box) => (box.kind === 'text' ? box.text : [])),
  );

function week(made: readonly Made[], given: object, table: Partial<TableSetup> = {}): Printing {
  const events = made.map((one, nth) => printed(nth, one));
  return {
    setup: printSetup.parse(given),
    ...{ from: MONDAY, to: MONDAY + 7, events, tasks: [], other: null, leftOut: '' },
    days: Array.from({ length: 7 }, (_, i) => MONDAY + i),
    ...{ fromMinute: 420, toMinute: 1140, firstWeekday: 0, today: MONDAY, widths: WIDTHS },
    wording: { locale: 'en-US', hourCycle: '12' },
    table: tableOf(MONDAY, MONDAY + 7, table),
  };
}
const PLAIN_EVENT: Made = { day: 0, from: 600, minutes: 30, words: [], wholeDay: false, notes: '' };

test('the printed table has the columns, the order and the groups of the one on the sheet, with their sums', () => {
  const texts = textsOf(
    week(
      [PLAIN_EVENT, { ...PLAIN_EVENT, day: 1, minutes: 60 }, { ...PLAIN_EVENT, day: 1, from: 900 }],
      { form: 'table' },
      { columns: ['title', 'hours'], groupBy: 'day', sortBy: 'start', isDescending: true },
    ),
  );
  const body = texts.slice(
    texts.indexOf('Title'),
    texts.findIndex((text) => /^Printed/.test(text)),
  );
  expect(body).toEqual([
    ...['Title', 'Hours'],
    'Tuesday, 24 November 2026: 2 events · 1.5 h',
    ...['E2Q', '0.5 h', 'E1Q', '1 h'],
    'Monday, 23 November 2026: 1 event · 0.5 h',
    ...['E0Q', '0.5 h'],
    '3 events · 2 h',
  ]);
});

test.each(['table', 'columns', 'agenda'] as const)(
  'in %s it is said where an event of several days ends',
  (form) => {
    const night = { ...PLAIN_EVENT, from: 1320, minutes: 300 };
    const days = { ...PLAIN_EVENT, day: 2, wholeDay: true, minutes: 1200 };
    const texts = textsOf(week([night, days], { form, hours: 'events' })).join(' ');
    // A cell may break it into lines.
    expect(texts).toMatch(/(?:–|until) Tue.*(?:24 Nov|Nov 24)/);
    expect(texts).toMatch(/(?:–|until) Fri.*(?:27 Nov|Nov 27)/);
  },
);

test('names of hours never touch, on small paper and with a 12-hour clock', () => {
  for (const size of [6, 9, 14])
    for (const form of ['rows', 'columns'] as const) {
      const pages = pagesOf(week([PLAIN_EVENT], { form, paper: 'A5', isUpright: true, size }));
      for (const { boxes } of pages) {
        const hours = boxes.filter((box) => box.kind === 'text' && /^\d{1,2}[ap]$/.test(box.text));
        const meets = (a: Box, b: Box) => {
          const [l, t, r, e] = edges(a);
          const [left, top, right, end] = edges(b);
          return l < right && left < r && t < end && top < e;
        };
        hours.forEach((one, i) =>
          hours.slice(i + 1).forEach((other) => expect(meets(one, other)).toBe(false)),
        );
        expect(hours.length).toBeGreaterThan(1);
      }
    }
});

test('what one head of a column has in full gets no number in another', () => {
  const long = { ...PLAIN_EVENT, wholeDay: true, minutes: 1200, words: ['survey'] };
  const many = Array.from({ length: 40 }, () => ({ ...PLAIN_EVENT, wholeDay: true, day: 1 }));
  const texts = textsOf(week([...many, long], { form: 'columns', size: 10 }));
  const further = texts.slice(texts.indexOf('In full'));
  expect(further.some((text) => text.includes('E40Q'))).toBe(false);
  expect(texts.some((text) => text.includes('E40Q'))).toBe(true);
});
