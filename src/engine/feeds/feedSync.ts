import { nanoid } from 'nanoid';
import { canBeIndexed } from '@/core/agenda/eventIndex';
import { planFeed } from '@/core/files/feed';
import type { FileContents } from '@/core/files/ics/readFile';
import { FileError } from '@/core/files/ics/scan';
import type { Calendar, Feed } from '@/core/model/calendar';
import { MINUTE } from '@/core/time/civil';
import { count } from '@/core/time/words';
import type { EpochMs } from '@/core/time/units';
import { readContents } from '../files/readContents';
import type { Repository } from '../repository';

/** What a feed's server answered. */
export type FeedAnswer = { isSame: true } | { isSame: false; bytes: Uint8Array; etag?: string };

/** Asks an address, unless it is still as `etag` names. Throws FileError saying why not. */
export type AskFeed = (address: string, etag?: string) => Promise<FeedAnswer>;

/** What is at an address, for a look before it is followed. */
export interface FeedLook {
  name: string;
  events: number;
}

/** News that are kept of one refresh. */
const NEWS = 100;

const countOf = ({ events, looseDates }: FileContents) => events.length + looseDates.length;

/** Keeps followed calendars like their feeds. What a feed brings is nobody's action: it is not undone. */
export class FeedSync {
  constructor(
    private readonly repository: Repository,
    private readonly ask: AskFeed,
  ) {}

  /** @throws FileError when there is nothing that can be followed. */
  async look(source: string | Uint8Array, now: EpochMs): Promise<FeedLook> {
    const answer: FeedAnswer =
      typeof source === 'string' ? await this.ask(source) : { isSame: false, bytes: source };
    if (answer.isSame) throw new FileError('The server there sent nothing.');
    const contents = await readContents(answer.bytes, now);
    return { name: contents.name, events: countOf(contents) };
  }

  /** Followed calendars whose time for another look has come, by `now` (epoch ms). */
  due(calendars: readonly Calendar[], now: EpochMs): Calendar[] {
    return calendars.filter(({ feed }) => {
      if (!feed?.address || feed.everyMinutes === null) return false;
      const { checked = 0, everyMinutes } = feed;
      // A look that lies ahead was at a clock that was wrong.
      return checked > now || now >= checked + everyMinutes * MINUTE;
    });
  }

  /**
   * Looks at a calendar's feed, or at the bytes of a newer file. When that fails, the events stay
   * as they were and the reason is kept with the calendar.
   */
  async refresh(calendarId: string, now: EpochMs, file?: Uint8Array): Promise<void> {
    const feed = this.repository.get('calendar', calendarId)?.feed;
    if (!feed) return;
    try {
      const answer: FeedAnswer = file
        ? { isSame: false, bytes: file }
        : await this.ask(feed.address, feed.etag);
      if (answer.isSame) await this.note(calendarId, { checked: now, problem: undefined });
      else await this.take(calendarId, await readContents(answer.bytes, now), answer.etag, now);
    } catch (error) {
      if (!(error instanceof FileError)) throw error;
      await this.note(calendarId, { checked: now, problem: error.message });
    }
  }

  private async take(
    calendarId: string,
    contents: FileContents,
    etag: string | undefined,
    now: EpochMs,
  ): Promise<void> {
    const present = this.repository
      .all('event')
      .filter((event) => event.calendarId === calendarId && event.removedAt === undefined);
    const plan = planFeed(contents, present, calendarId, () => nanoid(12));
    const sound = plan.put.filter(canBeIndexed);
    const left = plan.put.length - sound.length;
    await this.repository.write([
      ...sound.map((record) => ({ type: 'event' as const, id: record.id, record })),
      ...plan.gone.map(({ id }) => ({ type: 'event' as const, id, record: null })),
    ]);
    const isFirst = present.length === 0;
    const news = isFirst ? [] : plan.news.slice(0, NEWS);
    await this.note(calendarId, {
      checked: now,
      problem:
        left > 0
          ? `${count(left, 'entry', 'entries')} of it can’t be shown, and stayed out.`
          : undefined,
      etag,
      ...(isFirst || news.length ? { updated: now, news } : {}),
    });
  }

  private async note(calendarId: string, fields: Partial<Feed>): Promise<void> {
    const calendar = this.repository.get('calendar', calendarId);
    if (!calendar?.feed) return;
    const record = { ...calendar, feed: { ...calendar.feed, ...fields } };
    await this.repository.write([{ type: 'calendar', id: calendarId, record }]);
  }
}
