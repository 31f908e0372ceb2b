import { guestAnswer, withAnswers } from '@/core/invitations/answers';
import type { KnownMessage } from '@/core/invitations/claims';
import { doubtAbout } from '@/core/invitations/claims';
import { invitedEvent, partOf } from '@/core/invitations/invited';
import type { InviteMessage } from '@/core/invitations/messages';
import {
  byVersion,
  isFromGuest,
  isSameMessage,
  keyOf,
  senderOf,
} from '@/core/invitations/messages';
import { isSameAddress, sayParty } from '@/core/invitations/party';
import { isPassedOn } from '@/core/invitations/passOn';
import { sayCame, sayHeld, sayUnchanged } from '@/core/invitations/say';
import type { Standing } from '@/core/invitations/standing';
import { standingOf } from '@/core/invitations/standing';
import { calendarForNew } from '@/core/calendars/showing';
import type { Attendee } from '@/core/model/attendees';
import type { CalendarEvent } from '@/core/model/event';
import type { HeldFor, Mail, MailParty } from '@/core/model/mail';
import { inOrder } from '@/core/model/order';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import { quotedTitle } from '@/core/model/titleOf';
import type { EpochMs } from '@/core/time/units';
import type { Edit } from '../change';
import type { Records } from '../commands/plan';
import {
  answersOf,
  askedOf,
  cameIn,
  eventOfUid,
  isMine,
  lastSequence,
  mailsOf,
  meIn,
  messagesOf,
  toldOf,
  versionsAnswered,
  versionsTold,
  writtenOf,
} from './correspondence';
import { currentState } from './outgoing';
import { UserError } from '@/core/userError';

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
export class NotTaken extends UserError {
  override name = 'NotTaken';

  constructor(message: string) {
    super('refused', message);
  }
}

/** It is here already. */
export class CameBefore extends NotTaken {}

interface Setting extends Came {
  records: Records;
  me: MailParty;
  mails: readonly Mail[];
  isVouched: boolean;
}

/** The mail that keeps messages of one text about one event; one that waits for the person says why. */
function mailFor(
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

const newMail = (mail: Mail): Edit => ({ type: 'mail', before: null, after: mail });

const dateKeyOf = (messages: readonly InviteMessage[], start: CalendarEvent['start']) =>
  messages.length === 1 ? keyOf(messages[0]!, start) : null;

/** @throws NotTaken where somebody else asks to the event than these messages say, or the person does. */
function assertOrganizer(
  message: InviteMessage,
  current: CalendarEvent | undefined,
  setting: Setting,
) {
  const { me, mails } = setting;
  const { organizer } = message.draft;
  const title = quotedTitle(current ?? message.draft);
  if (isSameAddress(organizer?.address ?? '', me.address) || (current && isMine(current, me)))
    throw new NotTaken(`${title} is your own: nobody else asks to it.`);
  const asks = current?.organizer ?? askedOf(mails)[0]?.draft.organizer;
  if (asks && !isSameAddress(asks.address, organizer?.address ?? ''))
    throw new NotTaken(
      `${sayParty(asks)} asks to ${title}, not ${sayParty(senderOf(message))}. Nothing was changed.`,
    );
}

/** Requests, additions and cancellations: what an invitation comes to on the person's own calendar. */
function takeAsked(messages: readonly InviteMessage[], setting: Setting): Taken {
  const { records, me, mails, now, newId } = setting;
  const [message] = messages as [InviteMessage];
  const before = askedOf(mails);
  const current = eventOfUid(records, message.uid);
  assertOrganizer(message, current, setting);
  const asked = [...before, ...messages];
  const was = standingOf(before);
  const standing = standingOf(asked);
  // Called off before it was asked to: kept, and applied once that comes.
  if (!standing)
    return {
      event: null,
      isNews: false,
      edits: [newMail(mailFor(messages, setting, { dateKey: null }))],
    };
  const mail = mailFor(messages, setting, { dateKey: dateKeyOf(messages, standing.draft.start) });
  if (was && isSameStanding(was, standing))
    return { event: current ?? null, isNews: false, edits: [newMail(mail)] };
  const settings = records.get('settings', 'mine') ?? DEFAULT_SETTINGS;
  const calendar = calendarForNew(inOrder(records.all('calendar')), settings.defaultCalendarId);
  if (!calendar) throw new NotTaken('There is no calendar that it could go to.');
  const written = writtenOf(mails);
  const invited = invitedEvent(standing, current, {
    was: was?.draft ?? null,
    me: me.address,
    id: newId(),
    calendarId: calendar.id,
    now,
    written,
    versions: versionsAnswered(asked, written),
  });
  const answer = partOf(invited, me.address)?.answer;
  const isAway =
    standing.isCancelled ||
    ((answer === 'declined' || answer === 'delegated') && !settings.hasDeclined);
  const { removedAt: _removedAt, ...shown } = invited;
  const event: CalendarEvent = isAway ? { ...invited, removedAt: now } : shown;
  return {
    event,
    isNews: true,
    isOff: standing.isCancelled,
    edits: [newMail(mail), { type: 'event', before: current ?? null, after: event }],
  };
}

const isSameStanding = (a: Standing, b: Standing): boolean =>
  a.isCancelled === b.isCancelled &&
  a.sequence === b.sequence &&
  JSON.stringify(a.draft) === JSON.stringify(b.draft);

/** The event of the person's own that a guest writes about. @throws NotTaken where there is none. */
function ownEvent(message: InviteMessage, { records, me }: Setting): CalendarEvent {
  const event = eventOfUid(records, message.uid);
  const who = sayParty(senderOf(message));
  if (!event)
    throw new NotTaken(`${who} writes about ${quotedTitle(message.draft)}, which is not here.`);
  if (!isMine(event, me))
    throw new NotTaken(`${who} answers ${quotedTitle(event)}, to which somebody else asks.`);
  return event;
}

/** @throws NotTaken for somebody who was not asked. */
function assertGuest(message: InviteMessage, event: CalendarEvent): void {
  const { address } = senderOf(message);
  const isAsked = [event, ...Object.values(event.changedDates)].some(
    ({ attendees }) => attendees && partOf({ attendees }, address),
  );
  if (isAsked) return;
  throw new NotTaken(
    `${sayParty(senderOf(message))} answers ${quotedTitle(event)} without being asked to it.`,
  );
}

/** Those whom guests passed it on to, by the replies of guests that are known. */
function withInstead(
  attendees: readonly Attendee[],
  replies: readonly InviteMessage[],
): Attendee[] {
  const all = [...attendees];
  const open = [...replies];
  for (let nth = 0; nth < open.length; nth++) {
    const [said, ...instead] = open[nth]!.draft.attendees;
    const mine = said && all.findIndex(({ address }) => isSameAddress(address, said.address));
    if (said?.answer !== 'delegated' || mine === undefined || mine < 0) continue;
    const to = said.parameters?.['delegated-to'];
    all[mine] = {
      ...all[mine]!,
      parameters: { ...all[mine]!.parameters, ...(to !== undefined && { 'delegated-to': to }) },
    };
    const fresh = instead.filter((one) => !partOf({ attendees: all }, one.address));
    all.push(...fresh.map((one) => ({ ...one, answer: 'none' as const })));
    // Their own replies, passing it on further, may have come before.
    if (fresh.length) nth = -1;
  }
  return all;
}

/** An event of the person's own with what all its guests answered. */
function answeredEvent(
  event: CalendarEvent,
  mails: readonly Mail[],
  more: readonly InviteMessage[],
) {
  const words = [...answersOf(mails), ...more];
  const versions = versionsTold(mails);
  const replies = words.filter(({ method }) => method === 'reply');
  const attendees = withInstead(event.attendees, replies);
  const next = withAnswers({ attendees, changedDates: event.changedDates }, ({ address }) =>
    guestAnswer(words, versions, { address, now: event }),
  );
  return { ...event, ...next };
}

const isSameGuests = (a: CalendarEvent, b: CalendarEvent): boolean =>
  JSON.stringify([a.attendees, a.changedDates]) === JSON.stringify([b.attendees, b.changedDates]);

function takeAnswer(messages: readonly InviteMessage[], setting: Setting): Taken {
  const { mails } = setting;
  const [message] = messages as [InviteMessage];
  const event = ownEvent(message, setting);
  // Of who comes instead of a guest it is known by that guest's own reply, which may come later.
  const isInstead = messages.every(
    ({ draft }) => draft.attendees[0] && isPassedOn(draft.attendees[0]),
  );
  if (!isInstead) assertGuest(message, event);
  const after = answeredEvent(event, mails, messages);
  const mail = {
    ...mailFor(messages, setting, { dateKey: dateKeyOf(messages, event.start) }),
    isDone: true,
  };
  const isNews = !isSameGuests(event, after);
  const edits = [
    newMail(mail),
    ...(isNews ? [{ type: 'event' as const, before: event, after }] : []),
  ];
  const unaware = after.attendees.filter(
    (one) =>
      isPassedOn(one) && !partOf(event, one.address) && message.sequence < lastSequence(mails),
  );
  return {
    event: after,
    isNews,
    edits: [...edits, ...unaware.flatMap((one) => currentState(mails, one, setting))],
  };
}

/** Another time that a guest proposes: kept until it is taken or turned down; the last of each counts. */
function takeProposal(messages: readonly InviteMessage[], setting: Setting): Taken {
  const { mails } = setting;
  const [message] = messages as [InviteMessage];
  const event = ownEvent(message, setting);
  assertGuest(message, event);
  const earlier = cameIn(mails).filter(
    ({ method, isDone, from }) =>
      method === 'counter' && !isDone && isSameAddress(from.address, senderOf(message).address),
  );
  const mail = mailFor(messages, setting, { dateKey: dateKeyOf(messages, event.start) });
  // What they propose may be what is asked for by now: then they accept it.
  const after = answeredEvent(event, mails, messages);
  const isAsked = !isSameGuests(event, after);
  const answered: Edit[] = isAsked ? [{ type: 'event', before: event, after }] : [];
  const isOld = earlier.some(({ stamp }) => stamp > message.stamp);
  if (isOld)
    return { event, isNews: isAsked, edits: [newMail({ ...mail, isDone: true }), ...answered] };
  return {
    event,
    isNews: true,
    edits: [newMail({ ...mail, isDone: isAsked }), ...settled(earlier), ...answered],
  };
}

const settled = (mails: readonly Mail[]): Edit[] =>
  mails.map((before): Edit => ({ type: 'mail', before, after: { ...before, isDone: true } }));

/** The organizer keeps their time. */
function takeTurnedDown(messages: readonly InviteMessage[], setting: Setting): Taken {
  const { records, mails } = setting;
  const [message] = messages as [InviteMessage];
  const event = eventOfUid(records, message.uid);
  const proposed = mails.filter(
    ({ isOut, method, isDone }) => isOut && method === 'counter' && !isDone,
  );
  if (!event || !proposed.length)
    throw new NotTaken(`No other time was proposed for ${quotedTitle(message.draft)}.`);
  if (!isSameAddress(event.organizer?.address ?? '', senderOf(message).address))
    throw new NotTaken(`${sayParty(senderOf(message))} does not ask to ${quotedTitle(event)}.`);
  const mail = mailFor(messages, setting, { dateKey: dateKeyOf(messages, event.start) });
  return { event, isNews: true, edits: [newMail({ ...mail, isDone: true }), ...settled(proposed)] };
}

/** A guest asks how it stands (REFRESH, RFC 5546 §3.2.6): they are sent what guests were told last. */
function takeRefresh(messages: readonly InviteMessage[], setting: Setting): Taken {
  const { mails } = setting;
  const [message] = messages as [InviteMessage];
  const event = ownEvent(message, setting);
  assertGuest(message, event);
  const guest = partOf(event, senderOf(message).address);
  const told = toldOf(mails);
  if (!guest || !told || !partOf(told, guest.address))
    throw new NotTaken(
      `${sayParty(senderOf(message))} asks how ${quotedTitle(event)} stands, of which guests were not told yet.`,
    );
  const mail = { ...mailFor(messages, setting, { dateKey: null }), isDone: true };
  return { event, isNews: true, edits: [newMail(mail), ...currentState(mails, guest, setting)] };
}

interface Taken {
  edits: Edit[];
  event: CalendarEvent | null;
  isNews: boolean;
  /** Whether it was called off already, by a message that came before. */
  isOff?: boolean;
}

const TAKERS = {
  request: takeAsked,
  add: takeAsked,
  cancel: takeAsked,
  reply: takeAnswer,
  counter: takeProposal,
  refresh: takeRefresh,
  declineCounter: takeTurnedDown,
} as const;

/** Messages that count, with who really sent them. */
const knownMessages = (mails: readonly Mail[]): KnownMessage[] =>
  cameIn(mails).flatMap((mail) =>
    messagesOf(mail).map((message) => ({
      message,
      sender: mail.sender ?? null,
      isVouched: mail.isVouched === true,
    })),
  );

/** The highest SEQUENCE known of an event; -1 for none. */
const highestOf = (mails: readonly Mail[]): number =>
  Math.max(lastSequence(mails), ...cameIn(mails).map(({ sequence }) => sequence));

/** What messages that wait for the person do: they are kept, and nothing else. */
function hold(messages: readonly InviteMessage[], setting: Setting, held: HeldFor): TakenIn {
  const mail = mailFor(messages, setting, { dateKey: null, held });
  return { edits: [newMail(mail)], did: sayHeld(mail, messages[0]!.draft), isNews: true };
}

/**
 * What messages of one text about one event (RFC 5546) do to what is here.
 *
 * @param messages of one UID, METHOD and writer
 * @param isVouched whether the person said that they count
 * @throws NotTaken for what came before, is about nothing that is here, or is of somebody who has no
 * part in it: it changes nothing.
 */
export function takeIn(
  records: Records,
  messages: readonly InviteMessage[],
  came: Came,
  isVouched = false,
): TakenIn {
  const [message] = messages as [InviteMessage];
  const mails = mailsOf(records, message.uid);
  const setting: Setting = { ...came, records, me: meIn(records), mails, isVouched };
  // What a stranger sent before keeps nobody from sending the same themselves.
  const isKnown = ({ isOut, held, sender }: Mail) =>
    !isOut && (!held || isSameAddress(sender?.address ?? '', came.from?.address ?? ''));
  const known = mails.filter(isKnown).flatMap(messagesOf);
  const fresh = withoutKnown(messages, known);
  if (!fresh.length)
    throw new CameBefore(`This message about ${quotedTitle(message.draft)} came before.`);
  if (!senderOf(message).address) throw new NotTaken('It does not say whom it is from.');
  const fromWriter = records
    .all('mail')
    .filter(({ isOut, from }) => !isOut && isSameAddress(from.address, senderOf(message).address));
  const isOther =
    came.from !== null && !isSameAddress(came.from.address, senderOf(message).address);
  const highest = Math.max(...messages.map(({ sequence }) => sequence));
  const doubt = doubtAbout(
    { ...message, sequence: highest },
    {
      from: came.from,
      known: isOther ? knownMessages(fromWriter) : [],
      highest: highestOf(mails),
    },
  );
  if (doubt && !isVouched) return hold(fresh, setting, doubt);
  const isNew = !eventOfUid(records, message.uid);
  const { edits, event, isNews, isOff } = TAKERS[message.method](fresh, setting);
  const isOfDate = messages.length === 1 && message.time !== null && !isNew;
  const did = isNews
    ? sayCame(
        {
          method: isOff ? 'cancel' : message.method,
          answer: message.draft.attendees[0]?.answer,
          isNew: isNew && !isFromGuest(message),
          isOfDate,
        },
        senderOf(message),
        event ?? message.draft,
      )
    : sayUnchanged(message.method, senderOf(message), event ?? message.draft);
  return { edits, did, isNews };
}

/** Messages that are not known yet, each once; found by what tells them apart, so that thousands take linear time. */
function withoutKnown(
  messages: readonly InviteMessage[],
  known: readonly InviteMessage[],
): InviteMessage[] {
  const seen = new Map<string, InviteMessage[]>();
  const nameOf = ({ method, sequence, stamp, time }: InviteMessage) =>
    JSON.stringify([method, sequence, stamp, time]);
  const isFresh = (message: InviteMessage) => {
    const name = nameOf(message);
    const same = seen.get(name);
    if (same?.some((other) => isSameMessage(other, message))) return false;
    if (same) same.push(message);
    else seen.set(name, [message]);
    return true;
  };
  known.forEach(isFresh);
  return messages.filter(isFresh);
}
