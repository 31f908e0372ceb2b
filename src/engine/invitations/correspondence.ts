import type { InviteMessage } from '@/core/invitations/messages';
import { readMessages } from '@/core/invitations/messages';
import { isSameAddress } from '@/core/invitations/party';
import type { CalendarEvent } from '@/core/model/event';
import type { Mail, MailParty } from '@/core/model/mail';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import type { Records } from '../commands/plan';

/** By which name and address the person is known. */
export const meIn = (records: Records): MailParty =>
  (records.get('settings', 'mine') ?? DEFAULT_SETTINGS).me;

/** What was written about an event, the earliest first. */
export const mailsOf = (records: Records, uid: string): Mail[] =>
  records
    .all('mail')
    .filter((mail) => mail.uid === uid)
    .sort((a, b) => a.at - b.at);

/** Calendars that are followed: what lies on them is nobody's to answer. */
export const followedIds = (records: Records): ReadonlySet<string> =>
  new Set(records.all('calendar').flatMap(({ id, kind }) => (kind === 'followed' ? [id] : [])));

/** The event of a UID on a calendar of the person's own, also one that was removed. */
export function eventOfUid(records: Records, uid: string): CalendarEvent | undefined {
  const followed = followedIds(records);
  const same = records
    .all('event')
    .filter((event) => event.uid === uid && !followed.has(event.calendarId));
  return same.find(({ removedAt }) => removedAt === undefined) ?? same[0];
}

/** Whether the person asks to an event, and nobody else. */
export const isMine = ({ organizer }: CalendarEvent, me: MailParty): boolean =>
  organizer === undefined || isSameAddress(organizer.address, me.address);

/** The messages that a kept mail carries; what was read once is read again from its text. */
export const messagesOf = ({ calendar, at }: Pick<Mail, 'calendar' | 'at'>): InviteMessage[] =>
  readMessages(calendar, at);

/** Requests and cancellations that came for an event. */
export const askedOf = (mails: readonly Mail[], uid: string): InviteMessage[] =>
  mails
    .filter(({ isOut, method }) => !isOut && (method === 'request' || method === 'cancel'))
    .flatMap(messagesOf)
    .filter((message) => message.uid === uid);

/** Other times that guests propose and that are not settled. */
export const openProposals = (mails: readonly Mail[]): Mail[] =>
  mails.filter(({ isOut, method, isDone }) => !isOut && method === 'counter' && !isDone);

/** Whether a mail calls the whole off for everybody: it leaves nothing to know. */
const isEnd = ({ isOut, method, dateKey, told }: Mail) =>
  isOut && method === 'cancel' && dateKey === null && !told;

/** How guests know an event now; null where they were never told, or where it was called off. */
export const toldOf = (mails: readonly Mail[]): CalendarEvent | null =>
  mails.filter((mail) => (mail.isOut && mail.told) || isEnd(mail)).at(-1)?.told ?? null;

/** The SEQUENCE that the next message to guests has at least: past a cancellation it goes on. */
export const leastSequence = (mails: readonly Mail[]): number =>
  Math.max(0, ...mails.filter(isEnd).map(({ sequence }) => sequence + 1));
