import type { ReadMessage } from '@/core/message/candidates';
import { readMessage } from '@/core/message/candidates';
import type { Message } from '@/core/message/message';
import { readingPrepared } from '@/core/message/prepared';
import { isMailSource, messageOfText } from '@/core/message/pasted';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import { daytimeOf } from '@/core/model/workweek';
import { dayOfWall } from '@/core/time/civil';
import type { Weekday } from '@/core/time/civil';
import type { EpochMs } from '@/core/time/units';
import { zoneOnDay } from '@/core/time/sheetClock';
import { wallFromInstant } from '@/core/time/zones';
import type { Queries } from '../queries/queries';
import type { Mail, MailPart } from './readMail';
import { readMail } from './readMail';
import { yieldToEventLoop } from '../yieldToEventLoop';

/** Who reads a message, and when. */
export interface MessageReading {
  now: EpochMs;
  /** The person's clock. */
  clock: string;
  workdays: readonly Weekday[];
  isMonthFirst: boolean;
}

/** A message as it was read, with what came along in it. */
export interface OpenedMessage extends ReadMessage {
  message: Message;
  parts: MailPart[];
}

/** The largest mail that is read, in bytes: what it carries is held in memory. */
const MOST_BYTES = 30e6;

/** Reads messages. Nothing here changes anything, and nothing leaves the machine. */
export class Messages {
  constructor(private readonly queries: Pick<Queries, 'settings' | 'calendars' | 'categories'>) {}

  /**
   * Reads a pasted text, or a file: a mail (.eml) or a text.
   * @throws Error, in words for the person, for what can't be read.
   */
  async read(
    source: string | (Blob & { name: string }),
    reading: MessageReading,
  ): Promise<OpenedMessage> {
    const { message, parts } = await this.open(source);
    return { ...readMessage(message, this.reader(reading)), message, parts };
  }

  /** Makes ready what reading needs, in small steps; called when a message is likely to come. */
  async prepare(reading: MessageReading): Promise<void> {
    for (const _step of readingPrepared(this.reader(reading))) await yieldToEventLoop();
  }

  private async open(source: string | (Blob & { name: string })): Promise<Mail> {
    if (typeof source === 'string')
      return isMailSource(source)
        ? readMail(source)
        : { message: messageOfText(source), parts: [] };
    if (source.size > MOST_BYTES) throw new Error('It is too large to be read here.');
    if (/\.eml$/i.test(source.name) || source.type === 'message/rfc822')
      return readMail(await source.arrayBuffer());
    return this.open(await source.text());
  }

  private reader({ now, clock, workdays, isMonthFirst }: MessageReading) {
    const settings = this.queries.settings() ?? DEFAULT_SETTINGS;
    const today = dayOfWall(wallFromInstant(now, clock));
    const calendars = this.queries
      .calendars()
      .filter(({ kind, listed }) => kind === 'own' && listed);
    return {
      now,
      zone: zoneOnDay(clock, today),
      // A message is no typed line: names of calendars and categories in it are words.
      calendars: [],
      categories: [],
      defaultCalendarId: settings.defaultCalendarId ?? calendars[0]?.id ?? '',
      defaultLength: settings.defaultLength,
      workdays,
      workHours: daytimeOf(today, settings.workweek),
      isMonthFirst,
      namedDays: [],
    };
  }
}
