import { guestAnswer, withAnswers } from '@/core/invitations/answers';
import { partOf } from '@/core/invitations/invited';
import type { InviteMessage } from '@/core/invitations/messages';
import { senderOf } from '@/core/invitations/messages';
import { isSameAddress, sayParty } from '@/core/invitations/party';
import { isPassedOn } from '@/core/invitations/passOn';
import type { Attendee } from '@/core/model/attendees';
import type { CalendarEvent } from '@/core/model/event';
import type { Mail } from '@/core/model/mail';
import { quotedTitle } from '@/core/model/titleOf';
import type { Edit } from '../change';
import {
  answersOf,
  cameIn,
  eventOfUid,
  isMine,
  lastSequence,
  toldOf,
  versionsTold,
} from './correspondence';
import { currentState } from './outgoing';
import type { Setting, Taken } from './taking';
import { NotTaken, mailFor, newMail, dateKeyOf } from './taking';

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

export function takeAnswer(messages: readonly InviteMessage[], setting: Setting): Taken {
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
export function takeProposal(messages: readonly InviteMessage[], setting: Setting): Taken {
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
export function takeTurnedDown(messages: readonly InviteMessage[], setting: Setting): Taken {
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
export function takeRefresh(messages: readonly InviteMessage[], setting: Setting): Taken {
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
