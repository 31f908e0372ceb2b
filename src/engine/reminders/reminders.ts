import type { EventIndex } from '@/core/agenda/eventIndex';
import type { Occurrence } from '@/core/agenda/occurrence';
import { dateAsEvent } from '@/core/editing/series/dates';
import type { CalendarEvent } from '@/core/model/event';
import { importanceOf } from '@/core/model/importance';
import type { Settings } from '@/core/model/others';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import { EVERYTHING } from '@/core/query/eventQuery';
import { morningLetter } from '@/core/reminders/letter';
import { messageOf } from '@/core/reminders/message';
import type { Quiet } from '@/core/reminders/quiet';
import { quietAt } from '@/core/reminders/quiet';
import type { Message, Reminding } from '@/core/reminders/reminding';
import type { DueReminder, Schedule } from '@/core/reminders/schedule';
import { fixedDue, occurrenceIdOf, remindersDue, remindersOfDate } from '@/core/reminders/schedule';
import {
  beginning,
  isStirring,
  putOff,
  queued,
  released,
  shownAt,
  taken,
  told,
  untold,
  untoldSince,
  without,
} from '@/core/reminders/telling';
import type { ReminderWording } from '@/core/reminders/words';
import { isOpen } from '@/core/model/task';
import { remindingEvent } from '@/core/tasks/asEvent';
import { taskAsOccurrence } from '@/core/tasks/asOccurrence';
import { dayOn } from '@/core/tasks/due';
import { dayOfWall, formatDate, minuteOfDay } from '@/core/time/civil';
import type { DayNumber, EpochMs } from '@/core/time/units';
import { wallFromInstant } from '@/core/time/zones';
import { withoutPrivate } from '@/core/view/privacy';
import { UserError } from '@/core/userError';
import { askedCalendars } from '../queries/asked';
import { locate } from '../queries/whereabouts';
import { partsOfId } from '@/core/agenda/occurrence';
import type { Repository } from '../repository';
import type { SendMessage } from './outbox';

/** A reminder as it is shown: with its event as that stands now. */
export interface ShownReminder {
  id: string;
  /** When it came due. */
  at: EpochMs;
  isMissed: boolean;
  occurrence: Occurrence;
  link: string;
  /** The task that it reminds of; null for an event. */
  taskId: string | null;
}

/** What is to be reminded of at a moment. */
export interface Reminded {
  shown: ShownReminder[];
  /** Ids of those that this window is to tell of, as no other does. */
  fresh: string[];
  /** How many wait until it is quiet no longer, and why. */
  held: number;
  quiet: Quiet | null;
  /** Messages that the outbox has not taken yet. */
  toSend: number;
}

interface Parts {
  repository: Repository;
  index: EventIndex;
  schedule: Schedule;
  sendMessage: SendMessage;
  /** Whether everything is here. */
  isReady(): boolean;
  /** Told once records are different. */
  changed(): void;
}

/** What a reminder is of, as it stands. */
interface Told {
  /** As it has the reminders; a task as an event. */
  event: CalendarEvent;
  occurrence: Occurrence;
  taskId: string | null;
}

/** When the next one is due, as it was worked out from how things stood. */
interface Upcoming {
  version: number;
  clock: string;
  since: EpochMs;
  next: EpochMs | null;
}

const NOTHING: Reminded = { shown: [], fresh: [], held: 0, quiet: null, toSend: 0 };

/** Reminders as they come due: told once, by whichever window is there first. */
export class Reminders {
  /** How things stand where the store does not take it. */
  private unkept: Reminding | null = null;
  /** What came due until then has been told, as things stood then: what is put into the past later is not. */
  private checked: EpochMs = -Infinity;
  private upcoming: Upcoming | null = null;
  private isSending = false;

  constructor(private readonly parts: Parts) {}

  private get standing(): Reminding | null {
    return this.unkept ?? this.parts.repository.get('reminding', 'mine') ?? null;
  }

  private get settings(): Settings {
    return this.parts.repository.get('settings', 'mine') ?? DEFAULT_SETTINGS;
  }

  /** What is to be reminded of at `now`, by the clock of `wording`. */
  async check(now: EpochMs, wording: ReminderWording): Promise<Reminded> {
    if (!this.parts.isReady()) return NOTHING;
    let fresh: string[] = [];
    let quiet: Quiet | null = null;
    if (!this.isCalm(now, wording)) {
      quiet = this.quiet(now, wording.clock);
      await this.renew((last) => {
        if (!last) return beginning(now);
        const step = this.step(last, now, wording, quiet);
        fresh = step.fresh;
        return step.next;
      });
    }
    this.checked = now;
    const shown = this.shown(now, wording.clock);
    const { standing } = this;
    const held = standing?.waiting.filter(({ isHeld }) => isHeld).length ?? 0;
    return {
      shown,
      fresh: fresh.filter((id) => shown.some((one) => one.id === id)),
      held,
      quiet,
      toSend: standing?.toSend.length ?? 0,
    };
  }

  /** When the next one is due after `now`; null when none is within a year. */
  next(now: EpochMs, clock: string): EpochMs | null {
    const { schedule } = this.parts;
    const { upcoming } = this;
    const stands =
      upcoming?.version === schedule.version &&
      upcoming.clock === clock &&
      upcoming.since <= now &&
      (upcoming.next === null || upcoming.next > now);
    if (!stands)
      this.upcoming = {
        version: schedule.version,
        clock,
        since: now,
        next: schedule.next(now, { zone: clock, calendarIds: this.calendarIds() }),
      };
    return this.upcoming!.next;
  }

  /** Reminders are done with, in every window. */
  async done(ids: readonly string[]): Promise<void> {
    await this.renew((last) => last && without(last, ids));
    this.parts.changed();
  }

  /** A reminder comes again at a moment. */
  async again(id: string, at: EpochMs): Promise<void> {
    await this.renew((last) => last && putOff(last, id, at));
    this.parts.changed();
  }

  /** What is held back is told all the same. */
  async release(): Promise<void> {
    await this.renew((last) => last && released(last));
    this.parts.changed();
  }

  /** Messages that the outbox has not taken yet. */
  unsent(): Message[] {
    return this.standing?.toSend ?? [];
  }

  /** Writes the letter of the day now, whatever its time is. @throws UserError where no address is known. */
  async writeLetter(now: EpochMs, wording: ReminderWording): Promise<void> {
    if (!this.settings.reminding.mail)
      throw new UserError('refused', 'There is no mail address to write to yet.');
    await this.renew((last) => {
      const day = dayOfWall(wallFromInstant(now, wording.clock));
      return queued(last ?? beginning(now), [this.letter(day, now, wording, `now${now}`)]);
    });
    this.parts.changed();
  }

  /** Gives the outbox what waits for it; stops where it does not answer. */
  async send(): Promise<void> {
    if (this.isSending) return;
    this.isSending = true;
    const sent: string[] = [];
    try {
      for (const message of this.unsent()) {
        await this.parts.sendMessage(message);
        sent.push(message.id);
      }
    } catch {
      // It stays in the queue, which the outbox's screen shows, and is tried again.
    } finally {
      this.isSending = false;
    }
    if (!sent.length) return;
    await this.renew((last) => last && taken(last, sent));
    this.parts.changed();
  }

  private calendarIds(): Set<string> {
    // Tasks may lie on no calendar.
    return askedCalendars(this.parts.repository, EVERYTHING).add('');
  }

  /** Whether nothing can have come due since things were looked at last. */
  private isCalm(now: EpochMs, wording: ReminderWording): boolean {
    const { standing, upcoming, checked } = this;
    const isKnown =
      upcoming?.version === this.parts.schedule.version && upcoming.clock === wording.clock;
    if (!standing || !isKnown || checked > now || standing.toldUntil > now) return false;
    if (isStirring(standing, now) || this.isLetterDue(standing, now, wording)) return false;
    return upcoming.next === null || upcoming.next > now;
  }

  /** What is different at `now`: what has come due is told, held back or sent. */
  private step(last: Reminding, now: EpochMs, wording: ReminderWording, quiet: Quiet | null) {
    const { clock } = wording;
    const since = untoldSince(last, this.checked, now);
    const zoned = { zone: clock, calendarIds: this.calendarIds() };
    const due = untold(last, this.parts.schedule.between(since, now, zoned));
    const messages = due.flatMap((one) => this.message(one, now, wording) ?? []);
    const isSent = new Set(messages.map(({ id }) => id));
    const onScreen = due.filter(({ id }) => !isSent.has(id));
    const step = told(last, onScreen, now, (id) => quiet !== null && this.isHeldBy(quiet, id));
    this.next(now, clock);
    return { fresh: step.fresh, next: this.withLetter(queued(step.next, messages), now, wording) };
  }

  private quiet(now: EpochMs, zone: string): Quiet | null {
    const today = dayOfWall(wallFromInstant(now, zone));
    const window = { fromDay: today, toDay: today + 1, zone };
    const { occurrences } = this.parts.index.query(window, this.calendarIds());
    const { reminding, workweek } = this.settings;
    return quietAt({ now, zone, reminding, workweek, occurrences });
  }

  private isHeldBy(quiet: Quiet, id: string): boolean {
    const { eventId, dateKey } = partsOfId(occurrenceIdOf(id));
    const { repository } = this.parts;
    const event = repository.get('event', eventId);
    const of = event ? dateAsEvent(event, dateKey) : repository.get('task', eventId);
    if (!of || quiet.eventId === eventId) return false;
    return importanceOf(of.importance) !== 'high';
  }

  private message(due: DueReminder, now: EpochMs, wording: ReminderWording): Message | null {
    if (!due.reminder.how) return null;
    const found = this.found(due.id, wording.clock);
    if (!found) return null;
    const { reminding, hasPrivateTitles } = this.settings;
    const { event, occurrence } = found;
    const seen = hasPrivateTitles ? occurrence : withoutPrivate(occurrence);
    const link = hasPrivateTitles || event.visibility === 'public' ? event.link : '';
    return messageOf(due, seen, { now, reminding, wording, link });
  }

  private isLetterDue({ letterDay }: Reminding, now: EpochMs, { clock }: ReminderWording): boolean {
    const { letterAt, mail } = this.settings.reminding;
    if (letterAt === null || !mail) return letterDay !== undefined;
    const wall = wallFromInstant(now, clock);
    const isTime = minuteOfDay(wall) >= letterAt;
    return letterDay === undefined || (isTime && letterDay < formatDate(dayOfWall(wall)));
  }

  /** With the letter of today where it is time for it; the first is that of the next time after it was asked for. */
  private withLetter(last: Reminding, now: EpochMs, wording: ReminderWording): Reminding {
    if (!this.isLetterDue(last, now, wording)) return last;
    const { letterDay, ...rest } = last;
    const { letterAt, mail } = this.settings.reminding;
    if (letterAt === null || !mail) return rest;
    const wall = wallFromInstant(now, wording.clock);
    const day = dayOfWall(wall);
    if (letterDay !== undefined)
      return {
        ...queued(rest, [this.letter(day, now, wording, formatDate(day))]),
        letterDay: formatDate(day),
      };
    const isOver = minuteOfDay(wall) >= letterAt;
    return { ...rest, letterDay: formatDate(isOver ? day : day - 1) };
  }

  private letter(day: DayNumber, now: EpochMs, wording: ReminderWording, name: string): Message {
    const { index, repository } = this.parts;
    const { workweek, reminding, hasPrivateTitles } = this.settings;
    const window = { fromDay: day, toDay: day + 1, zone: wording.clock };
    const { occurrences } = index.query(window, this.calendarIds());
    const tasks = repository
      .all('task')
      .filter(
        (task) =>
          task.removedAt === undefined &&
          isOpen(task) &&
          task.due !== null &&
          dayOn(task.due, wording.clock) <= day,
      );
    const seen = hasPrivateTitles ? occurrences : occurrences.map(withoutPrivate);
    const letter = morningLetter({ day, occurrences: seen, tasks, workweek, wording });
    return { id: `letter${name}`, how: 'mail', to: reminding.mail, at: now, ...letter };
  }

  /** The event and the date that a reminder's id names; null when they are not there any more. */
  private found(id: string, zone: string): Told | null {
    const { repository, index } = this.parts;
    const { eventId, dateKey } = partsOfId(occurrenceIdOf(id));
    const event = repository.get('event', eventId);
    if (!event) return this.foundTask(eventId, zone);
    if (event.removedAt !== undefined) return null;
    const occurrence = locate(index, event, dateKey, zone);
    return occurrence && { event, occurrence, taskId: null };
  }

  private foundTask(id: string, zone: string): Told | null {
    const task = this.parts.repository.get('task', id);
    const event = task && remindingEvent(task);
    const occurrence = task && taskAsOccurrence(task, zone);
    return event && occurrence ? { event, occurrence, taskId: id } : null;
  }

  /** What was removed, or moved so that it is due later, is not shown any more. */
  private shown(now: EpochMs, zone: string): ShownReminder[] {
    const { standing } = this;
    if (!standing) return [];
    return shownAt(standing, now).flatMap(({ id, at, isMissed }): ShownReminder[] => {
      const found = this.found(id, zone);
      if (!found) return [];
      const { event, occurrence, taskId } = found;
      const calendar = this.parts.repository.get('calendar', event.calendarId);
      const reminders = remindersOfDate(event, occurrence.dateKey, calendar);
      const all = [...remindersDue(reminders, occurrence, zone), ...fixedDue(event)];
      const own = all.find((reminder) => reminder.id === id);
      if (!own || own.at > now) return [];
      return [{ id, at, isMissed, occurrence, link: event.link, taskId }];
    });
  }

  private async renew(work: (last: Reminding | null) => Reminding | null): Promise<void> {
    try {
      await this.parts.repository.renew(
        'reminding',
        'mine',
        (last) => work(this.unkept ?? last) ?? this.unkept,
      );
      this.unkept = null;
    } catch {
      // A store that takes nothing is told of by `unsaved`, or by its being read-only: reminders go on.
      this.unkept = work(this.standing) ?? this.unkept;
    }
  }
}
