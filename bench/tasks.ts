import type { CalendarEvent } from '../src/core/model/event';
import { newEvent } from '../src/core/model/event';
import { newTask } from '../src/core/model/task';
import { readMessage } from '../src/core/message/candidates';
import { textMessage } from '../src/core/message/message';
import { LETTERS } from '../src/core/message/testdata/messages';
import { EVERYTHING } from '../src/core/query/eventQuery';
import { DAY, formatDate, formatLocal, MINUTE } from '../src/core/time/civil';
import type { Engine } from '../src/engine/engine';
import { WEEK_FROM } from './data';
import { median, report, worst } from './report';

const TASKS = 2000;
/** Of those, so many are placed at once, and so many have had time. */
const PLACED = 100;
const BLOCKED = 200;
const LONDON = 'Europe/London';
const LOOKING = { now: WEEK_FROM + 10 * 60 * MINUTE, clock: LONDON };

const timed = (work: () => unknown): number => {
  const before = performance.now();
  work();
  return performance.now() - before;
};

const tasks = () =>
  Array.from({ length: TASKS }, (_, i) => {
    const day = WEEK_FROM / DAY + ((i * 7) % 40);
    const due = { kind: 'date', date: formatDate(day) } as const;
    const fields = { id: `task-${i}`, title: `Task ${i}`, calendarId: 'first', due };
    return newTask({ ...fields, estimate: 15 + (i % 8) * 15, importance: i % 10 }, 1);
  });

const blocks = () =>
  Array.from({ length: BLOCKED }, (_, i) => {
    const start = WEEK_FROM + (i % 20) * DAY + 9 * 60 * MINUTE;
    const time = (wall: number) =>
      ({ kind: 'zoned', local: formatLocal(wall), zone: LONDON }) as const;
    const times = { start: time(start), end: time(start + 30 * MINUTE) };
    return newEvent({ id: `block-${i}`, calendarId: 'first', taskId: `task-${i}`, ...times }, 1);
  });

/** What is to be done beside a busy store, and the pages of its events. */
export async function benchTasks(engine: Engine, events: readonly CalendarEvent[]): Promise<void> {
  const edits = [
    ...tasks().map((after) => ({ type: 'task' as const, before: null, after })),
    ...blocks().map((after) => ({ type: 'event' as const, before: null, after })),
  ];
  await engine.commands.keep({ label: 'Tasks', at: LOOKING.now, edits });
  report(
    '2,000 tasks: listed',
    timed(() => engine.tasks.list(EVERYTHING, LOOKING)),
    'ms',
    100,
  );
  report(
    '2,000 tasks: due in six weeks',
    timed(() => engine.tasks.due(EVERYTHING, WEEK_FROM / DAY, WEEK_FROM / DAY + 42, LONDON)),
    'ms',
    50,
  );
  report(
    '2,000 tasks: whether there is time enough',
    timed(() => engine.tasks.effort(EVERYTHING, LOOKING)),
    'ms',
    200,
  );
  const request = {
    taskIds: Array.from({ length: PLACED }, (_, i) => `task-${i}`),
    toDay: WEEK_FROM / DAY + 28,
    usual: 30,
    mostADay: 240,
    workplaces: [],
  };
  report(
    'time found for 100 tasks in four weeks',
    timed(() => engine.tasks.place(request, LOOKING)),
    'ms',
    300,
  );
  const pages = events.slice(0, 60).map(({ id }) => timed(() => engine.pages.page(id, LOOKING)));
  report('an event’s page, median of 60', median(pages), 'ms', 30);
  report('an event’s page, slowest', worst(pages), 'ms');
}

/** How long it takes to read what a message asks for. */
export function benchMessages(): void {
  const reader = {
    now: LOOKING.now,
    zone: LONDON,
    calendars: [],
    categories: [],
    defaultCalendarId: 'first',
    defaultLength: 30,
    workdays: [0, 1, 2, 3, 4] as const,
    workHours: { from: 540, to: 1020 },
    isMonthFirst: false,
    namedDays: [],
  };
  const read = (text: string) => timed(() => readMessage(textMessage(text), reader));
  const letters = LETTERS.map(({ text }) => read(text));
  report('a message read, median of 60', median(letters), 'ms', 30);
  const long = LETTERS.map(({ text }) => text)
    .join('\n\n')
    .repeat(20);
  report(`a message of ${Math.round(long.length / 1000)} KB read`, read(long), 'ms', 1000);
}
