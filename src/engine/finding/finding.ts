import type { EventIndex } from '@/core/agenda/eventIndex';
import type { Occurrence, Window } from '@/core/agenda/occurrence';
import type { DayContext } from '@/core/find/daysIn';
import { daysIn } from '@/core/find/daysIn';
import type { FoundLine } from '@/core/find/results';
import { lineOf, sortedLines } from '@/core/find/results';
import type { SuggestionGroup } from '@/core/find/suggestions';
import { suggestionsFor } from '@/core/find/suggestions';
import { TextIndex } from '@/core/find/textIndex';
import type { CalendarEvent } from '@/core/model/event';
import type { Filter } from '@/core/model/filter';
import { inOrder } from '@/core/model/order';
import type { EventQuery } from '@/core/query/eventQuery';
import { hasTimes } from '@/core/query/filterParts';
import { wordsOf } from '@/core/query/words';
import { parseDate } from '@/core/time/civil';
import type { EpochMs } from '@/core/time/units';
import type { Asked, FoundBy } from '../queries/asked';
import { askDates, askEvents } from '../queries/asked';
import type { Repository } from '../repository';
import { yieldToEventLoop } from '../yieldToEventLoop';

/** What a question finds. */
export interface Found {
  /** What comes, the next first, and what is over, the last first: as many as were asked for of both. */
  coming: FoundLine[];
  over: FoundLine[];
  comingTotal: number;
  overTotal: number;
  /** The words by which this was found, where nothing was found by those that were typed. */
  corrected: string | null;
}

/** From where a question is asked. */
export interface Asking {
  zone: string;
  /** Epoch ms */
  now: EpochMs;
  /** Lines of what comes and of what is over. */
  most: number;
}

const dayOf = (date: string | null) => (date === null ? null : parseDate(date));
const daysOf = ({ from, to }: NonNullable<Filter['dates']>) => ({
  from: dayOf(from),
  to: dayOf(to),
});

/** Events that are indexed before others have their turn. */
const SLICE = 400;

interface Parts {
  repository: Pick<Repository, 'get' | 'all'>;
  index: EventIndex;
  foundBy: FoundBy;
}

/** Finds events by what they say. Their texts are indexed while nothing else is asked. */
export class Finding {
  private readonly texts = new TextIndex();
  /** What was put since it was indexed last; null for what is gone. */
  private readonly waiting = new Map<string, CalendarEvent | null>();
  private isIndexing = false;

  constructor(private readonly parts: Parts) {}

  /** An event is another one now, or gone. */
  note(id: string, event: CalendarEvent | null): void {
    this.waiting.set(id, event);
  }

  /** Indexes what waits, by and by. */
  async catchUp(): Promise<void> {
    if (this.isIndexing) return;
    this.isIndexing = true;
    while (this.waiting.size) {
      this.index(SLICE);
      await yieldToEventLoop();
    }
    this.isIndexing = false;
  }

  private index(most: number): void {
    let left = most;
    for (const [id, event] of this.waiting) {
      if (left-- === 0) return;
      this.waiting.delete(id);
      if (event) this.texts.put(event);
      else this.texts.remove(id);
    }
  }

  /** What typed words may ask for, grouped by where they stand. */
  suggest(typed: string, context: DayContext): SuggestionGroup[] {
    this.index(Infinity);
    const { repository } = this.parts;
    const counts = new Map<string, number>();
    const countOf = (kind: 'calendar' | 'category', id: string) => {
      if (!counts.size)
        for (const event of repository.all('event')) {
          if (event.removedAt !== undefined) continue;
          for (const of of [event.calendarId, ...event.categoryIds])
            counts.set(of, (counts.get(of) ?? 0) + 1);
        }
      return counts.get(id) ?? 0;
    };
    return suggestionsFor(typed, {
      found: this.texts.find(typed),
      days: daysIn(typed, context),
      calendars: inOrder(
        repository.all('calendar').filter(({ removedAt }) => removedAt === undefined),
      ),
      categories: inOrder(repository.all('category')),
      countOf,
    });
  }

  /** What a question finds, in the order in which it is looked at. */
  find(query: EventQuery, { zone, now, most }: Asking): Found {
    const { index } = this.parts;
    const { filter } = query;
    const asTyped = askEvents(this.asked, query, null, zone);
    const isPlain = filter.text.trim() !== '' && !/["“”]/.test(filter.text);
    const isSlip = !asTyped.length && isPlain && !filter.not.includes('words');
    const corrected = isSlip ? this.corrected(filter.text) : null;
    const events =
      corrected === null
        ? asTyped
        : askEvents(this.asked, { ...query, filter: { ...filter, text: corrected } }, null, zone);
    const words = wordsOf(corrected ?? filter.text);
    const { dates } = filter;
    const days = dates && !filter.not.includes('dates') ? daysOf(dates) : undefined;
    const isMeant = (date: Occurrence) => hasTimes(date, filter);
    const { coming, over } = sortedLines(
      events,
      { index, zone, now, isMeant, ...(days && { days }) },
      most,
    );
    return {
      coming: coming.lines.map((placed) => lineOf(placed, words)),
      over: over.lines.map((placed) => lineOf(placed, words)),
      comingTotal: coming.total,
      overTotal: over.total,
      corrected,
    };
  }

  private corrected(text: string): string | null {
    this.index(Infinity);
    return this.texts.corrected(text);
  }

  /** The ids of everything that a question means: of dates within a window, or (null) of events whole. */
  matching(query: EventQuery, window: Window | null, zone: string): string[] {
    return window
      ? askDates(this.asked, query, window).occurrences.map(({ id }) => id)
      : askEvents(this.asked, query, null, zone).map(({ id }) => id);
  }

  private get asked(): Asked {
    const { repository: records, index, foundBy } = this.parts;
    return { records, index, foundBy };
  }
}
