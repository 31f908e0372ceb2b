import { invitedEvent, partOf } from '@/core/invitations/invited';
import type { InviteMessage } from '@/core/invitations/messages';
import { byVersion, isSameMessage, keyOf, senderOf } from '@/core/invitations/messages';
import { isSameAddress, sayParty } from '@/core/invitations/party';
import { isPassedBy } from '@/core/invitations/passOn';
import { sayCame } from '@/core/invitations/say';
import { standingOf } from '@/core/invitations/standing';
import { calendarForNew } from '@/core/calendars/showing';
import { planAnswers } from '@/core/files/ics/answers';
import type { CalendarEvent } from '@/core/model/event';
import type { Mail, MailParty } from '@/core/model/mail';
import { inOrder } from '@/core/model/order';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import { quotedTitle } from '@/core/model/titleOf';
import type { EpochMs } from '@/core/time/units';
import type { Edit } from '../change';
import type { Records } from '../commands/plan';
import { askedOf, eventOfUid, isMine, mailsOf, meIn, messagesOf, toldOf } from './correspondence';

/** A text that came, as a mail or a file. */
export interface Came {
  calendar: string;
  subject: string;
  /** Whom its mail is from; null for a file, which says no more than its text. */
  from: MailParty | null;
  now: EpochMs;
  newId(): string;
}

/** What a message that came does, told in one line. */
export interface TakenIn {
  edits: Edit[];
  did: string;
  /** The event's id. */
  about: string;
}

/** Why a message is not taken in, in words for the person. */
export class NotTaken extends Error {}

/** It is here already. */
export class CameBefore extends NotTaken {}

const NO_REPLY_HERE = 'which is not here';

interface Setting extends Came {
  records: Records;
  me: MailParty;
}

/** @throws NotTaken for a message whose mail is from somebody else than it says. */
function assertSender(message: InviteMessage, from: MailParty | null, me: MailParty): void {
  const who = senderOf(message);
  if (!who.address) throw new NotTaken('It does not say whom it is from.');
  const sentBy = String(message.draft.organizer?.parameters?.['sent-by'] ?? '');
  const known = [who.address, sentBy.replace(/^mailto:/i, '')];
  const isPassedOn =
    message.method === 'request' &&
    from !== null &&
    message.draft.attendees.some(
      (one) => isSameAddress(one.address, me.address) && isPassedBy(one, from.address),
    );
  if (from && !isPassedOn && !known.some((address) => isSameAddress(address, from.address)))
    throw new NotTaken(
      `It says it is from ${sayParty(who)}, but ${sayParty(from)} sent it. Nothing was changed.`,
    );
}

const mailFor = (
  message: InviteMessage,
  { calendar, subject, now, newId }: Setting,
  dateKey: string | null,
): Mail => ({
  id: newId(),
  uid: message.uid,
  dateKey,
  isOut: false,
  method: message.method,
  sequence: message.sequence,
  stamp: message.stamp,
  at: now,
  from: senderOf(message),
  to: [],
  subject,
  line: message.line,
  calendar,
  isSent: true,
  isDone: false,
  problem: '',
});

const newMail = (mail: Mail): Edit => ({ type: 'mail', before: null, after: mail });

/** A request or a cancellation: what an invitation comes to on the person's own calendar. */
function takeAsked(
  message: InviteMessage,
  setting: Setting,
): { edits: Edit[]; event: CalendarEvent } {
  const { records, me, now, newId } = setting;
  const known = mailsOf(records, message.uid);
  const before = askedOf(known, message.uid);
  const current = eventOfUid(records, message.uid);
  const { organizer } = message.draft;
  if (isSameAddress(organizer?.address ?? '', me.address) || (current && isMine(current, me)))
    throw new NotTaken(
      `${quotedTitle(current ?? message.draft)} is your own: nobody else asks to it.`,
    );
  const asks = current?.organizer ?? before[0]?.draft.organizer;
  if (asks && !isSameAddress(asks.address, organizer?.address ?? ''))
    throw new NotTaken(
      `${sayParty(asks)} asks to ${quotedTitle(current ?? message.draft)}, not ${sayParty(senderOf(message))}. Nothing was changed.`,
    );
  const isOld = before.some(
    (other) =>
      (other.time === null || JSON.stringify(other.time) === JSON.stringify(message.time)) &&
      byVersion(other, message) > 0,
  );
  if (isOld) throw new NotTaken(`A later word on ${quotedTitle(message.draft)} is here already.`);
  const standing = standingOf([...before, message]);
  if (!standing) throw new NotTaken(`${quotedTitle(message.draft)} was never asked to.`);
  const settings = records.get('settings', 'mine') ?? DEFAULT_SETTINGS;
  const calendar = calendarForNew(inOrder(records.all('calendar')), settings.defaultCalendarId);
  if (!calendar) throw new NotTaken('There is no calendar that it could go to.');
  const asked = invitedEvent(standing, current, {
    was: standingOf(before)?.draft ?? null,
    me: me.address,
    id: newId(),
    calendarId: calendar.id,
    now,
  });
  const isAway =
    standing.isCancelled ||
    (partOf(asked, me.address)?.answer === 'declined' && !settings.hasDeclined);
  const { removedAt: _removedAt, ...shown } = asked;
  const event: CalendarEvent = isAway ? { ...asked, removedAt: now } : shown;
  const mail = mailFor(message, setting, keyOf(message, standing.draft.start));
  return {
    event,
    edits: [newMail(mail), { type: 'event', before: current ?? null, after: event }],
  };
}

/** The event of the person's own that a guest writes about. @throws NotTaken where there is none. */
function ownEvent(message: InviteMessage, { records, me }: Setting): CalendarEvent {
  const event = eventOfUid(records, message.uid);
  const who = sayParty(senderOf(message));
  if (!event)
    throw new NotTaken(`${who} writes about ${quotedTitle(message.draft)}, ${NO_REPLY_HERE}.`);
  if (!isMine(event, me))
    throw new NotTaken(`${who} answers ${quotedTitle(event)}, to which somebody else asks.`);
  if (!partOf(event, senderOf(message).address))
    throw new NotTaken(`${who} answers ${quotedTitle(event)} without being asked to it.`);
  return event;
}

/** The SEQUENCE from which on an answer is one to the time that is asked for now. */
function answersFrom(mails: readonly Mail[]): number {
  const told = toldOf(mails);
  if (!told) return 0;
  const times = JSON.stringify([told.start, told.end, told.rule]);
  const same = mails.filter(
    (mail) =>
      mail.told && JSON.stringify([mail.told.start, mail.told.end, mail.told.rule]) === times,
  );
  return Math.min(...same.map(({ sequence }) => sequence));
}

function takeAnswer(
  message: InviteMessage,
  setting: Setting,
): { edits: Edit[]; event: CalendarEvent } {
  const event = ownEvent(message, setting);
  const key = keyOf(message, event.start);
  if (message.sequence < answersFrom(mailsOf(setting.records, event.uid)))
    throw new NotTaken(
      `${sayParty(senderOf(message))} answers a time of ${quotedTitle(event)} that is asked no more.`,
    );
  const draft = { ...message.draft, updated: message.stamp };
  const [answered] = planAnswers([{ draft, time: message.time }], () => event).events;
  if (!answered || answered.after === event)
    throw new NotTaken(
      `A later answer of ${sayParty(senderOf(message))} to ${quotedTitle(event)} is here already.`,
    );
  return {
    event,
    edits: [
      newMail({ ...mailFor(message, setting, key), isDone: true }),
      { type: 'event', before: event, after: answered.after },
    ],
  };
}

/** Another time that a guest proposes: kept until it is taken or turned down; the last of each counts. */
function takeProposal(
  message: InviteMessage,
  setting: Setting,
): { edits: Edit[]; event: CalendarEvent } {
  const event = ownEvent(message, setting);
  const earlier = mailsOf(setting.records, event.uid).filter(
    ({ isOut, method, isDone, from }) =>
      !isOut &&
      method === 'counter' &&
      !isDone &&
      isSameAddress(from.address, senderOf(message).address),
  );
  if (earlier.some(({ stamp }) => stamp > message.stamp))
    throw new NotTaken(`A later proposal of ${sayParty(senderOf(message))} is here already.`);
  return {
    event,
    edits: [
      newMail(mailFor(message, setting, keyOf(message, event.start))),
      ...earlier.map((before): Edit => ({
        type: 'mail',
        before,
        after: { ...before, isDone: true },
      })),
    ],
  };
}

/** The organizer keeps their time. */
function takeTurnedDown(message: InviteMessage, setting: Setting) {
  const { records } = setting;
  const event = eventOfUid(records, message.uid);
  const proposed = mailsOf(records, message.uid).filter(
    ({ isOut, method, isDone }) => isOut && method === 'counter' && !isDone,
  );
  if (!event || !proposed.length)
    throw new NotTaken(`No other time was proposed for ${quotedTitle(message.draft)}.`);
  if (!isSameAddress(event.organizer?.address ?? '', senderOf(message).address))
    throw new NotTaken(`${sayParty(senderOf(message))} does not ask to ${quotedTitle(event)}.`);
  return {
    event,
    edits: [
      newMail({ ...mailFor(message, setting, keyOf(message, event.start)), isDone: true }),
      ...proposed.map((before): Edit => ({
        type: 'mail',
        before,
        after: { ...before, isDone: true },
      })),
    ],
  };
}

const TAKERS = {
  request: takeAsked,
  cancel: takeAsked,
  reply: takeAnswer,
  counter: takeProposal,
  declineCounter: takeTurnedDown,
} as const;

/**
 * What a message that came (RFC 5546) does to what is here.
 * @throws NotTaken for one that came before, is older than what is here, or is of somebody who may not
 * say it: it changes nothing.
 */
export function takeIn(records: Records, message: InviteMessage, came: Came): TakenIn {
  const setting: Setting = { ...came, records, me: meIn(records) };
  const known = mailsOf(records, message.uid).filter(({ isOut }) => !isOut);
  if (known.flatMap(messagesOf).some((other) => isSameMessage(other, message)))
    throw new CameBefore(`This message about ${quotedTitle(message.draft)} came before.`);
  assertSender(message, came.from, setting.me);
  const isNew = !eventOfUid(records, message.uid);
  const { edits, event } = TAKERS[message.method](message, setting);
  const answer = message.draft.attendees[0]?.answer;
  const isOfDate = message.time !== null && !isNew;
  const did = sayCame(
    { method: message.method, answer, isNew, isOfDate },
    senderOf(message),
    event,
  );
  return { edits, did, about: event.id };
}
