import { PRINT_FORMS, printSetup } from '../model/print';
import { DEFAULT_TABLE } from '../model/view';
import { timed } from '../testing/occurrences';
import { parseDate } from '../time/civil';
import type { PrintPage } from './boxes';
import { eventPages } from './eventPage';
import { layOut } from './pages';
import type { Printed, Printing } from './printing';
import { taskPages } from './taskPages';
import { EVEN_WIDTHS } from './text';

/**
 * Whole pages as they were when somebody last looked at them on screen and on paper: whatever moves on
 * them is seen here. After a change that is meant, look at the pages, then `jest -u`.
 */
const MONDAY = parseDate('2026-11-23');

const printed = (o: Printed['o'], fields: Partial<Printed> = {}): Printed => ({
  ...{ o, title: o.title, place: '', notes: '', guests: '', ink: '#1F5A4C' },
  ...{ mark: 'square', calendar: 'Workshop', ...fields },
});

const wholeDay = (title: string, day: number, days: number): Printed['o'] => ({
  ...timed(title, day, 0, days * 1440),
  wholeDay: true,
});

const EVENTS = [
  printed(wholeDay('Fair on the quay', MONDAY + 1, 3), { calendar: 'Clients', mark: 'circle' }),
  printed(timed('Bench round', MONDAY, 540, 600), { place: 'Bench 2', notes: 'Both keys.' }),
  printed({ ...timed('Survey', MONDAY, 570, 690), availability: 'tentative' }, { ink: '#9A3A2C' }),
  printed(timed('Night watch', MONDAY + 2, 1320, 1560), { guests: 'Ida Solberg, Oskar Brandt' }),
  printed({ ...timed('Lens trial', MONDAY + 3, 615, 630), availability: 'free' }),
  printed({ ...timed('Early call', MONDAY + 4, 330, 360), availability: 'away' }),
];

function printing(given: object): Printing {
  const wording = { locale: 'en-GB', hourCycle: '24' } as const;
  return {
    setup: printSetup.parse(given),
    ...{ from: MONDAY, to: MONDAY + 7, events: EVENTS, other: null, leftOut: '' },
    days: Array.from({ length: 7 }, (_, i) => MONDAY + i),
    tasks: [
      { title: 'Order shellac', due: 'due Fri 27 Nov', isDone: false },
      { title: 'Call the foundry', due: '', isDone: true },
    ],
    ...{ fromMinute: 420, toMinute: 1140, firstWeekday: 0, today: MONDAY, widths: EVEN_WIDTHS },
    wording,
    table: {
      setup: DEFAULT_TABLE,
      setting: {
        ...{ calendarOf: new Map(), categoryOf: new Map(), wording, clock: 'Europe/London' },
        ...{ fromDay: MONDAY, toDay: MONDAY + 7 },
      },
    },
  };
}

const rounded = (_: string, value: unknown) =>
  typeof value === 'number' ? Math.round(value * 10) / 10 : value;

/** A line for each box. */
const linesOf = (pages: readonly PrintPage[]): string[] =>
  pages.flatMap(({ boxes }, nth) => [
    `page ${nth + 1}`,
    ...boxes.map((box) => {
      const { kind, ...rest } = box;
      return `${kind} ${JSON.stringify(rest, rounded)}`;
    }),
  ]);

function pagesOf(given: Printing): PrintPage[] {
  const laying = layOut(given, 'Europe/London');
  let step = laying.next();
  while (!step.done) step = laying.next();
  return step.value;
}

test.each(PRINT_FORMS)('a week as %s', (form) => {
  expect(linesOf(pagesOf(printing({ form, hasGuests: true })))).toMatchSnapshot();
});

test('with small months, notes beside and a second clock, on small paper, sparing ink', () => {
  const given = {
    ...{ form: 'rows', paper: 'A5', hasMonths: true, beside: 'notes', hasNotes: true },
    ...{ isSaving: true, title: 'The week of the fair' },
  };
  const other = { zone: 'Asia/Tokyo', name: 'Osaka' };
  expect(linesOf(pagesOf({ ...printing(given), other, leftOut: '2 left out' }))).toMatchSnapshot();
});

test('a month a page, as a grid with lines to write on beside it', () => {
  const days = Array.from({ length: 40 }, (_, i) => MONDAY + i);
  const given = { form: 'grid', by: 'month', beside: 'lines', hasFooter: false };
  const to = MONDAY + 40;
  expect(linesOf(pagesOf({ ...printing(given), days, to }))).toMatchSnapshot();
});

test('tasks, and the page of an event', () => {
  const given = printing({ beside: 'tasks' });
  expect(linesOf(taskPages(given.tasks, given))).toMatchSnapshot();
  const event = EVENTS[1]!;
  const page = {
    event: { ...event, guests: 'Ida Solberg' },
    points: [
      { id: 'p1', text: 'Shellac', minutes: 10, done: true },
      { id: 'p2', text: 'Lenses', minutes: null, done: false },
    ],
    followUps: given.tasks,
  };
  expect(linesOf(eventPages(page as never, given))).toMatchSnapshot();
});
