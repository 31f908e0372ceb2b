import type { InviteMessage } from '@/core/invitations/messages';
import { isFromGuest, readMessages } from '@/core/invitations/messages';
import type { AskedVersion } from '@/core/invitations/answers';
import { standingOf } from '@/core/invitations/standing';
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

const read = new WeakMap<object, InviteMessage[]>();

/** The messages that a kept mail carries about its event; read once from its text, and kept while the mail is. */
export function messagesOf(mail: Pick<Mail, 'calendar' | 'at' | 'uid'>): InviteMessage[] {
  const known = read.get(mail);
  if (known) return known;
  const messages = readMessages(mail.calendar, mail.at).filter(({ uid }) => uid === mail.uid);
  read.set(mail, messages);
  return messages;
}

/** What came and counts: not what waits for the person to say whether it may. */
export const cameIn = (mails: readonly Mail[]): Mail[] =>
  mails.filter(({ isOut, held }) => !isOut && !held);

/** What the organizer said of an event, as far as it counts. */
export const askedOf = (mails: readonly Mail[]): InviteMessage[] =>
  cameIn(mails)
    .flatMap(messagesOf)
    .filter((message) => !isFromGuest(message));

/** What guests wrote of an event of the person's own. */
export const answersOf = (mails: readonly Mail[]): InviteMessage[] =>
  cameIn(mails).flatMap(messagesOf).filter(isFromGuest);

/** What the person wrote to who asks to an event, but for what was undone. */
export const writtenOf = (mails: readonly Mail[]): InviteMessage[] =>
  mails
    .filter(({ isOut, isTakenBack }) => isOut && !isTakenBack)
    .flatMap(messagesOf)
    .filter(isFromGuest);

/** An event of somebody else's as it was asked at each SEQUENCE to which the person wrote something. */
export function versionsAnswered(
  asked: readonly InviteMessage[],
  written: readonly InviteMessage[],
): AskedVersion[] {
  const sequences = [...new Set(written.map(({ sequence }) => sequence))].sort((a, b) => a - b);
  return sequences.flatMap((sequence) => {
    const standing = standingOf(asked.filter((one) => one.sequence <= sequence));
    return standing ? [{ sequence, asked: standing.draft }] : [];
  });
}

/** An event of the person's own as guests were told it, at each SEQUENCE. */
export const versionsTold = (mails: readonly Mail[]): AskedVersion[] =>
  mails
    .filter(hasGoneOut)
    .flatMap(({ told, sequence }) => (told ? [{ sequence, asked: told }] : []))
    .sort((a, b) => a.sequence - b.sequence);

/** Other times that guests propose and that are not settled. */
export const openProposals = (mails: readonly Mail[]): Mail[] =>
  cameIn(mails).filter(({ method, isDone }) => method === 'counter' && !isDone);

/** Whether a mail went out, or is on its way: not one that can never be sent. */
const hasGoneOut = ({ isOut, problem }: Mail) => isOut && !problem;

/** Whether a mail calls the whole off for everybody: it leaves nothing to know. */
const isEnd = (mail: Mail) =>
  hasGoneOut(mail) && mail.method === 'cancel' && mail.dateKey === null && !mail.told;

/** How guests know an event now; null where they were never told, or where it was called off. */
export const toldOf = (mails: readonly Mail[]): CalendarEvent | null =>
  mails.filter((mail) => (hasGoneOut(mail) && mail.told) || isEnd(mail)).at(-1)?.told ?? null;

/** The highest SEQUENCE that guests were told; -1 where they were told nothing. */
export const lastSequence = (mails: readonly Mail[]): number =>
  Math.max(
    -1,
    ...mails
      .filter((mail) => mail.isOut && (mail.told || isEnd(mail)))
      .map((mail) => mail.sequence),
  );
