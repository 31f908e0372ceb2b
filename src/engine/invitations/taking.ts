import type { InviteMessage } from '@/core/invitations/messages';
import { byVersion, keyOf, senderOf } from '@/core/invitations/messages';
import { isSameAddress } from '@/core/invitations/party';
import type { CalendarEvent } from '@/core/model/event';
import type { HeldFor, Mail, MailParty } from '@/core/model/mail';
import type { EpochMs } from '@/core/time/units';
import { errorOf } from '@/core/userError';
import type { Edit } from '../change';
import type { Records } from '../commands/plan';

/** A text that came, as a mail or a file. */
export interface Came {
  calendar: string;
  subject: string;
  /** Whom its mail is from; null for a file, which says no more than its text. */
  from: MailParty | null;
  now: EpochMs;
  newId(): string;
}

/** What messages that came do, told in one line. */
export interface TakenIn {
  edits: Edit[];
  did: string;
  /** Whether anything is otherwise for the person by it; else it is only kept. */
  isNews: boolean;
}

/** Why a message is not taken in, in words for the person. */
export class NotTaken extends errorOf('refused') {}

/** It is here already. */
export class CameBefore extends NotTaken {}

export interface Setting extends Came {
  records: Records;
  me: MailParty;
  mails: readonly Mail[];
  isVouched: boolean;
}

/** The mail that keeps messages of one text about one event; one that waits for the person says why. */
export function mailFor(
  messages: readonly InviteMessage[],
  { calendar, subject, from, now, newId, isVouched }: Setting,
  { dateKey, held = null }: { dateKey: string | null; held?: HeldFor | null },
): Mail {
  const last = messages.toSorted(byVersion).at(-1)!;
  const writer = senderOf(last);
  const isOther = from !== null && !isSameAddress(from.address, writer.address);
  return {
    id: newId(),
    uid: last.uid,
    dateKey,
    isOut: false,
    method: last.method,
    sequence: last.sequence,
    stamp: last.stamp,
    at: now,
    from: writer,
    to: [],
    subject,
    line: last.line,
    calendar,
    isSent: true,
    isDone: false,
    problem: '',
    ...(isOther && from && { sender: from }),
    ...(isVouched && { isVouched }),
    ...(held && { held }),
  };
}

export const newMail = (mail: Mail): Edit => ({ type: 'mail', before: null, after: mail });

export const dateKeyOf = (messages: readonly InviteMessage[], start: CalendarEvent['start']) =>
  messages.length === 1 ? keyOf(messages[0]!, start) : null;

/** What messages of one kind come to. */
export interface Taken {
  edits: Edit[];
  event: CalendarEvent | null;
  isNews: boolean;
  /** Whether it was called off already, by a message that came before. */
  isOff?: boolean;
}
