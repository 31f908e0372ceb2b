import { EventIndex } from '@/core/agenda/eventIndex';
import { readMessages } from '@/core/invitations/messages';
import { isSameAddress } from '@/core/invitations/party';
import type { CalendarEvent } from '@/core/model/event';
import type { Mail, MailParty } from '@/core/model/mail';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import type { RecordType } from '@/core/model/kinds';
import { newCalendar } from '@/core/model/calendar';
import { INKS } from '@/core/model/inks';
import type { Edit } from '../change';
import type { Command } from '../commands/command';
import { planOf } from '../commands/command';
import type { Records } from '../commands/plan';
import { eventOfUid } from '../invitations/correspondence';
import { NotTaken } from '../invitations/taking';
import { takeIn } from '../invitations/takeIn';

const SAYING = { wording: { locale: 'en-GB', hourCycle: '24' }, clock: 'Europe/London' } as const;

/** A mail on its way from one party to another. */
export interface Sent {
  to: string;
  from: MailParty;
  calendar: string;
}

/** Somebody with a calendar of their own, who writes to others and hears from them. */
export class PartyWithCalendar {
  private readonly kept = new Map<string, { type: RecordType; record: { id?: string } }>();
  private made = 0;

  constructor(
    readonly me: MailParty,
    private readonly post: Sent[],
  ) {
    const work = newCalendar({
      id: 'work',
      name: 'Work',
      ink: INKS.Kelp,
      mark: 'square',
      order: 0,
    });
    this.apply([
      { type: 'settings', before: null, after: { ...DEFAULT_SETTINGS, me } },
      { type: 'calendar', before: null, after: work },
    ]);
  }

  readonly records = {
    get: (type: RecordType, id: string) => this.kept.get(`${type}/${id}`)?.record,
    all: (type: RecordType) =>
      [...this.kept.values()].flatMap((one) => (one.type === type ? [one.record] : [])),
  } as Records;

  private readonly newId = () => `${this.me.name}-${++this.made}`;

  event(uid: string): CalendarEvent | undefined {
    return eventOfUid(this.records, uid);
  }

  private apply(edits: readonly Edit[]): void {
    for (const { type, before, after } of edits) {
      const { id = 'mine' } = (after ?? before) as { id?: string };
      if (after) this.kept.set(`${type}/${id}`, { type, record: after as { id?: string } });
      else this.kept.delete(`${type}/${id}`);
      const mail = after as Mail;
      if (type === 'mail' && !before && mail.isOut)
        for (const { address } of mail.to)
          this.post.push({ to: address, from: this.me, calendar: mail.calendar });
    }
  }

  put(event: CalendarEvent): void {
    this.apply([{ type: 'event', before: null, after: event }]);
  }

  /** Does a command; false where there is nothing to do, or it can't be done. */
  do(command: Command, now: number): boolean {
    const index = new EventIndex();
    const asked = {
      records: this.records,
      index,
      foundBy: () => ({ events: new Set(), dates: new Set() }),
    };
    try {
      const plan = planOf(
        { ...(asked as never as object), now, saying: SAYING, newId: this.newId } as never,
        command,
      );
      if (!plan) return false;
      this.apply(plan.edits);
      return true;
    } catch (error) {
      if (error instanceof RangeError) return false;
      throw error;
    }
  }

  /** Takes a mail in; what waits for a word of theirs counts once they gave it. */
  hear({ from, calendar }: Sent, now: number): void {
    try {
      const messages = readMessages(calendar, now);
      const came = { calendar, subject: '', from, now, newId: this.newId };
      this.apply(takeIn(this.records, messages, came).edits);
    } catch (error) {
      if (!(error instanceof NotTaken)) throw error;
    }
    for (const mail of this.records.all('mail'))
      if (mail.held && !mail.isDone) this.do({ kind: 'acceptHeld', mailId: mail.id }, now);
  }
}

export const partyAt = (
  parties: readonly PartyWithCalendar[],
  address: string,
): PartyWithCalendar => parties.find(({ me }) => isSameAddress(me.address, address))!;
