import type { Occurrence } from '@/core/agenda/occurrence';
import { withoutPrivate } from '@/core/view/privacy';
import { inkOf } from '@/core/colour/inkOf';
import { dateAsEvent } from '@/core/editing/series/dates';
import { sayParty } from '@/core/invitations/party';
import type { CalendarEvent } from '@/core/model/event';
import type { Filter } from '@/core/model/filter';
import { INKS } from '@/core/model/inks';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import type { PrintSetup } from '@/core/model/print';
import { isOpen } from '@/core/model/task';
import type { TableSetup } from '@/core/model/view';
import { DEFAULT_TABLE } from '@/core/model/view';
import { titleOf } from '@/core/model/titleOf';
import { plainNotes } from '@/core/page/notes';
import type { PrintPage } from '@/core/print/boxes';
import { eventPages } from '@/core/print/eventPage';
import { layOut } from '@/core/print/pages';
import type { Printed, PrintedTask, Printing } from '@/core/print/printing';
import { taskPages } from '@/core/print/taskPages';
import type { LetterWidths } from '@/core/print/text';
import type { EventQuery } from '@/core/query/eventQuery';
import { EVERYTHING } from '@/core/query/eventQuery';
import { EMPTY_FILTER } from '@/core/model/filter';
import { sayTaskTime } from '@/core/tasks/formatTask';
import type { Weekday } from '@/core/time/civil';
import { DAY, dayOfWall } from '@/core/time/civil';
import type { DayNumber, EpochMs } from '@/core/time/units';
import type { Wording } from '@/core/time/words';
import { count } from '@/core/time/words';
import { cityOf } from '@/core/time/zoneNames';
import { errorOf } from '@/core/userError';
import type { Pages } from '../pages/pages';
import type { Asked } from '../queries/asked';
import { askDates } from '../queries/asked';
import type { Tasks } from '../tasks/tasks';
import { yieldToEventLoop } from '../yieldToEventLoop';

/** What is put on paper: the days that are seen, what was found, tasks, or the page of one event. */
export type PrintedThing =
  | { kind: 'days'; days: readonly DayNumber[]; query: EventQuery; table?: TableSetup }
  | { kind: 'tasks'; filter: Filter }
  | { kind: 'event'; id: string };

export interface PrintRequest {
  what: PrintedThing;
  setup: PrintSetup;
  clock: string;
  wording: Wording;
  firstWeekday: Weekday;
  today: DayNumber;
  now: EpochMs;
  widths: LetterWidths;
}

interface Parts extends Asked {
  tasks: Pick<Tasks, 'list'>;
  pages: Pick<Pages, 'page'>;
}

/** It was asked for again, otherwise, before it was done. */
class Superseded extends errorOf('superseded') {}

/** What is put on paper, laid out. Nothing here changes anything. */
export class Printer {
  private turn = 0;

  constructor(private readonly parts: Parts) {}

  /**
   * The pages, as they will be printed. Tells how far it is (0 to 1).
   * @throws Superseded where it is asked for again before it is done.
   */
  async pages(request: PrintRequest, onProgress?: (share: number) => void): Promise<PrintPage[]> {
    const turn = ++this.turn;
    const { what } = request;
    if (what.kind === 'tasks')
      return taskPages(this.tasksOf(what.filter, request), this.printing(request, []));
    if (what.kind === 'event') return this.eventPage(what.id, request);
    const laying = layOut(this.ofDays(what, request), request.clock);
    let last = performance.now();
    let step = laying.next();
    while (!step.done) {
      // Who looks at it hears of it now and then; what is asked for meanwhile comes in between.
      if (performance.now() - last > 60) {
        onProgress?.(step.value);
        await yieldToEventLoop();
        if (turn !== this.turn) throw new Superseded('It was asked for again.');
        last = performance.now();
      }
      step = laying.next();
    }
    return step.value;
  }

  private get settings() {
    return this.parts.records.get('settings', 'mine') ?? DEFAULT_SETTINGS;
  }

  /** What is printed, but for what the days hold. */
  private printing(request: PrintRequest, days: readonly DayNumber[]): Printing {
    const { setup, wording, firstWeekday, today, widths } = request;
    const { fromMinute, toMinute } = this.settings;
    return {
      ...{ setup, wording, firstWeekday, today, widths, fromMinute, toMinute, days },
      from: days[0] ?? today,
      to: (days.at(-1) ?? today) + 1,
      events: [],
      tasks: setup.beside === 'tasks' ? this.tasksOf(EMPTY_FILTER, request) : [],
      leftOut: '',
      other: setup.zone === null ? null : { zone: setup.zone, name: cityOf(setup.zone) },
      table: {
        setup: (request.what.kind === 'days' && request.what.table) || DEFAULT_TABLE,
        setting: {
          calendarOf: this.byId('calendar'),
          categoryOf: this.byId('category'),
          wording,
          clock: request.clock,
          fromDay: days[0] ?? today,
          toDay: (days.at(-1) ?? today) + 1,
        },
      },
    };
  }

  private byId<Type extends 'calendar' | 'category'>(type: Type) {
    return new Map(this.parts.records.all(type).map((one) => [one.id, one]));
  }

  private ofDays(
    { days, query }: { days: readonly DayNumber[]; query: EventQuery },
    request: PrintRequest,
  ): Printing {
    const printing = this.printing(request, days);
    const window = { fromDay: printing.from, toDay: printing.to, zone: request.clock };
    const { occurrences, hidden } = askDates(this.parts, query, window);
    const shown = new Set(days);
    const isOn = (o: Occurrence) => {
      for (let day = dayOfWall(o.start); day * DAY < Math.max(o.end, o.start + 1); day++)
        if (shown.has(day)) return true;
      return false;
    };
    const seen =
      days.length === printing.to - printing.from ? occurrences : occurrences.filter(isOn);
    const left = [
      ...(hidden ? [`${count(hidden, 'event')} left out by the filter`] : []),
      ...(occurrences.length > seen.length
        ? [`${count(occurrences.length - seen.length, 'event')} on days that are not shown`]
        : []),
    ];
    return { ...printing, events: this.printed(seen, request), leftOut: left.join(', ') };
  }

  /** Occurrences with what paper says of them besides. */
  private printed(occurrences: readonly Occurrence[], { setup }: PrintRequest): Printed[] {
    const { records } = this.parts;
    const calendars = new Map(records.all('calendar').map((one) => [one.id, one]));
    const inks =
      this.settings.colourBy === 'category'
        ? new Map(records.all('category').map(({ id, ink }) => [id, ink]))
        : null;
    const hasNotes = setup.hasNotes || setup.beside === 'notes';
    return occurrences.map((each): Printed => {
      const o = setup.hasPrivate ? each : withoutPrivate(each);
      const calendar = calendars.get(o.calendarId);
      const isKept = !setup.hasPrivate && o.visibility === 'private';
      const event = isKept ? undefined : records.get('event', o.eventId);
      const date = event && dateAsEvent(event, o.dateKey);
      return {
        o,
        title: isKept ? 'Booked' : titleOf(o),
        place: setup.hasPlaces && !isKept ? o.place : '',
        notes: hasNotes && date ? plainNotes(date.notes) : '',
        guests: setup.hasGuests && date ? sayGuests(date) : '',
        ink: inkOf(o, calendar?.ink ?? INKS.Pewter, inks),
        mark: calendar?.mark ?? 'square',
        calendar: calendar?.name ?? '',
      };
    });
  }

  private tasksOf(filter: Filter, { now, clock, wording, today }: PrintRequest): PrintedTask[] {
    return this.parts.tasks
      .list({ ...EVERYTHING, filter, now }, { now, clock })
      .map(({ task }) => ({
        title: task.title,
        due: task.due ? `due ${sayTaskTime(task.due, { ...wording, today, clock })}` : '',
        isDone: !isOpen(task),
      }));
  }

  private eventPage(id: string, request: PrintRequest): PrintPage[] {
    const page = this.parts.pages.page(id, request);
    const printing = this.printing(request, []);
    if (!page) return eventPages(null, printing);
    const [event] = this.printed([page.occurrence], {
      ...request,
      setup: {
        ...request.setup,
        hasPlaces: true,
        hasNotes: true,
        hasGuests: true,
        hasPrivate: true,
      },
    });
    return eventPages(
      {
        event: event!,
        points: page.date.agenda,
        followUps: page.followUps.map(({ task }) => ({
          title: task.title,
          due: '',
          isDone: !isOpen(task),
        })),
      },
      printing,
    );
  }
}

const sayGuests = ({ attendees }: CalendarEvent): string => attendees.map(sayParty).join(', ');
